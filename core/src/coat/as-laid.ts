/**
 * What was really laid, against what was planned: how far a product goes here, for the rest of the job, and whether the film is as thick as
 * it has to be. From litres and area, and from the comb.
 */
import { liveLaid, type Laid, type Surface } from '../facts';
import { NO_SPREAD, type Spread, type SpreadBook } from '../views';
import { typed, why, type Reason } from '../reasons';
import type { FirmSettings } from '../rulebook';
import { coatingOf, curveBySheet, isCoat, ownOf } from '../shelf/firm-sheets';
import { standingReadings } from '../probe';
import { measure } from '../units/units';
import { curveOf, dryingRate, SHEET_C, SHEET_RH } from '../catalogue/drying';
import { litresFor } from './film';
import { lossOf } from './laying';
import type { CoatLine } from './plan';
import type { Coating } from '../catalogue/coatings';
import { askedOfGround, takesOf, timesOn } from './absorption';

/** Litres that the plan had for the very same area, coats and way. */
const plannedL = (x: Laid, s: Surface, blasted: number, settings: FirmSettings, outdoors: boolean): number => {
  if (!isCoat(x.product)) return 0;
  const data = coatingOf(settings, x.product);
  const flat = litresFor(x.areaM2, x.coats, data.volumeSolidsPct, data.dryFilmUm, lossOf(x.way, s, outdoors));
  return flat * groundTimes(x, s, blasted, data, settings);
};
/** What the ground took of it on the way, by the profile that was read. */
const groundTimes = ({ product }: Laid, s: Surface, blasted: number, { dryFilmUm, coats }: Coating, settings: FirmSettings): number =>
  isCoat(product) ? timesOn(takesOf(product, s, blasted, settings), dryFilmUm, coats) : 1;

/** Whether what a ground took hangs on how much of it was blasted. */
export const blastCounts = (s: Surface): boolean =>
  liveLaid(s).some((x) => x.litres !== null && isCoat(x.product) && askedOfGround(x.product, s));

/**
 * @param blasted how much of it has a profile, 0 to 1, as its plan has it
 * @returns by product, what a surface took and should have taken; null: nothing was measured on it
 */
export function spreadOn(s: Surface, blasted: number, settings: FirmSettings, outdoors: boolean): SpreadBook | null {
  const out: Record<string, { usedL: number; plannedL: number }> = {};
  for (const x of liveLaid(s)) {
    const planned = plannedL(x, s, blasted, settings, outdoors);
    if (x.litres === null || planned === 0) continue;
    const sum = (out[x.product] ??= { usedL: 0, plannedL: 0 });
    sum.usedL += x.litres;
    sum.plannedL += planned;
  }
  return Object.keys(out).length === 0 ? null : out;
}

export function sumSpread(books: readonly (SpreadBook | null)[]): SpreadBook {
  const out: Record<string, { usedL: number; plannedL: number }> = {};
  for (const book of books)
    for (const [product, x] of Object.entries(book ?? {})) {
      const sum = (out[product] ??= { usedL: 0, plannedL: 0 });
      sum.usedL += x!.usedL;
      sum.plannedL += x!.plannedL;
    }
  return Object.keys(out).length === 0 ? NO_SPREAD : out;
}

/** Half or twice is the most that is believed of a ground; beyond it something else is wrong. Common practice, no published source. */
const BELIEVED = { least: 0.5, most: 2 } as const;
/** So near the plan nothing was learnt: a can is read no better. Common practice, no published source. */
const NOISE = 0.02;
const ratioOf = ({ usedL, plannedL: planned }: Spread): number => usedL / planned;
/** Litres on what is still to be laid, against the plan. */
export function stretchOf(book: SpreadBook, product: string): number {
  const x = book[product];
  if (x === undefined || Math.abs(ratioOf(x) - 1) < NOISE) return 1;
  return Math.min(BELIEVED.most, Math.max(BELIEVED.least, ratioOf(x)));
}

/** Under 80 % of the film that is wanted it is too thin. ISO 19840. */
const THIN = 0.8;
/** Over half as much again it runs, wrinkles and dries slowly. From memory of maker practice: the data sheet rules. */
const THICK = 1.5;

export interface Film {
  /** Of one coat, um. */
  readonly dryUm: number;
  readonly wantedUm: number;
  readonly by: 'comb' | 'litres';
  readonly verdict: 'thin' | 'fits' | 'thick';
}

/**
 * The film of one coat of a record: by the comb where one was held in, else by litres and area.
 * Dry = wet x solids / (1 + thinner); a litre on a square metre is a millimetre wet, less what a rough or thirsty ground took of it.
 * @param blasted how much of the piece has a profile, 0 to 1, as its plan has it
 */
export function filmLaid(x: Laid, s: Surface, blasted: number, settings: FirmSettings, outdoors: boolean): Film | null {
  if (!isCoat(x.product) || (x.wetUm === null && x.litres === null)) return null;
  const data = coatingOf(settings, x.product);
  const { dryFilmUm: wantedUm } = data;
  const solids = data.volumeSolidsPct / 100;
  const dryUm =
    x.wetUm !== null
      ? (x.wetUm * solids) / (1 + x.thinnedPct / 100)
      : ((x.litres! * (1 - lossOf(x.way, s, outdoors) / 100)) / (x.areaM2 * x.coats) / groundTimes(x, s, blasted, data, settings)) *
        1000 *
        solids;
  const share = dryUm / wantedUm;
  return { dryUm, wantedUm, by: x.wetUm !== null ? 'comb' : 'litres', verdict: share < THIN ? 'thin' : share > THICK ? 'thick' : 'fits' };
}

const FILM_SAYS = { thin: 'film.thin', fits: 'film.fits', thick: 'film.thick' } as const;
function filmWords(x: Laid, s: Surface, blasted: number, settings: FirmSettings, outdoors: boolean): Reason[] {
  const film = filmLaid(x, s, blasted, settings, outdoors);
  if (film === null) return [];
  const facts = { film: [measure(film.dryUm, 'um'), measure(film.wantedUm, 'um')] as const, by: `film.${film.by}` };
  const most = ownOf(settings, x.product)?.thinMostPct ?? null;
  return [
    ...(most !== null && x.thinnedPct > most
      ? [why('film.thinnedPast', 'firm-sheet', { thinned: [measure(x.thinnedPct, '%'), measure(most, '%')] }, 'care')]
      : []),
    why(FILM_SAYS[film.verdict], film.verdict === 'thick' ? 'mem-film' : 'iso19840', facts, film.verdict === 'fits' ? 'note' : 'care'),
  ];
}

export interface Early {
  readonly below: string;
  /** Since the coat below went on, h. */
  readonly stoodH: number;
  /** As its face and air were since. */
  readonly leastH: number;
  /** Of the face meanwhile, C: read, or as sheets have it. */
  readonly faceC: number;
}
const HOUR_MS = 3_600_000;
/** Nobody looks at the clock with each stroke. Common practice, no published source. */
const EARLY_UNDER = 0.9;
/** A reading from the same morning counts for the coat. */
const SAME_DAY_MS = 6 * HOUR_MS;
/** What the face and the air read while the coat below dried: the mean of the face, else of the air; nothing read: as sheets have it. */
function airSince(s: Surface, from: number, to: number): { readonly faceC: number; readonly rhPct: number } {
  const read = standingReadings(s).filter(
    (r) => r.value !== null && Date.parse(r.takenAt) >= from - SAME_DAY_MS && Date.parse(r.takenAt) <= to,
  );
  const mean = (xs: readonly number[], usual: number) => (xs.length === 0 ? usual : xs.reduce((a, b) => a + b, 0) / xs.length);
  const faces = read.filter((r) => r.kind === 'surfaceTemp').map((r) => r.value!);
  const airs = read.filter((r) => r.kind === 'air');
  return {
    faceC: mean(faces.length > 0 ? faces : airs.map((r) => r.value!), SHEET_C),
    rhPct: mean(
      airs.flatMap((r) => r.humidityPct ?? []),
      SHEET_RH,
    ),
  };
}
/** Beyond two weeks it does not dry there. */
const NEVER_H = 336;
/**
 * Whether a coat goes on before the one below is ready: under 90 % of the shortest wait of that one in the warmth and damp of that day. Records of one product on
 * parts of a piece are one coat until the whole of it has been laid over.
 * @param at its moment, in ms
 */
export function earlyAt(l: Pick<CoatLine, 'product' | 'areaM2'>, s: Surface, at: number, settings: FirmSettings): Early | null {
  const before = liveLaid(s).filter((x) => Date.parse(x.takenAt) < at && isCoat(x.product));
  const same = before.filter((x) => x.product === l.product).sort((a, b) => (a.takenAt < b.takenAt ? -1 : 1));
  // So many times the whole piece was laid over with it: what belongs to the coat under way is not below.
  const laidM2 = same.reduce((sum, x) => sum + x.areaM2 * x.coats, 0);
  const whole = Math.floor((laidM2 + 1e-6) / Math.max(l.areaM2, 1e-6));
  let covered = 0;
  const below = [
    ...before.filter((x) => x.product !== l.product),
    ...same.filter((x) => {
      const under = covered < whole * l.areaM2 - 1e-6;
      covered += x.areaM2 * x.coats;
      return under;
    }),
  ].sort((a, b) => (a.takenAt < b.takenAt ? 1 : -1))[0];
  if (below === undefined || !isCoat(below.product)) return null;
  const laidAt = Date.parse(below.takenAt);
  const stoodH = (at - laidAt) / HOUR_MS;
  const { faceC, rhPct } = airSince(s, laidAt, at);
  const own = ownOf(settings, below.product);
  const curve = own === null ? curveOf(below.product) : curveBySheet(own, below.product);
  const rate = dryingRate(curve, faceC, rhPct);
  const leastH = Math.min(NEVER_H, rate <= 0 ? NEVER_H : coatingOf(settings, below.product).recoatH.low / rate);
  return stoodH < leastH * EARLY_UNDER ? { below: below.product, stoodH, leastH, faceC } : null;
}
function earlyWords(x: Laid, l: CoatLine, s: Surface, settings: FirmSettings): Reason[] {
  const early = earlyAt(l, s, Date.parse(x.takenAt), settings);
  if (early === null || !isCoat(early.below)) return [];
  const facts = {
    product: l.product,
    below: early.below,
    stood: [measure(early.stoodH, 'h'), measure(early.leastH, 'h')] as const,
    short: measure(early.leastH - early.stoodH, 'h'),
    risk: `early.${coatingOf(settings, early.below).base}`,
    by: typed(x.by),
  };
  return x.earlyWhy.trim() === ''
    ? [why('coat.tooEarly', 'job-record', facts, 'care')]
    : [why('coat.insistedEarly', 'job-record', { ...facts, said: typed(x.earlyWhy.trim()) }, 'care')];
}

/** What a maker's terms usually do not bear, by the rule that tells of it. */
const BREAKS: Readonly<Partial<Record<string, string>>> = {
  'coat.tooFew': 'off.few',
  'coat.tooEarly': 'off.early',
  'coat.insistedEarly': 'off.early',
  'film.thin': 'off.thin',
  'film.thick': 'off.thick',
  'film.thinnedPast': 'off.thinned',
};
/** How long its maker stands for a finish, on what terms, and what of this work they may not bear. */
export function guaranteed(l: CoatLine): CoatLine {
  const { own } = l;
  if (own === null || own.guaranteeYears === null || l.use !== 'topcoat') return l;
  const off = [...new Set(l.because.flatMap((r) => BREAKS[r.rule] ?? []))];
  const facts = { named: typed(own.name), years: measure(own.guaranteeYears, 'yr') };
  const terms = own.guaranteeTerms.trim();
  return {
    ...l,
    because: [
      ...l.because,
      terms === '' ? why('coat.guarantee', 'firm-sheet', facts) : why('coat.guaranteeOn', 'firm-sheet', { ...facts, terms: typed(terms) }),
      ...(off.length > 0 ? [why('coat.guaranteeOff', 'firm-sheet', { named: typed(own.name), off }, 'care')] : []),
    ],
  };
}

/** A line of the plan after what was laid: what went on counts as it was, the rest follows what the product took on this job. */
export function asLaid(l: CoatLine, s: Surface, blasted: number, book: SpreadBook, settings: FirmSettings, outdoors: boolean): CoatLine {
  const own = liveLaid(s).filter((x) => x.product === l.product);
  const stretch = stretchOf(book, l.product);
  const wholeM2 = l.areaM2 * l.coats;
  const perM2 = wholeM2 <= 0 ? 0 : l.litres / wholeM2;
  const eachLM2 = perM2 * stretch;
  if ((own.length === 0 && stretch === 1) || wholeM2 <= 0) return { ...l, eachLM2 };
  const done = Math.min(
    wholeM2,
    own.reduce((sum, x) => sum + x.areaM2 * x.coats, 0),
  );
  // What nobody measured is taken as planned, and no more of it than there is to lay.
  const laidL = own.reduce((sum, x) => sum + (x.litres ?? Math.min(wholeM2, x.areaM2 * x.coats) * perM2), 0);
  const spread = book[l.product];
  return {
    ...l,
    litres: laidL + (wholeM2 - done) * eachLM2,
    laidL,
    eachLM2,
    because: [
      ...l.because,
      ...own.flatMap((x) => [...earlyWords(x, l, s, settings), ...filmWords(x, s, blasted, settings, outdoors)]),
      ...(spread === undefined || stretch === 1
        ? []
        : [
            why(stretch === ratioOf(spread) ? 'coat.spreadUsed' : 'coat.spreadOff', 'job-record', {
              product: l.product,
              used: [measure(spread.usedL, 'L'), measure(spread.plannedL, 'L')],
            }),
          ]),
    ],
  };
}
