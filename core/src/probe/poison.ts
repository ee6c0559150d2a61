/**
 * What else is poison in a coat, beside lead: chromate, cadmium, arsenic, coal tar, copper, by its tin, its look or a test. One judgement,
 * read by the rules, the zone, masks, signs and waste. Law H1. 29 CFR 1926.1126, 1926.1127, 1926.1118, 1926.1102.
 */
import { METAL, type Binder, type Surface } from '../facts';
import { liveLayers } from '../walk';
import type { CoatPoison, StackCoat } from './stack';

const ASSUMED: CoatPoison = 'chromateAssumed';

type Coat = Pick<StackCoat, 'poisons'>;
/** An antifouling is known by where it is, and has words of its own. */
const ANTIFOULING: Binder = 'antifouling';

/** Those of these coats, the worst first; an antifouling is not among them. What is assumed beside what is known of the same is not said. */
export const poisonsOf = (coats: readonly Coat[]): CoatPoison[] => {
  const there = COAT_POISONS.filter((p) => coats.some((c) => c.poisons.includes(p)));
  return there.includes('chromate') ? there.filter((p) => p !== ASSUMED) : there;
};
/** The worst first. */
export const COAT_POISONS: readonly CoatPoison[] = ['chromate', 'arsenic', 'cadmium', 'coalTar', ASSUMED, 'copper'];

/** A coat of it is known to hold a poison other than lead. */
export const isPoisoned = (s: Surface): boolean => liveLayers(s).some((l) => l.binder === ANTIFOULING || l.poisons.length > 0);

/** Zinc and lead chromate went out of primers for metal in these years. From memory of makers' sheets. */
const CHROMATE_BEFORE = 1995;
/**
 * The coats, with what a primer on old metal may hold where nobody looked: by the oldest coat's year, else the piece's; a coat or piece of
 * no known year is old. Brass is lacquered, not primed.
 */
export function withAssumedPoison(s: Surface, stack: readonly StackCoat[], builtYear: number | null): readonly StackCoat[] {
  const primer = stack.at(-1);
  if (!primer || !METAL.includes(s.material) || s.material === 'brass') return stack;
  if (primer.poisons.length > 0 || primer.poisonsLookedFor) return stack;
  const year = primer.yearApplied ?? builtYear;
  if (year !== null && year >= CHROMATE_BEFORE) return stack;
  return [...stack.slice(0, -1), { ...primer, poisons: [ASSUMED] }];
}
