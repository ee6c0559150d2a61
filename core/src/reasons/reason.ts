import type { Measure } from '../units/units';
import type { SourceId } from './sources';
import type { RuleId } from './en';

/** What a rule weighed: a word from a vocabulary, a name, a measure, or several. */
export type Value = string | number | boolean | Measure | readonly string[];

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
const isAgainstLimit = (v: Value | AgainstLimit): v is AgainstLimit => Array.isArray(v) && typeof v[0] === 'object';

const NO_FACTS: Readonly<Record<string, Value | AgainstLimit>> = {};
/** Reasons without facts are always the same, so they are made once. Almost every rule has one form; the list keeps the rest. */
const plain = new Map<RuleId, Reason[]>();

function plainReason(rule: RuleId, source: SourceId, effect: Effect, force: Force): Reason {
  const forms = plain.get(rule) ?? [];
  for (const r of forms) if (r.source === source && r.effect === effect && r.force === force) return r;
  const made: Reason = { rule, effect, force, weighed: [], source };
  plain.set(rule, [...forms, made]);
  return made;
}

/** A reason whose facts are given by name: `why('lead.assumedByAge', 'cfr40-745.80', { built: [measure(1904, 'year'), limit] })`. */
export function why(
  rule: RuleId,
  source: SourceId,
  facts: Readonly<Record<string, Value | AgainstLimit>> = NO_FACTS,
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
