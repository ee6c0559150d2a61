/**
 * Where the work of a zone stands, from its checks and those of its surfaces, replayed in the order in which they were made. A pass counts
 * when all that comes before it had passed; a failure takes back every pass from the step to which it sends the work.
 */
import { type Check, readHold, type EventName, type StepName } from '../facts';
import type { Sent } from '../sign';
import { checkOutcome, stillSpeaks } from '../work';
import { type Gate, type GateSpec, type GateState, type Step, type StepKind, type StepSpec } from '../step';

/** In which order the steps of a zone fall; those of one phase are each surface's own, in its own order. */
const PHASES = { prepare: 0, setUp: 1, strokes: 2, cleanUp: 3, verify: 4, finish: 5 } as const;
type Phase = (typeof PHASES)[keyof typeof PHASES];

interface At {
  /** Null: the zone. */
  readonly surfaceId: string | null;
  readonly phase: Phase;
  readonly index: number;
  /** Left as it is, or not decided: nothing is set up for it, and nothing waits for it. */
  readonly alone: boolean;
  readonly step: StepSpec;
}

const FINISHING: readonly StepKind[] = ['prime', 'coat', 'unmask'];
/** Of other kinds, what belongs to them. */
const WITH_THEM: readonly StepName[] = ['askCoat', 'asbestosStays', 'giveBack', 'maskCoats', 'mist'];
export const isFinish = (st: StepSpec): boolean => FINISHING.includes(st.kind) || WITH_THEM.includes(st.key.step);

/** What is done again inside sheet and seals. */
const DISTURBING: readonly StepKind[] = ['remove', 'rinse'];

const zonePhase = (st: StepSpec): Phase => (st.kind === 'protect' ? PHASES.setUp : st.kind === 'cleanUp' ? PHASES.cleanUp : PHASES.verify);
const ownPhase = (st: StepSpec): Phase => (st.kind === 'prepare' ? PHASES.prepare : isFinish(st) ? PHASES.finish : PHASES.strokes);

/** Whether one step has to be done before another. */
function before(a: At, b: At): boolean {
  if (a.alone || b.alone) return a.surfaceId === b.surfaceId && a.index < b.index;
  if (a.phase !== b.phase) return a.phase < b.phase && (a.surfaceId === null || b.surfaceId === null || a.surfaceId === b.surfaceId);
  return a.surfaceId === b.surfaceId && a.index < b.index;
}

const partOf = ({ step: { at } }: At): string | null => (at !== undefined && 'stroke' in at ? at.partId : null);

export interface Own {
  readonly surfaceId: string;
  /** What was seen at its strokes and coats that sends work back. */
  readonly sent: readonly Sent[];
  readonly steps: readonly StepSpec[];
  readonly checks: readonly Check[];
}

interface Placed {
  readonly at: At;
  readonly gate: GateSpec;
  readonly key: string;
}
const keyOf = (surfaceId: string | null, gate: string): string => `${surfaceId ?? ''}/${gate}`;

export interface Standing {
  state(surfaceId: string | null, gate: GateSpec): Pick<Gate, 'state' | 'waitsFor' | 'outgrown'>;
}

export function standingOf(
  zoneSteps: readonly StepSpec[],
  zoneChecks: readonly Check[],
  owns: readonly Own[],
  /** Where it is; a stroke that was passed in another zone is looked at again in this one, whose sheet and clean-up never saw it. */
  zoneId: string | null,
): Standing {
  const steps: At[] = [
    ...zoneSteps.map((step, index): At => ({ surfaceId: null, phase: zonePhase(step), index, alone: false, step })),
    ...owns.flatMap((o) => {
      const alone = !o.steps.some((st) => st.kind === 'prepare');
      return o.steps.map((step, index): At => ({ surfaceId: o.surfaceId, phase: ownPhase(step), index, alone, step }));
    }),
  ];
  const gates: Placed[] = steps.flatMap((at) => at.step.gates.map((gate) => ({ at, gate, key: keyOf(at.surfaceId, gate.id) })));
  const byKey = new Map(gates.map((g) => [g.key, g]));
  const passed = new Set<string>();
  const failed = new Set<string>();
  const outgrown = new Set<string>();

  // What one surface waits for, or takes back, is its own or the zone's: never another's.
  const ofZone = gates.filter((g) => g.at.surfaceId === null);
  const bySurface = new Map<string, Placed[]>(owns.map((o) => [o.surfaceId, [...ofZone]]));
  for (const g of gates) if (g.at.surfaceId !== null) bySurface.get(g.at.surfaceId)!.push(g);
  const around = (at: At): readonly Placed[] => (at.surfaceId === null ? gates : bySurface.get(at.surfaceId)!);

  /** @param now in ms: what was asked only later held nobody up then */
  const firstUnmet = (g: Placed, now = Infinity): Placed | undefined =>
    around(g.at).find((x) => before(x.at, g.at) && !passed.has(x.key) && (x.gate.since === undefined || Date.parse(x.gate.since) < now));
  /** Takes back every pass from a step on. @param partId of what was broken into: the strokes of other parts keep theirs */
  const sendBack = (to: At, partId: string | null = null) => {
    for (const x of around(to)) {
      const other = partId !== null && (partOf(x.at) ?? partId) !== partId;
      if (x.at === to || (before(to, x.at) && !other)) passed.delete(x.key);
    }
  };
  /** Sheet and seals were cleared away: something of the zone after its strokes has passed. */
  const takenDown = (): boolean => gates.some((g) => g.at.surfaceId === null && g.at.phase > PHASES.strokes && passed.has(g.key));
  /** The nearest step of that kind at or before the gate; where there is none, the gate's own. */
  const target = (g: Placed): At => steps.filter((x) => x.step.kind === g.gate.backTo && (x === g.at || before(x, g.at))).at(-1) ?? g.at;

  /** What keeps it in is looked at again, and what was verified is open again. */
  const openZone = (setUpAgain: boolean) => {
    for (const g of gates)
      if (g.at.surfaceId === null && (g.at.phase > PHASES.strokes || (setUpAgain && g.at.phase === PHASES.setUp))) passed.delete(g.key);
  };
  /** Into an older coat: where the sheet still lies it stays as it is. */
  const brokeInto = () => openZone(takenDown());
  const event = (what: EventName, surfaceId: string | null) => {
    const cleaned = takenDown();
    const own = steps.find((x) => x.surfaceId === surfaceId && surfaceId !== null && x.phase === PHASES.strokes);
    if (own && (what === 'breakThrough' || what === 'newFind')) sendBack(own);
    // Torn, spilt, blown or broken into.
    openZone(what !== 'breakThrough' || cleaned);
  };

  const elsewhere = ({ at }: Placed, c: Check): boolean =>
    at.phase === PHASES.strokes && !at.alone && at.surfaceId !== null && c.zoneId !== null && c.zoneId !== zoneId;

  /** A sign was seen at a step: it, or the nearest of the kind to which it sends the work, is open again, and all after it. */
  const seen = (surfaceId: string, { stepId, backTo, broke }: Sent) => {
    const own = steps.find((x) => x.surfaceId === surfaceId && x.step.id === stepId);
    if (!own) return;
    const to = backTo === null ? own : (steps.filter((x) => x.step.kind === backTo && (x === own || before(x, own))).at(-1) ?? own);
    const again = (broke || DISTURBING.includes(to.step.kind)) && takenDown();
    sendBack(to, broke ? partOf(own) : null);
    if (broke) brokeInto();
    if (again) for (const x of gates) if (x.at.phase === PHASES.setUp) passed.delete(x.key);
  };

  const all = [
    ...zoneChecks.map((c) => ({ c, surfaceId: null as string | null })),
    ...owns.flatMap((o) => o.checks.map((c) => ({ c, surfaceId: o.surfaceId as string | null }))),
  ];
  // A pass can be taken back. A failure was seen, whatever was written over it: what it sent back has to pass again.
  const replaced = new Set(all.map((x) => x.c.supersedesId));
  const judged = all.map((x) => ({ ...x, is: checkOutcome(x.c, byKey.get(keyOf(x.surfaceId, x.c.gate))?.gate.asks ?? []) }));
  const inOrder = judged
    .filter((x) => x.is === 'fail' || (x.is === 'pass' && !replaced.has(x.c.id)))
    // In the same second a failure comes last: the stricter holds.
    .sort(
      (a, b) =>
        Date.parse(a.c.takenAt) - Date.parse(b.c.takenAt) || (a.is === b.is ? (a.c.id < b.c.id ? -1 : 1) : a.is === 'pass' ? -1 : 1),
    );
  const signs = owns.flatMap((o) => o.sent.map((x) => ({ surfaceId: o.surfaceId, x, at: Date.parse(x.at) }))).sort((a, b) => a.at - b.at);
  let next = 0;
  /** Those that were seen before, or in the same second as, what comes next. */
  const seenUntil = (at: number) => {
    for (; next < signs.length && signs[next]!.at <= at; next += 1) seen(signs[next]!.surfaceId, signs[next]!.x);
  };
  for (const { c, surfaceId, is } of inOrder) {
    // In the same second a pass comes first: what was seen holds.
    seenUntil(is === 'pass' ? Date.parse(c.takenAt) - 1 : Date.parse(c.takenAt));
    const said = readHold(c.gate);
    if (said?.hold === 'event') {
      if (said.what !== undefined) event(said.what, surfaceId);
      continue;
    }
    const g = byKey.get(keyOf(surfaceId, c.gate));
    if (!g) continue;
    if (is === 'fail') {
      const to = target(g);
      const disturbs = DISTURBING.includes(to.step.kind);
      // What was taken down is put up again before anything is disturbed.
      const again = disturbs && takenDown();
      sendBack(to);
      if (again) for (const x of gates) if (x.at.phase === PHASES.setUp) passed.delete(x.key);
      failed.add(g.key);
    } else if (!stillSpeaks(c, g.gate.of)) {
      outgrown.add(g.key);
    } else if (firstUnmet(g, Date.parse(c.takenAt)) === undefined && !elsewhere(g, c)) {
      passed.add(g.key);
      failed.delete(g.key);
      outgrown.delete(g.key);
    } else if (g.gate.key.hold === 'released') {
      // Out of its turn it opens nothing, but what it says is so: sheet, seals and signs are down.
      for (const x of gates) if (x.at.surfaceId === null && x.at.phase === PHASES.setUp) passed.delete(x.key);
    }
  }
  seenUntil(Infinity);
  return {
    state(surfaceId, gate) {
      const g = byKey.get(keyOf(surfaceId, gate.id));
      if (!g) return { state: 'open', waitsFor: null, outgrown: false };
      const unmet = passed.has(g.key) ? undefined : firstUnmet(g);
      const state: GateState = passed.has(g.key) ? 'passed' : failed.has(g.key) ? 'failed' : unmet ? 'locked' : 'open';
      return { state, waitsFor: unmet?.gate.because ?? null, outgrown: state === 'open' && outgrown.has(g.key) };
    },
  };
}

const NO_GATES: readonly Gate[] = [];

/** Steps as they stand. */
export const placed = (steps: readonly StepSpec[], surfaceId: string | null, zoneId: string, standing: Standing): Step[] =>
  steps.map(({ key, id, at, kind, title, handsOnH, waitH, amounts, gates, because }) => ({
    key,
    id,
    at,
    kind,
    title,
    handsOnH,
    waitH,
    amounts,
    gates:
      gates.length === 0
        ? NO_GATES
        : gates.map((g): Gate => {
            const { state, waitsFor, outgrown } = standing.state(surfaceId, g);
            return {
              key: g.key,
              id: g.id,
              asks: g.asks,
              backTo: g.backTo,
              because: g.because,
              of: g.of,
              state,
              outgrown,
              waitsFor,
              zoneId: surfaceId === null ? zoneId : null,
              placeId: zoneId,
            };
          }),
    because,
    shared: surfaceId === null,
  }));

/** The first step with a check that failed, else the first with one that has not passed; null: all have. */
export function standsAt(steps: readonly Step[]): string | null {
  const failed = steps.find((s) => s.gates.some((g) => g.state === 'failed'))?.gates.find((g) => g.state === 'failed');
  const back = failed && steps.find((s) => s.kind === failed.backTo);
  return (back ?? steps.find((s) => s.gates.some((g) => g.state !== 'passed')))?.id ?? null;
}
