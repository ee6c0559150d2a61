/** The little of a job's plan that lists and counts need: small enough to cross from a worker at every keystroke. */
import { UNCOUNTED, type JobFacts, type MethodId } from '../facts';
import { ASKED, beside, mayI, type AskedMethod, type MayI, type Verdict } from '../choose';
import type { JobPlan } from './plan';
import type { HazardKind } from '../surface/needs';
import type { NextAct } from '../surface/plan';
import type { SurfacePlan } from '../zone/surface-plan';
import type { Asked, Step } from '../step';
import type { ZonePlan } from '../zone';
import { jobSteps } from './steps';
import { type HazardState, type HazardWord, type NextTest, type TodaySurface } from '../probe';

/** As the count of today takes a surface. */
export const todaySurface = (d: SurfaceDigest): TodaySurface => ({
  surfaceId: d.surfaceId,
  states: { lead: d.lead, asbestos: d.asbestos, mold: d.mold },
  touch: d.touch,
  low: [d.leadIs, d.asbestosIs].some((w) => w === 'trace' || w === 'below'),
});

export interface SurfaceDigest {
  readonly surfaceId: string;
  readonly spaceId: string;
  readonly zoneId: string;
  readonly areaM2: number;
  readonly lead: HazardState;
  /** Its word and that of asbestos on the ladder, by which lists and drawings name them. */
  readonly leadIs: HazardWord;
  readonly asbestosIs: HazardWord;
  readonly coats: readonly { readonly binder: string; readonly state: HazardWord; readonly counted: boolean }[];
  readonly asbestos: HazardState;
  readonly mold: HazardState;
  readonly touch: TodaySurface['touch'];
  /** Whether what is asked for most may be done on it. */
  readonly may: Readonly<Record<AskedMethod, MayI>>;
  /** Methods that are blocked on every part. */
  readonly blocked: readonly MethodId[];
  readonly nextTest: NextTest;
  readonly trial: {
    /** Squares with an answer, and methods for which they are not enough. */
    readonly squares: number;
    readonly open: number;
    /** The plan stays a draft for want of a square. */
    readonly missing: boolean;
    /** What is proved to work here. */
    readonly works: readonly MethodId[];
  };
  readonly picks: readonly {
    readonly partId: string;
    readonly methodId: MethodId | null;
    readonly verdict: Verdict;
    readonly byPerson: boolean;
  }[];
  /** How many coats, from the top, the deepest picked method reaches. */
  readonly bite: number;
  readonly protect: boolean;
  readonly respirator: SurfacePlan['protection']['respirator']['value'];
  /** Of its zone, as laid. */
  readonly sheetM2: number;
  readonly coatsToApply: number;
  readonly handsOnH: { readonly low: number; readonly high: number };
  readonly money: { readonly low: number; readonly high: number };
  /** Its plan has no price, and stands in no sum. */
  readonly unpriced: boolean;
  readonly standsAt: string | null;
  /** Its own checks, passed and in all. */
  readonly passed: number;
  readonly checks: number;
  readonly problems: number;
  readonly act: NextAct;
}

/** What a list of zones shows of one. */
export interface ZoneDigest extends Pick<
  ZonePlan,
  'zoneId' | 'name' | 'kind' | 'spaceIds' | 'surfaceIds' | 'fibreIds' | 'order' | 'handsOnH' | 'money' | 'standsAt' | 'partOf'
> {
  readonly care: ZonePlan['protection']['care'];
  readonly hazards: readonly HazardKind[];
  readonly respirator: ZonePlan['protection']['respirator']['value'];
  readonly sheetM2: number;
  readonly beyondM: number;
  readonly sheet: ZonePlan['protection']['sheet'];
  readonly openings: ZonePlan['protection']['openings']['value'];
  readonly screen: boolean;
  /** Checks of its own and of its surfaces, passed and in all. */
  readonly passed: number;
  readonly checks: number;
  /** What its own checks hold a number against. */
  readonly asks: readonly Asked[];
}

export interface JobDigest extends Pick<JobPlan, 'jobId' | 'totals' | 'states' | 'next' | 'spaces'> {
  readonly surfaces: readonly SurfaceDigest[];
  readonly zones: readonly ZoneDigest[];
  /** What is done once for the whole job. */
  readonly steps: readonly Step[];
  /** Surfaces of which no plan has a price. */
  readonly unpriced: number;
}

function blockedEverywhere(p: SurfacePlan): MethodId[] {
  const [first, ...rest] = p.choice.parts;
  if (!first) return [];
  const open = new Set<MethodId>();
  for (const part of [first, ...rest]) for (const o of part.options) if (o.verdict !== 'blocked') open.add(o.methodId);
  // What never was for this material is no news.
  return first.options.filter((o) => !open.has(o.methodId) && !beside(o)).map((o) => o.methodId);
}

function digestSurface(p: SurfacePlan): SurfaceDigest {
  const own = p.work.steps.flatMap((st) => (st.shared ? [] : st.gates));
  const picks = p.choice.parts.map((part) => {
    const o = part.options.find((x) => x.methodId === part.selected.value);
    return {
      partId: part.partId,
      methodId: part.selected.value,
      verdict: o?.verdict ?? ('blocked' as const),
      byPerson: part.chosenByPerson,
      reach: o?.coatsReached ?? 0,
    };
  });
  return {
    surfaceId: p.surfaceId,
    spaceId: p.spaceId,
    zoneId: p.zoneId,
    areaM2: p.area.totalM2,
    lead: p.lead.overall.value,
    leadIs: p.lead.standing.word,
    asbestosIs: p.asbestos.standing.word,
    coats: p.lead.coats.map((c) => ({ binder: c.coat.binder, state: c.standing.word, counted: c.coat.id !== UNCOUNTED })),
    asbestos: p.asbestos.overall.value,
    mold: p.mold.value,
    touch: Object.fromEntries(p.touch.map((x) => [x.depth, x.answer.value])) as TodaySurface['touch'],
    may: Object.fromEntries(ASKED.map((m) => [m, mayI(p.choice.parts, m)])) as SurfaceDigest['may'],
    blocked: blockedEverywhere(p),
    nextTest: p.lead.next.value,
    trial: {
      squares: p.trials.reduce((n, t) => n + t.squares, 0),
      open: p.trials.filter((t) => t.state.value === 'open').length,
      missing: p.issue.because.some((r) => r.rule.startsWith('issue.trial')),
      works: [...new Set(p.trials.filter((t) => t.state.value === 'works').map((t) => t.methodId))],
    },
    picks,
    bite: Math.max(0, ...picks.map((x) => x.reach)),
    protect: p.protection.needed.value,
    respirator: p.protection.respirator.value,
    sheetM2: p.protection.sheetLaidM2.value,
    coatsToApply: p.coating.lines.length,
    handsOnH: p.work.handsOnH,
    money: p.money,
    unpriced: p.proof === 'unpriced',
    standsAt: p.work.standsAt,
    passed: own.filter((g) => g.state === 'passed').length,
    checks: own.length,
    problems: p.problems.length,
    act: p.next.act,
  };
}

/** Digests of unchanged surfaces are the same objects as before: the plan remembers its own. */
const made = new WeakMap<SurfacePlan, SurfaceDigest>();

function digestZone(z: ZonePlan, byId: ReadonlyMap<string, SurfacePlan>): ZoneDigest {
  const { zoneId, name, kind, partOf, spaceIds, surfaceIds, fibreIds, order, handsOnH, money, standsAt, protection } = z;
  const own = surfaceIds.flatMap((id) => byId.get(id)?.work.steps.filter((st) => !st.shared) ?? []);
  const gates = [...z.steps, ...own].flatMap((st) => st.gates);
  return {
    ...{ zoneId, name, kind, partOf, spaceIds, surfaceIds, fibreIds, order, handsOnH, money, standsAt },
    care: protection.care,
    hazards: z.hazards.map((h) => h.kind),
    respirator: protection.respirator.value,
    sheetM2: protection.sheetLaidM2.value,
    beyondM: protection.sheetLaidM2.value > 0 ? protection.beyondM : 0,
    sheet: protection.sheet,
    openings: protection.openings.value,
    screen: protection.verticalScreen.value,
    passed: gates.filter((g) => g.state === 'passed').length,
    checks: gates.length,
    asks: z.steps.flatMap((st) => st.gates.flatMap((g) => g.asks)),
  };
}

export function digestOf(facts: JobFacts, plan: JobPlan): JobDigest {
  const byId = new Map(plan.surfaces.map((p) => [p.surfaceId, p]));
  const surfaces = plan.surfaces.map((p) => {
    const known = made.get(p);
    if (known) return known;
    const d = digestSurface(p);
    made.set(p, d);
    return d;
  });
  const whole = {
    zones: plan.zones.map((z) => digestZone(z, byId)),
    steps: jobSteps(facts, plan),
    unpriced: surfaces.filter((d) => d.unpriced).length,
  };
  return { jobId: plan.jobId, totals: plan.totals, states: plan.states, next: plan.next, spaces: plan.spaces, surfaces, ...whole };
}
