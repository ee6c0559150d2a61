/** Moist air and wood, in the equations of ISO 13788 annex E and the Wood Handbook ch. 4. */

/** Saturation vapour pressure, Pa, at a temperature in C. ISO 13788 annex E. */
export const saturationPa = (c: number): number =>
  c >= 0 ? 610.5 * Math.exp((17.269 * c) / (237.3 + c)) : 610.5 * Math.exp((21.875 * c) / (265.5 + c));

/** Temperature, C, at which air of this vapour pressure, Pa, is saturated: the inverse of `saturationPa`. */
export function saturationC(pa: number): number {
  const l = Math.log(pa / 610.5);
  return l >= 0 ? (237.3 * l) / (17.269 - l) : (265.5 * l) / (21.875 - l);
}

/** Specific gas constant of water vapour, J/(kg K). */
const R_VAPOUR = 461.5;
/** Water in air, g/m3, from vapour pressure, Pa, and temperature, C: ideal gas. */
export const vapourGM3 = (pa: number, c: number): number => (pa / (R_VAPOUR * (c + 273.15))) * 1000;
export const vapourPa = (gM3: number, c: number): number => (gM3 / 1000) * R_VAPOUR * (c + 273.15);

/**
 * Equilibrium moisture content of wood, % of dry mass. Wood Handbook eq. 4-5, in C.
 * @param rhPct relative humidity, 0 to 100
 */
export function woodMoistureAt(c: number, rhPct: number): number {
  const h = rhPct / 100;
  const w = 349 + 1.29 * c + 0.0135 * c * c;
  const k = 0.805 + 0.000736 * c - 0.00000273 * c * c;
  const k1 = 6.27 - 0.00938 * c - 0.000303 * c * c;
  const k2 = 1.91 + 0.0407 * c - 0.000293 * c * c;
  const kh = k * h;
  return (1800 / w) * (kh / (1 - kh) + (k1 * kh + 2 * k1 * k2 * kh * kh) / (1 + k1 * kh + k1 * k2 * kh * kh));
}

/** ISO 13788: inside surface resistance for mold, m2K/W. */
export const RSI_MOLD = 0.25;
/** In a corner, or behind furniture on an outside wall, m2K/W. ISO 13788 and its national annexes, from memory. */
export const RSI_CORNER = 0.35;
/** Wanted temperature factor in dwellings: the British figure (BRE IP 1/06); ISO 13788 sets how it is reckoned, and no such number. */
export const FRSI_WANTED = 0.75;

/** Temperature factor of a face from its heat loss: 1 - U x Rsi. */
export const temperatureFactor = (uWm2K: number, rsi = RSI_MOLD): number => Math.max(0, 1 - uWm2K * rsi);
/** Inside surface temperature, C. */
export const surfaceC = (insideC: number, outsideC: number, fRsi: number): number => outsideC + fRsi * (insideC - outsideC);
/** Relative humidity at a face, %, of room air meeting it; 100 where it condenses. */
export const surfaceRh = (insideC: number, insideRhPct: number, faceC: number): number =>
  Math.min(100, (insideRhPct * saturationPa(insideC)) / saturationPa(faceC));
/** Temperature factor at which this room's air would stand at 80 % on the face. ISO 13788. */
export function leastTemperatureFactor(insideC: number, insideRhPct: number, outsideC: number): number {
  const faceC = saturationC((saturationPa(insideC) * insideRhPct) / 100 / 0.8);
  return (faceC - outsideC) / (insideC - outsideC);
}
