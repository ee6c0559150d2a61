/**
 * Which packs to buy: the cheapest that hold what is needed, and of equally cheap ones those that leave least over. Sizes and need are
 * taken in ten-thousandths, and every filling up to the need is looked at: exact wherever the sizes share a measure, or the need stays below
 * `MOST_STEPS` of it; far above that the cheapest pack takes the bulk.
 */
import { RangedError } from '../units/ranged';

export interface Pack {
  /** In the unit of the good. */
  readonly size: number;
  /** Of one pack, in the firm's money. */
  readonly price: number;
}
export interface Packing {
  /** Largest first; only those that are bought. */
  readonly packs: readonly (Pack & { readonly count: number })[];
  readonly holds: number;
  readonly money: number;
  readonly leftOver: number;
}

/** Sizes are whole ten-thousandths. */
const GRAIN = 10_000;
/** Money is compared in hundredths of the smallest coin. */
const SAME_MONEY = 1e-6;
const gcd = (a: number, b: number): number => (b === 0 ? a : gcd(b, a % b));
/** Fillings that are looked at one by one. */
const MOST_STEPS = 400_000;
const NOTHING: Packing = { packs: [], holds: 0, money: 0, leftOver: 0 };

/**
 * @param need in the unit of the packs, 0 or more
 * @throws RangedError without a pack, or with one of nothing
 */
export function packsFor(need: number, offered: readonly Pack[]): Packing {
  if (!(need >= 0) || !Number.isFinite(need)) throw new RangedError('what is needed is 0 or more');
  if (offered.length === 0) throw new RangedError('it is sold in no pack');
  if (offered.some((p) => !(p.size * GRAIN >= 1) || !(p.price >= 0))) throw new RangedError('a pack holds something, and costs 0 or more');
  const sizes = offered.map((p) => Math.round(p.size * GRAIN));
  const needed = Math.ceil(need * GRAIN - 1e-6);
  if (needed <= 0) return NOTHING;
  const step = sizes.reduce(gcd);
  const units = sizes.map((s) => s / step);
  const target = Math.ceil(needed / step);
  // By number theory: past this many of the other packs some of them together fill whole packs of the cheapest, which never cost more.
  const best = offered.reduce((b, p, i) => (p.price / sizes[i]! < offered[b]!.price / sizes[b]! ? i : b), 0);
  const bestUnits = units[best]!;
  const window = Math.min(bestUnits * Math.max(...units) + bestUnits, MOST_STEPS);
  const whole = Math.max(0, Math.floor((target - window) / bestUnits));
  const rest = target - whole * bestUnits;
  // least[n]: the cheapest way to exactly n units; what overshoots the rest by less than the largest pack is looked at too.
  const top = rest + Math.max(...units);
  const least = new Float64Array(top + 1).fill(Infinity);
  const via = new Int32Array(top + 1).fill(-1);
  least[0] = 0;
  for (let n = 1; n <= top; n += 1)
    for (let i = 0; i < units.length; i += 1) {
      const from = n - units[i]!;
      if (from < 0) continue;
      const money = least[from]! + offered[i]!.price;
      if (money < least[n]! - SAME_MONEY) {
        least[n] = money;
        via[n] = i;
      }
    }
  let at = -1;
  for (let n = rest; n <= top; n += 1) if (least[n]! < Infinity && (at < 0 || least[n]! < least[at]! - SAME_MONEY)) at = n;
  const counts = new Array<number>(offered.length).fill(0);
  counts[best]! += whole;
  for (let n = at; n > 0; n -= units[via[n]!]!) counts[via[n]!]! += 1;
  const packs = offered
    .map((p, i) => ({ ...p, count: counts[i]! }))
    .filter((p) => p.count > 0)
    .sort((a, b) => b.size - a.size);
  const holds = packs.reduce((sum, p) => sum + p.size * p.count, 0);
  return { packs, holds, money: packs.reduce((sum, p) => sum + p.price * p.count, 0), leftOver: Math.max(0, holds - need) };
}
