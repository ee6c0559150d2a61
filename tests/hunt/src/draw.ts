/** What every part of a random job is drawn with. */
import fc from 'fast-check';

const START = Date.parse('2026-05-04T06:00:00.000Z');
export const at = (hours: number): string => new Date(START + Math.round(hours * 60) * 60_000).toISOString();

/** Years about every date at which some rule changes its mind, and some far from all. */
const YEARS = [
  1700, 1890, 1904, 1939, 1940, 1959, 1960, 1972, 1977, 1978, 1979, 1980, 1981, 1985, 1989, 1990, 1991, 1992, 1994, 1999, 2000, 2003, 2012,
  2024,
];
export const year = fc.constantFrom(...YEARS);
export const maybe = <T>(x: fc.Arbitrary<T>, weight = 1): fc.Arbitrary<T | null> =>
  fc.oneof({ weight, arbitrary: x as fc.Arbitrary<T | null> }, { weight: 2, arbitrary: fc.constant(null) });
export const few = <T>(all: readonly T[], most: number): fc.Arbitrary<T[]> => fc.uniqueArray(fc.constantFrom(...all), { maxLength: most });
export const hours = fc.integer({ min: 0, max: 24 });

export type Fields = Record<string, unknown>;
export const c = fc.constant;

/** How deep a test went, before it is known which coats there are. */
export const REACHES = ['nowhere', 'face', 'two', 'deepest', 'all', 'allAndBelow'] as const;
export type Reach = (typeof REACHES)[number];

export function reached(reach: Reach, coats: readonly string[]): { reachedLayerIds: string[]; toSubstrate: boolean } {
  switch (reach) {
    case 'nowhere':
      return { reachedLayerIds: [], toSubstrate: false };
    case 'face':
      return { reachedLayerIds: coats.slice(0, 1), toSubstrate: false };
    case 'two':
      return { reachedLayerIds: coats.slice(0, 2), toSubstrate: false };
    case 'deepest':
      return { reachedLayerIds: coats.slice(-1), toSubstrate: false };
    case 'all':
      return { reachedLayerIds: [...coats], toSubstrate: false };
    case 'allAndBelow':
      return { reachedLayerIds: [...coats], toSubstrate: true };
  }
}
