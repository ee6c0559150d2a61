/**
 * Film arithmetic. One litre over 1 m2 is a film of 1000 um wet; the solids stay.
 * Source: unit conversion; in US units 1 gal = 231 in3 = 1604 ft2 x mil.
 */

/**
 * Theoretical spread, m2 per litre = 10 x volume solids % / dry film um.
 * @param volumeSolidsPct %, above 0 to 100
 * @param dryFilmUm um, above 0
 * @throws RangeError outside those ranges
 */
export function spreadM2PerL(volumeSolidsPct: number, dryFilmUm: number): number {
  if (!(volumeSolidsPct > 0 && volumeSolidsPct <= 100)) throw new RangeError(`volume solids ${volumeSolidsPct} % is outside 0 to 100 %`);
  if (!(dryFilmUm > 0)) throw new RangeError(`dry film ${dryFilmUm} um must be more than 0`);
  return (10 * volumeSolidsPct) / dryFilmUm;
}

/** Wet film, um = dry film x (1 + thinner) / solids. `thinnerShare` is thinner by volume of paint, 0 for none. */
export const wetFilmUm = (dryFilmUm: number, volumeSolidsPct: number, thinnerShare = 0): number =>
  (dryFilmUm * (1 + thinnerShare)) / (volumeSolidsPct / 100);

/**
 * Litres to buy = area x coats / spread / (1 - loss).
 * @param lossPct share lost in tray, tool and ground, %, 0 to below 100
 * @throws RangeError outside the ranges
 */
export function litresFor(areaM2: number, coats: number, volumeSolidsPct: number, dryFilmUm: number, lossPct: number): number {
  if (!(areaM2 >= 0)) throw new RangeError(`area ${areaM2} m2 cannot be negative`);
  if (!(coats >= 0)) throw new RangeError(`${coats} coats cannot be negative`);
  if (!(lossPct >= 0 && lossPct < 100)) throw new RangeError(`loss ${lossPct} % is outside 0 to below 100 %`);
  return (areaM2 * coats) / spreadM2PerL(volumeSolidsPct, dryFilmUm) / (1 - lossPct / 100);
}
