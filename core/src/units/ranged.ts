/** A number that cannot be, in trade words: shown beside its field. */
export class RangedError extends Error {}
