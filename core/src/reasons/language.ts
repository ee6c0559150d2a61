/** What makes a table of sentences a whole language: every rule has its words, and the words name its facts, no more and no fewer. */
import type { FactName, LimitedFact, RuleId } from './rules';

/** What a rule says. `{asked}` is the fact found, `{asked.limit}` its limit. */
export interface Words {
  readonly says: string;
  /** What would remove the obstacle. */
  readonly lifts?: string;
}

/** The names between braces. */
type Spoken<S> = S extends `${string}{${infer P}}${infer Rest}` ? P | Spoken<Rest> : never;
type SpokenIn<W> = (W extends { readonly says: infer S } ? Spoken<S> : never) | (W extends { readonly lifts: infer L } ? Spoken<L> : never);
type Wanted<R extends RuleId> = FactName<R> | `${LimitedFact<R>}.limit`;

/** What is wrong with the words of a rule, as a type: it is told by the compiler, at the rule. */
type Checked<R extends RuleId, W> = [Exclude<FactName<R>, SpokenIn<W> | NamedByLimit<W>>] extends [never]
  ? [Exclude<SpokenIn<W>, Wanted<R>>] extends [never]
    ? W
    : { readonly 'names what is no fact of it': Exclude<SpokenIn<W>, Wanted<R>> }
  : { readonly 'does not name': Exclude<FactName<R>, SpokenIn<W>> };
/** A sentence may name the limit alone. */
type NamedByLimit<W> = SpokenIn<W> extends infer P ? (P extends `${infer N}.limit` ? N : never) : never;

export type Language<T> = { readonly [R in RuleId]: R extends keyof T ? Checked<R, T[R]> : { readonly 'has no words': R } };

/** @returns the table, when it is whole: else it does not compile */
export const language = <const T extends Readonly<Record<RuleId, Words>>>(table: T & Language<T>): Readonly<Record<RuleId, Words>> => table;
