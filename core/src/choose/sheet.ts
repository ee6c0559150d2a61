/** The fact sheet on which the rules are asked: one part of one surface under one method. Small closed values, so that equal sheets share a verdict. */
import {
  BINDERS,
  METAL,
  PLASTIC,
  TIMBER,
  type Aim,
  type Binder,
  type Chemistry,
  type Material,
  type Part,
  type PartKind,
  type Service,
  type Surface,
  type YesNo,
} from '../facts';
import { isHistoric, type SiteView, type SurfaceContext } from '../views';
import {
  holdsSilica,
  isAsbestosPiece,
  isOnGoods,
  isDamp,
  readsWet,
  isPresent,
  lastFaceC,
  strictest,
  leadDepths,
  meetsMaterial,
  type HazardState,
  type LeadDepths,
  type LeadPicture,
  poisonsTo,
  type CoatPoison,
} from '../probe';
import { bookOf, ownsShroud, type Entitled, type FirmSettings } from '../rulebook';
import { chemistryOf } from '../shelf/firm-sheets';
import { convert, measure } from '../units/units';
import { ELEMENTS, failsByDegree, goodsOf, isWindow } from '../walk';
import { soakedIn } from '../trial/triage';
import { sealsOver } from './on-asbestos';
import { endsClear, trialOn, type TrialBook } from '../trial';
import { RUST_FACE } from './depth';
import { FERROUS } from '../catalogue/method';
import { biteDepth, METHODS, type Bite, type Method, type Takes } from '../catalogue';

/** What a surface brings to the rules, whatever the method and part. */
export interface SurfaceSheet {
  readonly material: Material;
  readonly place: SurfaceContext['place'];
  readonly aim: Aim;
  readonly required: Bite;
  readonly asbestos: HazardState;
  readonly asbestosBelow: HazardState;
  readonly asbestosPutty: HazardState;
  readonly asbestosBeside: HazardState;
  readonly asbestosTrace: boolean;
  /** Under UK rules: what is suspected there is work for a licensed contractor. */
  readonly asbestosLicensed: boolean;
  /** The firm has trained people, the material needs no licence, and no more of it is worked than they may. */
  readonly asbestosByTrained: boolean;
  /** The same for sealing it, which takes nothing off: whatever the area. */
  readonly asbestosSealed: boolean;
  /** Old putty is presumed to hold lead as old paint is: no test of it is on record. */
  readonly leadPutty: boolean;
  readonly depths: LeadDepths;
  /** Lead that a thing given back to a child or a household may not hold, whatever the rule for houses says. */
  readonly leadOnGoods: boolean;
  readonly casein: boolean;
  /** By depth, the binders there that matter to some method; in one order, so that like surfaces have like sheets. */
  readonly binders: Readonly<Record<Exclude<Bite, 'none'>, readonly Binder[]>>;
  /** Poisons other than lead in the coats that a stroke of each depth reaches, the worst first. */
  readonly poisons: Readonly<Record<'skin' | 'loose' | 'bare', readonly CoatPoison[]>>;
  /** What there is to take off. */
  readonly holds: readonly Takes[];
  readonly moldy: boolean;
  readonly silica: boolean;
  /** The last reading of the face or the air, C; null: none. */
  readonly faceC: number | null;
  /** What trial squares here, or carried here, say of each method. */
  readonly trials: TrialBook;
  readonly failing: boolean;
  readonly declined: boolean;
  readonly anySound: boolean;
  readonly oilSoaked: boolean;
  readonly damp: boolean;
  readonly wet: boolean;
  /** Lapped boards with a cavity behind them. */
  readonly thinBoards: boolean;
  readonly scrapped: boolean;
  readonly runs: boolean;
  /** Iron or steel of which the face is rust; spots are worked one by one. */
  readonly rusty: boolean;
  /** So thick that another coat may pull it off. */
  readonly thickFilm: boolean;
  /** Rubs in use or can be chewed. */
  readonly rubs: boolean;
  readonly childOrPregnancy: SiteView['childOrPregnancy'];
  readonly isSash: boolean;
  /** Loose goods that are given back: a cot and a toy, or furniture. */
  readonly goods: 'no' | 'furniture' | 'childs';
  /** A plain face that a board can cover. */
  readonly isFace: boolean;
  readonly minorWork: boolean | null;
  readonly dwelling: boolean;
  readonly ownHomeWithChild: boolean;
  /** Public money is in the work. */
  readonly assisted: boolean;
  /** Work for pay: the rule for renovators binds it. */
  readonly paid: boolean;
  readonly entitled: Entitled;
  readonly clearTopcoat: boolean;
  readonly glazed: boolean;
  readonly power: YesNo;
  readonly water: YesNo;
  readonly listed: YesNo;
  /** Old enough to count as historic, or of an age that nobody knows. */
  readonly historic: boolean;
  readonly asthma: YesNo;
  readonly others: YesNo;
  readonly services: readonly Service[];
  readonly accessM: number;
  readonly rulebook: 'us' | 'uk';
  readonly edition: string;
}

/** Above this the work is done from a ladder or a scaffold, m. */
export const HIGH_M = 2;

/** What a part brings: its kind, and how the person means to work it. */
export interface PartSheet {
  readonly kind: PartKind;
  readonly grits: readonly number[];
  /** C; null: not recorded. */
  readonly toolC: number | null;
}

export const partSheet = ({ kind, grits, toolC }: Part): PartSheet => ({ kind, grits, toolC });

/** From one abrasive to the next no more than double, and never back to a coarser one. Common practice, no published source. */
const GRIT_STEP = 2;
/** The coarsest for paint, for a pad on a curve, and the finest under a stain that still takes it. Common practice, no published source. */
const SCUFF_FROM = 220;
const PAD_FROM = 180;
const STAIN_UP_TO = 100;
/** A heat gun's element stands at 500 to 750 F (NPS Preservation Brief 10): above that old wood scorches before the paint lifts. */
export const SCORCHES_ABOVE = measure(750, 'F');
/** A build-up of about a sixteenth of an inch: class III of NPS Preservation Brief 10. */
export const THICK_FILM = measure((convert(1, 'in', 'm') * 1e6) / 16, 'um');

/** Each key is a question that a rule may ask. */
export interface Sheet {
  readonly leadInReach: HazardState;
  readonly leadAnywhere: HazardState;
  /** In the coats that the stroke goes through, lead below the limit and none above it. */
  readonly leadLow: boolean;
  readonly leadOnGoods: boolean;
  readonly asbestos: HazardState;
  readonly asbestosBelow: HazardState;
  readonly asbestosPutty: HazardState;
  /** Lagging or board that may hold it stands in the room. */
  readonly asbestosBeside: HazardState;
  /** Anywhere on the piece: what is taken out goes with all of it. */
  readonly asbestosPiece: HazardState;
  readonly asbestosTrace: boolean;
  readonly asbestosLicensed: boolean;
  /** Of a coat that may hold asbestos: by trained people of the firm, wet and by hand, or by nobody of it. */
  readonly asbestosWork: 'trained' | 'refer';
  readonly leadPutty: boolean;
  /** The stroke goes through to what lies under the paint, or starts on it. */
  readonly meetsMaterial: boolean;
  readonly material: Material;
  readonly part: PartKind;
  readonly place: string;
  readonly aim: Aim;
  readonly bite: Bite;
  readonly required: Bite;
  readonly methodSuits: boolean;
  readonly partReached: boolean;
  readonly deepEnough: boolean;
  readonly takesSound: boolean;
  readonly failing: boolean;
  readonly declined: boolean;
  readonly oilSoaked: boolean;
  readonly damp: boolean;
  readonly wet: boolean;
  readonly thinBoards: boolean;
  readonly scrapped: boolean;
  readonly runs: boolean;
  readonly thickFilm: boolean;
  /** Of the abrasives that are planned: a step too far, too coarse for paint, for a pad, too fine for stain. */
  readonly gritJump: boolean;
  readonly gritCoarse: boolean;
  readonly gritDigs: boolean;
  readonly gritCloses: boolean;
  /** The tool is set above what may be used on lead; hotter than old wood bears. */
  readonly toolOver: boolean;
  readonly toolScorches: boolean;
  /** What the firm says is in the product that it buys for this method. */
  readonly chemistry: Chemistry;
  readonly paid: boolean;
  readonly rubs: boolean;
  readonly childOrPregnancy: string;
  readonly casein: boolean;
  readonly window: boolean;
  readonly minorWork: string;
  readonly entitled: Entitled;
  readonly hotAirAllowed: boolean;
  readonly causticAllowed: boolean;
  readonly ownsHepa: boolean;
  readonly dwelling: boolean;
  readonly ownHomeWithChild: boolean;
  readonly goods: SurfaceSheet['goods'];
  /** Of the coats in reach, the worst of what poisons beside lead; "none": there is none. */
  readonly poison: CoatPoison | 'none';
  /** There is old antifouling on it, at whatever depth: a tool that slips is in it. */
  readonly antifouling: boolean;
  readonly clear: boolean;
  readonly glazed: boolean;
  readonly silica: boolean;
  /** Nothing that the method takes off is there. */
  readonly nothingToTake: boolean;
  /** A coat in reach on which it does little or nothing; "none": there is none. */
  readonly failsOnCoat: Binder | 'none';
  readonly binderUnknown: boolean;
  readonly moldy: boolean;
  readonly tooCold: boolean;
  readonly frozen: boolean;
  readonly tooHot: boolean;
  /** It is known to be hard on this very material. */
  readonly harmsMaterial: boolean;
  readonly alone: boolean;
  /** Rather hard on the old material for what is wanted. */
  readonly harsh: boolean;
  readonly trial: 'done' | 'carried' | 'failed' | 'harmed' | 'none';
  readonly owned: boolean;
  readonly infraredAllowed: boolean;
  readonly dryAllowed: boolean;
  readonly softBlastAllowed: boolean;
  readonly stopOnLead: boolean;
  readonly moldSchool: string;
  readonly timber: boolean;
  readonly plainFace: boolean;
  readonly metalBelow: boolean;
  readonly power: YesNo;
  readonly water: YesNo;
  readonly listed: YesNo;
  readonly historic: boolean;
  readonly gasPipe: boolean;
  readonly wiring: boolean;
  readonly alarm: boolean;
  readonly liveHeater: boolean;
  readonly duct: boolean;
  readonly asthma: YesNo;
  readonly others: YesNo;
  readonly high: boolean;
  readonly rulebook: 'us' | 'uk';
  readonly edition: string;
}

/** How many coats, from the top, a bite goes through. */
export function coatsReached(bite: Bite, d: LeadDepths): number {
  return { none: 0, skin: Math.min(1, d.coats), loose: d.looseCoats, bare: d.coats }[bite];
}

function leadInReach(method: Method, d: LeadDepths): HazardState {
  // Taking a piece out reaches every coat on it, whatever is left behind.
  if (method.removesPiece) return d.all;
  return { none: 'notFound' as const, skin: d.skin, loose: d.loose, bare: d.all }[method.bite];
}

/** A stroke goes through lead below the limit: by its depth, as for lead itself. Law H6. */
export function lowInReach(method: Method, { low }: LeadDepths): boolean {
  if (method.removesPiece) return low.all;
  return { none: false, skin: low.skin, loose: low.loose, bare: low.all }[method.bite];
}

/** What there is to take off: unknown rust on iron and steel counts as there. */
function holdsOf(s: Surface, lead: LeadPicture): Takes[] {
  const out: Takes[] = ['dirt', 'putty'];
  const binders = lead.coats.map((c) => c.coat.binder);
  const is = (...b: Binder[]) => binders.some((x) => b.includes(x));
  // Smooth plastic is scuffed as a film is.
  if (lead.coats.length > 0 || PLASTIC.includes(s.material)) out.push('coat');
  if (is('textured')) out.push('texture');
  if (is('distemper', 'limewash')) out.push('distemper');
  if (is('casein')) out.push('casein');
  if (FERROUS.includes(s.material) && s.rustGrade !== 0) out.push('rust');
  if (s.conditions.includes('moldy') || (s.moldM2 ?? 0) > 0) out.push('mold');
  return out;
}

const isGlazed = (s: Surface): boolean => s.parts.some((p) => p.removedAt === null && p.kind === 'besideGlass');

/** Whatever is painted on it, what it is wrapped in or made of is work for a licence. */
const mayTrained = (s: Surface, { site, asbestos }: SurfaceContext): boolean =>
  site.asbestosTrained && !asbestos.licensed && !isAsbestosPiece(s.element);

/** What nobody decided to leave in the room, of coats that need no licence, by people who are trained: two small repairs side by side are one. 29 CFR 1926.1101(b), class III; CAR 2012, reg. 3 */
function byTrained(s: Surface, ctx: SurfaceContext): boolean {
  if (!mayTrained(s, ctx)) return false;
  const { space, rulebook } = ctx;
  const most = rulebook.trainedAsbestos;
  return most === null || space.suspectM2 <= convert(most.is.value, most.is.unit, 'm2') + 1e-9;
}
/** Machines, heat and caustic are another class of work, or nobody's. */
const isWetByHand = (m: Method): boolean =>
  m.wet && !m.powered && !m.caustic && !m.acid && !m.removesPiece && m.blast === 'no' && m.heatC === null;

export function surfaceSheet(s: Surface, ctx: SurfaceContext, lead: LeadPicture, required: Bite): SurfaceSheet {
  const element = ELEMENTS[s.element];
  const soundness = lead.coats.map((c) => c.coat.soundness);
  const has = (c: Surface['conditions'][number]) => s.conditions.includes(c);
  return {
    material: s.material,
    place: ctx.place,
    aim: s.aim,
    required,
    asbestos: ctx.asbestos.coat.value,
    asbestosBelow: ctx.asbestos.below.value,
    asbestosPutty: ctx.asbestos.putty.value,
    asbestosBeside: ctx.place === 'bench' ? 'notFound' : ctx.space.asbestosPiece,
    asbestosTrace: ctx.asbestos.trace,
    asbestosLicensed: ctx.asbestos.licensed,
    asbestosByTrained: byTrained(s, ctx),
    asbestosSealed: mayTrained(s, ctx),
    leadPutty: isGlazed(s) && s.past !== 'replaced' && (ctx.builtYear === null || ctx.builtYear < ctx.rulebook.leadPresumedBefore.is.value),
    depths: leadDepths(lead),
    leadOnGoods: isOnGoods(lead.standing, ctx.rulebook),
    casein: lead.coats.some((c) => c.coat.binder === 'casein'),
    binders: bindersByDepth(lead),
    poisons: poisonsByDepth(lead),
    holds: holdsOf(s, lead),
    moldy: has('moldy') || (s.moldM2 ?? 0) > 0,
    silica: holdsSilica(s),
    faceC: lastFaceC(s),
    trials: ctx.trials,
    declined: s.declinedOn !== null,
    failing: soundness.includes('failing') || has('blistered') || has('flaking') || has('powdery') || failsByDegree(s).length > 0,
    anySound: soundness.includes('sound'),
    oilSoaked: soakedIn(s) === 'whole',
    damp: isDamp(s),
    wet: has('wet') || readsWet(s),
    thinBoards: ctx.place !== 'bench' && (s.element === 'siding' || s.element === 'soffit') && TIMBER.includes(s.material),
    scrapped: s.scrapped,
    runs: has('runs'),
    rusty: FERROUS.includes(s.material) && (s.rustGrade ?? 0) >= RUST_FACE,
    thickFilm: s.filmUm !== null && s.filmUm >= THICK_FILM.value - 1,
    rubs: element.friction || element.chewable || has('rubbing') || has('chewable'),
    childOrPregnancy: ctx.site.childOrPregnancy,
    isSash: isWindow(s.element),
    goods: goodsOf(s.element) ?? 'no',
    isFace: element.shape === 'face' && s.element !== 'shutter' && s.element !== 'floorBoards',
    minorWork: ctx.space.minorWork,
    // What is carried to a workshop is no part of the house: the rule for renovators is not about it.
    dwelling: ctx.site.dwelling && goodsOf(s.element) === null,
    ownHomeWithChild: ctx.site.ownHomeWithChild,
    assisted: ctx.site.assisted,
    paid: ctx.site.paid,
    entitled: ctx.site.entitled,
    clearTopcoat: endsClear(s),
    glazed: isGlazed(s),
    power: ctx.site.power,
    water: ctx.site.water,
    listed: ctx.site.listed,
    historic: isHistoric(ctx),
    asthma: ctx.site.asthma,
    others: ctx.site.others,
    services: ctx.space.services,
    accessM: ctx.space.accessM,
    rulebook: ctx.rulebook.id,
    edition: ctx.rulebook.editionId,
  };
}

/** Binders on which some method fails, or of which nothing is known. */
const TELLING: readonly Binder[] = BINDERS.filter(
  (b) => b === 'unknown' || b === 'antifouling' || METHODS.some((m) => m.failsOn.includes(b)),
);

function bindersByDepth(lead: LeadPicture): SurfaceSheet['binders'] {
  const all = lead.coats.map((c) => c.coat.binder);
  const d = leadDepths(lead);
  const within = (bite: Bite) => {
    const there = all.slice(0, coatsReached(bite, d));
    return TELLING.filter((b) => there.includes(b));
  };
  return { skin: within('skin'), loose: within('loose'), bare: within('bare') };
}

/**
 * What poisons beside lead in the coats that these methods go through, the worst first.
 * @param cutting a repair cuts, rakes or takes out: that goes through all of them
 */
export function poisonsReached(methods: readonly Method[], lead: LeadPicture, cutting: boolean): CoatPoison[] {
  const d = leadDepths(lead);
  const bites = methods.map((m) => (m.removesPiece || cutting ? 'bare' : m.bite));
  const deepest = (['bare', 'loose', 'skin'] as const).find((b) => bites.includes(b)) ?? 'none';
  return poisonsTo(deepest, lead, d);
}

const NO_POISONS: SurfaceSheet['poisons'] = { skin: [], loose: [], bare: [] };
function poisonsByDepth(lead: LeadPicture): SurfaceSheet['poisons'] {
  if (lead.coats.every((c) => c.coat.poisons.length === 0)) return NO_POISONS;
  const d = leadDepths(lead);
  return { skin: poisonsTo('skin', lead, d), loose: poisonsTo('loose', lead, d), bare: poisonsTo('bare', lead, d) };
}

const inReach = (s: SurfaceSheet, method: Method): readonly Binder[] =>
  method.removesPiece ? s.binders.bare : method.bite === 'none' ? [] : s.binders[method.bite];

/** A coat in the method's reach on which it is known to do little. */
function failsOn(s: SurfaceSheet, method: Method): Binder | 'none' {
  if (method.failsOn.length === 0) return 'none';
  const reached = inReach(s, method);
  return method.failsOn.find((b) => reached.includes(b)) ?? 'none';
}

/** Each abrasive against the one before it. */
const jumps = (grits: readonly number[]): boolean => grits.some((g, i) => i > 0 && (g > grits[i - 1]! * GRIT_STEP || g < grits[i - 1]!));

export function sheetFor(s: SurfaceSheet, method: Method, { kind: part, grits, toolC }: PartSheet, settings: FirmSettings): Sheet {
  const last = grits.at(-1);
  const hottest = method.infrared ? bookOf(s).infraredBelow.is : bookOf(s).hotAirBelow.is;
  const refused = failsOn(s, method);
  return {
    // A square that came clean shows that it is there, whatever anybody took the coat for.
    nothingToTake: !method.takes.some((t) => s.holds.includes(t)) && method.id !== 'leave' && trialOn(s.trials[method.id], part) !== 'done',
    failsOnCoat: refused,
    binderUnknown: inReach(s, method).includes('unknown'),
    moldy: s.moldy,
    // Water that freezes where it lies cleans nothing and splits what it went into.
    frozen: s.faceC !== null && s.faceC <= 0,
    tooHot: method.hottestC !== null && s.faceC !== null && s.faceC > method.hottestC,
    harmsMaterial: method.harms.some((h) => h === s.material),
    alone: settings.crew === 1,
    tooCold: method.coldestC !== null && s.faceC !== null && s.faceC < method.coldestC,
    harsh: method.harm >= 2,
    trial: trialOn(s.trials[method.id], part),
    owned: settings.rates[method.id]?.owned ?? true,
    infraredAllowed: settings.allowInfraredOnLead,
    // The school stands outdoors, and not where 24 CFR 35.140 binds.
    dryAllowed: settings.allowDryScrapeOutdoors && s.place === 'outside' && !s.assisted,
    softBlastAllowed: settings.allowSoftBlastOnTimber,
    stopOnLead: settings.stopOnLead,
    moldSchool: settings.moldSchool,
    timber: TIMBER.includes(s.material),
    plainFace: s.isFace,
    metalBelow: METAL.includes(s.material),
    silica: s.silica,
    leadInReach: leadInReach(method, s.depths),
    leadAnywhere: s.depths.all,
    leadLow: leadInReach(method, s.depths) === 'notFound' && lowInReach(method, s.depths),
    leadOnGoods: s.leadOnGoods,
    asbestos: s.asbestos,
    asbestosBelow: s.asbestosBelow,
    asbestosPutty: s.asbestosPutty,
    asbestosBeside: s.asbestosBeside,
    asbestosPiece: strictest([s.asbestos, s.asbestosBelow, s.asbestosPutty]),
    asbestosTrace: s.asbestosTrace,
    asbestosLicensed: s.asbestosLicensed,
    asbestosWork: (sealsOver(method) ? s.asbestosSealed : s.asbestosByTrained && (isWetByHand(method) || method.removesPiece))
      ? 'trained'
      : 'refer',
    leadPutty: s.leadPutty,
    meetsMaterial: method.disturbs && !method.removesPiece && meetsMaterial(method.bite, s.depths),
    material: s.material,
    part,
    place: s.place,
    aim: s.aim,
    bite: method.bite,
    required: s.required,
    methodSuits: method.suits.includes(s.material),
    partReached: method.reach[part] !== undefined,
    deepEnough: biteDepth(method.bite) >= biteDepth(s.required),
    takesSound: method.bite === 'bare' && !method.removesPiece && s.required !== 'bare' && s.anySound,
    failing: s.failing,
    declined: s.declined,
    oilSoaked: s.oilSoaked,
    damp: s.damp,
    wet: s.wet,
    thinBoards: s.thinBoards,
    scrapped: s.scrapped,
    runs: s.runs,
    thickFilm: s.thickFilm,
    gritJump: jumps(grits),
    gritCoarse: last !== undefined && last < SCUFF_FROM,
    gritDigs: grits.some((g) => g < PAD_FROM),
    gritCloses: last !== undefined && last > STAIN_UP_TO,
    // The limit itself is over: the rule says below it.
    toolOver: toolC !== null && toolC >= convert(hottest.value, hottest.unit, 'C') - 1e-9,
    toolScorches: toolC !== null && toolC > convert(SCORCHES_ABOVE.value, 'F', 'C'),
    chemistry: chemistryOf(settings, method.id),
    paid: s.paid,
    rubs: s.rubs && isPresent(s.depths.all),
    childOrPregnancy: s.childOrPregnancy,
    casein: s.casein,
    window: s.isSash,
    minorWork: s.minorWork === null ? 'noClass' : s.minorWork ? 'within' : 'over',
    entitled: s.entitled,
    hotAirAllowed: settings.allowHotAirOnLead,
    causticAllowed: settings.allowCausticOnTimber,
    ownsHepa: ownsShroud(settings),
    dwelling: s.dwelling,
    ownHomeWithChild: s.ownHomeWithChild,
    goods: s.goods,
    poison: (method.removesPiece ? s.poisons.bare : method.bite === 'none' ? [] : s.poisons[method.bite])[0] ?? 'none',
    antifouling: s.binders.bare.includes('antifouling'),
    clear: s.clearTopcoat,
    glazed: s.glazed,
    power: s.power,
    water: s.water,
    listed: s.listed,
    historic: s.historic,
    gasPipe: s.services.includes('gasPipe'),
    wiring: s.services.includes('wiring'),
    alarm: s.services.includes('alarm'),
    liveHeater: s.services.includes('liveHeater'),
    duct: s.services.includes('duct'),
    asthma: s.asthma,
    others: s.others,
    high: s.accessM > HIGH_M,
    rulebook: s.rulebook,
    edition: s.edition,
  };
}
