/** One surface through all the stages: what follows from its facts, what it costs, whether its plan may go out, what comes next. */
import { MASONRY, type MethodId, type Problem, type Surface } from '../facts';
import { surfaceProblems } from '../facts';
import type { Method } from '../catalogue';
import { isHistoric, type SurfaceContext } from '../views';
import {
  asbestosStates,
  choose,
  isRenewed,
  methodsOf,
  picksOf,
  priceProof,
  worksOn,
  type Choice,
  type OptionMemo,
  type PriceProof,
} from '../choose';
import type { Range } from '../units/units';
import { coat, type CoatingPlan } from '../coat';
import {
  isPresent,
  lastFaceC,
  leadPicture,
  moldOn,
  stackOf,
  withAssumedPoison,
  touchToday,
  type AsbestosPicture,
  type HazardState,
  type LeadPicture,
  type TouchToday,
} from '../probe';
import { needsOf, type Needs } from './needs';
import { answer, why, type Answer, type Reason } from '../reasons';
import { conclusionsOf, holdOf, trialBook, trialOn, usualMin, type Conclusion, type Hold } from '../trial';
import { isOpening, type TakeOff } from '../walk';
import { repairsOf, type Repair } from '../repair';
import { withSigns, type Sent } from '../sign';
import { priceOf } from '../shelf/firm-sheets';
import { maskingMoney, ownSteps, repairMoney } from '../work';
import { plus, type StepSpec } from '../step';
import { turnOf } from './turn';

/** What of its plan follows from the surface alone. */
export interface OwnPlan {
  readonly surfaceId: string;
  readonly spaceId: string;
  readonly area: TakeOff;
  readonly lead: LeadPicture;
  readonly asbestos: AsbestosPicture;
  readonly mold: Answer<HazardState>;
  /** What may be touched today, by depth. */
  readonly touch: readonly TouchToday[];
  /** What the trial squares say, by method and coating. */
  readonly trials: readonly Conclusion[];
  /** Whether the film holds. */
  readonly hold: Answer<Hold>;
  /** Whether the plan may go out, or stays a draft. */
  readonly issue: Answer<boolean>;
  readonly choice: Choice;
  readonly coating: CoatingPlan;
  /** What its methods use up, and what is laid on: of its own money, beside the work. */
  readonly materials: Range;
  /** What is done about each defect of its ground. */
  readonly repairs: readonly Repair[];
  readonly coats: number;
  readonly proof: PriceProof;
  /** What must be put right before the plan can be trusted. */
  readonly problems: readonly Problem[];
}

/** What follows from the surface alone. */
export interface SurfaceOwn {
  readonly plan: OwnPlan;
  readonly surfaceId: string;
  readonly name: string;
  /** From above down. */
  readonly turn: number;
  readonly needs: Needs;
  readonly steps: readonly StepSpec[];
  /** What was seen that sent work back. */
  readonly sent: readonly Sent[];
  readonly checks: Surface['checks'];
  readonly laid: Surface['laid'];
  readonly planned: readonly MethodId[];
  readonly workedM2: number;
  readonly opening: Surface['opening'];
  readonly labourPerHour: number;
  /** The next thing to do on it before anything is set up; null: it hangs on its checks. */
  readonly first: Next | null;
}

/** In the order of work: of several open acts, the earliest comes first. */
export const NEXT_ACTS = [
  'addSpace',
  'addSurface',
  'fixProblem',
  'addCoats',
  'test',
  'sampleAsbestos',
  'moldCause',
  'choose',
  'chooseCoat',
  'trial',
  'waitForLab',
  'protect',
  'work',
  'nothing',
] as const;
export type NextAct = (typeof NEXT_ACTS)[number];
/** The next thing to do on a surface. */
export interface Next {
  readonly act: NextAct;
  readonly because: readonly Reason[];
}
export const ACT_RANK = Object.fromEntries(NEXT_ACTS.map((a, i) => [a, i])) as Readonly<Record<NextAct, number>>;

export function planOwn(s: Surface, bare: SurfaceContext, area: TakeOff, memo: OptionMemo): SurfaceOwn {
  const stack = withAssumedPoison(s, stackOf(s), bare.builtYear);
  const trials = conclusionsOf(s, faceOf(s), bare.settings.rates, bare.rulebook.id);
  const ctx: SurfaceContext = trials.length === 0 ? bare : { ...bare, trials: trialBook(trials) };
  const lead = leadPicture(s, stack, ctx);
  const { asbestos } = ctx;
  const mold = moldOn(s, ctx.rulebook, ctx.past.mold);
  const hold = holdOf(s);
  const choice = choose(s, ctx, area, lead, hold.value, memo);
  const coating = coat(s, ctx, area, choice, lead);
  const methods = methodsOf(choice);
  const states = asbestosStates(asbestos);
  const touch = touchToday(
    lead,
    asbestos,
    mold.value,
    ctx.rulebook,
    methods.some((m) => m.removesPiece && worksOn(m, states)) ? 'piece' : methods.some((m) => worksOn(m, states)) ? 'coat' : null,
    ctx.site.ownHomeWithChild,
  );
  const stroked = methods.some((m) => m.disturbs);
  const repairs = repairsOf(s, ctx, area.totalM2, { stroked, renewed: isRenewed(choice) });
  const asked = { s, ctx, choice, coating, lead, repairs };
  const { steps, sent, materials: signed } = withSigns(ownSteps(asked), { s, ctx, choice, coating, lead });
  // What is left as it is, or waits for an answer, is not repaired either; what is asked about keeps its stuff in the price.
  const repairing = steps.some((st) => st.kind === 'repair' || st.key.step === 'askRepair' || st.key.step === 'askLevel');
  const plan: OwnPlan = {
    surfaceId: s.id,
    spaceId: s.spaceId,
    area,
    lead,
    asbestos,
    mold,
    touch,
    trials,
    hold,
    issue: issueOf(s, choice, ctx, trials, coating),
    choice,
    coating,
    repairs,
    materials: plus(
      materialsOf(choice),
      both(signed + maskingMoney(asked, steps) + (repairing ? repairMoney({ s, ctx, coating, repairs }) : 0)),
    ),
    coats: [...coating.lines, ...coating.refusedLines].reduce((sum, l) => sum + l.litres * priceOf(ctx.settings, l.product), 0),
    proof: priceProof(choice.parts),
    problems: surfaceProblems(null, s, 'surface', ctx.site.thisYear),
  };
  const needs = needsOf(s, ctx, choice, lead, coating, repairs);
  return {
    plan,
    surfaceId: s.id,
    name: s.name,
    turn: turnOf(s.element),
    needs,
    steps,
    sent,
    checks: s.checks,
    laid: s.laid,
    planned: methods.map((m) => m.id),
    workedM2: steps.some((st) => st.kind === 'prepare') ? choice.parts.reduce((sum, p) => sum + p.areaM2, 0) : 0,
    // Taken to the bench it closes nothing.
    opening: isOpening(s.element) && !s.bench ? s.opening : 'sealed',
    labourPerHour: ctx.settings.labourPerHour,
    first: firstOnSurface(s, plan, needs, ctx),
  };
}

const both = (n: number): Range => ({ low: n, high: n });

/** What the methods use up. Labour stands beside it; what is bought once is the zone's. */
function materialsOf(choice: Choice): Range {
  const materials = { low: 0, high: 0 };
  // One part that no method may take stops them all.
  if (choice.parts.some((p) => p.selected.value === null)) return materials;
  for (const p of choice.parts)
    for (const { option } of picksOf(p)) {
      materials.low += option.perM2.materials.low * p.areaM2;
      materials.high += option.perM2.materials.high * p.areaM2;
    }
  return materials;
}

/** A caustic, or a full plan for historic masonry, is not issued without a square of its own. */
function issueOf(s: Surface, choice: Choice, ctx: SurfaceContext, trials: readonly Conclusion[], coating: CoatingPlan): Answer<boolean> {
  if (choice.parts.some((p) => p.selected.value === null)) return answer(false, why('issue.asks', 'job-record', {}, 'block'));
  const historic = isHistoric(ctx);
  const held = methodsOf(choice).flatMap((m) => {
    const spoken = againstSquares(m, trials, ctx);
    if (spoken !== null) return [spoken];
    const asks =
      m.disturbs &&
      ((s.material === 'fibreglass' && m.bite !== 'skin') ||
        (m.caustic && m.trialFirst) ||
        (MASONRY.includes(s.material) && m.trialFirst && historic));
    // On every part where it is planned.
    const on = choice.parts.filter((p) => picksOf(p).some((k) => k.option.methodId === m.id)).map((p) => trialOn(ctx.trials[m.id], p.kind));
    const state = on.find((x) => x !== 'done') ?? 'done';
    if (!asks || state === 'done') return [];
    const facts = { method: m.id, material: s.material };
    return [why(state === 'carried' ? 'issue.trialCarried' : 'issue.trialMissing', 'trade-trial', facts, 'block')];
  });
  if (coating.refused.length > 0) held.push(why('issue.coatRefused', 'trade-prime', { topcoat: coating.topcoat.value ?? '' }, 'block'));
  return held.length > 0 ? answer(false, ...held) : answer(true, why('issue.ready', 'job-record'));
}

/**
 * What the squares of a method say against it: harm, or a failure for as long as is planned or longer, on any of its coatings that no
 * product lifted. Shorter failures only bracket.
 */
function againstSquares(m: Method, trials: readonly Conclusion[], ctx: SurfaceContext): Reason | null {
  const own = trials.filter((t) => t.methodId === m.id);
  const lifted = new Set(own.filter((t) => t.state.value === 'works').map((t) => t.coating.toLowerCase()));
  const facts = { method: m.id };
  for (const t of own) {
    if (lifted.has(t.coating.toLowerCase())) continue;
    if (t.harmed) return why('issue.trialHarmed', 'job-record', facts, 'block');
    if (t.state.value === 'failed') return why('issue.trialFailed', 'job-record', facts, 'block');
    const planned = usualMin(m, ctx.settings.rates[m.id]);
    if (t.state.value === 'open' && t.squares > 0 && (planned === null || (t.bracketMin.notClean ?? 0) >= planned.high))
      return why('issue.trialShort', 'job-record', facts, 'block');
  }
  return null;
}

/** The last reading of the face, else of the air, C. */
function faceOf(s: Surface): number | null {
  if (s.squares.length === 0) return null;
  return lastFaceC(s);
}

/** A suspect that nobody has sampled yet. */
const unsampled = (a: AsbestosPicture): boolean => [a.coat.value, a.below.value].some((v) => v === 'assumed' || v === 'unknown');

/** The next thing on one surface, in the order of work; null: it hangs on what has been passed. */
function firstOnSurface(
  s: Surface,
  p: Pick<OwnPlan, 'lead' | 'asbestos' | 'mold' | 'choice' | 'coating' | 'issue' | 'problems'>,
  { fibres }: Needs,
  ctx: SurfaceContext,
): Next | null {
  const test = p.lead.next;
  if (p.problems.length > 0) return { act: 'fixProblem', because: [] };
  if (s.declinedOn !== null) return { act: 'nothing', because: p.choice.required.because };
  // What trained people work as if it held asbestos waits for no answer.
  if (!fibres && p.asbestos.coat.value !== 'waiting' && test.value === 'asbestosFirst' && unsampled(p.asbestos))
    return { act: 'sampleAsbestos', because: test.because };
  // Coats are counted through a crater: never before what may hold asbestos was sampled.
  if (!s.coatsCounted && s.layers.every((l) => l.removedAt !== null)) return { act: 'addCoats', because: [] };
  if (test.value === 'notchAllCoats' || test.value === 'labAllCoats') return { act: 'test', because: test.because };
  const coat = p.asbestos.coat;
  if (!fibres && coat.value !== 'waiting' && coat.value !== 'found' && isPresent(coat.value))
    return { act: 'sampleAsbestos', because: coat.because };
  if (p.mold.value === 'found' && !ctx.space.causeKnown) return { act: 'moldCause', because: p.mold.because };
  if (p.choice.parts.some((c) => !c.chosenByPerson)) return { act: 'choose', because: p.choice.required.because };
  if (p.coating.refused.length > 0) return { act: 'chooseCoat', because: p.coating.refused };
  if (!p.issue.value && p.choice.parts.every((c) => c.selected.value !== null)) return { act: 'trial', because: p.issue.because };
  if (test.value === 'waitForLab' || (!fibres && coat.value === 'waiting')) return { act: 'waitForLab', because: test.because };
  return null;
}
