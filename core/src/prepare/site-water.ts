/** Water and heat of the site: rinse water, where it goes and in what it stands; steam, its water and what it brings into the room. */
import { methodById } from '../catalogue';
import { within } from './refused';

export const RINSE_HOLDS = ['nothing', 'lead', 'alkali', 'acid', 'solvent', 'biocide'] as const;
/** What the water took with it. */
export type RinseHolds = (typeof RINSE_HOLDS)[number];

export interface RinseWater {
  readonly areaM2: number;
  readonly eachLM2: number;
  readonly rinses: number;
  /** In what it is kept, L. */
  readonly drumL: number;
  readonly holds: RinseHolds;
}
export interface RinseWaterAnswer {
  readonly litres: number;
  /** Filled to nine tenths: it is moved. */
  readonly drums: number;
  readonly drumKg: number;
  /** pH between which it has to be brought before anybody may take it; null: it is not a matter of pH. */
  readonly phBefore: { readonly low: number; readonly high: number } | null;
  readonly goes: 'ground' | 'kept';
}
/** Of a drum, what is filled. Common practice, no published source. */
const FILLED = 0.9;
/** No sewer takes it below 5.0; above 12.5 it is hazardous. 40 CFR 403.5(b)(2), 261.22. Between 6 and 9 most works take it: from memory. */
const SEWER_PH = { low: 6, high: 9 } as const;

/** @throws Refused in trade words */
export function rinseWaterFor(r: RinseWater): RinseWaterAnswer {
  within(r.areaM2, 0.01, 5000, 'areaM2');
  within(r.eachLM2, 0.1, 100, 'rinseL');
  within(r.rinses, 1, 20, 'rinses');
  within(r.drumL, 5, 1000, 'drumL');
  const litres = r.areaM2 * r.eachLM2 * r.rinses;
  return {
    litres,
    drums: Math.ceil(litres / (r.drumL * FILLED) - 1e-9),
    drumKg: r.drumL * FILLED,
    phBefore: r.holds === 'alkali' || r.holds === 'acid' ? SEWER_PH : null,
    goes: r.holds === 'nothing' ? 'ground' : 'kept',
  };
}

export interface Steam {
  readonly kw: number;
  readonly tankL: number;
  readonly waterC: number;
  readonly areaM2: number;
  /** Of the room; null: outdoors. */
  readonly volumeM3: number | null;
}
export interface SteamAnswer {
  readonly kgH: number;
  readonly tankMin: number;
  readonly hours: { readonly low: number; readonly high: number };
  readonly litres: { readonly low: number; readonly high: number };
  /** Fresh air that carries its water off, m3/h; null: outdoors. */
  readonly freshM3H: number | null;
  readonly airChanges: number | null;
}
/** Heat to warm and to boil off water, kJ/kgK and kJ/kg at 100 C. IAPWS. */
const WATER_CP = 4.19;
const BOILS_KJ_KG = 2257;
/** Of the plug's power, what ends in steam. From memory. */
const INTO_STEAM = 0.9;
/** What a cubic meter of air may take on before walls run, kg: from 50 to 80 % at 20 C, of 17.3 g/m3 when full. Psychrometric tables. */
const TAKES_UP_KG_M3 = 0.0173 * 0.3;

/** @throws Refused in trade words */
export function steamFor(s: Steam): SteamAnswer {
  within(s.kw, 0.5, 30, 'steamKw');
  within(s.tankL, 0.5, 200, 'tankL');
  within(s.waterC, 1, 95, 'waterC');
  within(s.areaM2, 0.1, 2000, 'areaM2');
  if (s.volumeM3 !== null) within(s.volumeM3, 1, 10_000, 'roomM3');
  const kgH = (s.kw * 3600 * INTO_STEAM) / (WATER_CP * (100 - s.waterC) + BOILS_KJ_KG);
  const { rate } = methodById('steam');
  const hours = { low: s.areaM2 / rate.highM2PerH, high: s.areaM2 / rate.lowM2PerH };
  const freshM3H = s.volumeM3 === null ? null : kgH / TAKES_UP_KG_M3;
  return {
    kgH,
    tankMin: (s.tankL / kgH) * 60,
    hours,
    litres: { low: kgH * hours.low, high: kgH * hours.high },
    freshM3H,
    airChanges: freshM3H === null ? null : freshM3H / s.volumeM3!,
  };
}
