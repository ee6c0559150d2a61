/**
 * A whole job: facts in, everything derived out (one surface: surface/plan.ts). Each node is remembered by the identity of its views
 * (graph/graph.ts), so that editing one surface derives one surface.
 */
import type { Check, Hazard, Job, JobFacts, Space, Surface } from '../facts';
import { methodById } from '../catalogue';
import type { OptionMemo } from '../choose';
import { Each, eachKept, kept, keptList, node } from '../graph/graph';
import {
  asbestosAreas,
  asbestosPicture,
  instrumentBook,
  leadEverFound,
  leadIsPresent,
  NO_ASBESTOS,
  placedView,
  placesOf,
  stackOf,
  suspectsOf,
  type AsbestosArea,
  type AsbestosPicture,
  type HazardState,
  type InstrumentBook,
  type Past,
  type Remembering,
  type Suspect,
  type SuspectSurface,
} from '../probe';
import { isMoldy } from '../probe/mold';
import { answer, why, type Answer } from '../reasons';
import { RULEBOOKS, type FirmSettings, type Rulebook } from '../rulebook';
import type { SiteView, SpaceView } from '../surface/context';
import { ACT_RANK, NEXT_ACTS, planOwn, withZone, type NextAct, type SurfaceOwn, type SurfacePlan } from '../surface/plan';
import { NO_TRIALS } from '../trial';
import { convert, measure } from '../units/units';
import { takeOff, type TakeOff } from '../walk';
import { checksOf, planZone, zonesOf, type ZoneGiven, type ZoneMade, type ZoneMap, type ZonePlan, type ZoneView } from '../zone';
import { footprintOf, live, placeOf, siteView, spaceView, yearOf, zoneGiven } from './views';

export interface SpacePlan {
  readonly spaceId: string;
  /** Suspect coating that the work here disturbs, m2. */
  readonly disturbedM2: number;
  readonly minorWork: Answer<boolean | null>;
}

export interface JobPlan {
  readonly jobId: string;
  readonly rulebook: Rulebook['id'];
  readonly edition: string;
  readonly spaces: readonly SpacePlan[];
  /** Rooms, sides, their parts and the bench, in which something stands. */
  readonly zones: readonly ZonePlan[];
  readonly surfaces: readonly SurfacePlan[];
  readonly totals: {
    readonly areaM2: number;
    readonly personHours: { readonly low: number; readonly high: number };
    readonly money: { readonly low: number; readonly high: number };
  };
  readonly states: Readonly<Record<Hazard, Readonly<Record<HazardState, number>>>>;
  /** Homogeneous areas, each with its samples. */
  readonly areas: readonly AsbestosArea[];
  readonly next: { readonly act: NextAct; readonly surfaceId: string | null; readonly because: Answer<unknown>['because'] };
}

interface Local {
  readonly area: TakeOff;
  /** When lead was last found on it, by a reading that stands or one that was only taken back. */
  readonly found: string | null;
  /** Growth was seen on it. */
  readonly moldy: boolean;
  readonly suspects: readonly Suspect[];
  /** Area that counts towards minor work: what no person has decided to leave. */
  readonly disturbedM2: number;
}

/** What a surface gives to the sums of its job, side by side: an edit adds up every surface, and a plan is scattered over the memory. */
interface Tally {
  readonly areaM2: number;
  readonly hoursLow: number;
  readonly hoursHigh: number;
  readonly moneyLow: number;
  readonly moneyHigh: number;
  readonly lead: HazardState;
  readonly asbestos: HazardState;
  readonly mold: HazardState;
  /** Place of its next act in the order of work. */
  readonly rank: number;
}
const tallyOf = (p: SurfacePlan): Tally => ({
  areaM2: p.area.totalM2,
  hoursLow: p.work.handsOnH.low,
  hoursHigh: p.work.handsOnH.high,
  moneyLow: p.money.low,
  moneyHigh: p.money.high,
  lead: p.lead.overall.value,
  asbestos: p.asbestos.overall.value,
  mold: p.mold.value,
  rank: ACT_RANK[p.next.act],
});

/** A surface's plan, and what it gives to the sums. */
interface Made {
  readonly plan: SurfacePlan;
  readonly tally: Tally;
}

export { mayBeListed } from './views';

export interface Deriver {
  /** @param told how much is done, 0 to 1, after each surface */
  derive(facts: JobFacts, settings: FirmSettings, thisYear: number, told?: (share: number) => void): JobPlan;
  /** One surface alone, with the same memory. */
  surface(facts: JobFacts, surfaceId: string, settings: FirmSettings, thisYear: number): SurfacePlan | undefined;
  /** One zone alone, with the same memory. */
  zone(facts: JobFacts, zoneId: string, settings: FirmSettings, thisYear: number): ZonePlan | undefined;
}

/** What one surface brings to its room's sums, before any choice is made. */
function localOf(s: Surface, year: number | null, rulebook: Rulebook): Local {
  const area = takeOff(s);
  const found = leadEverFound(s, rulebook);
  const disturbedM2 = s.parts
    .filter((p) => p.removedAt === null)
    .reduce((sum, p) => {
      const leaves = p.methodId !== null && [p.methodId, ...p.alsoIds].every((id) => !methodById(id).disturbs);
      // Taking a piece out counts the whole piece. 40 CFR 745.83
      if (p.methodId !== null && methodById(p.methodId).removesPiece) return area.totalM2;
      return leaves ? sum : Math.min(sum + (area.partM2[p.id] ?? 0), area.totalM2);
    }, 0);
  return { area, found, moldy: isMoldy(s), suspects: suspectsOf(s, year, area.totalM2, rulebook), disturbedM2 };
}

/** Options hold prices, so they are kept by the settings that they were reckoned with; they are the same for every job. */
const optionMemos = new WeakMap<FirmSettings, OptionMemo>();

function optionsUnder(settings: FirmSettings): OptionMemo {
  const known = optionMemos.get(settings);
  // The bound keeps a long session small.
  if (known && known.size <= 5000) return known;
  const made: OptionMemo = new Map();
  optionMemos.set(settings, made);
  return made;
}

/**
 * The nodes of the surface at one place in the list: each remembers its last answer only, so that memory stays as large as the job.
 * By place and not by id, because an edit leaves the places alone and looking at a place is quicker.
 */
const surfaceNodes = () => ({
  local: node(localOf),
  /** What the sum of minor work counts is what the surface's own plan calls present. */
  leadIsPresent: node((s: Surface, builtYear: number | null, rulebook: Rulebook, instruments: InstrumentBook, past: Past): boolean =>
    leadIsPresent(s, stackOf(s), { rulebook, builtYear, instruments, past }),
  ),
  past: kept<Past>(),
  /** What its place, and its zone, have to know of it. */
  remembering: kept<Remembering>(),
  zoned: kept<Zoned>(),
  /** What its homogeneous areas weigh of it. */
  piece: kept<SuspectSurface>(),
  asbestos: kept<AsbestosPicture>(),
  own: node(
    (
      s: Surface,
      area: TakeOff,
      builtYear: number | null,
      site: SiteView,
      space: SpaceView,
      past: Past,
      instruments: InstrumentBook,
      asbestos: AsbestosPicture,
      settings: FirmSettings,
    ): SurfaceOwn => {
      const { rulebook } = site;
      const place = placeOf(s, space);
      const ctx = { rulebook, settings, site, space, place, builtYear, past, instruments, trials: NO_TRIALS, asbestos };
      return planOwn(s, ctx, area, optionsUnder(settings));
    },
  ),
  plan: node((own: SurfaceOwn, zone: ZoneMade): Made => {
    const plan = withZone(own, zone);
    return { plan, tally: tallyOf(plan) };
  }),
});

const pieceOf = ({ id, spaceId, samples, readings, removedAt }: Surface, suspects: readonly Suspect[]): SuspectSurface => ({
  surface: { id, spaceId, samples, readings, removedAt },
  suspects,
});

type Zoned = Pick<Surface, 'id' | 'spaceId' | 'zoneId' | 'bench' | 'removedAt'>;
const zonedOf = ({ id, spaceId, zoneId, bench, removedAt }: Surface): Zoned => ({ id, spaceId, zoneId, bench, removedAt });

const zoneNodes = () => ({
  view: kept<ZoneView>(),
  given: kept<ZoneGiven>(),
  members: keptList<SurfaceOwn>(),
  checks: keptList<Check>(),
  plan: node(planZone),
});

export function createDeriver(): Deriver {
  const nodes: ReturnType<typeof surfaceNodes>[] = [];
  const siteOf = kept<SiteView>();
  const spaceViews = new Each<string, (made: SpaceView) => SpaceView>(() => kept<SpaceView>());
  const zones = new Each<string, ReturnType<typeof zoneNodes>>(zoneNodes);
  const bookOf = node(instrumentBook);
  const suspected = keptList<SuspectSurface>();
  const suspectAreas = node((pieces: readonly SuspectSurface[], rulebook: Rulebook) => {
    const areas = asbestosAreas(pieces, rulebook);
    const byKey = new Map(areas.map((a) => [a.key, a]));
    return { areas, pictures: new Map(pieces.map((p) => [p.surface.id, asbestosPicture(p.surface, p.suspects, byKey)])) };
  });

  // Of every surface, by its place: an edit costs the one that it touches.
  const spacesById = node((spaces: readonly Space[]) => new Map(spaces.map((s) => [s.id, s])));
  const yearsOf = eachKept(([s]: [Surface], _i, job: Job, bySpace: ReadonlyMap<string, Space>) => yearOf(job, bySpace.get(s.spaceId), s));
  const localsOf = eachKept(([s, year]: [Surface, number | null], i, rulebook: Rulebook) => nodes[i]!.local(s, year, rulebook));
  const rememberedOf = eachKept(([s, { found, moldy, suspects }]: [Surface, Local], i) =>
    nodes[i]!.remembering({ of: placedView(s), found, moldy, suspects }),
  );
  const placed = node(placesOf);
  const pastOf = eachKept(([past]: [Past], i) => nodes[i]!.past(past));
  const disturbsLead = eachKept(
    (
      [s, year, { disturbedM2 }, past]: [Surface, number | null, Local, Past],
      i,
      rulebook: Rulebook,
      instruments: InstrumentBook,
    ): boolean => s.removedAt === null && disturbedM2 > 0 && nodes[i]!.leadIsPresent(s, year, rulebook, instruments, past),
  );
  const piecesOf = eachKept(([s, suspects]: [Surface, readonly Suspect[]], i) =>
    suspects.length === 0 ? null : nodes[i]!.piece(pieceOf(s, suspects)),
  );
  const zonedAll = eachKept(([s]: [Surface], i) => nodes[i]!.zoned(zonedOf(s)));
  const zoneMap = node(zonesOf);

  /** What every surface needs of the others, in the order of the facts. */
  function around(facts: JobFacts, thisYear: number) {
    const { job, surfaces } = facts;
    const site = siteOf(siteView(job, thisYear));
    const { rulebook } = site;
    const instruments = bookOf(facts.instrumentChecks);
    const bySpace = spacesById(facts.spaces);
    while (nodes.length < surfaces.length) nodes.push(surfaceNodes());
    nodes.length = surfaces.length;
    const years = yearsOf([surfaces], job, bySpace);
    const locals = localsOf([surfaces, years], rulebook);
    const places = placed(rememberedOf([surfaces, locals]), bySpace, rulebook);
    const past = pastOf([places.past]);
    const leaded = disturbsLead([surfaces, years, locals, past], rulebook, instruments);
    const sums = new Map<string, number>();
    const growth = new Map<string, (number | null)[]>();
    surfaces.forEach((s, i) => {
      if (s.removedAt !== null) return;
      const { disturbedM2, moldy } = locals[i]!;
      if (leaded[i]!) sums.set(s.spaceId, (sums.get(s.spaceId) ?? 0) + disturbedM2);
      if (moldy) growth.set(s.spaceId, [...(growth.get(s.spaceId) ?? []), s.moldM2]);
    });
    // All work on one outside counts together; each room counts by itself. 40 CFR 745.83
    const outsideM2 = facts.spaces
      .filter((s) => s.kind === 'elevation' && s.removedAt === null)
      .reduce((sum, s) => sum + (sums.get(s.id) ?? 0), 0);
    const spaces = new Map(
      live(facts.spaces).map((space) => {
        const disturbedM2 = space.kind === 'elevation' ? outsideM2 : (sums.get(space.id) ?? 0);
        const minorWork = minorWorkOf(space, disturbedM2, rulebook, site.assisted);
        const view = spaceViews.at(space.id)(spaceView(space, growth.get(space.id) ?? [], minorWork.value, rulebook));
        return [space.id, { view, plan: { spaceId: space.id, disturbedM2, minorWork } }] as const;
      }),
    );
    spaceViews.only(new Set(spaces.keys()));
    const pieces = piecesOf([surfaces, places.suspects]).filter((p) => p !== null);
    const { areas, pictures } = suspectAreas(suspected(pieces), rulebook);
    return { site, instruments, years, locals, past, spaces, areas, pictures };
  }

  function ownAt(s: Surface, i: number, given: ReturnType<typeof around>, settings: FirmSettings): SurfaceOwn | undefined {
    const space = given.spaces.get(s.spaceId);
    if (s.removedAt !== null || !space) return undefined;
    const own = nodes[i]!;
    const { site, instruments, pictures } = given;
    const picture = pictures.get(s.id);
    const asbestos = picture === undefined ? NO_ASBESTOS : own.asbestos(picture);
    return own.own(s, given.locals[i]!.area, given.years[i]!, site, space.view, given.past[i]!, instruments, asbestos, settings);
  }

  /** @param only this zone; undefined: all */
  function plan(
    facts: JobFacts,
    settings: FirmSettings,
    thisYear: number,
    only?: (map: ZoneMap) => string | undefined,
    told?: (share: number) => void,
  ) {
    const given = around(facts, thisYear);
    const map = zoneMap(facts.job, facts.spaces, facts.zones, zonedAll([facts.surfaces]));
    const wanted = only?.(map);
    const footprint = footprintOf(facts.spaces);
    const members = new Map<string, { at: number; own: SurfaceOwn }[]>();
    facts.surfaces.forEach((s, at) => {
      const zoneId = map.of.get(s.id);
      if (zoneId === undefined || (only !== undefined && zoneId !== wanted)) return;
      const own = ownAt(s, at, given, settings);
      if (!own) return;
      told?.((at + 1) / facts.surfaces.length);
      const list = members.get(zoneId);
      if (list) list.push({ at, own });
      else members.set(zoneId, [{ at, own }]);
    });
    if (only === undefined) zones.only(new Set(map.zones.map((z) => z.id)));
    const surfaces: Made[] = [];
    const zonePlans = map.zones.flatMap((view): ZonePlan[] => {
      const here = members.get(view.id);
      if (!here) return [];
      const own = zones.at(view.id);
      const ids = view.kind === 'bench' ? [...new Set(here.map((m) => m.own.spaceId))] : view.spaceIds;
      const spaces = ids.flatMap((id) => {
        const space = given.spaces.get(id);
        return space ? [[id, space.view] as const] : [];
      });
      const zone = own.plan(
        own.view(view),
        own.given(zoneGiven(view.kind, view.sides, spaces, footprint, given.site, settings)),
        own.members(here.map((m) => m.own)) as readonly SurfaceOwn[],
        own.checks(checksOf(facts.checks, view.id)),
      );
      for (const m of here) surfaces[m.at] = nodes[m.at]!.plan(m.own, zone);
      return [zone.plan];
    });
    return { given, zones: zonePlans, surfaces: surfaces.filter(() => true) };
  }

  return {
    derive(facts, settings, thisYear, told) {
      const made = plan(facts, settings, thisYear, undefined, told);
      const spaces = [...made.given.spaces.values()].map((x) => x.plan);
      return summarise(facts, spaces, made.zones, made.surfaces, made.given.areas);
    },
    surface(facts, surfaceId, settings, thisYear) {
      const { surfaces } = plan(facts, settings, thisYear, (map) => map.of.get(surfaceId));
      return surfaces.find((x) => x.plan.surfaceId === surfaceId)?.plan;
    },
    zone(facts, zoneId, settings, thisYear) {
      return plan(facts, settings, thisYear, () => zoneId).zones[0];
    },
  };
}

/** The homogeneous areas alone, without deriving any surface. */
export function areasOf(facts: JobFacts): AsbestosArea[] {
  const rulebook = RULEBOOKS[facts.job.rulebook];
  const bySpace = new Map(facts.spaces.map((s) => [s.id, s]));
  const list = facts.surfaces.map((of) => ({
    of,
    found: null,
    moldy: false,
    suspects: suspectsOf(of, yearOf(facts.job, bySpace.get(of.spaceId), of), takeOff(of).totalM2, rulebook),
  }));
  const { suspects } = placesOf(list, bySpace, rulebook);
  const suspected = facts.surfaces.flatMap((surface, i) => (suspects[i]!.length > 0 ? [{ surface, suspects: suspects[i]! }] : []));
  return asbestosAreas(suspected, rulebook);
}

function minorWorkOf(space: Space, disturbedM2: number, rulebook: Rulebook, assisted: boolean): Answer<boolean | null> {
  const kept = assisted ? (rulebook.minorWorkAssisted ?? rulebook.minorWork) : rulebook.minorWork;
  if (kept === null) return answer(null, why('minor.noClass', 'clw2002'));
  const { is: limit, source } = space.kind === 'room' ? kept.insideRoom : kept.outside;
  const within = disturbedM2 <= convert(limit.value, limit.unit, 'm2') + 1e-9;
  return answer(within, why(within ? 'minor.within' : 'minor.over', source, { disturbed: [measure(disturbedM2, 'm2'), limit] }));
}

/** Of all surfaces, the one whose next act comes earliest in the order of work. */
function nextOnJob(facts: JobFacts, surfaces: readonly Made[]): JobPlan['next'] {
  if (!facts.spaces.some((s) => s.removedAt === null)) return { act: 'addSpace', surfaceId: null, because: [] };
  let first: SurfacePlan | undefined;
  let rank: number = NEXT_ACTS.length;
  for (const { plan, tally } of surfaces) {
    if (tally.rank >= rank) continue;
    first = plan;
    rank = tally.rank;
  }
  return first
    ? { act: first.next.act, surfaceId: first.surfaceId, because: first.next.because }
    : { act: 'addSurface', surfaceId: null, because: [] };
}

const noStates = (): Record<HazardState, number> => ({ unknown: 0, assumed: 0, waiting: 0, found: 0, notFound: 0 });

function summarise(
  facts: JobFacts,
  spaces: readonly SpacePlan[],
  zones: readonly ZonePlan[],
  surfaces: readonly Made[],
  areas: readonly AsbestosArea[],
): JobPlan {
  const states = { lead: noStates(), asbestos: noStates(), mold: noStates() };
  const totals = { areaM2: 0, personHours: { low: 0, high: 0 }, money: { low: 0, high: 0 } };
  for (const { tally: t } of surfaces) {
    states.lead[t.lead] += 1;
    states.asbestos[t.asbestos] += 1;
    states.mold[t.mold] += 1;
    totals.areaM2 += t.areaM2;
    totals.personHours.low += t.hoursLow;
    totals.personHours.high += t.hoursHigh;
    totals.money.low += t.moneyLow;
    totals.money.high += t.moneyHigh;
  }
  const rulebook = RULEBOOKS[facts.job.rulebook];
  return {
    jobId: facts.job.id,
    rulebook: rulebook.id,
    edition: rulebook.edition,
    spaces,
    zones,
    surfaces: surfaces.map((x) => x.plan),
    totals,
    states,
    areas,
    next: nextOnJob(facts, surfaces),
  };
}
