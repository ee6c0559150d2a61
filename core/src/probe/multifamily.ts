/** How many of many like dwellings to test. HUD Guidelines ch. 7, table 7.3, reckoned from its rule. */
import { draw, seeded } from '../graph/seeded';

export type BuiltClass = 'before1960' | '1960to1977';

/** Negative in every dwelling drawn must mean, at 95 %, that fewer than this share (or this number) hold lead paint. */
const ALLOWED: Readonly<Record<BuiltClass, { readonly share: number; readonly most: number }>> = {
  before1960: { share: 0.05, most: 50 },
  '1960to1977': { share: 0.1, most: 100 },
};
const CONFIDENCE_MISS = 0.05;
/** From here on the table gives a share, not a number. */
const TABLE_ENDS = 1040;
/** 1 - 0.05^(1/50) and 1 - 0.05^(1/100): a large building is drawn as if without end. */
const TAIL_SHARE: Readonly<Record<BuiltClass, number>> = { before1960: 0.058, '1960to1977': 0.029 };

/** Chance that `n` drawn of `of` miss all `bad`: hypergeometric P(0) = C(of-bad, n) / C(of, n). */
export function missesAll(of: number, bad: number, n: number): number {
  if (n > of - bad) return 0;
  let p = 1;
  for (let i = 0; i < n; i += 1) p *= (of - bad - i) / (of - i);
  return p;
}

const tables = new Map<BuiltClass, number[]>();

/** Sizes of sample for 1 to 1,039 dwellings, never falling as the building grows. */
function table(built: BuiltClass): number[] {
  const known = tables.get(built);
  if (known) return known;
  const { share, most } = ALLOWED[built];
  const out = [0];
  for (let of = 1; of < TABLE_ENDS; of += 1) {
    const bad = Math.min(Math.ceil(share * of), most);
    let n = out[of - 1]!;
    // "All" while a single bad dwelling would count.
    if (bad <= 1) n = of;
    else while (missesAll(of, bad, n) >= CONFIDENCE_MISS) n += 1;
    out.push(n);
  }
  tables.set(built, out);
  return out;
}

/**
 * Dwellings to test of a group of like construction and history.
 * @param of dwellings in the group, at least 1
 * @throws RangeError when `of` is not a whole number of at least 1
 */
export function dwellingsToTest(of: number, built: BuiltClass): number {
  if (!Number.isInteger(of) || of < 1) throw new RangeError('the number of dwellings is a whole number of at least 1');
  if (of >= TABLE_ENDS) return Math.ceil(of * TAIL_SHARE[built] - 1e-9);
  return table(built)[of]!;
}

export const builtClass = (year: number | null): BuiltClass => (year !== null && year >= 1960 ? '1960to1977' : 'before1960');

/** Which dwellings, by number. @throws RangeError without a seed */
export const drawDwellings = (of: number, built: BuiltClass, seed: string): number[] =>
  draw(dwellingsToTest(of, built), of, seeded(seed.trim() && `${seed}/dwellings/${of}`));
