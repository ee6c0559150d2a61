import type { Measure } from '../units/units';
import type { SourceId } from './sources';
import type { FactName, LimitedFact, RuleId } from './rules';

/** What a person typed: shown as it is, never looked up in a vocabulary. */
export interface Typed {
  readonly typed: string;
}
export const typed = (text: string): Typed => ({ typed: text });

/** What a rule weighed: a word from a vocabulary, what somebody typed, a measure, or several. */
export type Value = string | number | boolean | Measure | Typed | readonly (string | Typed)[];

/** One fact in the balance: what was asked, what was found, against which limit, and what came of it. */
export interface Weighed {
  readonly asked: string;
  readonly found: Value;
  readonly limit?: Value;
  readonly verdict: 'yes' | 'no' | 'unknown';
}

/** What a reason does to a verdict. A note explains without weighing. */
export type Effect = 'block' | 'care' | 'note';

/**
 * Who stands behind a rule. `law` and `hazard` cannot be insisted away; `trade` and `firm` can, with a recorded why.
 */
export type Force = 'law' | 'hazard' | 'trade' | 'firm';

export interface Reason {
  readonly rule: RuleId;
  readonly effect: Effect;
  readonly force: Force;
  readonly weighed: readonly Weighed[];
  readonly source: SourceId;
}

/** A value with its reasons: the only way in which a stage answers. */
export interface Answer<T> {
  readonly value: T;
  readonly because: readonly Reason[];
}

/** A measure beside the limit it was held against. */
type AgainstLimit = readonly [found: Measure, limit: Measure];
const isAgainstLimit = (v: Value | AgainstLimit): v is AgainstLimit => Array.isArray(v) && typeof v[0] === 'object' && 'unit' in v[0];

const NO_FACTS = {};
/** Reasons without facts are always the same, so they are made once. Almost every rule has one form; the list keeps the rest. */
const plain = new Map<RuleId, Reason[]>();

function plainReason(rule: RuleId, source: SourceId, effect: Effect, force: Force): Reason {
  const forms = plain.get(rule) ?? [];
  for (const r of forms) if (r.source === source && r.effect === effect && r.force === force) return r;
  const made: Reason = { rule, effect, force, weighed: [], source };
  plain.set(rule, [...forms, made]);
  return made;
}

type Facts = Readonly<Record<string, Value | AgainstLimit>>;
type Named<R extends RuleId> = { readonly [N in FactName<R>]: N extends LimitedFact<R> ? AgainstLimit : Value | AgainstLimit };
/** The facts of a rule as an argument; a rule without any may leave it out. */
export type FactsOf<R extends RuleId> = [FactName<R>] extends [never] ? [facts?: Facts] : [facts: Named<R> & Facts];
type Given<R extends RuleId> = [...FactsOf<R>, effect?: Effect, force?: Force];

/**
 * A reason whose facts are given by name: `why('lead.assumedByAge', 'cfr40-745.80', { built: [measure(1904, 'year'), limit] })`. A fact that
 * its sentence names and that is not given does not compile.
 */
export const why = <const R extends RuleId>(rule: R, source: SourceId, ...given: Given<R>): Reason =>
  fromTable(rule, source, ...(given as unknown as [facts?: Facts, effect?: Effect, force?: Force]));

/** As `why`, for rules that stand in a table with what they weigh. */
export function fromTable(
  rule: RuleId,
  source: SourceId,
  facts: Facts = NO_FACTS,
  effect: Effect = 'note',
  force: Force = 'trade',
): Reason {
  const weighed: Weighed[] = [];
  for (const asked in facts) {
    const v = facts[asked]!;
    weighed.push(isAgainstLimit(v) ? { asked, found: v[0], limit: v[1], verdict: 'yes' } : { asked, found: v, verdict: 'yes' });
  }
  return weighed.length === 0 ? plainReason(rule, source, effect, force) : { rule, effect, force, weighed, source };
}

export const answer = <T>(value: T, ...because: Reason[]): Answer<T> => ({ value, because });
