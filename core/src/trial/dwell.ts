/** Dwell and temperature. Every dwell is compared at one temperature, or two squares of different mornings say nothing. */

/** C */
export const REFERENCE_C = 20;
/** The rate doubles for each so many degrees, unless the product's sheet says otherwise. Rule of thumb. */
const DOUBLES_EACH_C = 10;

/** How much faster it works at a temperature than at the reference. */
export const speedAt = (c: number): number => 2 ** ((c - REFERENCE_C) / DOUBLES_EACH_C);
/** A dwell as observed, to the reference temperature. A temperature that nobody read counts as the reference. */
export const toReference = (dwell: number, c: number | null): number => (c === null ? dwell : dwell * speedAt(c));
/** A dwell at the reference temperature, to that of the day. */
export const fromReference = (dwell: number, c: number | null): number => (c === null ? dwell : dwell / speedAt(c));
