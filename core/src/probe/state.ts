/** What is known of a hazard in a coat. Anything but `notFound` is treated as present. */
export const HAZARD_STATES = ['unknown', 'assumed', 'waiting', 'found', 'notFound'] as const;
export type HazardState = (typeof HAZARD_STATES)[number];

const STRICTNESS: Readonly<Record<HazardState, number>> = { notFound: 0, unknown: 1, assumed: 2, waiting: 3, found: 4 };

export const isPresent = (s: HazardState): boolean => s !== 'notFound';
export const stricter = (a: HazardState, b: HazardState): HazardState => (STRICTNESS[a] >= STRICTNESS[b] ? a : b);
export const strictest = (states: readonly HazardState[]): HazardState => states.reduce(stricter, 'notFound');
