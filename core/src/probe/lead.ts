/** Lead, coat by coat: what is known, why, and which test would tell most. */
import { BLANK_READING, type Reading, type Sample, type Surface } from '../facts';
import type { SurfaceContext } from '../context';
import { answer, why, type Answer, type Reason } from '../reasons';
import { measure } from '../units/units';
import { isLeadReading, judgeReading, standingReadings, type ReadingVerdict } from './reading';
import { UNCOUNTED, type StackCoat } from './stack';
import { isPresent, stricter, strictest, type HazardState } from './state';

export interface CoatLead {
  readonly coat: StackCoat;
  readonly state: HazardState;
  readonly because: readonly Reason[];
}

export type NextTest = 'none' | 'waitForLab' | 'notchAllCoats' | 'notchForDepth' | 'labAllCoats';

export interface LeadPicture {
  readonly coats: readonly CoatLead[];
  readonly overall: Answer<HazardState>;
  readonly next: Answer<NextTest>;
  /** When the lab's answer is due; null when nothing is out. */
  readonly dueAt: string | null;
  /** Lead below the limit was measured. */
  readonly trace: boolean;
}

interface Judged {
  readonly reading: Reading;
  readonly verdict: ReadingVerdict;
}

const covers = (r: Reading, coatId: string): boolean =>
  r.kind === 'xrf' || (coatId === UNCOUNTED ? r.toSubstrate : r.reachedLayerIds.includes(coatId));

/** What age alone says of a coat. 40 CFR 745 (before 1978); HUD national survey for how common. */
function byAge(coat: StackCoat, ctx: SurfaceContext): { state: HazardState; reason: Reason } {
  const { is: limit, source } = ctx.rulebook.leadPresumedBefore;
  if (coat.yearApplied !== null && coat.yearApplied >= limit.value) {
    return { state: 'notFound', reason: why('lead.coatAfterBan', source, { applied: [measure(coat.yearApplied, 'year'), limit] }) };
  }
  if (ctx.builtYear === null) return { state: 'unknown', reason: why('lead.ageUnknown', source, { limit }) };
  const built = measure(ctx.builtYear, 'year');
  if (ctx.builtYear >= limit.value) return { state: 'notFound', reason: why('lead.builtAfterBan', source, { built: [built, limit] }) };
  return { state: 'assumed', reason: why('lead.assumedByAge', source, { built: [built, limit] }) };
}

function judgeCoat(coat: StackCoat, judged: readonly Judged[], ctx: SurfaceContext, depthKnown: boolean): CoatLead {
  const base = byAge(coat, ctx);
  const reaching = judged.filter((j) => covers(j.reading, coat.id));
  const speaks = (j: Judged) => j.verdict.coats.length === 0 || j.verdict.coats.includes(coat.id);
  const convicted = reaching.filter((j) => j.verdict.says === 'lead' && j.verdict.coats.includes(coat.id));
  // A result that cannot tell which coat convicts every coat it reached, unless another test has named the coat
  // or this coat was cleared on its own.
  const clearedAlone = base.state === 'notFound' || reaching.some((j) => j.verdict.says === 'noLead' && j.verdict.coats.includes(coat.id));
  const somewhere = reaching.filter((j) => j.verdict.says === 'lead' && j.verdict.coats.length === 0);
  const acquitted = reaching.filter((j) => j.verdict.says === 'noLead' && speaks(j));
  const unclear = reaching.filter((j) => j.verdict.says === 'unclear');
  const waiting = reaching.filter((j) => j.verdict.says === 'waiting');
  const reasons = (js: readonly Judged[]) => js.map((j) => j.verdict.reason);
  const twin: Reason[] = ctx.foundOnRemovedTwin ? [why('lead.foundOnRemovedTwin', 'job-record', {})] : [];

  if (convicted.length > 0) {
    const disagree = acquitted.length > 0 ? [why('lead.testsDisagree', 'job-record', {}), ...reasons(acquitted)] : [];
    return { coat, state: 'found', because: [...reasons(convicted), ...disagree, ...twin] };
  }
  if (somewhere.length > 0 && !depthKnown && !clearedAlone) {
    const disagree = acquitted.length > 0 ? [why('lead.testsDisagree', 'job-record', {}), ...reasons(acquitted)] : [];
    return { coat, state: 'found', because: [...reasons(somewhere), why('lead.depthUnresolved', 'job-record', {}), ...disagree, ...twin] };
  }
  let state: HazardState = base.state;
  let because: Reason[] = [base.reason];
  if (acquitted.length > 0 && (somewhere.length === 0 || clearedAlone)) {
    state = 'notFound';
    because = reasons(acquitted);
  }
  if (waiting.length > 0) {
    state = stricter(state, 'waiting');
    because = [...reasons(waiting), ...because];
  }
  if (twin.length > 0) state = stricter(state, 'assumed');
  const missed = judged.filter((j) => !covers(j.reading, coat.id) && j.verdict.says === 'noLead');
  const notReached = missed.length > 0 && isPresent(state) ? [why('lead.testStoppedAbove', 'job-record', {})] : [];
  const depth = somewhere.length > 0 && isPresent(state) ? [why('lead.inAnotherCoat', 'job-record', {})] : [];
  return { coat, state, because: [...because, ...reasons(unclear), ...notReached, ...depth, ...twin] };
}

function nextTest(coats: readonly CoatLead[], judged: readonly Judged[], ctx: SurfaceContext, depthKnown: boolean): Answer<NextTest> {
  const says = (s: ReadingVerdict['says']) => judged.some((j) => j.verdict.says === s);
  if (coats.every((c) => c.state === 'notFound')) return answer('none', why('next.nothingToTest', 'job-record'));
  if (coats.some((c) => c.state === 'waiting'))
    return answer('waitForLab', why('next.waitForLab', 'trade-wait-lab', { days: measure(ctx.settings.labDays.lead * 24, 'h') }));
  const disagree = coats.some((c) => c.because.some((r) => r.rule === 'lead.testsDisagree')) || ctx.foundOnRemovedTwin;
  if (disagree) return answer('labAllCoats', why('next.labSettles', 'job-record'));
  if (says('lead') && depthKnown) return answer('none', why('next.foundIsEnough', 'job-record'));
  if (says('lead')) return answer('notchForDepth', why('next.whichCoat', 'job-record'));
  if (says('unclear')) return answer('labAllCoats', why('next.labSettles', 'job-record'));
  if (ctx.rulebook.leadPaint === null) return answer('labAllCoats', why('next.labOnly', 'uk-lead-any'));
  if (!ctx.settings.recognisedKit) return answer('labAllCoats', why('next.noRecognisedKit', 'cfr40-745.88'));
  return answer('notchAllCoats', why('next.notchSeesAll', 'cfr40-745.88'));
}

const liveSamples = (s: Surface, hazard: Sample['hazard']): Sample[] =>
  s.samples.filter((x) => x.removedAt === null && x.hazard === hazard);

/**
 * Every reading that stands, and every chip that was taken and has no answer yet. A lab's answer speaks of what its sample reached;
 * the answer to a blank speaks of the bag, not of the paint.
 */
function judgedReadings(s: Surface, ctx: SurfaceContext): Judged[] {
  const byId = new Map(s.samples.map((x) => [x.id, x]));
  const standing = standingReadings(s.readings).filter(isLeadReading);
  const answered = new Set(standing.map((r) => r.sampleId));
  const judged = standing.flatMap((r): Judged[] => {
    const sample = r.sampleId === null ? undefined : byId.get(r.sampleId);
    if (sample?.kind === 'blank') return [];
    const reading =
      sample && r.reachedLayerIds.length === 0 ? { ...r, reachedLayerIds: sample.reachedLayerIds, toSubstrate: sample.toSubstrate } : r;
    return [{ reading, verdict: judgeReading(reading, ctx.rulebook, s.material, ctx.instruments) }];
  });
  const out = liveSamples(s, 'lead').filter((x) => x.takenAt !== null && x.kind !== 'blank' && !answered.has(x.id));
  for (const x of out) {
    const reading = {
      ...PENDING,
      id: x.id,
      takenAt: x.sentAt ?? x.takenAt ?? '',
      reachedLayerIds: x.reachedLayerIds,
      toSubstrate: x.toSubstrate,
      sampleId: x.id,
    };
    judged.push({ reading, verdict: judgeReading(reading, ctx.rulebook) });
  }
  return judged;
}
const PENDING: Reading = { ...BLANK_READING, id: '', kind: 'lab', takenAt: '', by: '' };

/**
 * The lead picture of a surface.
 * @param stack the coats from the top down (stackOf)
 * @returns a state per coat and for the whole, each with reasons; never a state milder than the evidence allows
 */
export function leadPicture(surface: Surface, stack: readonly StackCoat[], ctx: SurfaceContext): LeadPicture {
  if (stack.length === 0) {
    const none = why('lead.noCoats', 'job-record');
    return { coats: [], overall: answer<HazardState>('notFound', none), next: answer<NextTest>('none', none), dueAt: null, trace: false };
  }
  const judged = judgedReadings(surface, ctx);
  const depthKnown = judged.some((j) => j.verdict.says === 'lead' && j.verdict.coats.length > 0);
  const coats = stack.map((coat) => judgeCoat(coat, judged, ctx, depthKnown));
  const state = strictest(coats.map((c) => c.state));
  const deciding = coats.find((c) => c.state === state);
  const out = judged
    .filter((j) => j.verdict.says === 'waiting')
    .map((j) => Date.parse(j.reading.takenAt) + ctx.settings.labDays.lead * 86_400_000);
  return {
    coats,
    overall: { value: state, because: deciding?.because ?? [] },
    next: nextTest(coats, judged, ctx, depthKnown),
    dueAt: out.length > 0 ? new Date(Math.max(...out)).toISOString() : null,
    trace: judged.some((j) => j.verdict.trace),
  };
}
