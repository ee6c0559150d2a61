/**
 * In which way a coat is laid, and what each way asks for: what is lost, how fast it goes, how far its mist flies, how loud it is, what
 * cleans it. Speeds: estimating handbooks, from memory, 100 to 200 ft2/h with a brush, 200 to 400 with a roller, 400 to 900 airless.
 * Losses: estimating practice, 5 to 10 % with brush and roller, 15 to 30 % sprayed; the upper end is bought. Reach and clean-up: common
 * practice, no published source.
 */
import { HIGH_M } from '../choose';
import type { Range } from '../units/units';
import { LAYINGS, MASONRY, PLASTER, TIMBER, type CoatUse, type ElementId, type LayingId, type Surface, type TopcoatId } from '../facts';
import { isPresent } from '../probe';
import { answer, why, type Answer, type Reason } from '../reasons';
import type { SurfaceContext } from '../views';
import type { Rulebook } from '../rulebook';
import { convert, measure, type Measure } from '../units/units';
import { liveLayers } from '../walk';
import { coatingOf, evaporates } from '../shelf/firm-sheets';
import { wetFilmUm } from './film';
import { baseOf, type CoatId, type PrimerId } from '../catalogue/coatings';

/** How the coat looks. Common practice. */
export const LAID_LOOKS = ['brushMarks', 'stipple', 'thinRubbed', 'level'] as const;
export type LaidLook = (typeof LAID_LOOKS)[number];

export interface LayingWay {
  readonly look: LaidLook;
  /** It makes a mist that is breathed and that flies. */
  readonly sprays: boolean;
  readonly needsPower: boolean;
  /** Of what is taken out of the tin, what never comes to lie on the piece, %. */
  readonly lossPct: number;
  /** One coat, m2 an hour by one person. */
  readonly m2PerH: { readonly low: number; readonly high: number };
  /** Made ready and cleaned again, once a product, h. */
  readonly setUpH: { readonly low: number; readonly high: number };
  /** Of mist in calm air outdoors, in the units of each rulebook; indoors it goes through the whole room. Null: it makes none. */
  readonly reach: Readonly<Record<Rulebook['id'], Measure>> | null;
  /** At the ear of whoever holds it, dB(A); null: bare ears bear it all day. */
  readonly db: number | null;
  /** Water or solvent that cleans it once, L. */
  readonly cleanL: number;
}

const way = (
  look: LaidLook,
  lossPct: number,
  [low, high]: readonly [number, number],
  setUp: readonly [number, number],
  cleanL: number,
  spray?: { readonly reach: LayingWay['reach']; readonly db: number | null; readonly needsPower: boolean },
): LayingWay => ({
  look,
  sprays: spray !== undefined,
  needsPower: spray?.needsPower ?? false,
  lossPct,
  m2PerH: { low, high },
  setUpH: { low: setUp[0], high: setUp[1] },
  reach: spray?.reach ?? null,
  db: spray?.db ?? null,
  cleanL,
});

const NEAR = { us: measure(7, 'ft'), uk: measure(2, 'm') };
const FAR = { us: measure(20, 'ft'), uk: measure(6, 'm') };
export const LAYING: Readonly<Record<LayingId, LayingWay>> = {
  brush: way('brushMarks', 10, [9, 18], [0, 0], 1),
  roller: way('stipple', 10, [18, 36], [0.1, 0.25], 4),
  pad: way('brushMarks', 10, [14, 28], [0.1, 0.2], 2),
  wipe: way('thinRubbed', 10, [9, 18], [0, 0], 0),
  can: way('level', 50, [6, 12], [0, 0], 0, { reach: NEAR, db: null, needsPower: false }),
  lowPressure: way('level', 30, [15, 30], [0.5, 1], 2, { reach: NEAR, db: null, needsPower: true }),
  airless: way('level', 30, [36, 80], [0.75, 1.5], 8, { reach: FAR, db: 88, needsPower: true }),
};

/** What is laid in one go of one product. */
export interface Lay {
  readonly product: PrimerId | TopcoatId;
  readonly areaM2: number;
  readonly coats: number;
}

/** Laying it, with the tool made ready and cleaned, h of one person. */
export function layH({ areaM2, coats }: Lay, id: LayingId): Range {
  const { m2PerH, setUpH } = LAYING[id];
  const m2 = areaM2 * coats;
  return m2 > 0 ? { low: m2 / m2PerH.high + setUpH.low, high: m2 / m2PerH.low + setUpH.high } : { low: 0, high: 0 };
}

/** Closing the place for a mist, or covering what it reaches, by what is sprayed, h/m2. Common practice, no published source. */
const CLOSE_H_M2: Range = { low: 0.05, high: 0.15 };
/** @param areaM2 the largest that is sprayed before it is opened again */
export const closeForMistH = (areaM2: number): Range => ({
  low: CLOSE_H_M2.low * Math.max(areaM2, 1),
  high: CLOSE_H_M2.high * Math.max(areaM2, 1),
});

/** Wind in which no mist is let go outdoors, 10 mph. Common practice, no published source. */
export const MIST_WIND = measure(10, 'mph');
/** A can of 400 mL holds so much paint, L, and is worth it up to so many m2. Common practice, no published source. */
const CAN_L = 0.2;
const CAN_TO_M2 = 1.5;
/** Wet film of one pass of a can that does not run, um; two passes at the least, crossing. From memory of makers' sheets. */
const CAN_PASS_UM = 25;
const CAN_PASSES = 2;
/** From the face, square to it; heat paint from farther, for it is thinner. Common practice, no published source. */
const CAN_FROM = {
  us: { near: measure(4, 'inDeep'), far: measure(10, 'inDeep'), hot: measure(6, 'inDeep') },
  uk: { near: measure(100, 'mm'), far: measure(250, 'mm'), hot: measure(150, 'mm') },
} as const;
const FOR_HEAT: readonly (PrimerId | TopcoatId)[] = ['heatEnamel', 'heatResistant'];

/** On a narrow piece half as much again goes past it, m. Common practice, no published source. */
const NARROW_M = 0.15;
const PAST_NARROW = 1.5;

/** What is sold in cans. Common practice. */
const IN_CANS: readonly (PrimerId | TopcoatId)[] = [
  'etch',
  'zincPhosphate',
  'heatResistant',
  'metalEnamel',
  'heatEnamel',
  'stainBlock',
  'alkydGloss',
  'clearVarnish',
];
/** What is rubbed on thin and off again. Common practice. */
const WIPED: readonly (PrimerId | TopcoatId)[] = ['clearVarnish', 'sandingSealer', 'woodStain', 'penetratingOil', 'pasteWax'];
/** Turned, barred or thin: nothing flat for a roller or a pad. */
const NO_FLAT: readonly ElementId[] = [
  'doubleHungSash',
  'casementSash',
  'railing',
  'ironRailing',
  'newelPost',
  'pipe',
  'heater',
  'casing',
  'metalCasement',
  'windowFrame',
  'handrail',
  'chair',
  'cot',
  'gasPipe',
  'downpipe',
  'corbel',
  'panelRadiator',
];
/** Large and flat. */
const ROLLED: readonly ElementId[] = ['wall', 'ceiling'];

export interface LayingOption {
  readonly way: LayingId;
  /** Nothing refuses it. */
  readonly fits: boolean;
  /** Of all its products, loss included. */
  readonly litres: number;
  /** Hands on, the place closed for a mist included. */
  readonly hours: Range;
  /** What speaks against it, blocking or with care; or that nothing does. */
  readonly because: readonly Reason[];
}

/** How the primers, or the topcoats, of a piece are laid. */
export interface LayingOf {
  readonly use: CoatUse;
  readonly products: readonly (PrimerId | TopcoatId)[];
  readonly selected: Answer<LayingId>;
  readonly options: readonly LayingOption[];
}

/** How far the mist of a way flies outdoors, m; 0: it makes none. */
export const reachM = (id: LayingId, rules: Rulebook['id']): number => {
  const reach = LAYING[id].reach?.[rules];
  return reach === undefined ? 0 : convert(reach.value, reach.unit, 'm');
};

export const NAPS = ['short', 'middle', 'long'] as const;
export type NapId = (typeof NAPS)[number];
/** Pile of a roller in the sizes in which each country sells it, and what a longer one keeps and flings beside the rest, %. From memory of makers' tables. */
export const NAP: Readonly<Record<NapId, { readonly pile: Readonly<Record<Rulebook['id'], Measure>>; readonly keepsPct: number }>> = {
  short: { pile: { us: measure(0.25, 'inDeep'), uk: measure(6, 'mm') }, keepsPct: 0 },
  middle: { pile: { us: measure(0.375, 'inDeep'), uk: measure(10, 'mm') }, keepsPct: 0 },
  long: { pile: { us: measure(0.75, 'inDeep'), uk: measure(20, 'mm') }, keepsPct: 5 },
};
type Ground = Pick<Surface, 'material' | 'layers'>;
/** The rougher the ground, the longer the pile: rough masonry and texture, plaster, what is smooth. */
export const napOf = (s: Ground): NapId =>
  MASONRY.includes(s.material) || liveLayers(s)[0]?.binder === 'textured' ? 'long' : PLASTER.includes(s.material) ? 'middle' : 'short';

/** What a wind in which a mist may still be let go carries off of it besides, %. Common practice, no published source. */
const WIND_LOSS_PCT = 10;
type LaidOn = Pick<Surface, 'lengthM' | 'widthM'> & Partial<Ground>;
/** What is lost of it on this piece, %. */
export const lossOf = (id: LayingId, s: LaidOn, outdoors: boolean): number => {
  const { lossPct, sprays } = LAYING[id];
  if (id === 'roller' && s.material !== undefined) return lossPct + NAP[napOf({ material: s.material, layers: s.layers ?? [] })].keepsPct;
  if (!sprays) return lossPct;
  return (Math.min(s.lengthM, s.widthM) < NARROW_M ? lossPct * PAST_NARROW : lossPct) + (outdoors ? WIND_LOSS_PCT : 0);
};

/** Litres that were reckoned for a brush, in another way. */
export const withLoss = (litres: number, id: LayingId, s: LaidOn, outdoors: boolean): number =>
  (litres * (1 - LAYING.brush.lossPct / 100)) / (1 - lossOf(id, s, outdoors) / 100);

/** Over what may hold asbestos and is soft, nothing is dragged and nothing hits it hard. */
const softSuspect = (s: Surface, ctx: SurfaceContext): boolean =>
  isPresent(ctx.asbestos.coat.value) && liveLayers(s).some((l) => l.binder === 'textured');

const DRAGS: readonly LayingId[] = ['roller', 'pad', 'wipe'];

interface On {
  readonly s: Surface;
  readonly ctx: SurfaceContext;
}
/** So many cans hold it, what flies past included. */
const cansFor = (litres: number, { s, ctx }: On): number => Math.ceil(withLoss(litres, 'can', s, ctx.place === 'outside') / CAN_L - 1e-9);

/** With the litres that a brush would take. */
type Laid = Lay & { readonly litres: number };

/** All that speaks against laying a product in a way here; a blocking reason refuses it. */
function against(id: LayingId, { product, areaM2, litres }: Laid, { s, ctx }: On): Reason[] {
  const out: Reason[] = [];
  const { needsPower, reach: reaches } = LAYING[id];
  const facts = { way: id, product };
  const base = baseOf(product);
  const block = (r: Reason) => out.push(r);
  if (base === 'mineral' && id !== 'brush') block(why('lay.mineral', 'trade-lay', facts, 'block'));
  if (id === 'can' && !IN_CANS.includes(product)) block(why('lay.noCan', 'trade-lay', facts, 'block'));
  if (id === 'wipe' && !WIPED.includes(product)) block(why('lay.noWipe', 'trade-lay', facts, 'block'));
  if ((id === 'roller' || id === 'pad') && NO_FLAT.includes(s.element)) block(why('lay.noFlat', 'trade-lay', facts, 'block'));
  if (softSuspect(s, ctx) && (DRAGS.includes(id) || id === 'airless'))
    block(why('lay.dragsSuspect', ctx.rulebook.sources.asbestosWork, facts, 'block', 'hazard'));
  if (needsPower && ctx.site.power === 'no') block(why('lay.noPower', 'job-record', facts, 'block'));
  if (id === 'roller') {
    const nap = NAP[napOf(s)];
    out.push(why('lay.nap', 'mem-nap', { pile: nap.pile[ctx.rulebook.id], nap: `nap.${napOf(s)}` }));
  }
  if (reaches === null) return out;
  const reach = reaches[ctx.rulebook.id];
  if (ctx.place === 'outside') {
    const { boundaryM } = ctx.space;
    if (boundaryM === null) block(why('lay.boundaryUnknown', 'trade-lay', { ...facts, reach }, 'block', 'hazard'));
    else if (boundaryM < convert(reach.value, reach.unit, 'm'))
      block(why('lay.boundary', 'trade-lay', { ...facts, boundary: [measure(boundaryM, 'm'), reach] }, 'block', 'hazard'));
    else out.push(why('lay.mistOutside', 'trade-lay', { ...facts, reach, limit: MIST_WIND }, 'care'));
  } else if (ctx.place === 'bench') out.push(why('lay.mistBench', 'trade-lay', facts, 'care'));
  else if (evaporates(ctx.settings, product as CoatId) && (id !== 'can' || areaM2 > CAN_TO_M2))
    block(why('lay.solventMist', 'trade-lay', facts, 'block', 'hazard'));
  else out.push(why('lay.mistInside', 'trade-lay', facts, 'care'));
  if (id === 'airless') out.push(why('lay.injection', 'trade-lay', {}, 'care'));
  if (needsPower && ctx.space.accessM > HIGH_M) out.push(why('lay.fromLadder', 'trade-lay', facts, 'care'));
  if (id === 'can' && IN_CANS.includes(product)) {
    const from = CAN_FROM[ctx.rulebook.id];
    const { dryFilmUm, volumeSolidsPct } = coatingOf(ctx.settings, product as CoatId);
    const wet = wetFilmUm(dryFilmUm, volumeSolidsPct);
    const passes = Math.max(CAN_PASSES, Math.ceil(wet / CAN_PASS_UM - 1e-9));
    out.push(
      why('lay.canPasses', 'mem-can', {
        product,
        cans: Math.max(1, cansFor(litres, { s, ctx })),
        passes,
        wet: measure(wet, 'um'),
        near: FOR_HEAT.includes(product) ? from.hot : from.near,
        far: from.far,
      }),
    );
  }
  if (id === 'can' && areaM2 > CAN_TO_M2) {
    const cans = cansFor(litres, { s, ctx });
    out.push(why('lay.manyCans', 'trade-lay', { ...facts, area: measure(areaM2, 'm2'), cans }, 'care'));
  }
  if (reaches !== null && lossOf(id, s, false) > LAYING[id].lossPct)
    out.push(why('lay.narrow', 'trade-lay', { ...facts, loss: measure(lossOf(id, s, false), '%') }));
  if (reaches !== null && ctx.place === 'outside')
    out.push(why('lay.windLoss', 'trade-lay', { ...facts, loss: measure(lossOf(id, s, true), '%') }));
  return out;
}

/** The same for every piece: one object of it, not one a piece. */
const FITS = new Map(LAYINGS.map((id) => [id, [why('lay.fits', 'trade-lay', { way: id })]] as const));

/** What a tradesman takes here when nobody says otherwise. */
function usual(lays: readonly Laid[], on: On): Answer<LayingId> {
  const { s, ctx } = on;
  const flat = ROLLED.includes(s.element) && (PLASTER.includes(s.material) || MASONRY.includes(s.material) || TIMBER.includes(s.material));
  if (softSuspect(s, ctx)) return answer('brush', why('lay.usualSoft', 'trade-lay', { way: 'brush' }));
  return flat && lays.every((l) => against('roller', l, on).every((r) => r.effect !== 'block'))
    ? answer('roller', why('lay.usualRoller', 'trade-lay', { way: 'roller' }))
    : answer('brush', why('lay.usual', 'trade-lay', { way: 'brush' }));
}

/** The way in which the products of one use are laid on a piece: somebody's choice, refused with its reason where it does not fit. */
export function layingOf(use: CoatUse, lays: readonly Laid[], on: On): LayingOf {
  const { s } = on;
  const products = lays.map((l) => l.product);
  const areaM2 = Math.max(...lays.map((l) => l.areaM2));
  const optionOf = (id: LayingId): LayingOption => {
    const because = lays.flatMap((l) => against(id, l, on));
    const once = [...new Map(because.map((r) => [r.rule, r])).values()];
    const hours = lays.map((l) => layH(l, id)).concat(LAYING[id].sprays ? [closeForMistH(areaM2)] : []);
    const sum = (end: keyof Range) => hours.reduce((h, r) => h + r[end], 0);
    const litres = lays.reduce((l, x) => l + withLoss(x.litres, id, s, on.ctx.place === 'outside'), 0);
    return {
      way: id,
      litres,
      hours: { low: sum('low'), high: sum('high') },
      fits: once.every((r) => r.effect !== 'block'),
      because: once.every((r) => r.rule === 'lay.nap') ? [...FITS.get(id)!, ...once] : once,
    };
  };
  const asked = s.layings[use];
  const selected: Answer<LayingId> =
    asked === undefined ? usual(lays, on) : answer(asked, why('lay.byPerson', 'job-record', { way: asked }));
  const own = optionOf(selected.value);
  let all: readonly LayingOption[] | undefined;
  return {
    use,
    products,
    /** Reckoned when somebody looks: a plan hangs on the one that was taken. */
    get options() {
      return (all ??= LAYINGS.map((id) => (id === own.way ? own : optionOf(id))));
    },
    selected: { value: selected.value, because: [...selected.because, ...own.because.filter((r) => r.rule !== 'lay.fits')] },
  };
}
