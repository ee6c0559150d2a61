/**
 * When a coat may go on: hour by hour, each limit for itself and all together; the first chain of coats; what barred it; what a day later
 * costs. It plans. Whoever lays the coat still reads air and face on the spot, for a forecast opens nothing.
 */
import { convert } from '../units/units';
import { DEW_MARGIN_C, dewPointC } from './dew-point';
import { curveOf, dryingRate, type Curve } from '../catalogue/drying';
import { LAYING, layH, MIST_WIND } from './laying';
import type { CoatLine } from './plan';
import { baseOf, mostRecoatOf, type PrimerId } from '../catalogue/coatings';
import { curveBySheet } from '../shelf/firm-sheets';
import type { TopcoatId } from '../facts';

export const LIMIT_IDS = ['light', 'hours', 'air', 'face', 'humidity', 'dew', 'wind', 'rain', 'frost', 'ahead'] as const;
export type LimitId = (typeof LIMIT_IDS)[number];

/** Hours of one face. */
export interface FaceHours {
  readonly airC: Float64Array;
  readonly rhPct: Float64Array;
  readonly faceC: Float64Array;
  readonly windMS: Float64Array;
  readonly rainMm: Float64Array;
  /** There is light to see by. */
  readonly light: Uint8Array;
  /** Somebody may work: the crew’s hours, and the neighbours’. */
  readonly hours: Uint8Array;
}

export interface CoatSpec {
  readonly product: PrimerId | TopcoatId;
  readonly curve: Curve;
  /** Until the next may go on, h at 20 C and 50 %. */
  readonly recoatH: number;
  /** Past it the coat is abraded first, h by the clock; null: no such end is known. */
  readonly mostRecoatH: number | null;
  readonly airC: { readonly least: number; readonly most: number };
  readonly faceC: { readonly least: number; readonly most: number };
  readonly rhMostPct: number;
  readonly windMostMS: number;
  /** Share of its drying after which rain and mist do no harm. */
  readonly rainSafe: number;
  /** Of laying one coat, h. */
  readonly strokeH: number;
}

// Least and most heat: maker practice, from memory (T12); 85 % humidity: rule of thumb (T07); the rest common practice, no published source.
const LIMITS = {
  water: { least: 10, most: 30, face: 35, rh: 85, rainSafe: 0.6 },
  solvent: { least: 5, most: 30, face: 35, rh: 85, rainSafe: 0.7 },
  mineral: { least: 5, most: 28, face: 28, rh: 95, rainSafe: 1 },
} as const;
/** Wind in which a brush still works, 20 mph; from there on dust and drops fly into the film. Common practice, no published source. */
const BRUSH_WIND_MS = convert(20, 'mph', 'm/s');

/** The limits of a product, so often as it is laid: the usual ones, and before them those of the firm's own sheet. */
export function specsFor(
  l: Pick<CoatLine, 'product' | 'way' | 'areaM2' | 'recoatH'> & Partial<Pick<CoatLine, 'own'>>,
  coats: number,
): CoatSpec[] {
  const own = l.own ?? null;
  const limits = LIMITS[baseOf(l.product)];
  const spec: CoatSpec = {
    product: l.product,
    curve: own === null ? curveOf(l.product) : curveBySheet(own, l.product),
    recoatH: l.recoatH.high,
    mostRecoatH: own?.recoatMostH ?? mostRecoatOf(l.product),
    airC: { least: own?.leastAirC ?? limits.least, most: limits.most },
    faceC: { least: own?.leastFaceC ?? limits.least, most: limits.face },
    rhMostPct: own?.mostRhPct ?? limits.rh,
    windMostMS: LAYING[l.way].sprays ? convert(MIST_WIND.value, MIST_WIND.unit, 'm/s') : BRUSH_WIND_MS,
    rainSafe: limits.rainSafe,
    strokeH: layH({ product: l.product, areaM2: l.areaM2, coats: 1 }, l.way).high,
  };
  return Array.from({ length: coats }, () => spec);
}

/** @returns one for each coat, in the order of laying */
export const specsOf = (lines: readonly CoatLine[]): CoatSpec[] => lines.flatMap((l) => specsFor(l, l.coats));

export interface Windows {
  /** 1 where a coat that begins in this hour keeps the limit from the first stroke to the end of what the limit looks at. */
  readonly bands: Readonly<Record<LimitId, Uint8Array>>;
  readonly may: Uint8Array;
  /** Hour in which the next coat may begin; -1: not within what is known. */
  readonly readyAt: Int32Array;
  /** Hour after its last stroke. */
  readonly laidAt: Int32Array;
}

/** Each hour as the hour of the first stroke. */
export function windowsOf(face: FaceHours, coat: CoatSpec): Windows {
  const n = face.airC.length;
  const bands = Object.fromEntries(LIMIT_IDS.map((id) => [id, new Uint8Array(n)])) as Record<LimitId, Uint8Array>;
  const may = new Uint8Array(n);
  const readyAt = new Int32Array(n).fill(-1);
  const laidAt = new Int32Array(n).fill(-1);
  const stroke = Math.max(1, Math.ceil(coat.strokeH));
  const over = Float64Array.from({ length: n }, (_, h) => face.faceC[h]! - dewPointC(face.airC[h]!, Math.max(1, face.rhPct[h]!)));
  const rate = Float64Array.from({ length: n }, (_, h) => dryingRate(coat.curve, face.faceC[h]!, face.rhPct[h]!));
  const at: Readonly<Record<Exclude<LimitId, 'rain' | 'frost' | 'ahead'>, (h: number) => boolean>> = {
    light: (h) => face.light[h] === 1,
    hours: (h) => face.hours[h] === 1,
    air: (h) => face.airC[h]! >= coat.airC.least && face.airC[h]! <= coat.airC.most,
    face: (h) => face.faceC[h]! >= coat.faceC.least && face.faceC[h]! <= coat.faceC.most,
    humidity: (h) => face.rhPct[h]! <= coat.rhMostPct,
    dew: (h) => over[h]! >= DEW_MARGIN_C,
    wind: (h) => face.windMS[h]! <= coat.windMostMS,
  };
  for (let h = 0; h < n; h += 1) {
    const end = h + stroke;
    const known = end <= n;
    for (const id of Object.keys(at) as (keyof typeof at)[]) {
      let kept = true;
      for (let t = h; kept && t < Math.min(end, n); t += 1) kept = at[id](t);
      bands[id][h] = kept ? 1 : 0;
    }
    // From the first stroke on the film lies there: rain, frost and dew have it until it has dried so far.
    let dried = 0;
    let t = h;
    let [rain, frost, dew] = [true, true, true];
    while (t < n && dried < coat.recoatH) {
      const fresh = dried < coat.rainSafe * coat.recoatH;
      if (fresh && face.rainMm[t]! > 0) rain = false;
      if (fresh && over[t]! <= 0) dew = false;
      if (face.faceC[t]! <= 0) frost = false;
      if (t >= end) dried += rate[t]!;
      t += 1;
    }
    const dry = dried >= coat.recoatH;
    bands.rain[h] = rain ? 1 : 0;
    bands.frost[h] = frost ? 1 : 0;
    if (!dew) bands.dew[h] = 0;
    bands.ahead[h] = known && dry ? 1 : 0;
    laidAt[h] = known ? end : -1;
    if (dry) readyAt[h] = t;
    may[h] = LIMIT_IDS.every((id) => bands[id][h] === 1) ? 1 : 0;
  }
  return { bands, may, readyAt, laidAt };
}

/** Several faces at once, as one zone lays them: what one may not, none may; the slowest is waited for. */
export function together(all: readonly Windows[]): Windows {
  const [first] = all;
  const n = first!.may.length;
  const every = (pick: (w: Windows) => Uint8Array) =>
    Uint8Array.from({ length: n }, (_, h) => (all.every((w) => pick(w)[h] === 1) ? 1 : 0));
  const last = (pick: (w: Windows) => Int32Array) =>
    Int32Array.from({ length: n }, (_, h) => (all.some((w) => pick(w)[h]! < 0) ? -1 : Math.max(...all.map((w) => pick(w)[h]!))));
  return {
    bands: Object.fromEntries(LIMIT_IDS.map((id) => [id, every((w) => w.bands[id])])) as Record<LimitId, Uint8Array>,
    may: every((w) => w.may),
    readyAt: last((w) => w.readyAt),
    laidAt: last((w) => w.laidAt),
  };
}

export interface Laid {
  /** Hours of the weather. */
  readonly startH: number;
  readonly readyH: number;
  /** The coat below stood longer than it may: it is abraded before this one. */
  readonly abrade: boolean;
}
export interface Chain {
  readonly coats: readonly Laid[];
  /** Nothing more within what is known: which coat, and what bars it in most of the hours that are left. */
  readonly stopped: { readonly coat: number; readonly by: LimitId } | null;
}

/**
 * The first chain: each coat in the first hour in which it may, after the one below is ready. What begins earlier is never ready later, so
 * the first hour is also the hour that finishes first.
 * @param windows of each coat in order; @param specs the same
 */
export function chainOf(windows: readonly Windows[], specs: readonly Pick<CoatSpec, 'mostRecoatH'>[], from = 0): Chain {
  const coats: Laid[] = [];
  let free = from;
  for (const [i, w] of windows.entries()) {
    let h = free;
    while (h < w.may.length && w.may[h] === 0) h += 1;
    if (h >= w.may.length) return { coats, stopped: { coat: i, by: barredMost(w, free) } };
    const below = coats.at(-1);
    const most = i === 0 ? null : specs[i - 1]!.mostRecoatH;
    const stood = below ? h - windows[i - 1]!.laidAt[below.startH]! : 0;
    coats.push({ startH: h, readyH: w.readyAt[h]!, abrade: most !== null && stood > most });
    free = w.readyAt[h]!;
  }
  return { coats, stopped: null };
}

/** The limit that bars most hours of work and light from here on; outside those nobody asks. */
export function barredMost(w: Windows, from = 0): LimitId {
  const count = new Map<LimitId, number>(LIMIT_IDS.map((id) => [id, 0]));
  for (let h = from; h < w.may.length; h += 1) {
    if (w.bands.light[h] === 0 || w.bands.hours[h] === 0) continue;
    for (const id of LIMIT_IDS) if (w.bands[id][h] === 0) count.set(id, count.get(id)! + 1);
  }
  const [[id, most]] = [...count.entries()].sort((a, b) => b[1] - a[1]) as [[LimitId, number]];
  if (most > 0) return id;
  // No hour of work is left: the forecast ends, or the sun never comes up, or nobody works.
  if (w.bands.hours.some((open, h) => open === 1 && w.bands.light[h] === 1)) return 'ahead';
  return w.bands.hours.includes(1) ? 'light' : 'hours';
}

/** What a day later costs: h by which the last coat is ready later; null: it is not ready at all within what is known. */
export function dayLaterH(windows: readonly Windows[], specs: readonly Pick<CoatSpec, 'mostRecoatH'>[], chain: Chain): number | null {
  const first = chain.coats[0];
  const last = chain.coats.at(-1);
  if (!first || !last || chain.stopped) return null;
  const later = chainOf(windows, specs, first.startH + 24);
  return later.stopped ? null : later.coats.at(-1)!.readyH - last.readyH;
}

/**
 * What a changed forecast moved: for each coat that moved, from when to when, in hours of the new one.
 * @param shiftH hours by which the old forecast began later than the new one
 */
export function movedBy(
  before: Chain,
  after: Chain,
  shiftH = 0,
): readonly { readonly coat: number; readonly from: number; readonly to: number | null }[] {
  return before.coats.flatMap((was, coat) => {
    const from = was.startH + shiftH;
    const to = after.coats[coat]?.startH ?? null;
    return to === from ? [] : [{ coat, from, to }];
  });
}
