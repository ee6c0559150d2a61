/** The fact sheet on which the rules are asked: one part of one surface under one method. Small closed values, so that equal sheets share a verdict. */
import type { Aim, Binder, Material, PartKind, Surface } from '../facts';
import type { SurfaceContext } from '../context';
import { isPresent, strictest, type HazardState, type LeadPicture } from '../probe';
import { ELEMENTS } from '../walk';
import { biteDepth, type Bite, type Method } from './methods';

/** What a surface brings to the rules, whatever the method and part. */
export interface SurfaceSheet {
  readonly material: Material;
  readonly place: SurfaceContext['place'];
  readonly aim: Aim;
  readonly required: Bite;
  readonly asbestos: HazardState;
  readonly lead: LeadPicture;
  readonly binders: readonly Binder[];
  readonly failing: boolean;
  readonly anySound: boolean;
  readonly oilSoaked: boolean;
  readonly damp: boolean;
  readonly friction: boolean;
  readonly chewable: boolean;
  readonly childOrPregnancy: SurfaceContext['childOrPregnancy'];
  readonly isSash: boolean;
  readonly minorWork: boolean | null;
  readonly dwelling: boolean;
  readonly clearTopcoat: boolean;
  readonly glazed: boolean;
  readonly rulebook: 'us' | 'uk';
}

/** Each key is a question that a rule may ask. */
export interface Sheet {
  readonly leadInReach: HazardState;
  readonly leadAnywhere: HazardState;
  readonly leadTrace: boolean;
  readonly asbestos: HazardState;
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
  readonly rulebook: string;
}

/**
 * Which coats a method reaches, counted from the top: `loose` goes down to the deepest coat that is not known to be sound,
 * since scraping stops only where the film holds.
 */
export function coatsReached(bite: Bite, lead: LeadPicture): number {
  const n = lead.coats.length;
  if (bite === 'none') return 0;
  if (bite === 'skin') return Math.min(1, n);
  if (bite === 'bare') return n;
  let deepest = 0;
  lead.coats.forEach((c, i) => {
    if (c.coat.soundness !== 'sound') deepest = i + 1;
  });
  return Math.max(deepest, Math.min(1, n));
}

export function surfaceSheet(s: Surface, ctx: SurfaceContext, lead: LeadPicture, asbestos: HazardState, required: Bite): SurfaceSheet {
  const element = ELEMENTS[s.element];
  const soundness = lead.coats.map((c) => c.coat.soundness);
  const has = (c: Surface['conditions'][number]) => s.conditions.includes(c);
  return {
    material: s.material,
    place: ctx.place,
    aim: s.aim,
    required,
    asbestos,
    lead,
    binders: lead.coats.map((c) => c.coat.binder),
    failing: soundness.includes('failing') || has('blistered') || has('flaking') || has('powdery'),
    anySound: soundness.includes('sound'),
    oilSoaked: has('oilSoaked'),
    damp: has('wet') || has('moldy'),
    friction: element.friction || has('rubbing'),
    chewable: element.chewable,
    childOrPregnancy: ctx.childOrPregnancy,
    isSash: s.element === 'doubleHungSash',
    minorWork: ctx.minorWork,
    dwelling: ctx.dwelling,
    clearTopcoat: s.topcoat === 'clearVarnish' || s.aim === 'bareClear',
    glazed: s.parts.some((p) => p.removedAt === null && p.kind === 'besideGlass'),
    rulebook: ctx.rulebook.id,
  };
}

export function sheetFor(s: SurfaceSheet, method: Method, part: PartKind, ctx: SurfaceContext): Sheet {
  const states = s.lead.coats.map((c) => c.state);
  const reached = coatsReached(method.bite, s.lead);
  // Feathering a scraped edge cuts into the coat below the loose one. Taking a piece out reaches every coat on it.
  const exposed = method.removesPiece ? states.length : method.bite === 'loose' ? reached + 1 : reached;
  const inReach = strictest(states.slice(0, exposed));
  return {
    leadInReach: inReach,
    leadAnywhere: strictest(states),
    leadTrace: s.lead.trace,
    asbestos: s.asbestos,
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
    rubs: (s.friction || s.chewable) && isPresent(strictest(states)),
    childOrPregnancy: s.childOrPregnancy,
    casein: s.binders.includes('casein'),
    window: s.isSash,
    minorWork: s.minorWork === null ? 'noClass' : s.minorWork ? 'within' : 'over',
    certified: ctx.settings.certified,
    hotAirAllowed: ctx.settings.allowHotAirOnLead,
    causticAllowed: ctx.settings.allowCausticOnTimber,
    ownsHepa: ctx.settings.ownsHepaSander,
    dwelling: s.dwelling,
    clear: s.clearTopcoat,
    glazed: s.glazed,
    rulebook: s.rulebook,
  };
}
