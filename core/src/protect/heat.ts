/** How long somebody works in a suit before everybody is looked at. NIOSH/OSHA/USCG/EPA 85-115, table 8-10, the column of suits that hold heat in. */
import { measure, type Measure } from '../units/units';

/** From an air temperature on, F: minutes of work between two looks, for people who are fit and used to it. */
const LOOKS: readonly (readonly [number, number])[] = [
  [90, 15],
  [87.5, 30],
  [82.5, 60],
  [77.5, 90],
  [72.5, 120],
];

/** @param airF in the shade @returns minutes; null: no more often than on any other day */
export const lookEvery = (airF: number): number | null => LOOKS.find(([from]) => airF >= from)?.[1] ?? null;

/** Below it damp gloves and cuffs are changed for dry ones. ACGIH cold stress, from memory. */
const COLD = measure(4, 'C');

/** Both ends of the table, as a reason shows them. */
export function suitFacts(): Record<'from' | 'every' | 'hot' | 'often' | 'cold', Measure> {
  const [hot, often] = LOOKS[0]!;
  const [from, every] = LOOKS.at(-1)!;
  return { from: measure(from, 'F'), every: measure(every, 'min'), hot: measure(hot, 'F'), often: measure(often, 'min'), cold: COLD };
}
