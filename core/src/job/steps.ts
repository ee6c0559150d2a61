/** What is done once for the whole job: papers and notices before anybody starts, one list to buy from, and the handing over. */
import type { Check, JobFacts } from '../facts';
import { typed, why, type Reason } from '../reasons';
import { convert, measure, UNITS, type Measure } from '../units/units';
import { siteDuties } from '../walk/duties';
import { checkOutcome, gate, NOTHING, stepOf, type Amount, type Gate, type GateSpec, type Step, type StepSpec } from '../work';
import type { ZonePlan } from '../zone';
import type { JobPlan } from './derive';

/** Of one thing, everything that any step asks for: pieces whole, the rest as it is. */
export function toBuy(steps: readonly Pick<StepSpec, 'amounts'>[]): Amount[] {
  const sums = new Map<string, Measure>();
  for (const { what, amount } of steps.flatMap((st) => st.amounts)) {
    const before = sums.get(what);
    if (before === undefined) sums.set(what, amount);
    // One thing is always counted in one kind of unit; two kinds of it are two lines.
    else if (UNITS[before.unit].dimension === UNITS[amount.unit].dimension)
      sums.set(what, measure(before.value + convert(amount.value, amount.unit, before.unit), before.unit));
    else sums.set(`${what} `, amount);
  }
  return [...sums].map(([what, amount]) => ({ what: what.trim(), amount }));
}

/** What stays behind has to be known to whoever comes after. */
function handOver(facts: JobFacts, { zones, surfaces, rulebook }: JobPlan): Reason[] {
  const uk = rulebook === 'uk';
  const out: Reason[] = [];
  const stays = surfaces.filter((p) => p.work.steps.some((st) => st.id === 'leave' || st.id === 'asbestosStays'));
  if (zones.some((z) => z.protection.care === 'lead'))
    out.push(uk ? why('handOver.leadUk', 'clw2002', {}) : why('handOver.lead', 'cfr40-745.84', {}));
  if (stays.length > 0) out.push(why('handOver.stays', 'trade-aim', { count: measure(stays.length, 'pieces') }));
  out.push(why('handOver.care', 'trade-interval', {}));
  if (facts.surfaces.some((s) => s.element === 'heater' && s.removedAt === null)) out.push(why('handOver.heater', 'trade-interval', {}));
  return out;
}

const lastOf = (checks: readonly Check[], g: GateSpec): Check | undefined =>
  checks
    .filter((c) => c.zoneId === null && c.gate === g.id)
    .reduce<Check | undefined>(
      (a, c) => (a && (a.takenAt > c.takenAt || (a.takenAt === c.takenAt && a.outcome === 'fail')) ? a : c),
      undefined,
    );

/** The job's own checks: the later counts, in the same second the failure. */
function stated(g: GateSpec, checks: readonly Check[], waitsFor: Reason | null): Gate {
  const last = lastOf(checks, g);
  const is = last && checkOutcome(last, g.asks);
  const state = waitsFor !== null ? 'locked' : is === 'pass' ? 'passed' : is === 'fail' ? 'failed' : 'open';
  return { ...g, state, waitsFor, zoneId: null };
}

const isDone = (z: ZonePlan): boolean => z.standsAt === null;

export function jobSteps(facts: JobFacts, plan: JobPlan): Step[] {
  const { zones, surfaces } = plan;
  if (surfaces.length === 0) return [];
  const duties = siteDuties(facts);
  const made: StepSpec[] = [];
  if (duties.length > 0)
    made.push(
      stepOf({
        id: 'papers',
        kind: 'prepare',
        title: why('step.papers', 'trade-aim', {}),
        because: duties,
        gates: [gate('papers', 'prepare', why('gate.papers', 'trade-aim'))],
      }),
    );
  const amounts = toBuy([...zones.flatMap((z) => z.steps), ...surfaces.flatMap((p) => p.work.steps.filter((st) => !st.shared))]);
  if (amounts.length > 0) made.push(stepOf({ id: 'buy', kind: 'prepare', title: why('step.buy', 'trade-aim', {}), amounts }));
  made.push(
    stepOf({
      id: 'handOver',
      kind: 'verify',
      title: why('step.handOver', 'trade-aim', {}),
      because: handOver(facts, plan),
      gates: [gate('handed-over', 'verify', why('gate.handedOver', 'trade-aim'))],
    }),
  );
  // Nothing is handed over while a check of any surface or zone is open.
  const open = zones.find((z) => !isDone(z))?.name ?? surfaces.find((p) => p.work.standsAt !== null);
  const waits =
    open === undefined ? null : why('gate.allPassed', 'trade-aim', { where: typeof open === 'string' ? typed(open) : 'aSurface' });
  return made.map((st) => ({
    ...st,
    shared: true,
    gates: st.gates.map((g) => stated(g, facts.checks, g.id === 'handed-over' ? waits : null)),
    handsOnH: NOTHING,
    waitH: NOTHING,
  }));
}
