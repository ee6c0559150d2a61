/**
 * Whether a coat fits what it lies on: the material, the film that stays, its place, the age of plaster, service heat.
 * What does not fit is refused with its reason; where nothing certain is known, a question stands. Common practice where no source is named.
 */
import { soakedIn } from '../trial/triage';
import { FERROUS } from '../catalogue/method';
import { CLEAR_FILMS } from '../choose';
import {
  MASONRY,
  METAL,
  PLASTER,
  PLASTIC,
  SOAKING_TOPCOATS,
  TIMBER,
  type Binder,
  type ElementId,
  type Material,
  type Surface,
  type TopcoatId,
} from '../facts';
import type { SurfaceContext } from '../views';
import { lastFaceC, readsWet } from '../probe';
import { fromTable, type FactsOf, type Reason, type RuleId, type SourceId } from '../reasons';
import { measure } from '../units/units';
import { ownOf } from '../shelf/firm-sheets';
import { isHeater } from '../walk';
import { TOPCOATS_DATA } from '../catalogue/coatings';

/** Hard, closed films on which waterborne paint takes no hold by itself. */
const CLOSED_FILMS: readonly Binder[] = ['oil', 'alkyd', 'shellac', 'lacquer', 'polyurethane', 'epoxy', 'factory'];
/** What is made for dry rooms. */
const INSIDE_ONLY: readonly TopcoatId[] = ['matEmulsion', 'waterborneEggshell', 'pasteWax'];
/** Lime binds to lime and to the pores of stone and brick, to nothing else. */
const TAKES_LIME: readonly Material[] = ['limePlaster', 'brick', 'stone'];
/** Films that close a wall to vapour. */
const TIGHT: readonly TopcoatId[] = [
  'alkydGloss',
  'waterborneGloss',
  'metalEnamel',
  'clearVarnish',
  'antifoulingCoat',
  'heatEnamel',
  'floorPaint',
];
/** What stays on a hot heater without yellowing through or softening. */
const BEARS_HEAT: readonly TopcoatId[] = ['metalEnamel', 'alkydGloss', 'waterborneGloss', 'heatEnamel'];
/** Up to here a house enamel and its primer bear it, C: hot water. reference.md, primers, from memory of maker practice. */
const HOT_WATER_C = 90;
/** Up to here a generic heat-resistant enamel does; a stove asks for its maker’s own. From memory. */
const STOVE_C = 200;
export const isHot = (s: Pick<Surface, 'serviceC'>): boolean => (s.serviceC ?? 0) > HOT_WATER_C;
/** Waterglass binds to lime, cement, brick and stone, and to nothing that has a film. */
const TAKES_SILICATE: readonly Material[] = ['limePlaster', ...MASONRY];
/** Feet go over it. */
const WALKED_ON: readonly ElementId[] = ['floorBoards', 'stairFlight'];
const BEARS_FEET: readonly TopcoatId[] = ['floorPaint', 'clearVarnish', 'penetratingOil', 'pasteWax'];
/** Hands polish and soil it. */
const HANDLED: readonly ElementId[] = ['handrail', 'chair', 'furniture'];
const MARKS_EASILY: readonly TopcoatId[] = ['matEmulsion', 'limewash', 'silicatePaint', 'exteriorAcrylic'];
/** What a topcoat is made for; elsewhere it is asked about. */
const MADE_FOR: Readonly<Record<TopcoatId, readonly Material[]>> = {
  waterborneEggshell: [...TIMBER, ...PLASTER, ...MASONRY, ...METAL, ...PLASTIC],
  waterborneGloss: [...TIMBER, ...PLASTER, ...MASONRY, ...METAL, ...PLASTIC],
  alkydGloss: [...TIMBER, ...PLASTER, ...METAL],
  exteriorAcrylic: [...TIMBER, ...PLASTER, ...MASONRY, ...METAL],
  matEmulsion: [...PLASTER, ...MASONRY, ...TIMBER],
  limewash: TAKES_LIME,
  clearVarnish: [...TIMBER, 'brass'],
  metalEnamel: METAL,
  antifoulingCoat: [...TIMBER, 'fibreglass', 'mildSteel'],
  silicatePaint: TAKES_SILICATE,
  heatEnamel: METAL,
  floorPaint: [...TIMBER, 'concrete'],
  woodStain: TIMBER,
  penetratingOil: TIMBER,
  pasteWax: TIMBER,
};

/** Coldest and hottest face on which a generic coat dries as it should, C. From memory of maker practice: the data sheet rules. */
const COAT_FROM_C = 10;
const COAT_TO_C = 30;
/** Below this no film forms; above this it dries before it has flowed. */
const COAT_NEVER_BELOW_C = 5;
const COAT_NEVER_ABOVE_C = 40;

export interface Ground {
  readonly s: Surface;
  readonly ctx: SurfaceContext;
  /** The films that the coat touches once the work is done, top ones only. */
  readonly films: readonly Binder[];
  /** Some of it lies bare. */
  readonly bare: boolean;
  /** The piece is a new one. */
  readonly renewed: boolean;
}

const refuse = <const R extends RuleId>(rule: R, source: SourceId, ...[facts]: FactsOf<R>): Reason =>
  fromTable(rule, source, facts, 'block');
const ask = <const R extends RuleId>(rule: R, source: SourceId, ...[facts]: FactsOf<R>): Reason => fromTable(rule, source, facts, 'care');

/**
 * What is on the wall for good, and comes through what is laid over it; null: nothing. Of metal and plastic it is washed off. What nobody
 * named counts as water.
 */
export const stainOf = (s: Pick<Surface, 'material' | 'conditions' | 'stainM2'>): 'water' | 'smoke' | 'unsaid' | null =>
  METAL.includes(s.material) || PLASTIC.includes(s.material)
    ? null
    : s.conditions.includes('waterStain')
      ? 'water'
      : s.conditions.includes('smokeStain')
        ? 'smoke'
        : (s.stainM2 ?? 0) > 0
          ? 'unsaid'
          : null;

/** What seals a mold stain once it is clean and dry: three schools. */
export const MOLD_SEALS = {
  stainBlock: { product: 'stainBlock', rule: 'prime.moldStain', effect: 'note' },
  undercoat: { product: 'alkydWood', rule: 'prime.moldUndercoat', effect: 'note' },
  pva: { product: 'thinnedPva', rule: 'prime.moldPva', effect: 'care' },
} as const;

/** All that speaks against a topcoat here; a blocking reason refuses it. Empty: it fits. */
export function againstTopcoat(topcoat: TopcoatId, { s, ctx, films, bare, renewed }: Ground): Reason[] {
  const out: Reason[] = [];
  const data = TOPCOATS_DATA[topcoat];
  const facts = { topcoat, material: s.material };
  const mineral = PLASTER.includes(s.material) || MASONRY.includes(s.material);
  const opaque = films.filter((b) => !CLEAR_FILMS.includes(b));
  if (data.clear && opaque.length > 0) out.push(refuse('coat.clearOverFilm', 'trade-prime', facts));
  if (ctx.place === 'outside' && INSIDE_ONLY.includes(topcoat)) out.push(refuse('coat.insideOnly', 'trade-prime', facts));
  if (topcoat === 'limewash') {
    if (!TAKES_LIME.includes(s.material)) out.push(refuse('coat.limewashGround', 'trade-prime', facts));
    const over = films.find((b) => b !== 'limewash');
    if (over) out.push(refuse('coat.limewashOverFilm', 'trade-prime', { ...facts, binder: over }));
  } else if (topcoat === 'silicatePaint') {
    if (!TAKES_SILICATE.includes(s.material)) out.push(refuse('coat.silicateGround', 'trade-prime', facts));
    const over = films.find((b) => b !== 'limewash');
    if (over) out.push(refuse('coat.silicateOverFilm', 'trade-prime', { ...facts, binder: over }));
    else if (films.includes('limewash')) out.push(ask('coat.silicateOverLimewash', 'trade-prime', facts));
  } else if (films.includes('limewash')) out.push(refuse('coat.overLimewash', 'trade-prime', facts));
  const soaks = SOAKING_TOPCOATS.includes(topcoat);
  if (topcoat !== 'clearVarnish' && data.clear && !TIMBER.includes(s.material))
    out.push(refuse('coat.soaksOnlyWood', 'trade-prime', facts));
  else if (soaks && opaque.length === 0 && films.length > 0)
    out.push(refuse('coat.soaksNot', 'trade-prime', { ...facts, binder: films[0]! }));
  if (soaks && TIMBER.includes(s.material)) out.push(ask('coat.sampleFirst', 'trade-prime', facts));
  if (films.includes('distemper')) out.push(refuse('coat.overDistemper', 'trade-wash', facts));
  // Below the water only antifouling grows no weed, above it or on a house it has no place; and nothing else holds on what leaches.
  if (topcoat === 'antifoulingCoat' && s.element !== 'hull') out.push(refuse('coat.antifoulingElsewhere', 'mem-antifoul', facts));
  if (topcoat !== 'antifoulingCoat' && films.includes('antifouling')) out.push(refuse('coat.overAntifouling', 'mem-antifoul', facts));
  if (topcoat === 'antifoulingCoat' && s.element === 'hull') out.push(ask('coat.antifoulingLaw', 'mem-antifoul', facts));
  if (data.clear && PLASTIC.includes(s.material)) out.push(refuse('coat.clearOnPlastic', 'trade-prime', facts));
  if (PLASTIC.includes(s.material) || films.includes('factory')) out.push(ask('coat.patchFirst', 'trade-trial', facts));
  if (films.includes('bitumen')) out.push(ask('coat.overBitumen', 'trade-prime', facts));
  if (films.includes('unknown')) out.push(ask('coat.overUnknown', 'trade-prime', facts));
  if (s.material === 'galvanised' && bare && data.base === 'solvent') out.push(refuse('coat.alkydOnZinc', 'trade-prime', facts));
  if (isHeater(s.element) && !BEARS_HEAT.includes(topcoat)) out.push(refuse('coat.heater', 'trade-prime', facts));
  if (s.serviceC !== null && isHot(s)) {
    const service = measure(s.serviceC, 'C');
    if (s.serviceC > STOVE_C) out.push(refuse('coat.hotterThanAny', 'mem-film', { ...facts, service: [service, measure(STOVE_C, 'C')] }));
    else if (topcoat !== 'heatEnamel')
      out.push(refuse('coat.tooHot', 'mem-film', { ...facts, service: [service, measure(HOT_WATER_C, 'C')] }));
    else if (films.length > 0) out.push(refuse('coat.hotOverFilm', 'mem-film', { ...facts, service, binder: films[0]! }));
  } else if (isHeater(s.element) && s.serviceC === null)
    out.push(ask('coat.serviceUnknown', 'mem-film', { ...facts, water: measure(HOT_WATER_C, 'C') }));
  if (WALKED_ON.includes(s.element) && !BEARS_FEET.includes(topcoat)) out.push(ask('coat.walkedOn', 'trade-prime', facts));
  if (topcoat === 'floorPaint' && !WALKED_ON.includes(s.element)) out.push(ask('coat.floorElsewhere', 'trade-prime', facts));
  if (HANDLED.includes(s.element) && MARKS_EASILY.includes(topcoat)) out.push(ask('coat.handled', 'trade-prime', facts));
  if (s.material === 'limePlaster' && TIGHT.includes(topcoat)) out.push(refuse('coat.tightOnLime', 'trade-prime', facts));
  else if (mineral && (s.conditions.includes('wet') || readsWet(s)) && data.base !== 'mineral')
    out.push(refuse('coat.filmOverDamp', 'trade-prime', facts));
  // Water brings salt to the face, dries there, and lifts whatever closes it.
  if (mineral && s.conditions.includes('salty') && data.base !== 'mineral')
    out.push(TIGHT.includes(topcoat) ? refuse('coat.tightOverSalts', 'trade-prime', facts) : ask('coat.overSalts', 'trade-prime', facts));
  if (stainOf(s) !== null && !renewed && (data.clear || data.base === 'mineral'))
    out.push(ask(data.clear ? 'coat.stainUnderClear' : 'coat.stainUnderMineral', 'trade-prime', facts));
  // Looked at piece by piece, the soaked ones are replaced and the others coated.
  const soaked = renewed ? 'none' : soakedIn(s);
  if (soaked === 'pieces') out.push(ask('coat.oilSoakedPieces', 'trade-board', facts));
  if (soaked === 'whole') out.push(refuse('coat.oilSoaked', 'trade-aim', facts));
  if (!MADE_FOR[topcoat].includes(s.material) && topcoat !== 'limewash') out.push(ask('coat.unusual', 'trade-prime', facts));
  const made = s.yearMade ?? ctx.builtYear;
  if (mineral && bare && made !== null && made >= ctx.site.thisYear - 1) out.push(ask('coat.freshMineral', 'trade-prime', facts));
  out.push(...againstWeather(s, ownOf(ctx.settings, topcoat)?.leastFaceC ?? null));
  return out;
}

/** The face as it was last read: too cold or too hot to coat today. */
function againstWeather(s: Surface, ownLeastC: number | null): Reason[] {
  const fromC = ownLeastC ?? COAT_FROM_C;
  const face = s.readings.length === 0 ? null : lastFaceC(s);
  if (face === null || (face >= fromC && face <= COAT_TO_C)) return [];
  const facts = { face: measure(face, 'C'), low: measure(fromC, 'C'), high: measure(COAT_TO_C, 'C') };
  if (face < Math.min(COAT_NEVER_BELOW_C, fromC) || face > COAT_NEVER_ABOVE_C) return [refuse('coat.faceNever', 'mem-film', facts)];
  return [ask('coat.faceNotToday', 'mem-film', facts)];
}

/** A hard old film takes waterborne paint only over a primer that holds on it. */
export const needsBond = (films: readonly Binder[], topcoat: TopcoatId): boolean =>
  TOPCOATS_DATA[topcoat].base === 'water' && films.some((b) => CLOSED_FILMS.includes(b));

/** What is usual here, of what fits. Null: it is usually left as it is. */
export function usualTopcoat(s: Surface, ctx: SurfaceContext, films: readonly Binder[], clear: boolean): TopcoatId | null {
  const outside = ctx.place === 'outside';
  const uncoated = films.length === 0 && s.coatsCounted && s.layers.every((l) => l.removedAt !== null);
  // What was never painted is painted when somebody says so.
  if (uncoated) return null;
  if (s.element === 'hull') return 'antifoulingCoat';
  if (clear && (TIMBER.includes(s.material) || s.material === 'brass')) return 'clearVarnish';
  if (isHot(s) && METAL.includes(s.material)) return 'heatEnamel';
  if (isHeater(s.element) || FERROUS.includes(s.material)) return 'metalEnamel';
  if (METAL.includes(s.material)) return outside ? 'exteriorAcrylic' : 'waterborneGloss';
  if (TAKES_LIME.includes(s.material) && films.every((b) => b === 'limewash') && (outside || films.length > 0)) return 'limewash';
  if (outside) return 'exteriorAcrylic';
  return TIMBER.includes(s.material) || PLASTIC.includes(s.material) ? 'waterborneEggshell' : 'matEmulsion';
}
