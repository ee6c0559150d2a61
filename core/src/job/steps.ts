/** What is done once for the whole job: papers and notices before anybody starts, one list to buy from, and the handing over. */
import { type Check, type JobFacts, readHold } from '../facts';
import { typed, why, type Reason } from '../reasons';
import { measure } from '../units/units';
import { isHeater } from '../walk';
import { siteDuties } from '../walk/duties';
import { gate, gateOf, stepOf, type Gate, type GateSpec, type Step, type StepSpec } from '../step';
import type { ZonePlan } from '../zone';
import { standingOf } from '../zone/standing';
import type { JobPlan } from './plan';
import { leftToDo } from './to-buy';

/** What stays behind has to be known to whoever comes after. */
function handOver(facts: JobFacts, { zones, surfaces, rulebook }: JobPlan): Reason[] {
  const uk = rulebook === 'uk';
  const out: Reason[] = [];
  const stays = surfaces.filter((p) => p.work.steps.some((st) => st.key.step === 'leave' || st.key.step === 'asbestosStays'));
  if (zones.some((z) => z.protection.care === 'lead'))
    out.push(uk ? why('handOver.leadUk', 'clw2002', {}) : why('handOver.lead', 'cfr40-745.84', {}));
  if (stays.length > 0) out.push(why('handOver.stays', 'trade-aim', { count: measure(stays.length, 'pieces') }));
  if (surfaces.some((p) => p.coating.lines.length > 0)) out.push(why('handOver.care', 'trade-interval', {}));
  const early = surfaces.filter((p) =>
    p.coating.lines.some((l) => l.because.some((r) => r.rule === 'coat.tooEarly' || r.rule === 'coat.insistedEarly')),
  ).length;
  if (early > 0) out.push(why('handOver.early', 'job-record', { count: early }, 'care'));
  const terms = (rule: 'coat.guarantee' | 'coat.guaranteeOn' | 'coat.guaranteeOff') =>
    surfaces.flatMap((p) => p.coating.lines.flatMap((l) => l.because.filter((r) => r.rule === rule)));
  // One maker's terms once, however many pieces carry its finish.
  const once = (rs: readonly Reason[]) => [...new Map(rs.map((r) => [JSON.stringify(r), r])).values()];
  out.push(...once([...terms('coat.guarantee'), ...terms('coat.guaranteeOn'), ...terms('coat.guaranteeOff')]));
  if (facts.surfaces.some((s) => isHeater(s.element) && s.removedAt === null)) out.push(why('handOver.heater', 'trade-interval', {}));
  return out;
}

/** The job's own checks that count: what was handed over before the last look at any place has to be handed over again. Law O3. */
function ownChecks(facts: JobFacts): Check[] {
  const looks = [...facts.checks.filter((c) => c.zoneId !== null), ...facts.surfaces.flatMap((s) => s.checks)];
  const lastLook = looks.reduce((last, c) => Math.max(last, Date.parse(c.takenAt)), -Infinity);
  return facts.checks.filter(
    (c) => c.zoneId === null && !(readHold(c.gate)?.hold === 'handedOver' && c.outcome === 'pass' && Date.parse(c.takenAt) < lastLook),
  );
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
        step: 'papers',
        kind: 'prepare',
        title: why('step.papers', 'trade-aim', {}),
        because: duties,
        gates: [gateOf({ spokeOf: duties.map((d) => d.rule) }, 'papers', 'prepare', why('gate.papers', 'trade-aim'))],
      }),
    );
  const { amounts, partly } = leftToDo(zones, surfaces);
  if (amounts.length > 0)
    made.push(
      stepOf({
        step: 'buy',
        kind: 'prepare',
        title: why(partly ? 'step.buyRest' : 'step.buy', 'trade-aim', {}),
        amounts,
      }),
    );
  made.push(
    stepOf({
      step: 'handOver',
      kind: 'verify',
      title: why('step.handOver', 'trade-aim', {}),
      because: handOver(facts, plan),
      gates: [gate('handedOver', 'verify', why('gate.handedOver', 'trade-aim'))],
    }),
  );
  // Nothing is handed over while a check of any surface or zone is open.
  const open = zones.find((z) => !isDone(z))?.name ?? surfaces.find((p) => p.work.standsAt !== null);
  const waits =
    open === undefined ? null : why('gate.allPassed', 'trade-aim', { where: typeof open === 'string' ? typed(open) : 'aSurface' });
  const standing = standingOf(made, ownChecks(facts), [], null);
  const stated = (g: GateSpec): Gate => {
    const { state, waitsFor, outgrown } = standing.state(null, g);
    return g.key.hold === 'handedOver' && waits
      ? { ...g, state: 'locked', outgrown: false, waitsFor: waits, zoneId: null, placeId: null }
      : { ...g, state, outgrown, waitsFor, zoneId: null, placeId: null };
  };
  return made.map((st) => ({ ...st, shared: true, gates: st.gates.map(stated) }));
}
