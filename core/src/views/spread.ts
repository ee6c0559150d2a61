/** What a product really took so far, against what was planned: it is reckoned from what is laid (coat/as-laid.ts), and read by every later coat. */
export interface Spread {
  readonly usedL: number;
  readonly plannedL: number;
}
/** By product, over the whole job. */
export type SpreadBook = Readonly<Partial<Record<string, Spread>>>;
export const NO_SPREAD: SpreadBook = {};
