/** The mold growth index of Hukka and Viitanen (1999), hour by hour, over flat arrays. 0 none, 1 first under a microscope, 3 first seen, 6 all over. */

import { METAL, TIMBER, type Material } from '../facts';

export interface MoldMaterial {
  /** 0 pine, 1 spruce. */
  readonly wood: 0 | 1;
  /** 0 resawn, 1 original kiln-dried face. */
  readonly face: 0 | 1;
  /** Null: the original model for wood. Otherwise the classes of Ojanen and Viitanen (2010), from memory. */
  readonly sensitivity: Sensitivity | null;
}
export type Sensitivity = 'very' | 'sensitive' | 'medium' | 'resistant';
export const PINE: MoldMaterial = { wood: 0, face: 0, sensitivity: null };

/** The class of a lining by what it is made of; null: bare wood. Painted board is faced with paper. Ojanen and Viitanen (2010), from memory. */
export function liningOf(material: Material): Sensitivity | null {
  if (TIMBER.includes(material)) return null;
  if (material === 'board') return 'sensitive';
  return METAL.includes(material) ? 'resistant' : 'medium';
}

const CLASSES: Readonly<
  Record<
    Sensitivity,
    { readonly young: number; readonly old: number; readonly least: number; readonly max: readonly [number, number, number] }
  >
> = {
  very: { young: 1, old: 2, least: 80, max: [1, 7, 2] },
  sensitive: { young: 0.578, old: 0.386, least: 80, max: [0.3, 6, 1] },
  medium: { young: 0.072, old: 0.097, least: 85, max: [0, 5, 1.5] },
  resistant: { young: 0.033, old: 0.014, least: 85, max: [0, 3, 1] },
};

/** Least humidity at which mold grows, %, at a temperature in C. */
export const criticalRh = (c: number): number => (c > 20 ? 80 : -0.00267 * c ** 3 + 0.16 * c * c - 3.13 * c + 100);

/** Weeks at steady 0 < T <= 50 C and RH % until growth can be seen under a microscope (index 1). */
export const weeksToFirst = (c: number, rhPct: number, { wood, face }: MoldMaterial): number =>
  Math.exp(-0.68 * Math.log(c) - 13.9 * Math.log(rhPct) + 0.14 * wood - 0.33 * face + 66.02);

/** Weeks until it can be seen by eye (index 3). */
export const weeksToSeen = (c: number, rhPct: number, { wood }: MoldMaterial): number =>
  Math.exp(-0.74 * Math.log(c) - 12.72 * Math.log(rhPct) + 0.06 * wood + 61.5);

/** Largest index that this climate can carry. */
export function greatestIndex(c: number, rhPct: number, material: MoldMaterial): number {
  const k = material.sensitivity ? CLASSES[material.sensitivity] : null;
  const critical = Math.max(criticalRh(c), k?.least ?? 0);
  // At freezing the critical humidity is 100 itself; saturated air is the upper end of the scale there as everywhere.
  const x = rhPct >= 100 ? 1 : (critical - rhPct) / (critical - 100);
  const [a, b, d] = k?.max ?? [1, 7, 2];
  return a + b * x - d * x * x;
}

/** Growth an hour at an index, under conditions in which it grows. */
function hourlyGrowth(m: number, c: number, rhPct: number, material: MoldMaterial): number {
  const first = weeksToFirst(c, rhPct, material);
  // Just above freezing the time to start is beyond any number.
  if (!Number.isFinite(first)) return 0;
  const k = material.sensitivity ? CLASSES[material.sensitivity] : null;
  const k1 = k ? (m < 1 ? k.young : k.old) : m < 1 ? 1 : 2 / (weeksToSeen(c, rhPct, material) / first - 1);
  const k2 = Math.max(0, 1 - Math.exp(2.3 * (m - greatestIndex(c, rhPct, material))));
  return (k1 * k2) / (7 * first * 24);
}

/** Decline an hour after so many hours of dry or cold: falls for six hours, holds for a day, then falls slowly. */
const hourlyDecline = (hoursDry: number): number => (hoursDry <= 6 ? 0.032 / 24 : hoursDry <= 24 ? 0 : 0.016 / 24);

/**
 * Index at the end of each hour.
 * @param tempC, rhPct at the face, one value an hour, of equal length
 * @param from index at the start, 0 to 6
 * @param onHour called now and then with the hours done, for a progress bar
 * @throws RangeError when the arrays differ in length
 */
export function growthIndex(
  tempC: Float64Array,
  rhPct: Float64Array,
  material: MoldMaterial = PINE,
  from = 0,
  onHour?: (done: number) => void,
): Float64Array {
  if (tempC.length !== rhPct.length) throw new RangeError('temperature and humidity are of different length');
  const out = new Float64Array(tempC.length);
  const least = material.sensitivity ? CLASSES[material.sensitivity].least : 0;
  let m = from;
  let hoursDry = 0;
  for (let i = 0; i < tempC.length; i += 1) {
    const c = tempC[i]!;
    const rh = rhPct[i]!;
    if (c > 0 && c <= 50 && rh >= criticalRh(c) && rh >= least) {
      hoursDry = 0;
      m += hourlyGrowth(m, c, rh, material);
    } else {
      hoursDry += 1;
      m -= hourlyDecline(hoursDry);
    }
    m = m < 0 ? 0 : m > 6 ? 6 : m;
    out[i] = m;
    if (onHour && i % 730 === 729) onHour(i + 1);
  }
  return out;
}
