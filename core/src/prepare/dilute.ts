/** Thinning: any two of ratio, strength, whole and part give the rest. */
import { measure } from '../units/units';
import { refuse, within } from './refused';

export interface Thin {
  /** Strength as bought and as wanted, % by volume or by mass; the same kind for both. */
  readonly stockPct: number | null;
  readonly wantPct: number | null;
  /** Parts of water to one part. */
  readonly water: number | null;
  /** Of what was bought, and of the finished mix; L, or kg for a mix by mass. */
  readonly part: number | null;
  readonly whole: number | null;
}
export interface Thinned {
  readonly water: number;
  readonly part: number;
  readonly whole: number;
  readonly rest: number;
  readonly wantPct: number | null;
}

/**
 * C1 V1 = C2 V2.
 * @throws Refused when too little is given, when two of them contradict, or when it would have to be made stronger
 */
export function thin(t: Thin): Thinned {
  if (t.stockPct !== null) within(t.stockPct, 0.01, 100, 'stockPct');
  if (t.wantPct !== null) within(t.wantPct, 0.001, 100, 'wantPct');
  if (t.water !== null) within(t.water, 0.01, 1000, 'parts');
  if (t.part !== null) within(t.part, 0.001, 10_000, 'partL');
  if (t.whole !== null) within(t.whole, 0.001, 10_000, 'wholeL');
  if (t.stockPct !== null && t.wantPct !== null && t.wantPct > t.stockPct)
    refuse({ id: 'thinStronger', want: measure(t.wantPct, '%'), stock: measure(t.stockPct, '%') });
  const waters = [
    t.water,
    t.stockPct !== null && t.wantPct !== null ? t.stockPct / t.wantPct - 1 : null,
    t.part !== null && t.whole !== null ? t.whole / t.part - 1 : null,
  ].filter((w) => w !== null);
  const [water] = waters;
  if (water === undefined) return refuse({ id: 'thinNeeds' });
  if (water < 0) refuse({ id: 'partMoreThanWhole' });
  if (waters.some((w) => Math.abs(w - water) > 0.02 * Math.max(1, water))) refuse({ id: 'thinContradicts' });
  const part = t.part ?? (t.whole === null ? null : t.whole / (1 + water));
  if (part === null) return refuse({ id: 'thinAmount' });
  return {
    water,
    part,
    whole: part * (1 + water),
    rest: part * water,
    wantPct: t.wantPct ?? (t.stockPct === null ? null : t.stockPct / (1 + water)),
  };
}

/** Bleach loses about a fifth of its chlorine in a year in the cool and dark. From memory. */
const KEEPS_A_YEAR = 0.8;
/** Older than this it is for the drain, days. From memory. */
export const BLEACH_OLD_DAYS = 365;

/**
 * Chlorine in a thinned bleach.
 * @param labelPct on the label, % by volume of weight
 * @param days since it was made
 * @param water parts of water to one
 * @returns what is left in the bottle, %, and in the mix, ppm (mg/L)
 */
export function chlorineOf(labelPct: number, days: number, water: number): { readonly leftPct: number; readonly ppm: number } {
  within(labelPct, 0.1, 15, 'stockPct');
  within(days, 0, 3650, 'ageDays');
  within(water, 0, 1000, 'parts');
  const leftPct = labelPct * KEEPS_A_YEAR ** (days / 365);
  return { leftPct, ppm: (leftPct * 10_000) / (1 + water) };
}

/** Several bottles of one mix. @returns for each bottle, and how many */
export function bottles(whole: Thinned, bottleL: number): { readonly count: number; readonly part: number; readonly rest: number } {
  within(bottleL, 0.05, 50, 'bottleL');
  const count = Math.ceil(whole.whole / bottleL - 1e-9);
  return { count, part: whole.part / count, rest: whole.rest / count };
}

/** Film of a paste: as thick as this before it is covered, mm. Common practice, no published source. */
export interface Paste {
  readonly areaM2: number;
  readonly filmMm: number;
  /** Thickener, g in each L. Cellulose: 25 to 40, from memory. */
  readonly thickenerGL: number;
  /** Wind on it, m/s; 0 indoors. */
  readonly windMS: number;
}
export interface PasteAnswer {
  readonly litres: number;
  readonly thickenerG: number;
  /** Portions of thickener with a pause between, so that no lumps stay. */
  readonly portions: number;
  readonly pauseMin: number;
  readonly pieces: number;
  readonly coverM2: number;
  readonly tapeM: number;
}
/** A piece of film that one person lays and tapes, m. Common practice, no published source. */
const PIECE_M = { long: 1, wide: 0.6, laps: 0.05 };
/** From this wind on a cover is taped on all four sides, m/s. Common practice, no published source. */
const WINDY_MS = 3;

/** @throws Refused in trade words */
export function pasteFor(p: Paste): PasteAnswer {
  within(p.areaM2, 0.01, 2000, 'areaM2');
  within(p.filmMm, 0.2, 20, 'filmMm');
  within(p.thickenerGL, 5, 120, 'thickenerG');
  within(p.windMS, 0, 40, 'windMS');
  const litres = p.areaM2 * p.filmMm;
  const thickenerG = litres * p.thickenerGL;
  const pieces = Math.ceil(p.areaM2 / ((PIECE_M.long - PIECE_M.laps) * (PIECE_M.wide - PIECE_M.laps)) - 1e-9);
  return {
    litres,
    thickenerG,
    portions: Math.max(2, Math.ceil(p.thickenerGL / 10)),
    pauseMin: 5,
    pieces,
    coverM2: pieces * PIECE_M.long * PIECE_M.wide,
    // Indoors the top and one side hold it; the wind gets under a loose edge.
    tapeM: pieces * (p.windMS >= WINDY_MS ? 2 * (PIECE_M.long + PIECE_M.wide) : PIECE_M.long + PIECE_M.wide),
  };
}

/** Powder remover for milk paint: two parts of powder to one of water by volume, and what it covers. Common practice, no published source. */
export const POWDER = { powder: 2, water: 1, coversM2PerL: { low: 4.2, high: 6.2 } } as const;
export const powderFor = (
  areaM2: number,
): { readonly powderL: { readonly low: number; readonly high: number }; readonly waterShare: number } => ({
  powderL: {
    low: within(areaM2, 0.01, 2000, 'areaM2') / POWDER.coversM2PerL.high,
    high: areaM2 / POWDER.coversM2PerL.low,
  },
  waterShare: POWDER.water / POWDER.powder,
});
