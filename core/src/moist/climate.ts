/** A year of hourly weather: from a file, or made up from a seed and labelled as simulated. */
import { seeded } from '../graph/seeded';
import { saturationC, saturationPa } from './air';

export interface Climate {
  readonly tempC: Float64Array;
  readonly rhPct: Float64Array;
  /** Hour of the year of the first value, 0 to 8759. */
  readonly startsAt: number;
  readonly simulated: boolean;
}

export const HOURS_A_YEAR = 8760;

/**
 * An invented temperate coast: mean, yearly and daily swing, and weather that drifts over days.
 * @param meanC of the year; the coldest month lies about `swingC` below
 * @throws RangeError without a seed
 */
export function simulatedClimate(seed: string, meanC = 9.5, swingC = 8): Climate {
  const random = seeded(`${seed}/climate`);
  const tempC = new Float64Array(HOURS_A_YEAR);
  const rhPct = new Float64Array(HOURS_A_YEAR);
  let weather = 0;
  let damp = 3;
  for (let h = 0; h < HOURS_A_YEAR; h += 1) {
    // Coldest in late January, warmest at three in the afternoon.
    const season = -swingC * Math.cos((2 * Math.PI * (h - 24 * 25)) / HOURS_A_YEAR);
    const day = -3 * Math.cos((2 * Math.PI * ((h % 24) - 3)) / 24);
    weather += -0.02 * weather + 0.45 * (random() + random() - 1);
    damp += 0.03 * (3 - damp) + 0.35 * (random() + random() - 1);
    const c = meanC + season + day + weather;
    tempC[h] = c;
    // The dew point follows the season and the weather, not the hour of the day.
    const dew = Math.min(c, c - day - Math.max(0.3, damp));
    rhPct[h] = Math.min(100, (100 * saturationPa(dew)) / saturationPa(c));
  }
  return { tempC, rhPct, startsAt: 0, simulated: true };
}

/** One steady climate, when only spot readings are known. */
export function steadyClimate(c: number, rhPct: number, hours: number): Climate {
  return { tempC: new Float64Array(hours).fill(c), rhPct: new Float64Array(hours).fill(rhPct), startsAt: 0, simulated: false };
}

/** Dew point of the climate's hour, C. */
export const dewAt = (k: Climate, h: number): number => saturationC((saturationPa(k.tempC[h]!) * k.rhPct[h]!) / 100);
