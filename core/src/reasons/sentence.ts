/** Turns codes and facts into the sentences a painter reads. The words themselves stand in en/. */
import type { UnitSystem } from '../units/units';
import { RULE_WORDS } from './en';
import type { Reason } from './reason';
import { spell, spelling } from './spelling';
import { valueText } from './value';

/** A template between its blanks. */
interface Cut {
  readonly words: readonly string[];
  readonly blanks: readonly { readonly asked: string; readonly ofLimit: boolean; readonly whole: string }[];
}
const cuts = new Map<string, Cut>();
let spelledAs = spelling();
/** Templates are few, and a plan fills them by the ten thousand. */
function cutOf(template: string): Cut {
  if (spelledAs !== spelling()) {
    spelledAs = spelling();
    cuts.clear();
  }
  const known = cuts.get(template);
  if (known) return known;
  const blanks = [...template.matchAll(/\{(\w+)(\.limit)?\}/g)].map(([whole, asked, limit]) => ({
    asked: asked!,
    ofLimit: limit !== undefined,
    whole,
  }));
  const made = { words: template.split(/\{\w+(?:\.limit)?\}/).map(spell), blanks };
  cuts.set(template, made);
  return made;
}

/** One of what the templates speak of in the plural. */
const ONE = /(^|[^\d.,–-] ?)\b1 (fitting|piece|swab|sample|square|surface|coat|day|round|cloth|bag)s\b/g;

function fill(template: string, reason: Reason, system: UnitSystem): string {
  const { words, blanks } = cutOf(template);
  let text = words[0]!;
  blanks.forEach(({ asked, ofLimit, whole }, i) => {
    const w = reason.weighed.find((x) => x.asked === asked);
    const v = ofLimit ? w?.limit : w?.found;
    text += (v === undefined ? whole : valueText(v, system)) + words[i + 1]!;
  });
  const said = text.replace(ONE, (_all, before: string, word: string) => `${before}1 ${word}`);
  return said.charAt(0).toUpperCase() + said.slice(1);
}

/** The sentence of a reason, in the job's units. */
export const sentence = (reason: Reason, system: UnitSystem): string => fill(RULE_WORDS[reason.rule].says, reason, system);

/** What would lift the reason, when something would. */
export function remedy(reason: Reason, system: UnitSystem): string | undefined {
  const words: { says: string; lifts?: string } = RULE_WORDS[reason.rule];
  return words.lifts === undefined ? undefined : fill(words.lifts, reason, system);
}
