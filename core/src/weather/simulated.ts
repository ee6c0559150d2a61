/** Invented climates, seeded: the season, the day, fronts that last days, rain in spells. For planning; labelled wherever they are shown. */
import { saturationPa } from '../moist';
import { seeded } from '../graph/seeded';
import { HOUR_MS, type Weather } from './weather';

export const REGION_IDS = ['temperateCoast', 'coldInland', 'dryPlateau', 'humidSouth'] as const;
export type RegionId = (typeof REGION_IDS)[number];

interface Region {
  readonly latitude: number;
  readonly longitude: number;
  /** Mean of the year, half of its swing, half of the day's swing, C. */
  readonly meanC: number;
  readonly seasonC: number;
  readonly dayC: number;
  /** How far the dew point lies below the night's air on a dry day, C. */
  readonly dryC: number;
  /** A spell of rain begins in so many hours, and lasts so many, on average. */
  readonly spellEveryH: number;
  readonly spellH: number;
  readonly windMS: number;
}
/** Invented, not measured: each has the traits that its name says. */
export const REGIONS: Readonly<Record<RegionId, Region>> = {
  temperateCoast: { latitude: 50, longitude: -4, meanC: 10.5, seasonC: 6, dayC: 3, dryC: 3, spellEveryH: 55, spellH: 9, windMS: 4.5 },
  coldInland: { latitude: 45, longitude: -80, meanC: 7, seasonC: 14, dayC: 5, dryC: 4, spellEveryH: 80, spellH: 8, windMS: 3.5 },
  dryPlateau: { latitude: 39, longitude: -108, meanC: 10, seasonC: 12, dayC: 8, dryC: 9, spellEveryH: 200, spellH: 3, windMS: 3.5 },
  humidSouth: { latitude: 31, longitude: -89, meanC: 19, seasonC: 9, dayC: 5, dryC: 1.5, spellEveryH: 48, spellH: 4, windMS: 2.5 },
};
const YEAR_MS = 365.25 * 24 * HOUR_MS;
/** Coldest in late January, in the north. */
const COLDEST = 25 / 365;

/**
 * @param startMs ms since 1970; cut down to the hour
 * @param hours more than 0
 */
export function simulatedWeather(seed: string, region: RegionId, startMs: number, hours: number): Weather {
  const r = REGIONS[region];
  const random = seeded(`${seed}/${region}/weather`);
  const from = Math.floor(startMs / HOUR_MS) * HOUR_MS;
  const all = () => new Float64Array(hours);
  const out = { tempC: all(), rhPct: all(), windMS: all(), cloud: all(), rainMm: all() };
  let front = 0;
  let damp = 0;
  let gust = 0;
  let rainLeft = 0;
  let sky = 0.5;
  for (let h = 0; h < hours; h += 1) {
    const at = from + h * HOUR_MS;
    const year = (at % YEAR_MS) / YEAR_MS;
    const solar = (((at / HOUR_MS) % 24) + r.longitude / 15 + 24) % 24;
    front += -0.02 * front + 0.5 * (random() + random() - 1);
    damp += -0.04 * damp + 0.35 * (random() + random() - 1);
    gust += -0.12 * gust + 0.5 * (random() + random() - 1);
    if (rainLeft > 0) rainLeft -= 1;
    else if (random() < 1 / r.spellEveryH) rainLeft = Math.ceil(r.spellH * (0.4 + 1.2 * random()));
    const wet = rainLeft > 0;
    sky += 0.15 * ((wet ? 0.95 : 0.45 + 0.1 * damp) - sky) + 0.12 * (random() - 0.5);
    const cloud = Math.min(1, Math.max(0, sky));
    const clear = 1 - 0.6 * cloud;
    const day = -r.dayC * clear * Math.cos((2 * Math.PI * (solar - 3)) / 24);
    const c = r.meanC - r.seasonC * Math.cos(2 * Math.PI * (year - COLDEST)) + front + day;
    // The dew point follows the front, not the hour: nights come near it.
    const dew = Math.min(c - 0.2, c - day - (wet ? 0.5 : Math.max(0.4, r.dryC - damp)));
    out.tempC[h] = c;
    out.rhPct[h] = Math.min(100, (100 * saturationPa(dew)) / saturationPa(c));
    out.windMS[h] = Math.max(0.2, r.windMS * (0.8 + 0.25 * -Math.cos((2 * Math.PI * (solar - 3)) / 24)) + gust);
    out.cloud[h] = cloud;
    out.rainMm[h] = wet ? 0.2 + 2.5 * random() ** 2 : 0;
  }
  return { startMs: from, latitude: r.latitude, longitude: r.longitude, ...out, simulated: true, name: region };
}
