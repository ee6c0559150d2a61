/**
 * Masking as a take-off: from the drawn piece the metres of each tape and the paper or film behind it, against what it stands, and how
 * long it may stay. Lives of tapes, widths and speeds: data sheets and common practice, from memory.
 */
import type { ElementId, Surface } from '../facts';
import type { Method } from '../catalogue';
import type { Range } from '../units/units';
import { LAYING, type CoatLine, type CoatingPlan } from '../coat';
import { why, type Reason } from '../reasons';
import type { FirmSettings } from '../rulebook';
import { priceOf } from '../shelf/firm-sheets';
import type { SurfaceContext } from '../views';
import { measure } from '../units/units';
import { REBATE_M, sizeOf, takeOff } from '../walk';
import type { Amount } from '../step';

export type Masked = 'glass' | 'rawMasonry' | 'ratingPlate' | 'gasParts' | 'wallBehind' | 'floorEdge' | 'wallBeside' | 'fittings';

type TapeId = 'crepeTape' | 'longLifeTape' | 'filmTape' | 'foilTape' | 'clothTape';
interface Tape {
  /** So long it comes off without its glue or the paint, days. */
  readonly days: { readonly inside: number; readonly outside: number };
}
export const TAPE: Readonly<Record<TapeId, Tape>> = {
  crepeTape: { days: { inside: 1, outside: 1 } },
  longLifeTape: { days: { inside: 14, outside: 7 } },
  filmTape: { days: { inside: 3, outside: 2 } },
  foilTape: { days: { inside: 3, outside: 3 } },
  clothTape: { days: { inside: 2, outside: 1 } },
};
const isTape = (what: string): what is TapeId => what in TAPE;

type CoveringId = 'maskPaper' | 'maskFilm' | 'heatCard';
const isCovering = (what: string): what is CoveringId => what in COVERING_KG;

/** Of tape and paper, what is torn off at the corners and lost. */
const WASTED = 1.1;

/** What it has to stand. */
const SPOILERS = ['blasting', 'chemistry', 'heat', 'tool', 'mist', 'spatter', 'hand'] as const;
type Spoiler = (typeof SPOILERS)[number];
interface Stands {
  /** Null: the one that lasts as long as the coats take. */
  readonly tape: Exclude<TapeId, 'crepeTape' | 'longLifeTape'> | null;
  readonly cover: CoveringId | null;
  /** Beyond the edge, m. */
  readonly skirtM: number;
  /** Glass and plates are covered whole, not only along the line. */
  readonly whole: boolean;
}
const STANDS: Readonly<Record<Spoiler, Stands>> = {
  blasting: { tape: 'clothTape', cover: 'maskFilm', skirtM: 1, whole: true },
  // Paper drinks stripper and carries it under the tape.
  chemistry: { tape: 'filmTape', cover: 'maskFilm', skirtM: 0.5, whole: true },
  heat: { tape: 'foilTape', cover: 'heatCard', skirtM: 0.15, whole: false },
  tool: { tape: 'clothTape', cover: 'maskPaper', skirtM: 0.1, whole: false },
  mist: { tape: null, cover: 'maskPaper', skirtM: 0.6, whole: true },
  spatter: { tape: null, cover: 'maskPaper', skirtM: 0.3, whole: false },
  hand: { tape: null, cover: null, skirtM: 0, whole: false },
};
/** Airless throws further. */
const AIRLESS_SKIRT_M = 1.2;

/** Null: what it does spoils nothing beside it. */
const spoilerOf = (m: Method): Spoiler | null => {
  if (!m.disturbs) return null;
  if (m.blast !== 'no') return 'blasting';
  if (m.caustic || m.vapour) return 'chemistry';
  if (m.heatC !== null) return 'heat';
  return m.powered ? 'tool' : null;
};
/** What the strokes do to what is beside them, the worst first. */
export const spoilersOf = (methods: readonly Method[]): Spoiler[] => {
  const found = new Set(methods.map(spoilerOf));
  return SPOILERS.filter((x) => found.has(x));
};
/** What the coats do to it: all are laid behind the same tape. */
const laidBy = (lines: readonly CoatLine[]): Spoiler =>
  lines.some((l) => LAYING[l.way].sprays) ? 'mist' : lines.some((l) => l.way === 'roller') ? 'spatter' : 'hand';

/** One thing beside the work: the line that is taped, and its face, of all pieces. */
interface Edge {
  readonly lineM: number;
  readonly faceM2: number;
}

/** Pieces that lie along a wall or floor; the rest stand in a hole or on a face and have an outline. */
const RUNS: readonly ElementId[] = [
  'casing',
  'sill',
  'baseboard',
  'pipe',
  'gasPipe',
  'downpipe',
  'windowFrame',
  'handrail',
  'pipeLagging',
  'gutter',
  'corbel',
  'stringCourse',
  'cornice',
  'soffit',
];
const ONE_FITTING: Edge = { lineM: 0.3, faceM2: 0.02 };
/** Valve, dial, tag and vent of one pipe. */
const GAS_PARTS: Edge = { lineM: 1.2, faceM2: 0.05 };
const ONE_PLATE: Edge = { lineM: 0.4, faceM2: 0.01 };
/** Panes of a piece that is no sash: about half its face. */
const GLAZED_SHARE = 0.5;

const times = (e: Edge, k: number): Edge => ({ lineM: e.lineM * k, faceM2: e.faceM2 * k });

/** The line about its panes, and their face. */
function glassOf(s: Surface): Edge {
  const panes = takeOff(s).lines.find((l) => l.what === 'glass');
  const n = s.count * s.faces;
  if (panes) {
    const [h = 0, w = 0] = panes.metres;
    const [count = 1] = panes.times;
    return times({ lineM: 2 * (h + w), faceM2: h * w }, count * n);
  }
  const h = Math.max(s.lengthM * GLAZED_SHARE - 2 * REBATE_M, 0);
  const w = s.widthM;
  return times({ lineM: 2 * (h + w), faceM2: h * w }, n);
}

const outline = (s: Surface): number => (RUNS.includes(s.element) ? 2 * s.lengthM : 2 * (s.lengthM + s.widthM));

/** Where the piece meets the floor, or a wall along a stair. */
function footM(s: Surface): number {
  if (s.element === 'stairFlight') return 2 * sizeOf(s, 'steps') * Math.hypot(sizeOf(s, 'riseM'), sizeOf(s, 'goingM'));
  return s.element === 'newelPost' || s.element === 'post' || s.element === 'column' ? s.widthM : s.lengthM;
}

function edgeOf(what: Masked, s: Surface, fittings: number): Edge {
  switch (what) {
    case 'glass':
      return glassOf(s);
    case 'rawMasonry':
    case 'wallBeside':
      return times({ lineM: outline(s), faceM2: 0 }, s.count);
    case 'wallBehind':
      return times({ lineM: outline(s), faceM2: s.element === 'pipe' || s.element === 'gasPipe' ? 0 : s.lengthM * s.widthM }, s.count);
    case 'floorEdge':
      return times({ lineM: footM(s), faceM2: 0 }, s.count);
    case 'ratingPlate':
      return times(ONE_PLATE, s.count);
    case 'gasParts':
      return times(GAS_PARTS, s.count);
    case 'fittings':
      return times(ONE_FITTING, fittings);
  }
}

export interface Masking {
  /** Tape that is laid, m: a line that is taped against two things, or put on again, counts each time. */
  readonly tapedM: number;
  /** Behind paper, film or card, m2, as often as it is hung. */
  readonly coverM2: number;
  readonly amounts: readonly Amount[];
  /** Which tape and why, how long it stays. */
  readonly because: readonly Reason[];
}

const HOURS_A_DAY = 24;

function add(sums: Map<string, Amount>, what: TapeId | CoveringId, value: number, unit: 'm' | 'm2'): void {
  if (value <= 0) return;
  sums.set(what, { what, amount: measure(value + (sums.get(what)?.amount.value ?? 0), unit) });
}

/** Whole, or only along its line; what has no face of its own gets a skirt. */
const covered = (e: Edge, { skirtM, whole }: Stands): number => (e.faceM2 === 0 ? e.lineM * skirtM : whole ? e.faceM2 : 0);

function masking(
  what: readonly Masked[],
  s: Surface,
  fittings: number,
  spoilers: readonly (Stands & { readonly as: Spoiler })[],
  tapeFor: (own: TapeId | null) => { readonly tape: TapeId; readonly times: number; readonly because: readonly Reason[] },
): Masking {
  const edges = what.map((w) => edgeOf(w, s, fittings));
  const lineM = edges.reduce((sum, e) => sum + e.lineM, 0);
  const sums = new Map<string, Amount>();
  const because: Reason[] = [];
  let tapedM = 0;
  let coverM2 = 0;
  for (const x of spoilers) {
    const { tape, times: n, because: said } = tapeFor(x.tape);
    const m2 = edges.reduce((sum, e) => sum + covered(e, x), 0);
    tapedM += lineM * n;
    add(sums, tape, lineM * WASTED * n, 'm');
    if (x.cover !== null) {
      coverM2 += m2 * n;
      add(sums, x.cover, m2 * WASTED * n, 'm2');
    }
    because.push(why('mask.stands', 'trade-mask', { tape, spoiler: `spoiler.${x.as}`, line: measure(lineM, 'm') }), ...said);
  }
  return { tapedM, coverM2, amounts: [...sums.values()], because };
}

/** Before the strokes, against the worst of each kind of them; it goes with their sheet. */
export const maskingOfStrokes = (what: readonly Masked[], s: Surface, fittings: number, methods: readonly Method[]): Masking =>
  masking(
    what,
    s,
    fittings,
    spoilersOf(methods).map((as) => ({ ...STANDS[as], as })),
    (tape) => ({ tape: tape ?? 'crepeTape', times: 1, because: [] }),
  );

/** Before the coats: the tape that lasts until the last of them is laid, or put on again. */
export function maskingOfCoats(
  what: readonly Masked[],
  s: Surface,
  fittings: number,
  { lines }: CoatingPlan,
  { place }: SurfaceContext,
): Masking {
  const as = laidBy(lines);
  const skirtM = lines.some((l) => l.way === 'airless') ? AIRLESS_SKIRT_M : STANDS[as].skirtM;
  const waitH = lines.reduce((sum, l) => sum + l.recoatH.high * l.coats, 0);
  const days = Math.max(1, Math.ceil(waitH / HOURS_A_DAY));
  const at = place === 'outside' ? 'outside' : 'inside';
  const tape: TapeId = days <= TAPE.crepeTape.days[at] ? 'crepeTape' : 'longLifeTape';
  const life = TAPE[tape].days[at];
  const n = Math.ceil(days / life);
  const facts = { tape, days: [measure(days, 'd'), measure(life, 'd')] as const };
  return masking(what, s, fittings, [{ ...STANDS[as], skirtM, as }], () => ({
    tape,
    times: n,
    because: [n > 1 ? why('mask.tapeAgain', 'mem-tape', { ...facts, times: n }, 'care') : why('mask.tapeLasts', 'mem-tape', facts)],
  }));
}

/** Closed for a mist: the floor and a metre of the walls of a room, or what is sprayed three times over. Common practice. */
export function mistFilmM2({ space, place }: SurfaceContext, areaM2: number): number {
  const { lengthM, widthM } = space;
  return place === 'inside' && lengthM !== null && widthM !== null ? lengthM * widthM + 2 * (lengthM + widthM) : 3 * areaM2;
}

/** Taped m an hour and covered m2 an hour, one person. From memory of estimating practice. */
const TAPED_M_H: Range = { low: 40, high: 90 };
const COVERED_M2_H: Range = { low: 15, high: 40 };
/** Off again three times as fast. */
const OFF = 3;
/** Roll, knife and paper fetched, h a piece. */
const EACH_H: Range = { low: 0.01, high: 0.02 };
export const maskH = ({ tapedM, coverM2 }: Masking, pieces: number): Range => ({
  low: tapedM / TAPED_M_H.high + coverM2 / COVERED_M2_H.high + EACH_H.low * pieces,
  high: tapedM / TAPED_M_H.low + coverM2 / COVERED_M2_H.low + EACH_H.high * pieces,
});
export const unmaskH = (m: Masking, pieces: number): Range => {
  const on = maskH(m, pieces);
  return { low: on.low / OFF, high: on.high / OFF };
};

/** What tape, paper, film and shields of some steps cost, in the firm's money. */
export const maskMoney = (steps: readonly { readonly amounts: readonly Amount[] }[], settings: FirmSettings): number =>
  steps
    .flatMap((st) => st.amounts)
    .reduce((sum, { what, amount }) => sum + (isTape(what) || isCovering(what) ? amount.value * priceOf(settings, what) : 0), 0);

/** Of a square metre, kg. From memory of data sheets. */
const COVERING_KG: Readonly<Record<CoveringId, number>> = { maskPaper: 0.04, maskFilm: 0.01, heatCard: 0.35 };
/** Of a metre of tape, kg. From memory of data sheets. */
const TAPE_KG = 0.008;
/** Of what is masked with, kg a metre or a square metre; 0: it is something else. */
export const maskKg = (what: string): number => (isTape(what) ? TAPE_KG : isCovering(what) ? COVERING_KG[what] : 0);

/** Cut in by hand along a line, m an hour of one coat. From memory of estimating practice. */
const CUT_IN_M_H: Range = { low: 25, high: 60 };
export const cutInH = (lineM: number, coats: number): Range => ({
  low: (lineM * coats) / CUT_IN_M_H.high,
  high: (lineM * coats) / CUT_IN_M_H.low,
});
export const glassLineM = (s: Surface): number => glassOf(s).lineM;
