/** The fact sheet on which the rules are asked: one part of one surface under one method. Small closed values, so that equal sheets share a verdict. */
import type { Aim, Material, PartKind, Surface, YesNo } from '../facts';
import type { SurfaceContext } from '../context';
import { holdsSilica, isPresent, leadDepths, type HazardState, type LeadDepths, type LeadPicture } from '../probe';
import { ELEMENTS, failsByDegree } from '../walk';
import { biteDepth, type Bite, type Method } from './methods';

/** What a surface brings to the rules, whatever the method and part. */
export interface SurfaceSheet {
  readonly material: Material;
  readonly place: SurfaceContext['place'];
  readonly aim: Aim;
  readonly required: Bite;
  readonly asbestos: HazardState;
  readonly asbestosBelow: HazardState;
  readonly asbestosPutty: HazardState;
  readonly depths: LeadDepths;
  readonly leadTrace: boolean;
  readonly casein: boolean;
  readonly failing: boolean;
  readonly anySound: boolean;
  readonly oilSoaked: boolean;
  readonly damp: boolean;
  /** Rubs in use or can be chewed. */
  readonly rubs: boolean;
  readonly childOrPregnancy: SurfaceContext['childOrPregnancy'];
  readonly isSash: boolean;
  readonly minorWork: boolean | null;
  readonly dwelling: boolean;
  readonly clearTopcoat: boolean;
  readonly glazed: boolean;
  readonly site: SurfaceContext['site'];
  readonly rulebook: 'us' | 'uk';
}

/** Each key is a question that a rule may ask. */
export interface Sheet {
  readonly leadInReach: HazardState;
  readonly leadAnywhere: HazardState;
  readonly leadTrace: boolean;
  readonly asbestos: HazardState;
  readonly asbestosBelow: HazardState;
  readonly asbestosPutty: HazardState;
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
  readonly oilSoaked: boolean;
  readonly damp: boolean;
  readonly rubs: boolean;
  readonly childOrPregnancy: string;
  readonly casein: boolean;
  readonly window: boolean;
  readonly minorWork: string;
  readonly certified: boolean;
  readonly hotAirAllowed: boolean;
  readonly causticAllowed: boolean;
  readonly ownsHepa: boolean;
  readonly dwelling: boolean;
  readonly clear: boolean;
  readonly glazed: boolean;
  readonly silica: boolean;
  readonly power: YesNo;
  readonly water: YesNo;
  readonly listed: YesNo;
  readonly gasPipe: boolean;
  readonly wiring: boolean;
  readonly alarm: boolean;
  readonly liveHeater: boolean;
  readonly duct: boolean;
  readonly asthma: YesNo;
  readonly others: boolean;
  readonly high: boolean;
  readonly rulebook: 'us' | 'uk';
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
    depths: leadDepths(lead),
    leadTrace: lead.trace,
    casein: lead.coats.some((c) => c.coat.binder === 'casein'),
    failing: soundness.includes('failing') || has('blistered') || has('flaking') || has('powdery') || failsByDegree(s).length > 0,
    anySound: soundness.includes('sound'),
    oilSoaked: has('oilSoaked'),
    damp: has('wet') || has('moldy'),
    rubs: element.friction || element.chewable || has('rubbing') || has('chewable'),
    childOrPregnancy: ctx.childOrPregnancy,
    isSash: s.element === 'doubleHungSash' || s.element === 'casementSash',
    minorWork: ctx.minorWork,
    dwelling: ctx.dwelling,
    clearTopcoat: s.topcoat === 'clearVarnish' || s.aim === 'bareClear',
    glazed: s.parts.some((p) => p.removedAt === null && p.kind === 'besideGlass'),
    site: ctx.site,
    rulebook: ctx.rulebook.id,
  };
}

export function sheetFor(s: SurfaceSheet, method: Method, part: PartKind, ctx: SurfaceContext): Sheet {
  return {
    leadInReach: leadInReach(method, s.depths),
    leadAnywhere: s.depths.all,
    leadTrace: s.leadTrace,
    asbestos: s.asbestos,
    asbestosBelow: s.asbestosBelow,
    asbestosPutty: s.asbestosPutty,
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
    oilSoaked: s.oilSoaked,
    damp: s.damp,
    rubs: s.rubs && isPresent(s.depths.all),
    childOrPregnancy: s.childOrPregnancy,
    casein: s.casein,
    window: s.isSash,
    minorWork: s.minorWork === null ? 'noClass' : s.minorWork ? 'within' : 'over',
    certified: ctx.settings.certified,
    hotAirAllowed: ctx.settings.allowHotAirOnLead,
    causticAllowed: ctx.settings.allowCausticOnTimber,
    ownsHepa: ctx.settings.ownsHepaSander,
    dwelling: s.dwelling,
    clear: s.clearTopcoat,
    glazed: s.glazed,
    silica: holdsSilica(s),
    power: s.site.power,
    water: s.site.water,
    listed: s.site.listed,
    gasPipe: s.site.services.includes('gasPipe'),
    wiring: s.site.services.includes('wiring'),
    alarm: s.site.services.includes('alarm'),
    liveHeater: s.site.services.includes('liveHeater'),
    duct: s.site.services.includes('duct'),
    asthma: s.site.asthma,
    others: s.site.others,
    high: s.site.high,
    rulebook: s.rulebook,
  };
}
