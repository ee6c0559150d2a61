/** Turns codes and facts into the sentences a painter reads. The words themselves stand in en/. */
import type { UnitSystem } from '../units/units';
import { RULE_WORDS } from './en';
import type { Reason } from './reason';
import { valueText } from './value';

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
