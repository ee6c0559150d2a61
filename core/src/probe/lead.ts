/** Lead, coat by coat: what is known, why, and which test would tell most. */
import { UNCOUNTED, BLANK_READING, METAL, type Reading, type Sample, type Surface } from '../facts';
import { answer, typed, why, type Answer, type Reason } from '../reasons';
import type { FirmSettings, Limit, Rulebook } from '../rulebook';
import type { AsbestosPicture } from './asbestos';
import type { Past } from './place';
import { measure, type Measure } from '../units/units';
import { liveLayers } from '../walk';
import { judgeReading, type ReadingVerdict } from './reading';
import { isLeadReading, reachIsUnknown, reachOf, seesAll, saysSomething, standingOf, standingReadings, type Reach } from './standing';
import { standingAt, worse, type Low, type Standing } from './rung';
import { UNSEEN_COAT, type StackCoat } from './stack';
import { isPresent, stricter, strictest, type HazardState } from './state';
import { NO_INSTRUMENTS, type InstrumentBook } from './xrf';

export interface CoatLead {
  readonly coat: StackCoat;
  readonly state: HazardState;
  readonly standing: Standing;
  readonly because: readonly Reason[];
}

export type NextTest = 'none' | 'asbestosFirst' | 'waitForLab' | 'notchAllCoats' | 'notchForDepth' | 'labAllCoats';

export interface LeadPicture {
  readonly coats: readonly CoatLead[];
  readonly overall: Answer<HazardState>;
  readonly next: Answer<NextTest>;
  /** When the lab's answer is due; null when nothing is out. */
  readonly dueAt: string | null;
  /** What is known of the worst of its coats, on the ladder. */
  readonly standing: Standing;
  /** What does not go together, and is asked of the person. */
  readonly asks: readonly Reason[];
}

interface Judged {
  readonly reading: Reading;
  readonly verdict: ReadingVerdict;
  readonly reach: Reach;
}

/** All that the state of a coat turns on, beside the surface itself. */
export interface LeadView {
  readonly rulebook: Rulebook;
  /** Null: unknown. */
  readonly builtYear: number | null;
  readonly instruments: InstrumentBook;
  readonly past: Past;
}

/** And what the next test, and what is asked of a person, turn on. */
interface LeadContext extends LeadView {
  readonly asbestos: AsbestosPicture;
  readonly settings: Pick<FirmSettings, 'labDays' | 'recognisedKit'>;
  readonly site: { readonly thisYear: number };
}

/** What the whole surface brings to each of its coats. */
interface Case {
  readonly judged: readonly Judged[];
  readonly ctx: LeadView;
  readonly material: Surface['material'];
  /** Coats that some test found lead in by themselves. */
  readonly named: ReadonlySet<string>;
  readonly anyFound: boolean;
  /** Lead was found at this place before, on what is not on the list any more, or a find was only taken back. */
  readonly before: Before | null;
}
/** A find of which what is on the list today says nothing. */
interface Before {
  readonly reason: Reason;
  /** A test that explains it is later than this; null: any test of the coat does. */
  readonly after: string | null;
}

/** Of a reach that nobody recorded, every coat counts. */
function reaches({ reading, reach }: Judged, coatId: string): boolean {
  if (seesAll(reading) || reachIsUnknown(reach)) return true;
  if (coatId === UNCOUNTED) return reach.below;
  return reach.ids.includes(coatId) || (reach.below && reach.ids.length === 0);
}
/** A clear result of which nobody knows how deep it went clears nothing. */
const clearsNothing = ({ reading, reach }: Judged): boolean => !seesAll(reading) && reachIsUnknown(reach);

/** From when a material's coats are not presumed to hold lead: consumer paint, and what was sold for iron and steel. */
const presumedBefore = (material: Surface['material'], { leadPresumedBefore, leadOnSteelBefore }: Rulebook): Limit =>
  METAL.includes(material) && material !== 'aluminium' ? leadOnSteelBefore : leadPresumedBefore;

/** What age alone says of a coat that no test has seen. 40 CFR 745 (before 1978); HUD national survey for how common. */
function byAge(coat: StackCoat, { ctx, material, anyFound, before }: Case): { state: HazardState; reason: Reason } {
  const { rulebook } = ctx;
  const { is: limit, source } = presumedBefore(material, rulebook);
  // What was found on a neighbour only matters where the age would clear this one.
  const presumed = ctx.builtYear !== null && ctx.builtYear < rulebook.leadPresumedBefore.is.value;
  if (before !== null && (before.after !== null || !presumed || (coat.yearApplied !== null && coat.yearApplied >= limit.value)))
    return { state: 'assumed', reason: before.reason };
  if (coat.yearApplied !== null && coat.yearApplied >= limit.value)
    return { state: 'notFound', reason: why('lead.coatAfterBan', source, { applied: [measure(coat.yearApplied, 'year'), limit] }) };
  // A coat from before the ban is one, whatever year its piece was given.
  if (coat.yearApplied !== null && coat.yearApplied < rulebook.leadPresumedBefore.is.value)
    return {
      state: 'assumed',
      reason: why('lead.coatBeforeBan', rulebook.leadPresumedBefore.source, {
        applied: [measure(coat.yearApplied, 'year'), rulebook.leadPresumedBefore.is],
      }),
    };
  if (ctx.builtYear === null) return { state: 'unknown', reason: why('lead.ageUnknown', source, { limit }) };
  const built = [measure(ctx.builtYear, 'year'), limit] as const;
  if (ctx.builtYear < rulebook.leadPresumedBefore.is.value)
    return {
      state: 'assumed',
      reason: why('lead.assumedByAge', rulebook.leadPresumedBefore.source, { built: [built[0], rulebook.leadPresumedBefore.is] }),
    };
  // Between the two dates the law presumes nothing, and nothing is known either.
  if (ctx.builtYear < limit.value) return { state: 'unknown', reason: why('lead.steelAfterBan', source, { built }) };
  if (anyFound) return { state: 'assumed', reason: why('lead.yearIsWrong', 'job-record', { built }) };
  const { is: until, source: memory } = rulebook.leadStockUntil;
  return {
    state: 'notFound',
    reason: ctx.builtYear <= until.value ? why('lead.oldStock', memory, { built, until }) : why('lead.builtAfterBan', source, { built }),
  };
}

/** A find that cannot tell which coat is explained by a coat that was named, when that is one of those that it says it reached. */
const isExplained = ({ reach }: Judged, named: ReadonlySet<string>): boolean =>
  named.size > 0 && (reach.ids.length === 0 || reach.ids.some((id) => named.has(id)));

/** The most that a lab or an instrument gave, by what the first of them gave it. */
function mostOf(js: readonly Judged[]): Measure | null {
  const measured = js.flatMap(({ reading: { value, unit } }) => (value !== null && unit !== null ? [measure(value, unit)] : []));
  return measured.reduce<Measure | null>((a, b) => (a === null || (a.unit === b.unit && b.value > a.value) ? b : a), null);
}

/** A kit, a determination and "less than so much" only leave open whether there is a little. */
const leavesOpen = ({ rung, measured, under }: Low): boolean => rung === 'below' && (measured === null || under);
/** What the tests that reached a coat show of it: what was left open is answered by a lab, and what was seen by nobody. */
function shownBy(reaching: readonly Judged[]): Low[] {
  const answered = reaching.some(
    ({ reading, verdict: { says, low } }) => reading.kind === 'lab' && says === 'noLead' && low !== null && !leavesOpen(low),
  );
  return reaching.flatMap(({ verdict: { low } }) => (low === null || (answered && leavesOpen(low)) ? [] : [low]));
}

function judgeCoat(coat: StackCoat, c: Case): CoatLead {
  const { judged, named } = c;
  const reaching = judged.filter((j) => reaches(j, coat.id));
  const found = reaching.filter((j) => j.verdict.says === 'lead');
  const convicted = found.filter((j) => j.verdict.coats.includes(coat.id));
  const somewhere = found.filter((j) => j.verdict.coats.length === 0);
  const unexplained = somewhere.filter((j) => !isExplained(j, named));
  const acquitted = reaching.filter(
    (j) =>
      j.verdict.says === 'noLead' &&
      !clearsNothing(j) &&
      (c.before === null || c.before.after === null || j.reading.takenAt > c.before.after) &&
      (j.verdict.coats.length === 0 || j.verdict.coats.includes(coat.id)),
  );
  const unclear = reaching.filter((j) => j.verdict.says === 'unclear');
  // A low reading that waits for its closing check says nothing against what another test has cleared.
  const waiting = reaching.filter(
    (j) => j.verdict.says === 'waiting' && !(acquitted.length > 0 && j.verdict.reason.rule === 'lead.xrfProvisional'),
  );
  const reasons = (js: readonly Judged[]) => js.map((j) => j.verdict.reason);
  const disagree = acquitted.length > 0 ? [why('lead.testsDisagree', 'job-record', {}), ...reasons(acquitted)] : [];

  const at = (state: HazardState, because: readonly Reason[], by: readonly Judged[] = []): CoatLead => ({
    coat,
    state,
    standing: standingAt(state, shownBy(reaching), mostOf(by)),
    because,
  });
  if (convicted.length > 0) return at('found', [...reasons(convicted), ...disagree], convicted);
  // A result that cannot tell which coat convicts every coat that it reached, until another test has named the coat: then a coat that
  // was cleared by itself is clear, and the others are in doubt.
  if (unexplained.length > 0)
    return at('found', [...reasons(unexplained), why('lead.depthUnresolved', 'job-record', {}), ...disagree], unexplained);

  const base = byAge(coat, c);
  let state: HazardState = somewhere.length > 0 ? 'assumed' : base.state;
  let because: Reason[] = somewhere.length > 0 ? [why('lead.inAnotherCoat', 'job-record', {})] : [base.reason];
  if (acquitted.length > 0) {
    state = 'notFound';
    because = reasons(acquitted);
  }
  if (waiting.length > 0) {
    state = stricter(state, 'waiting');
    because = [...reasons(waiting), ...because];
  }
  const missed = judged.filter((j) => !reaches(j, coat.id) && j.verdict.says === 'noLead');
  const notReached = missed.length > 0 && isPresent(state) ? [why('lead.testStoppedAbove', 'job-record', {})] : [];
  return at(state, [...because, ...reasons(unclear), ...notReached]);
}

/** What may be done next to know more. A notch or a chip cuts into what may hold asbestos: nobody does, before that is answered. */
function nextTest(coats: readonly CoatLead[], judged: readonly Judged[], ctx: LeadContext, depthKnown: boolean): Answer<NextTest> {
  const next = wantedTest(coats, judged, ctx, depthKnown);
  const state = strictest([ctx.asbestos.coat.value, ctx.asbestos.below.value]);
  if (next.value === 'none' || next.value === 'waitForLab' || !isPresent(state)) return next;
  return answer('asbestosFirst', why('next.asbestosFirst', ctx.rulebook.sources.asbestosWork, { state }, 'care', 'hazard'));
}

function wantedTest(coats: readonly CoatLead[], judged: readonly Judged[], ctx: LeadContext, depthKnown: boolean): Answer<NextTest> {
  const says = (s: ReadingVerdict['says']) => judged.some((j) => j.verdict.says === s);
  if (coats.every((c) => c.state === 'notFound')) return answer('none', why('next.nothingToTest', 'job-record'));
  if (coats.some((c) => c.state === 'waiting'))
    return answer('waitForLab', why('next.waitForLab', 'trade-wait-lab', { days: measure(ctx.settings.labDays.lead * 24, 'h') }));
  const disagree = coats.some((c) => c.because.some((r) => r.rule === 'lead.testsDisagree' || BEFORE.has(r.rule)));
  if (disagree) return answer('labAllCoats', why('next.labSettles', 'job-record'));
  if (says('lead') && depthKnown) return answer('none', why('next.foundIsEnough', 'job-record'));
  if (says('lead')) return answer('notchForDepth', why('next.whichCoat', 'job-record'));
  if (says('unclear')) return answer('labAllCoats', why('next.labSettles', 'job-record'));
  if (ctx.rulebook.leadPaint === null) return answer('labAllCoats', why('next.labOnly', 'uk-lead-any'));
  if (!ctx.settings.recognisedKit) return answer('labAllCoats', why('next.noRecognisedKit', 'cfr40-745.88'));
  return answer('notchAllCoats', why('next.notchSeesAll', 'cfr40-745.88'));
}

/** Rules that remember what was found on what is not on the list any more: only a lab settles them. */
const BEFORE: ReadonlySet<string> = new Set(['lead.foundBefore', 'lead.foundOnGoneCoat', 'lead.findTakenBack']);

const liveSamples = (s: Surface, hazard: Sample['hazard']): Sample[] =>
  s.samples.filter((x) => x.removedAt === null && x.hazard === hazard);

/**
 * Every reading that stands, and every chip that was taken and has no answer yet. A lab's answer speaks of what its sample reached;
 * the answer to a blank speaks of the bag, not of the paint.
 */
function judgedReadings(s: Surface, rulebook: Rulebook, instruments: InstrumentBook): Judged[] {
  const byId = new Map(s.samples.map((x) => [x.id, x]));
  const standing = standingReadings(s).filter(isLeadReading);
  const answered = new Set(standing.map((r) => r.sampleId));
  const judged = standing.flatMap((r): Judged[] => {
    const sample = r.sampleId === null ? undefined : byId.get(r.sampleId);
    if (sample?.kind === 'blank') return [];
    const reach = reachOf(r, s.samples);
    const reading = { ...r, reachedLayerIds: [...reach.ids], toSubstrate: reach.below };
    return [{ reading, reach, verdict: judgeReading(reading, rulebook, s.material, instruments) }];
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
    judged.push({ reading, reach: { ids: x.reachedLayerIds, below: x.toSubstrate }, verdict: judgeReading(reading, rulebook) });
  }
  return judged;
}
const PENDING: Reading = { ...BLANK_READING, id: '', kind: 'lab', takenAt: '', by: '' };

/** Finds that somebody took back, or replaced by a test that is not valid or not answered: nothing stands in their place. */
function takenBack(s: Surface, rulebook: Rulebook, instruments: InstrumentBook = NO_INSTRUMENTS): Reading[] {
  const says = (r: Reading) => judgeReading(r, rulebook, s.material, instruments).says;
  const { withdrawn, replaced } = standingOf(s);
  const unproven = replaced.filter(([old, by]) => isLeadReading(old) && !['lead', 'noLead'].includes(says(by))).map(([old]) => old);
  return [...withdrawn, ...unproven].filter((r) => isLeadReading(r) && ['lead', 'waiting'].includes(says(r)));
}
const latest = (times: readonly string[]): string | null => times.reduce<string | null>((a, t) => (a === null || t > a ? t : a), null);

/** When lead was last found on this surface, by a reading that stands or one that was only taken back; null: never. */
export function leadEverFound(s: Surface, rulebook: Rulebook): string | null {
  if (s.readings.length === 0) return null;
  const stands = judgedReadings(s, rulebook, NO_INSTRUMENTS).filter((j) => j.verdict.says === 'lead');
  return latest([...takenBack(s, rulebook), ...stands.map((j) => j.reading)].map((r) => r.takenAt));
}

/** What was found here belongs to the place: it stays until a later test explains it, or the piece is known to be stripped or new. */
function foundBefore(s: Surface, judged: readonly Judged[], ctx: LeadView): Before | null {
  if (s.past !== 'asBefore' && saysSomething(s.pastWhy)) return null;
  const back = takenBack(s, ctx.rulebook, ctx.instruments);
  const gone = new Set(s.layers.filter((l) => l.removedAt !== null).map((l) => l.id));
  const onGone = judged.filter(
    (j) => (j.verdict.says === 'lead' || j.verdict.says === 'waiting') && j.reach.ids.some((id) => gone.has(id)),
  );
  // Whatever gives rise to the doubt, only a test that came after all of it answers it.
  const removed = ctx.past.lead === 'removed';
  const after = latest([
    ...back.map((r) => r.takenAt),
    ...onGone.map((j) => j.reading.takenAt),
    ...(removed && ctx.past.leadAt !== null ? [ctx.past.leadAt] : []),
  ]);
  if (back.length > 0) return { reason: why('lead.findTakenBack', 'job-record', {}), after };
  if (onGone.length > 0) return { reason: why('lead.foundOnGoneCoat', 'job-record', {}), after };
  if (removed) return { reason: why('lead.foundBefore', 'job-record', {}), after };
  if (ctx.past.lead === 'inRoom') return { reason: why('lead.foundInRoom', 'job-record', {}), after: null };
  return null;
}

/** More coats than a piece of that age is ever given: one in four or five years is much. Common practice, no published source. */
const MANY_COATS = 6;
const YEARS_A_COAT = 4;

function asksOf(s: Surface, ctx: LeadContext, anyFound: boolean): Reason[] {
  const out: Reason[] = [];
  if (ctx.past.twin !== null) out.push(why('ask.enteredTwice', 'job-record', { other: typed(ctx.past.twin) }, 'care'));
  if (ctx.builtYear === null) return out;
  const built = measure(ctx.builtYear, 'year');
  const { is: limit } = presumedBefore(s.material, ctx.rulebook);
  if (anyFound && ctx.builtYear >= limit.value) out.push(why('ask.yearAgainstFind', 'job-record', { built: [built, limit] }, 'care'));
  const oldest = liveLayers(s).reduce<number | null>(
    (a, l) => (l.yearApplied !== null && (a === null || l.yearApplied < a) ? l.yearApplied : a),
    null,
  );
  if (oldest !== null && oldest < ctx.builtYear)
    out.push(why('ask.coatOlder', 'job-record', { applied: measure(oldest, 'year'), built }, 'care'));
  const coats = liveLayers(s).length;
  if (coats >= MANY_COATS && ctx.site.thisYear - ctx.builtYear < coats * YEARS_A_COAT)
    out.push(why('ask.manyCoats', 'job-record', { coats, built }, 'care'));
  return out;
}

interface CoatStates {
  readonly coats: readonly CoatLead[];
  readonly judged: readonly Judged[];
  readonly anyFound: boolean;
  readonly depthKnown: boolean;
}

/** The sums of a room ask first, then the surface's own plan, about the same coats under the same view. */
const lastStates = new WeakMap<readonly StackCoat[], { readonly surface: Surface; readonly seen: LeadView; readonly states: CoatStates }>();
function coatStates(surface: Surface, stack: readonly StackCoat[], ctx: LeadView): CoatStates {
  const last = lastStates.get(stack);
  if (
    last?.surface === surface &&
    last.seen.rulebook === ctx.rulebook &&
    last.seen.builtYear === ctx.builtYear &&
    last.seen.instruments === ctx.instruments &&
    last.seen.past === ctx.past
  )
    return last.states;
  const { rulebook, builtYear, instruments, past } = ctx;
  const seen: LeadView = { rulebook, builtYear, instruments, past };
  const states = coatStatesAnew(surface, stack, seen);
  lastStates.set(stack, { surface, seen, states });
  return states;
}

function coatStatesAnew(surface: Surface, stack: readonly StackCoat[], ctx: LeadView): CoatStates {
  const judged = judgedReadings(surface, ctx.rulebook, ctx.instruments);
  const anyFound = judged.some((j) => j.verdict.says === 'lead');
  const before = foundBefore(surface, judged, ctx);
  // Coats that were taken off the list after a find: what may be left of them counts, until it is known that nothing is.
  const coatsOf = stack.length === 0 && (before !== null || anyFound) ? [UNSEEN_COAT] : stack;
  const depthKnown = judged.some((j) => j.verdict.says === 'lead' && j.verdict.coats.length > 0);
  const named = new Set(judged.flatMap((j) => (j.verdict.says === 'lead' ? j.verdict.coats : [])));
  const the: Case = { judged, ctx, material: surface.material, named, anyFound, before };
  return { coats: coatsOf.map((coat) => judgeCoat(coat, the)), judged, anyFound, depthKnown };
}

/** Lead is not shown absent in some coat: what the sums of a room turn on, before any surface of it is planned. */
export const leadIsPresent = (surface: Surface, stack: readonly StackCoat[], view: LeadView): boolean =>
  coatStates(surface, stack, view).coats.some((c) => isPresent(c.state));

/**
 * The lead picture of a surface.
 * @param stack the coats from the top down (stackOf)
 * @returns a state per coat and for the whole, each with reasons; never a state milder than the evidence allows
 */
export function leadPicture(surface: Surface, stack: readonly StackCoat[], ctx: LeadContext): LeadPicture {
  const { coats, judged, anyFound, depthKnown } = coatStates(surface, stack, ctx);
  if (coats.length === 0) {
    const none = why('lead.noCoats', 'job-record');
    return {
      coats: [],
      overall: answer('notFound', none),
      next: answer('none', none),
      dueAt: null,
      standing: standingAt('notFound', []),
      asks: asksOf(surface, ctx, false),
    };
  }
  const state = strictest(coats.map((c) => c.state));
  const standing = coats.map((c) => c.standing).reduce(worse);
  // Of coats that are all not found, the one that tells most: a number before an age.
  const deciding = coats.find((c) => c.state === state && c.standing.rung === standing.rung) ?? coats.find((c) => c.state === state);
  const out = judged
    .filter((j) => j.verdict.says === 'waiting' && j.reading.kind === 'lab')
    .map((j) => Date.parse(j.reading.takenAt) + ctx.settings.labDays.lead * 86_400_000);
  return {
    coats,
    overall: { value: state, because: deciding?.because ?? [] },
    next: nextTest(coats, judged, ctx, depthKnown),
    dueAt: out.length > 0 ? new Date(Math.max(...out)).toISOString() : null,
    standing,
    asks: asksOf(surface, ctx, anyFound),
  };
}
