/**
 * Composes the stages: facts in, everything derived out.
 * A deriver remembers each surface by reference and context, so that editing one surface derives one surface.
 */
import type { Job, JobFacts, Problem, Space, Surface } from './facts';
import { surfaceProblems } from './facts';
import type { SurfaceContext } from './context';
import { choose, methodById, type Choice, type OptionMemo } from './choose';
import { coat, type CoatingPlan } from './coat';
import { asbestosPicture, leadPicture, stackOf, judgeReading, standingReadings, type HazardState, type LeadPicture } from './probe';
import { protect, type Protection } from './protect';
import { answer, why, type Answer } from './reasons';
import { RULEBOOKS, type FirmSettings, type Rulebook } from './rulebook';
import { convert, measure } from './units/units';
import { liveLayers, takeOff, type TakeOff } from './walk';
import { workPlan, type WorkPlan } from './work';

export interface SurfacePlan {
  readonly surfaceId: string;
  readonly spaceId: string;
  readonly area: TakeOff;
  readonly lead: LeadPicture;
  readonly asbestos: Answer<HazardState>;
  readonly choice: Choice;
  readonly protection: Protection;
  readonly coating: CoatingPlan;
  readonly work: WorkPlan;
  readonly money: { readonly low: number; readonly high: number };
  /** What must be put right before the plan can be trusted. */
  readonly problems: readonly Problem[];
  /** The next thing to do on this surface. */
  readonly next: { readonly act: NextAct; readonly because: Answer<unknown>['because'] };
}

export interface SpacePlan {
  readonly spaceId: string;
  /** Suspect coating that the work here disturbs, m2. */
  readonly disturbedM2: number;
  readonly minorWork: Answer<boolean | null>;
}

/** In the order of work: of several open acts, the earliest comes first. */
export const NEXT_ACTS = [
  'addSpace',
  'addSurface',
  'fixProblem',
  'addCoats',
  'test',
  'choose',
  'waitForLab',
  'protect',
  'work',
  'nothing',
] as const;
export type NextAct = (typeof NEXT_ACTS)[number];
const ACT_RANK = Object.fromEntries(NEXT_ACTS.map((a, i) => [a, i])) as Readonly<Record<NextAct, number>>;

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
  readonly states: Readonly<Record<HazardState, number>>;
  readonly next: { readonly act: NextAct; readonly surfaceId: string | null; readonly because: Answer<unknown>['because'] };
}

interface Local {
  readonly area: TakeOff;
  readonly leadPresent: boolean;
  readonly found: boolean;
  /** Area that counts towards minor work: what no person has decided to leave. */
  readonly disturbedM2: number;
}

/** A surface's plan, and what it was derived from beside the surface itself. */
interface Remembered {
  readonly jobKey: string;
  readonly spaceKey: string;
  readonly twin: boolean;
  readonly settings: FirmSettings;
  readonly plan: SurfacePlan;
}

/**
 * What is remembered of the surface at one place in the list: its last version only, so that memory stays as large as the job.
 * By place and not by id, because an edit leaves the places alone and looking at a place is quicker.
 */
interface Slot {
  readonly of: Surface;
  readonly year: number | null;
  readonly rulebook: Rulebook['id'];
  readonly local: Local;
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
  const byAge = year === null || year < rulebook.leadPresumedBefore.is.value;
  const judged = standingReadings(s.readings).map((r) => ({ r, says: judgeReading(r, rulebook).says }));
  const found = judged.some((j) => j.says === 'lead');
  const coats = liveLayers(s);
  // Cleared only by one test that went through every coat to the material, with nothing against it and nothing out.
  const cleared =
    judged.every((j) => j.says === 'noLead' || j.says === 'unclear') &&
    judged.some(
      (j) => j.says === 'noLead' && (j.r.kind === 'xrf' || (j.r.toSubstrate && coats.every((c) => j.r.reachedLayerIds.includes(c.id)))),
    );
  const disturbedM2 = s.parts
    .filter((p) => p.removedAt === null)
    .reduce((sum, p) => {
      const leaves = p.methodId !== null && !methodById(p.methodId).disturbs;
      // Taking a piece out counts the whole piece. 40 CFR 745.83
      if (p.methodId !== null && methodById(p.methodId).removesPiece) return area.totalM2;
      return leaves ? sum : Math.min(sum + (area.partM2[p.id] ?? 0), area.totalM2);
    }, 0);
  return { area, leadPresent: found || (byAge && !cleared), found, disturbedM2 };
}

interface JobContext {
  readonly key: string;
  /** One slot for each surface, in the order of the facts. */
  readonly slots: readonly Slot[];
  readonly spaces: ReadonlyMap<string, { readonly space: Space; readonly plan: SpacePlan; readonly key: string }>;
  readonly twins: ReadonlySet<string>;
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

export function createDeriver(): Deriver {
  const slots: Slot[] = [];

  function slotAt(i: number, s: Surface, year: number | null, rulebook: Rulebook): Slot {
    const known = slots[i];
    if (known && known.of === s && known.year === year && known.rulebook === rulebook.id) return known;
    const made: Slot = { of: s, year, rulebook: rulebook.id, local: localOf(s, year, rulebook), remembered: null };
    slots[i] = made;
    return made;
  }

  function jobContext(facts: JobFacts, thisYear: number): JobContext {
    const { job } = facts;
    const rulebook = RULEBOOKS[job.rulebook];
    const bySpace = new Map(facts.spaces.map((s) => [s.id, s]));
    const sums = new Map<string, number>();
    const twins = new Set<string>();
    slots.length = Math.min(slots.length, facts.surfaces.length);
    facts.surfaces.forEach((s, i) => {
      const { local } = slotAt(i, s, yearOf(job, bySpace.get(s.spaceId), s), rulebook);
      if (s.removedAt !== null) {
        if (local.found) twins.add(`${s.spaceId}|${s.element}`);
      } else if (local.leadPresent) sums.set(s.spaceId, (sums.get(s.spaceId) ?? 0) + local.disturbedM2);
    });
    // All work on one outside counts together; each room counts by itself. 40 CFR 745.83
    const outsideM2 = facts.spaces
      .filter((s) => s.kind === 'elevation' && s.removedAt === null)
      .reduce((sum, s) => sum + (sums.get(s.id) ?? 0), 0);
    const spaces = new Map(
      live(facts.spaces).map((space) => {
        const disturbedM2 = space.kind === 'elevation' ? outsideM2 : (sums.get(space.id) ?? 0);
        const minorWork = minorWorkOf(space, disturbedM2, rulebook);
        const key = [space.kind, space.lengthM, space.widthM, space.heightM, space.boundaryM, space.yearBuilt, minorWork.value].join('|');
        return [space.id, { space, plan: { spaceId: space.id, disturbedM2, minorWork }, key }] as const;
      }),
    );
    return { key: [job.rulebook, job.yearBuilt, job.childUnder6, job.pregnancy, job.dwelling, thisYear].join('|'), slots, spaces, twins };
  }

  function planSurface(facts: JobFacts, i: number, jc: JobContext, settings: FirmSettings, thisYear: number): SurfacePlan | undefined {
    const slot = jc.slots[i]!;
    const s = slot.of;
    const at = jc.spaces.get(s.spaceId);
    if (s.removedAt !== null || !at) return undefined;
    const twin = jc.twins.size > 0 && jc.twins.has(`${s.spaceId}|${s.element}`);
    const known = slot.remembered;
    if (known && known.jobKey === jc.key && known.spaceKey === at.key && known.twin === twin && known.settings === settings)
      return known.plan;
    const { job } = facts;
    const rulebook = RULEBOOKS[job.rulebook];
    const { space } = at;
    const ctx: SurfaceContext = {
      rulebook,
      settings,
      builtYear: slot.year,
      place: s.bench ? 'bench' : space.kind === 'room' ? 'inside' : 'outside',
      dwelling: job.dwelling,
      childOrPregnancy: occupants(job),
      foundOnRemovedTwin: twin,
      space,
      minorWork: at.plan.minorWork.value,
    };
    const plan = planWith(facts, s, ctx, slot.local.area, optionsUnder(settings), thisYear);
    slot.remembered = { jobKey: jc.key, spaceKey: at.key, twin, settings, plan };
    return plan;
  }

  return {
    derive(facts, settings, thisYear) {
      const jc = jobContext(facts, thisYear);
      const surfaces: SurfacePlan[] = [];
      for (let i = 0; i < facts.surfaces.length; i += 1) {
        const plan = planSurface(facts, i, jc, settings, thisYear);
        if (plan) surfaces.push(plan);
      }
      return summarise(
        facts,
        [...jc.spaces.values()].map((x) => x.plan),
        surfaces,
      );
    },
    surface(facts, surfaceId, settings, thisYear) {
      const i = facts.surfaces.findIndex((x) => x.id === surfaceId);
      return i < 0 ? undefined : planSurface(facts, i, jobContext(facts, thisYear), settings, thisYear);
    },
  };
}

function minorWorkOf(space: Space, disturbedM2: number, rulebook: Rulebook): Answer<boolean | null> {
  if (rulebook.minorWork === null) return answer(null, why('minor.noClass', 'clw2002'));
  const { is: limit, source } = space.kind === 'room' ? rulebook.minorWork.insideRoom : rulebook.minorWork.outside;
  const within = disturbedM2 <= convert(limit.value, limit.unit, 'm2') + 1e-9;
  return answer(within, why(within ? 'minor.within' : 'minor.over', source, { disturbed: [measure(disturbedM2, 'm2'), limit] }));
}

function planWith(facts: JobFacts, s: Surface, ctx: SurfaceContext, area: TakeOff, memo: OptionMemo, thisYear: number): SurfacePlan {
  const stack = stackOf(s);
  const lead = leadPicture(s, stack, ctx);
  const asbestos = asbestosPicture(stack, ctx);
  const choice = choose(s, ctx, area, lead, asbestos.value, memo);
  const protection = protect(s, ctx, choice, lead, asbestos.value);
  const coating = coat(s, ctx, area, choice);
  const work = workPlan({ s, ctx, choice, protection, coating, lead });
  const materials = choice.parts.reduce(
    (sum, p) => sum + (p.options.find((o) => o.methodId === p.selected.value)?.perM2.materials ?? 0) * p.areaM2,
    0,
  );
  const fixed = materials + protection.sheetBoughtM2 * ctx.settings.sheetPerM2 + protection.bags.value * ctx.settings.bagEach;
  const money = {
    low: work.handsOnH.low * ctx.settings.labourPerHour + fixed,
    high: work.handsOnH.high * ctx.settings.labourPerHour + fixed,
  };
  const problems = surfaceProblems(facts, s, 'surface', thisYear);
  const base = { surfaceId: s.id, spaceId: s.spaceId, area, lead, asbestos, choice, protection, coating, work, money, problems };
  return { ...base, next: nextOnSurface(s, base) };
}

/** The next thing on one surface, in the order of work. */
function nextOnSurface(s: Surface, p: Omit<SurfacePlan, 'next'>): SurfacePlan['next'] {
  const test = p.lead.next;
  if (p.problems.length > 0) return { act: 'fixProblem', because: [] };
  if (!s.coatsCounted && s.layers.every((l) => l.removedAt !== null)) return { act: 'addCoats', because: [] };
  if (test.value === 'notchAllCoats' || test.value === 'labAllCoats') return { act: 'test', because: test.because };
  if (p.choice.parts.some((c) => !c.chosenByPerson)) return { act: 'choose', because: p.choice.required.because };
  if (test.value === 'waitForLab') return { act: 'waitForLab', because: test.because };
  if (p.work.standsAt === 'protect') return { act: 'protect', because: p.protection.needed.because };
  return { act: p.work.standsAt === null ? 'nothing' : 'work', because: [] };
}

/** Of all surfaces, the one whose next act comes earliest in the order of work. */
function nextOnJob(facts: JobFacts, surfaces: readonly SurfacePlan[]): JobPlan['next'] {
  if (!facts.spaces.some((s) => s.removedAt === null)) return { act: 'addSpace', surfaceId: null, because: [] };
  let first: SurfacePlan | undefined;
  let rank: number = NEXT_ACTS.length;
  for (const p of surfaces) {
    if (ACT_RANK[p.next.act] >= rank) continue;
    first = p;
    rank = ACT_RANK[p.next.act];
  }
  return first
    ? { act: first.next.act, surfaceId: first.surfaceId, because: first.next.because }
    : { act: 'addSurface', surfaceId: null, because: [] };
}

function summarise(facts: JobFacts, spaces: readonly SpacePlan[], surfaces: readonly SurfacePlan[]): JobPlan {
  const states: Record<HazardState, number> = { unknown: 0, assumed: 0, waiting: 0, found: 0, notFound: 0 };
  const totals = { areaM2: 0, personHours: { low: 0, high: 0 }, money: { low: 0, high: 0 } };
  for (const p of surfaces) {
    states[p.lead.overall.value] += 1;
    totals.areaM2 += p.area.totalM2;
    totals.personHours.low += p.work.handsOnH.low;
    totals.personHours.high += p.work.handsOnH.high;
    totals.money.low += p.money.low;
    totals.money.high += p.money.high;
  }
  const rulebook = RULEBOOKS[facts.job.rulebook];
  return {
    jobId: facts.job.id,
    rulebook: rulebook.id,
    edition: rulebook.edition,
    spaces,
    surfaces,
    totals,
    states,
    next: nextOnJob(facts, surfaces),
  };
}
