/** How thick a stripper is laid, and with what it is lifted. */
import type { MethodId, PartKind } from '../facts/vocabulary';
import type { Method } from './method';

/** Least and most of a film, mm: a litre on a square metre. Data sheets, from memory. */
const FILM: Readonly<Partial<Record<MethodId, readonly [least: number, most: number]>>> = {
  solventGel: [0.6, 1.5],
  neutralStripper: [0.5, 1.5],
  causticPoultice: [1.5, 5],
  causticReady: [1.5, 5],
  milkPowder: [0.12, 0.4],
  masonryStripper: [0.5, 1.2],
  masonryKit: [0.5, 1.2],
};
export const filmOf = (id: MethodId): readonly [least: number, most: number] | null => FILM[id] ?? null;

export const LIFTERS = ['plasticBlade', 'contourPad', 'narrowScraper'] as const;
export type Lifter = (typeof LIFTERS)[number];
/** Softened film is lifted with something softer than what lies below. Common practice, no published source. */
const BY_PART: Readonly<Record<PartKind, Lifter>> = {
  flat: 'plasticBlade',
  underside: 'plasticBlade',
  besideGlass: 'plasticBlade',
  moulded: 'contourPad',
  turned: 'contourPad',
  threads: 'contourPad',
  arris: 'contourPad',
  carved: 'narrowScraper',
  tight: 'narrowScraper',
};
/** Null: nothing softened is lifted. */
export const lifterOf = (m: Method, part: PartKind): Lifter | null => (FILM[m.id] ? BY_PART[part] : null);
/** One of them wears out on so much, m2. Common practice, no published source. */
export const LIFTER_M2 = 8;
