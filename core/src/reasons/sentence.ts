/** Turns codes and facts into the sentences a painter reads. The words themselves stand in en.ts. */
import { formatMeasure, type Measure, type UnitSystem } from '../units/units';
import { RULE_WORDS, say } from './en';
import type { Reason, Value } from './reason';

const isMeasure = (v: Value): v is Measure => typeof v === 'object' && !Array.isArray(v);

export function valueText(v: Value, system: UnitSystem): string {
  if (typeof v === 'string') return say(v);
  if (typeof v === 'number') return v.toLocaleString('en-US');
  if (typeof v === 'boolean') return v ? 'yes' : 'no';
  if (isMeasure(v)) return formatMeasure(v, system);
  return v.map((x) => say(x)).join('; ');
}

function fill(template: string, reason: Reason, system: UnitSystem): string {
  const text = template.replace(/\{(\w+)(\.limit)?\}/g, (whole, asked: string, limit?: string) => {
    const w = reason.weighed.find((x) => x.asked === asked);
    const v = limit ? w?.limit : w?.found;
    return v === undefined ? whole : valueText(v, system);
  });
  return text.charAt(0).toUpperCase() + text.slice(1);
}

/** The sentence of a reason, in the job's units. */
export const sentence = (reason: Reason, system: UnitSystem): string => fill(RULE_WORDS[reason.rule].says, reason, system);

/** What would lift the reason, when something would. */
export function remedy(reason: Reason, system: UnitSystem): string | undefined {
  const words: { says: string; lifts?: string } = RULE_WORDS[reason.rule];
  return words.lifts === undefined ? undefined : fill(words.lifts, reason, system);
}
