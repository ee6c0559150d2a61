/**
 * Dew point of moist air, C.
 * Source: Magnus form with the WMO / Sonntag coefficients a = 17.62, b = 243.12 C (over water), as in ISO 8502-4.
 * @param airC air temperature, C, -45 to 60
 * @param rhPct relative humidity, %, above 0 to 100
 * @returns dew point, C; within about 0.1 C of the ASHRAE formulation from 0 to 50 C
 * @throws RangeError outside those ranges
 */
export function dewPointC(airC: number, rhPct: number): number {
  if (!(airC >= -45 && airC <= 60)) throw new RangeError(`air temperature ${airC} C is outside -45 to 60 C`);
  if (!(rhPct > 0 && rhPct <= 100)) throw new RangeError(`relative humidity ${rhPct} % is outside 0 to 100 %`);
  const a = 17.62;
  const b = 243.12;
  const gamma = Math.log(rhPct / 100) + (a * airC) / (b + airC);
  return (b * gamma) / (a - gamma);
}

/** A surface is coated only at least 3 C (5 F) above the dew point. ISO 8502-4; ASTM D3276. */
export const DEW_MARGIN_C = 3;

export const dryEnoughToCoat = (surfaceC: number, airC: number, rhPct: number): boolean =>
  surfaceC - dewPointC(airC, rhPct) >= DEW_MARGIN_C;
