/**
 * A whole job: facts in, everything derived out (one surface: surface/plan.ts). Each node is remembered by the identity of its views
 * (graph/graph.ts), so that editing one surface derives one surface.
 */
import type { Check, Job, JobFacts, Space, Surface } from '../facts';
import { methodById } from '../catalogue';
import { optionMemo, type OptionMemo } from '../choose';
import { Each, eachKept, kept, keptList, node } from '../graph/graph';
import {
  asbestosAreas,
  asbestosPicture,
  instrumentBook,
  isAsbestosPiece,
  isPresent,
  leadEverFound,
  leadIsPresent,
  NO_ASBESTOS,
  placedView,
  placesOf,
  stackOf,
  stricter,
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
import { bookFor, bookOf, type FirmSettings, type Rulebook } from '../rulebook';
import type { JobPlan, SpacePlan } from './plan';
import type { SiteView, SpaceView } from '../views';
import { NO_SPREAD, type SpreadBook } from '../views';
import { ACT_RANK, NEXT_ACTS, planOwn, type SurfaceOwn } from '../surface/plan';
import { withZone, type SurfacePlan } from '../zone/surface-plan';
import { ownAirOf, type OwnAir } from '../air/own-samples';
import { NO_TRIALS } from '../trial';
import { convert, measure } from '../units/units';
import { isWindow, takeOff, type TakeOff } from '../walk';
import { planZone, wholesOf, zonesOf, type ZoneGiven, type ZoneMade, type ZoneMap, type ZonePlan, type ZoneView } from '../zone';
import { type Floor } from '../geometry/shapes';
import { longestDays } from '../zone/longest-day';
import { NOTHING, plus } from '../step';
import { blastCounts, spreadOn, sumSpread } from '../coat';
import { restOfTins } from './buy';
import { testsMoney, type MoneyLines } from './money';
import { footprintOf, isOutdoors, live, placeOf, siteView, spaceView, yearOf, zoneGiven } from './views';

interface Local {
  readonly area: TakeOff;
  /** When lead was last found on it, by a reading that stands or one that was only taken back. */
  readonly found: string | null;
  /** Growth was seen on it. */
  readonly moldy: boolean;
  readonly suspects: readonly Suspect[];
  /** Area that counts towards minor work: what no person has decided to leave. */
  readonly disturbedM2: number;
  /** The last day on which a check of its work was passed; null: nobody began. */
  readonly workedOn: string | null;
  readonly windowOut: boolean;
}

/** What a surface gives to the sums of its job, side by side: an edit adds up every surface, and a plan is scattered over the memory. */
interface Tally {
  readonly areaM2: number;
  readonly hoursLow: number;
  readonly hoursHigh: number;
  readonly moneyLow: number;
  readonly moneyHigh: number;
  readonly materialsLow: number;
  readonly materialsHigh: number;
  readonly coats: number;
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
  materialsLow: p.materials.low,
  materialsHigh: p.materials.high,
  coats: p.coats,
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
  const workedOn = s.checks.reduce<string | null>((last, c) => {
    const day = c.takenAt.slice(0, 10);
    return c.outcome === 'pass' && (last === null || day > last) ? day : last;
  }, null);
  const disturbedM2 = s.parts
    .filter((p) => p.removedAt === null)
    .reduce((sum, p) => {
      const leaves = p.methodId !== null && [p.methodId, ...p.alsoIds].every((id) => !methodById(id).disturbs);
      // Taking a piece out counts the whole piece. 40 CFR 745.83
      if (p.methodId !== null && methodById(p.methodId).removesPiece) return area.totalM2;
      return leaves ? sum : Math.min(sum + (area.partM2[p.id] ?? 0), area.totalM2);
    }, 0);
  // What was declined before anybody began is disturbed by nobody.
  const untouched = s.declinedOn !== null && workedOn === null;
  return {
    area,
    found,
    moldy: isMoldy(s),
    suspects: suspectsOf(s, year, area.totalM2, rulebook),
    disturbedM2: untouched ? 0 : disturbedM2,
    workedOn,
    windowOut:
      !untouched &&
      isWindow(s.element) &&
      s.parts.some((p) => p.removedAt === null && p.methodId !== null && methodById(p.methodId).removesPiece),
  };
}

/** All work in one room within so many days is one job. 40 CFR 745.83 */
const ONE_JOB_DAYS = 30;
/** Work that was begun and then taken off the list still counts, until the first day of work that was set lies that long after it. */
const stillCounts = (workedOn: string, startOn: string | null): boolean =>
  startOn === null || Date.parse(startOn) - Date.parse(workedOn) <= ONE_JOB_DAYS * 86_400_000;

/** Options hold prices, so they are kept by the settings that they were reckoned with; they are the same for every job. */
const optionMemos = new WeakMap<FirmSettings, OptionMemo>();

function optionsUnder(settings: FirmSettings): OptionMemo {
  const known = optionMemos.get(settings);
  // The bound keeps a long session small. Where squares taught something only the efforts grow.
  if (known && known.sheets.size <= 2000 && known.efforts.size <= 2000) return known;
  const made = optionMemo();
  optionMemos.set(settings, made);
  return made;
}

type Before = readonly [
  s: Surface,
  area: TakeOff,
  builtYear: number | null,
  site: SiteView,
  space: SpaceView,
  past: Past,
  instruments: InstrumentBook,
  asbestos: AsbestosPicture,
  settings: FirmSettings,
];
function ownOf(
  ...[s, area, builtYear, site, space, past, instruments, asbestos, settings, spread]: [...Before, spread: SpreadBook]
): SurfaceOwn {
  const { rulebook } = site;
  const place = placeOf(s, space);
  const ctx = { rulebook, settings, site, space, place, builtYear, past, instruments, trials: NO_TRIALS, asbestos, spread };
  return planOwn(s, ctx, area, optionsUnder(settings));
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
  own: node(ownOf),
  /** How much of it was blasted, before it is known how far the products of this job go: that is learnt from it. */
  blasted: node((...known: Before) => ownOf(...known, NO_SPREAD).plan.coating.blasted),
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

/** What a room or side is to the surfaces in it: by its place among those that are there. */
const roomNodes = () => ({
  growth: keptList<number | null>(),
  plan: node((space: Space, onList: number, offList: number, windowOut: boolean, rulebook: Rulebook, assisted: boolean): SpacePlan => {
    const minorWork = minorWorkOf(space, { onList, offList, windowOut }, rulebook, assisted);
    return { spaceId: space.id, disturbedM2: onList + offList, minorWork };
  }),
  made: node(spaceView),
  view: kept<SpaceView>(),
});

const zoneNodes = () => ({
  view: kept<ZoneView>(),
  rooms: keptList<SpaceView>(),
  made: node(zoneGiven),
  given: kept<ZoneGiven>(),
  members: keptList<SurfaceOwn>(),
  checks: keptList<Check>(),
  plan: node(planZone),
});

/** Where the surfaces of a zone stand in the facts, and its rooms among the live ones. */
interface Standing {
  readonly view: ZoneView;
  readonly surfaces: readonly number[];
  readonly rooms: readonly number[];
  readonly roomIds: readonly string[];
}

/** The room of each surface, by its place among the live ones; -1: it is removed, or stands nowhere. */
function roomsOf(surfaces: readonly Zoned[], rooms: readonly Space[]): number[] {
  const at = new Map(rooms.map((r, i) => [r.id, i]));
  return surfaces.map((s) => (s.removedAt === null ? (at.get(s.spaceId) ?? -1) : -1));
}

/** Each zone with its surfaces and rooms, in the order of the map. */
function standingsOf(map: ZoneMap, surfaces: readonly Zoned[], rooms: readonly Space[], roomOf: readonly number[]): Standing[] {
  const members = new Map<string, number[]>(map.zones.map((z) => [z.id, []]));
  surfaces.forEach((s, i) => members.get(map.of.get(s.id) ?? '')?.push(i));
  const at = new Map(rooms.map((r, i) => [r.id, i]));
  return map.zones.map((view) => {
    const here = members.get(view.id)!;
    // The bench takes in no room, but knows from which its pieces come.
    const places = view.kind === 'bench' ? [...new Set(here.map((i) => roomOf[i]!))] : view.spaceIds.map((id) => at.get(id)!);
    return { view, surfaces: here, rooms: places, roomIds: places.map((i) => rooms[i]!.id) };
  });
}

const NOTHING_GROWS: readonly null[] = [];
const NO_CHECKS: readonly Check[] = [];

export function createDeriver(): Deriver {
  const nodes: ReturnType<typeof surfaceNodes>[] = [];
  const rooms: ReturnType<typeof roomNodes>[] = [];
  const zones = new Each<string, ReturnType<typeof zoneNodes>>(zoneNodes);
  const siteOf = kept<SiteView>();
  const bookOf = node(instrumentBook);
  const suspected = keptList<SuspectSurface>();
  const suspectAreas = node((pieces: readonly SuspectSurface[], rulebook: Rulebook) => {
    const areas = asbestosAreas(pieces, rulebook);
    const byKey = new Map(areas.map((a) => [a.key, a]));
    return { areas, pictures: new Map(pieces.map((p) => [p.surface.id, asbestosPicture(p.surface, p.suspects, byKey)])) };
  });

  // Of every surface, by its place: an edit costs the one that it touches, and nothing is looked up by its name.
  const spacesById = node((spaces: readonly Space[]) => new Map(spaces.map((s) => [s.id, s])));
  const liveRooms = node((spaces: readonly Space[]) => live(spaces));
  const yearsOf = eachKept(([s]: [Surface], _i, job: Job, bySpace: ReadonlyMap<string, Space>) => yearOf(job, bySpace.get(s.spaceId), s));
  const localsOf = eachKept(([s, year]: [Surface, number | null], i, rulebook: Rulebook) => nodes[i]!.local(s, year, rulebook));
  const rememberedOf = eachKept(([s, { found, moldy, suspects }]: [Surface, Local], i) =>
    nodes[i]!.remembering({ of: placedView(s), found, moldy, suspects }),
  );
  const placed = node(placesOf);
  const pastOf = eachKept(([past]: [Past], i) => nodes[i]!.past(past));
  const disturbsLead = eachKept(
    (
      [s, year, { disturbedM2, workedOn }, past]: [Surface, number | null, Local, Past],
      i,
      rulebook: Rulebook,
      instruments: InstrumentBook,
    ): boolean =>
      (s.removedAt === null || workedOn !== null) && disturbedM2 > 0 && nodes[i]!.leadIsPresent(s, year, rulebook, instruments, past),
  );
  const piecesOf = eachKept(([s, suspects]: [Surface, readonly Suspect[]], i) =>
    suspects.length === 0 ? null : nodes[i]!.piece(pieceOf(s, suspects)),
  );
  const picturesOf = eachKept(([piece]: [SuspectSurface | null], i, pictures: ReadonlyMap<string, AsbestosPicture>) => {
    const picture = piece === null ? undefined : pictures.get(piece.surface.id);
    return picture === undefined ? NO_ASBESTOS : nodes[i]!.asbestos(picture);
  });
  const spreads = eachKept(([s, blasted]: [Surface, number], _i, bySpace: ReadonlyMap<string, Space>, settings: FirmSettings) =>
    s.removedAt === null && s.laid.length > 0 ? spreadOn(s, blasted, settings, isOutdoors(s, bySpace.get(s.spaceId))) : null,
  );
  const spreadOf = kept<SpreadBook>();
  const zonedAll = eachKept(([s]: [Surface], i) => nodes[i]!.zoned(zonedOf(s)));
  const zoneMap = node(zonesOf);
  const roomOf = node(roomsOf);
  const standings = node(standingsOf);
  /** For each room or side, the place with which it counts as one, all by their place in the list. 40 CFR 745.83: all work on one outside together. */
  const onePlace = node((there: readonly Space[]) => {
    const at = new Map(there.map((s, i) => [s.id, i]));
    const wholes = wholesOf(there);
    const outside = there.findIndex((s) => s.kind === 'elevation');
    return { at, of: there.map((s) => (s.kind === 'elevation' ? outside : at.get(wholes.get(s.id)!.id)!)) };
  });
  const footprint = kept<Floor>();
  const ownAir = kept<readonly OwnAir[]>();
  const longestByZone = node(longestDays);
  const checksByZone = node((checks: readonly Check[]) => {
    const of = new Map<string, Check[]>();
    for (const c of checks) if (c.zoneId !== null) of.set(c.zoneId, [...(of.get(c.zoneId) ?? []), c]);
    return of;
  });

  /** What every surface needs of the others, in the order of the facts. */
  function around(facts: JobFacts, settings: FirmSettings, thisYear: number) {
    const { job, surfaces } = facts;
    const site = siteOf(siteView(job, settings, thisYear));
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
    const pieces = piecesOf([surfaces, places.suspects]);
    const { areas, pictures } = suspectAreas(suspected(pieces.filter((p) => p !== null)), rulebook);
    const zoned = zonedAll([surfaces]);
    const there = liveRooms(facts.spaces);
    const room = roomOf(zoned, there);
    const suspect = picturesOf([pieces], pictures);
    return {
      site,
      instruments,
      years,
      locals,
      past,
      areas,
      asbestos: suspect,
      zoned,
      there,
      room,
      ...inRooms(surfaces, there, room, locals, leaded, suspect, site, job.startOn),
    };
  }

  /** Minor work and growth, summed by room: the plan of each room, and what its surfaces see of it. */
  function inRooms(
    surfaces: readonly Surface[],
    there: readonly Space[],
    room: readonly number[],
    locals: readonly Local[],
    leaded: readonly boolean[],
    suspect: readonly AsbestosPicture[],
    { rulebook, assisted }: SiteView,
    startOn: string | null,
  ) {
    while (rooms.length < there.length) rooms.push(roomNodes());
    rooms.length = there.length;
    const growth: (number | null)[][] = [];
    const gas = there.map(() => false);
    const place = onePlace(there);
    const on = there.map(() => 0);
    const off = there.map(() => 0);
    const windows = there.map(() => false);
    const fibres = there.map(() => 0);
    const pieces = there.map((): HazardState => 'notFound');
    surfaces.forEach(({ spaceId, element, moldM2, removedAt }, i) => {
      const { disturbedM2, moldy, workedOn } = locals[i]!;
      const at = room[i]!;
      if (at >= 0 && removedAt === null && element === 'gasPipe') gas[at] = true;
      if (at >= 0 && moldy) (growth[at] ??= []).push(moldM2);
      if (at >= 0 && removedAt === null && isAsbestosPiece(element))
        pieces[place.of[at]!] = stricter(pieces[place.of[at]!]!, suspect[i]!.coat.value);
      if (at >= 0 && isPresent(suspect[i]!.coat.value)) fibres[place.of[at]!]! += disturbedM2;
      if (!leaded[i]!) return;
      if (at >= 0) on[place.of[at]!]! += disturbedM2;
      if (at >= 0 && removedAt === null && locals[i]!.windowOut) windows[place.of[at]!] = true;
      else if (removedAt !== null && stillCounts(workedOn!, startOn)) {
        const was = place.at.get(spaceId);
        if (was !== undefined) off[place.of[was]!]! += disturbedM2;
      }
    });
    const plans = there.map((s, at) =>
      rooms[at]!.plan(s, on[place.of[at]!]!, off[place.of[at]!]!, windows[place.of[at]!]!, rulebook, assisted),
    );
    const views = there.map((s, at) => {
      const own = rooms[at]!;
      return own.view(
        own.made(
          s,
          own.growth(growth[at] ?? NOTHING_GROWS),
          plans[at]!.minorWork.value,
          fibres[place.of[at]!]!,
          gas[at]!,
          pieces[place.of[at]!]!,
          rulebook,
        ),
      );
    });
    return { plans, views };
  }

  /** @param only this zone; undefined: all */
  function plan(
    facts: JobFacts,
    settings: FirmSettings,
    thisYear: number,
    only?: (map: ZoneMap) => string | undefined,
    told?: (share: number) => void,
  ) {
    const given = around(facts, settings, thisYear);
    const { site, instruments, years, locals, past, asbestos, room, views } = given;
    const before = (i: number): Before => [
      facts.surfaces[i]!,
      locals[i]!.area,
      years[i]!,
      site,
      views[room[i]!]!,
      past[i]!,
      instruments,
      asbestos[i]!,
      settings,
    ];
    const blasted = facts.surfaces.map((s, i) => (room[i]! >= 0 && blastCounts(s) ? nodes[i]!.blasted(...before(i)) : 0));
    const spread = spreadOf(sumSpread(spreads([facts.surfaces, blasted], spacesById(facts.spaces), settings)));
    const map = zoneMap(facts.job, facts.spaces, facts.zones, given.zoned);
    const all = standings(map, given.zoned, given.there, room);
    const wanted = only?.(map);
    const ground = footprintOf(facts.spaces);
    const house = ground === null ? null : footprint(ground);
    const checks = checksByZone(facts.checks);
    const longest = longestByZone(facts.stints);
    const air = ownAir(ownAirOf(facts.airSamples, facts.surfaces, facts.job.startOn, thisYear, site.airLimits));
    if (only === undefined) zones.only(map.zones);
    const surfaces: (Made | undefined)[] = facts.surfaces.map(() => undefined);
    const ownAt = (i: number): SurfaceOwn => nodes[i]!.own(...before(i), spread);
    let done = 0;
    const zonePlans = (only === undefined ? all : all.filter((z) => z.view.id === wanted)).map(({ view, surfaces: at, ...z }): ZonePlan => {
      const own = zones.at(view.id);
      const members = at.map((i) => {
        const made = ownAt(i);
        done += 1;
        told?.(done / facts.surfaces.length);
        return made;
      });
      const seen = own.view(view);
      const inside = own.rooms(z.rooms.map((r) => views[r]!));
      const zone = own.plan(
        seen,
        own.given(
          own.made(seen.kind, seen.sides, z.roomIds, inside, house, site, settings, longest.get(view.id) ?? 0, seen.setup.shiftH, air),
        ),
        own.members(members),
        own.checks(checks.get(view.id) ?? NO_CHECKS),
      );
      at.forEach((i, k) => (surfaces[i] = nodes[i]!.plan(members[k]!, zone)));
      return zone.plan;
    });
    return { given, zones: zonePlans, surfaces: surfaces.filter((x) => x !== undefined) };
  }

  return {
    derive(facts, settings, thisYear, told) {
      const made = plan(facts, settings, thisYear, undefined, told);
      return summarise(facts, settings, made.given.plans, made.zones, made.surfaces, made.given.areas);
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
  const rulebook = bookOf(facts.job);
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

/** Suspect coating that the work of one place disturbs, m2: what is on the list, and what was begun and taken off it. */
interface Disturbed {
  readonly onList: number;
  readonly offList: number;
  /** A window comes out: that is never minor work, whatever its size. 40 CFR 745.83. */
  readonly windowOut: boolean;
}

function minorWorkOf(
  space: Space,
  { onList, offList, windowOut }: Disturbed,
  rulebook: Rulebook,
  assisted: boolean,
): Answer<boolean | null> {
  const kept = assisted ? (rulebook.minorWorkAssisted ?? rulebook.minorWork) : rulebook.minorWork;
  if (kept === null) return answer(null, why('minor.noClass', 'clw2002'));
  const { is: limit, source } = space.kind === 'room' ? kept.insideRoom : kept.outside;
  const disturbedM2 = onList + offList;
  if (windowOut) return answer(false, why('minor.window', source));
  const within = disturbedM2 <= convert(limit.value, limit.unit, 'm2') + 1e-9;
  return answer(
    within,
    why(within ? 'minor.within' : 'minor.over', source, { disturbed: [measure(disturbedM2, 'm2'), limit] }),
    ...(offList > 0 ? [why('minor.offList', source, { off: measure(offList, 'm2') })] : []),
  );
}

/** What the plan proposes counts as what somebody chose: a window that it takes out is no minor work either. */
function withWindowsOut(spaces: readonly SpacePlan[], surfaces: readonly Made[], facts: JobFacts): readonly SpacePlan[] {
  const elements = new Map(facts.surfaces.map((s) => [s.id, s.element]));
  const out = new Set(
    surfaces
      .filter(
        ({ plan: p }) =>
          isWindow(elements.get(p.surfaceId)!) &&
          p.choice.parts.some((x) => x.selected.value !== null && methodById(x.selected.value).removesPiece),
      )
      .map(({ plan: p }) => p.spaceId),
  );
  if (out.size === 0) return spaces;
  return spaces.map((s) =>
    out.has(s.spaceId) && s.minorWork.value === true ? { ...s, minorWork: answer(false, why('minor.window', 'cfr40-745.83')) } : s,
  );
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

const flat = (n: number) => ({ low: n, high: n });
const noStates = (): Record<HazardState, number> => ({ unknown: 0, assumed: 0, waiting: 0, found: 0, notFound: 0 });

function summarise(
  facts: JobFacts,
  settings: FirmSettings,
  spaces: readonly SpacePlan[],
  zones: readonly ZonePlan[],
  surfaces: readonly Made[],
  areas: readonly AsbestosArea[],
): JobPlan {
  const states = { lead: noStates(), asbestos: noStates(), mold: noStates() };
  const tests = testsMoney(facts, settings);
  const rulebook = bookFor(facts.job, settings);
  const wantedOf = new Map(facts.surfaces.map((s) => [s.id, s.colour]));
  const packs = restOfTins(
    surfaces.map((x) => ({ coating: x.plan.coating, colour: wantedOf.get(x.plan.surfaceId) ?? '' })),
    settings,
    rulebook.id,
  );
  const beside = tests + packs;
  const totals = { areaM2: 0, personHours: { low: 0, high: 0 }, money: { low: beside, high: beside } };
  const methods = { low: 0, high: 0 };
  let coats = 0;
  for (const { tally: t } of surfaces) {
    states.lead[t.lead] += 1;
    states.asbestos[t.asbestos] += 1;
    states.mold[t.mold] += 1;
    totals.areaM2 += t.areaM2;
    totals.personHours.low += t.hoursLow;
    totals.personHours.high += t.hoursHigh;
    totals.money.low += t.moneyLow;
    totals.money.high += t.moneyHigh;
    methods.low += t.materialsLow;
    methods.high += t.materialsHigh;
    coats += t.coats;
  }
  const { labourPerHour } = settings;
  const lines: MoneyLines = {
    labour: { low: totals.personHours.low * labourPerHour, high: totals.personHours.high * labourPerHour },
    methods,
    coats: flat(coats),
    packs: flat(packs),
    sheet: flat(zones.reduce((sum, z) => sum + z.bought.sheet, 0)),
    wear: zones.reduce((sum, z) => plus(sum, z.bought.wear), NOTHING),
    disposal: flat(zones.reduce((sum, z) => sum + z.bought.disposal, 0)),
    tests: flat(tests),
  };
  return {
    jobId: facts.job.id,
    rulebook: rulebook.id,
    edition: rulebook.edition,
    spaces: withWindowsOut(spaces, surfaces, facts),
    zones,
    surfaces: surfaces.map((x) => x.plan),
    totals: { ...totals, lines },
    states,
    areas,
    next: nextOnJob(facts, surfaces),
  };
}
