/**
 * A whole job: facts in, everything derived out (one surface: surface-plan.ts).
 * A deriver remembers each surface by reference and context, so that editing one surface derives one surface.
 */
import type { Hazard, InstrumentCheck, Job, JobFacts, Space, Surface } from './facts';
import type { SurfaceContext } from './context';
import { methodById } from './catalogue';
import type { OptionMemo } from './choose';
import {
  asbestosAreas,
  asbestosPicture,
  instrumentBook,
  leadEverFound,
  leadIsPresent,
  NO_ASBESTOS,
  placesOf,
  stackOf,
  samePast,
  suspectsOf,
  type AsbestosArea,
  type AsbestosPicture,
  type HazardState,
  type InstrumentBook,
  type Past,
  type Suspect,
} from './probe';
import { moldPicture, type MoldKit } from './probe/mold';
import { answer, why, type Answer } from './reasons';
import { RULEBOOKS, type FirmSettings, type Rulebook } from './rulebook';
import { ACT_RANK, NEXT_ACTS, planSurface, type NextAct, type SurfacePlan } from './surface-plan';
import { NO_TRIALS } from './trial';
import { convert, measure } from './units/units';
import { isPaid, takeOff, type TakeOff } from './walk';

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

/** A surface's plan, and what it was derived from beside the surface itself. */
interface Remembered {
  readonly jobKey: string;
  readonly spaceKey: string;
  readonly past: Past;
  readonly instruments: InstrumentBook;
  readonly asbestos: AsbestosPicture;
  readonly settings: FirmSettings;
  readonly plan: SurfacePlan;
  readonly tally: Tally;
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

/**
 * What is remembered of the surface at one place in the list: its last version only, so that memory stays as large as the job.
 * By place and not by id, because an edit leaves the places alone and looking at a place is quicker.
 */
interface Slot {
  readonly of: Surface;
  readonly year: number | null;
  readonly rulebook: Rulebook['id'];
  readonly instruments: InstrumentBook;
  readonly local: Local;
  /** Whether lead is present on it, under what the place remembers. */
  lead: { readonly past: Past; readonly present: boolean } | null;
  remembered: Remembered | null;
}

export interface Deriver {
  derive(facts: JobFacts, settings: FirmSettings, thisYear: number): JobPlan;
  /** One surface alone, with the same memory. */
  surface(facts: JobFacts, surfaceId: string, settings: FirmSettings, thisYear: number): SurfacePlan | undefined;
}

const live = <T extends { removedAt: string | null }>(xs: readonly T[]): T[] => xs.filter((x) => x.removedAt === null);

const yearOf = (job: Job, space: Space | undefined, s: Surface): number | null => s.yearMade ?? space?.yearBuilt ?? job.yearBuilt;

function occupants(job: Job): SurfaceContext['childOrPregnancy'] {
  if (job.childUnder6 === 'yes' || job.pregnancy === 'yes') return 'yes';
  return job.childUnder6 === 'no' && job.pregnancy === 'no' ? 'no' : 'unknown';
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
  const suspects = suspectsOf(s, year, area.totalM2, rulebook);
  const moldy = s.conditions.includes('moldy') || (s.moldM2 ?? 0) > 0;
  return { area, found, moldy, suspects, disturbedM2 };
}

/** What the sum of minor work counts is what the surface's own plan calls present. */
function leadAt(slot: Slot, past: Past, rulebook: Rulebook): boolean {
  if (slot.lead === null || !samePast(slot.lead.past, past)) {
    const view = { rulebook, builtYear: slot.year, instruments: slot.instruments, past };
    slot.lead = { past, present: leadIsPresent(slot.of, stackOf(slot.of), view) };
  }
  return slot.lead.present;
}

interface JobContext {
  readonly key: string;
  /** One slot for each surface, in the order of the facts. */
  readonly slots: readonly Slot[];
  readonly spaces: ReadonlyMap<
    string,
    { readonly space: Space; readonly plan: SpacePlan; readonly moldKit: Answer<MoldKit> | null; readonly key: string }
  >;
  /** By place in the list. */
  readonly past: readonly Past[];
  readonly instruments: InstrumentBook;
  readonly areas: readonly AsbestosArea[];
  /** By place in the list. */
  readonly asbestos: readonly (AsbestosPicture | undefined)[];
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
 * What the homogeneous areas say, remembered while no surface in them changes. A picture that comes out the same stays the same
 * object, so that one new sample does not derive every wall again.
 */
function createAreaMemory() {
  let seen: readonly Slot[] = [];
  let held: readonly (readonly Suspect[])[] = [];
  let by: Rulebook['id'] | undefined;
  let areas: readonly AsbestosArea[] = [];
  let pictures: (AsbestosPicture | undefined)[] = [];
  const byText = new Map<string, AsbestosPicture>();
  // Of a suspect surface only this matters here: what it holds and how much, its samples and their answers.
  const same = (slots: readonly Slot[], suspects: readonly (readonly Suspect[])[], rulebook: Rulebook) => {
    if (slots.length !== seen.length || rulebook.id !== by) return false;
    for (let i = 0; i < slots.length; i += 1) {
      const a = slots[i]!;
      const b = seen[i]!;
      if (suspects[i]!.length !== held[i]!.length) return false;
      if (a === b) continue;
      if (signOf(suspects[i]!) !== signOf(held[i]!)) return false;
      if (suspects[i]!.length === 0) continue;
      if (a.of.samples !== b.of.samples || a.of.readings !== b.of.readings) return false;
      if (a.of.removedAt !== b.of.removedAt || a.of.spaceId !== b.of.spaceId) return false;
    }
    return true;
  };
  return (slots: readonly Slot[], suspects: readonly (readonly Suspect[])[], rulebook: Rulebook) => {
    if (!same(slots, suspects, rulebook)) {
      const suspected = slots.flatMap((x, i) => (suspects[i]!.length > 0 ? [{ surface: x.of, suspects: suspects[i]! }] : []));
      areas = asbestosAreas(suspected, rulebook);
      const byKey = new Map(areas.map((a) => [a.key, a]));
      if (byText.size > 5000) byText.clear();
      pictures = slots.map((x, i) => {
        if (suspects[i]!.length === 0) return undefined;
        const made = asbestosPicture(x.of, suspects[i]!, byKey);
        const text = JSON.stringify(made);
        const known = byText.get(text);
        if (!known) byText.set(text, made);
        return known ?? made;
      });
    }
    seen = slots.slice();
    held = suspects.slice();
    by = rulebook.id;
    return { areas, pictures };
  };
}
const signOf = (suspects: readonly Suspect[]): string => suspects.map((x) => `${x.key}:${x.areaM2}:${x.runM}`).join(';');

export function createDeriver(): Deriver {
  const slots: Slot[] = [];
  const areasOf = createAreaMemory();
  let book: { readonly of: readonly InstrumentCheck[]; readonly is: InstrumentBook } = { of: [], is: instrumentBook([]) };

  function slotAt(i: number, s: Surface, year: number | null, rulebook: Rulebook, instruments: InstrumentBook): Slot {
    const known = slots[i];
    if (known && known.of === s && known.year === year && known.rulebook === rulebook.id && known.instruments === instruments) return known;
    const local = localOf(s, year, rulebook);
    const made: Slot = { of: s, year, rulebook: rulebook.id, instruments, local, lead: null, remembered: null };
    slots[i] = made;
    return made;
  }

  function jobContext(facts: JobFacts, thisYear: number): JobContext {
    const { job } = facts;
    const rulebook = RULEBOOKS[job.rulebook];
    const bySpace = new Map(facts.spaces.map((s) => [s.id, s]));
    const sums = new Map<string, number>();
    if (book.of !== facts.instrumentChecks) book = { of: facts.instrumentChecks, is: instrumentBook(facts.instrumentChecks) };
    slots.length = Math.min(slots.length, facts.surfaces.length);
    facts.surfaces.forEach((s, i) => slotAt(i, s, yearOf(job, bySpace.get(s.spaceId), s), rulebook, book.is));
    const places = placesOf(
      slots.map((x) => ({ of: x.of, found: x.local.found, moldy: x.local.moldy, suspects: x.local.suspects })),
      bySpace,
      rulebook,
    );
    slots.forEach((x, i) => {
      const { of: s, local } = x;
      if (s.removedAt === null && local.disturbedM2 > 0 && leadAt(x, places.past[i]!, rulebook))
        sums.set(s.spaceId, (sums.get(s.spaceId) ?? 0) + local.disturbedM2);
    });
    const moldy = new Set(slots.flatMap((x) => (x.local.moldy && x.of.removedAt === null ? [x.of.spaceId] : [])));
    // All work on one outside counts together; each room counts by itself. 40 CFR 745.83
    const outsideM2 = facts.spaces
      .filter((s) => s.kind === 'elevation' && s.removedAt === null)
      .reduce((sum, s) => sum + (sums.get(s.id) ?? 0), 0);
    const spaces = new Map(
      live(facts.spaces).map((space) => {
        const disturbedM2 = space.kind === 'elevation' ? outsideM2 : (sums.get(space.id) ?? 0);
        const minorWork = minorWorkOf(space, disturbedM2, rulebook, job.publicFunding === 'yes');
        const moldKit = moldy.has(space.id)
          ? moldPicture(
              space,
              facts.surfaces.filter((s) => s.spaceId === space.id && s.removedAt === null),
              rulebook,
            ).equipment
          : null;
        const key = [
          space.kind,
          moldKit?.value,
          space.lengthM,
          space.widthM,
          space.heightM,
          space.boundaryM,
          space.goesAnyway,
          space.yearBuilt,
          minorWork.value,
          space.services.join(),
          space.accessM,
          space.moisture?.leak,
          space.moisture?.rising,
        ].join('|');
        return [space.id, { space, plan: { spaceId: space.id, disturbedM2, minorWork }, moldKit, key }] as const;
      }),
    );
    const { areas, pictures } = areasOf(slots, places.suspects, rulebook);
    return {
      key: [
        job.rulebook,
        job.yearBuilt,
        job.childUnder6,
        job.pregnancy,
        job.dwelling,
        isPaid(job),
        job.publicFunding,
        job.power,
        job.water,
        job.listed,
        job.asthma,
        job.otherTrades.trim() !== '',
        job.livedIn,
        thisYear,
      ].join('|'),
      slots,
      spaces,
      past: places.past,
      instruments: book.is,
      areas,
      asbestos: pictures,
    };
  }

  function planAt(facts: JobFacts, i: number, jc: JobContext, settings: FirmSettings, thisYear: number): Remembered | undefined {
    const slot = jc.slots[i]!;
    const s = slot.of;
    const at = jc.spaces.get(s.spaceId);
    if (s.removedAt !== null || !at) return undefined;
    const past = jc.past[i]!;
    const known = slot.remembered;
    const { instruments } = jc;
    const asbestos = jc.asbestos[i] ?? NO_ASBESTOS;
    if (
      known &&
      known.jobKey === jc.key &&
      known.spaceKey === at.key &&
      samePast(known.past, past) &&
      known.settings === settings &&
      known.instruments === instruments &&
      known.asbestos === asbestos
    )
      return known;
    const { job } = facts;
    const rulebook = RULEBOOKS[job.rulebook];
    const { space } = at;
    const ctx: SurfaceContext = {
      rulebook,
      settings,
      builtYear: slot.year,
      place: s.bench ? 'bench' : space.kind === 'room' ? 'inside' : 'outside',
      dwelling: job.dwelling,
      paid: isPaid(job),
      assisted: job.publicFunding === 'yes',
      moldKit: at.moldKit,
      childOrPregnancy: occupants(job),
      past,
      thisYear,
      site: {
        power: job.power,
        water: job.water,
        listed: job.listed,
        asthma: job.asthma,
        others: job.otherTrades.trim() !== '' || job.livedIn === 'yes',
        services: space.services,
        high: (space.accessM ?? 0) > HIGH_M,
        accessM: space.accessM ?? 0,
      },
      instruments,
      trials: NO_TRIALS,
      asbestos,
      space,
      minorWork: at.plan.minorWork.value,
    };
    const plan = planSurface(facts, s, ctx, slot.local.area, optionsUnder(settings), thisYear);
    slot.remembered = { jobKey: jc.key, spaceKey: at.key, past, settings, instruments, asbestos, plan, tally: tallyOf(plan) };
    return slot.remembered;
  }

  return {
    derive(facts, settings, thisYear) {
      const jc = jobContext(facts, thisYear);
      const surfaces: Remembered[] = [];
      for (let i = 0; i < facts.surfaces.length; i += 1) {
        const made = planAt(facts, i, jc, settings, thisYear);
        if (made) surfaces.push(made);
      }
      return summarise(
        facts,
        [...jc.spaces.values()].map((x) => x.plan),
        surfaces,
        jc.areas,
      );
    },
    surface(facts, surfaceId, settings, thisYear) {
      const i = facts.surfaces.findIndex((x) => x.id === surfaceId);
      return i < 0 ? undefined : planAt(facts, i, jobContext(facts, thisYear), settings, thisYear)?.plan;
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

/** Above this the work is done from a ladder or a scaffold. */
const HIGH_M = 2;

function minorWorkOf(space: Space, disturbedM2: number, rulebook: Rulebook, assisted: boolean): Answer<boolean | null> {
  const kept = assisted ? (rulebook.minorWorkAssisted ?? rulebook.minorWork) : rulebook.minorWork;
  if (kept === null) return answer(null, why('minor.noClass', 'clw2002'));
  const { is: limit, source } = space.kind === 'room' ? kept.insideRoom : kept.outside;
  const within = disturbedM2 <= convert(limit.value, limit.unit, 'm2') + 1e-9;
  return answer(within, why(within ? 'minor.within' : 'minor.over', source, { disturbed: [measure(disturbedM2, 'm2'), limit] }));
}

/** Of all surfaces, the one whose next act comes earliest in the order of work. */
function nextOnJob(facts: JobFacts, surfaces: readonly Remembered[]): JobPlan['next'] {
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
  surfaces: readonly Remembered[],
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
    surfaces: surfaces.map((x) => x.plan),
    totals,
    states,
    areas,
    next: nextOnJob(facts, surfaces),
  };
}
