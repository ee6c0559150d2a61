/** A surface in its zone: its own plan, its share of what the zone does once, and where its work stands. */
import type { Protection } from '../protect';
import { hoursOf, plus, type Step } from '../step';
import type { Next, OwnPlan, SurfaceOwn } from '../surface/plan';
import type { Range } from '../units/units';
import { withLaid } from '../work';
import { stepsAround, type ZoneMade } from './plan';
import { standsAt } from './standing';

export interface WorkPlan {
  /** Its own, and around them those of its zone. */
  readonly steps: readonly Step[];
  /** Its own and its share of the zone's. */
  readonly handsOnH: Range;
  /** Of that, its share of what the zone does once. */
  readonly sharedH: Range;
  readonly waitH: Range;
  /** The step where the work stands: the first with a failed or open check after the last that passed. */
  readonly standsAt: string | null;
}

/** What its zone does for it stands beside its own, and where the work stands. */
export interface SurfacePlan extends OwnPlan {
  /** The zone in which it is worked. */
  readonly zoneId: string;
  /** That of its zone. */
  readonly protection: Protection;
  readonly work: WorkPlan;
  /** Its own and its share of the zone's. */
  readonly money: Range;
  /** Of that, its share of the zone's work and of what is bought for it. */
  readonly sharedMoney: Range;
  /** The next thing to do on this surface. */
  readonly next: Next;
}

/** The whole plan of a surface: its own, and what its zone does for it. */
export function withZone(own: SurfaceOwn, zone: ZoneMade): SurfacePlan {
  const { plan, surfaceId, steps, labourPerHour, first } = own;
  const share = zone.shares.get(surfaceId) ?? 0;
  const of = (r: Range): Range => ({ low: r.low * share, high: r.high * share });
  const hands = hoursOf(steps);
  const around = withLaid(stepsAround(steps, surfaceId, zone), own);
  const sharedH = of(zone.plan.handsOnH);
  const sharedMoney = of(zone.plan.money);
  const { protection } = zone.plan;
  const work: WorkPlan = {
    steps: around,
    handsOnH: plus(hands.handsOnH, sharedH),
    sharedH,
    waitH: hands.waitH,
    standsAt: around[0]?.kind === 'ask' || around[0]?.key.step === 'leave' ? around[0].id : standsAt(around),
  };
  // One literal and no spread: this is made for every surface of a house, whenever its zone says anything else.
  return {
    surfaceId: plan.surfaceId,
    spaceId: plan.spaceId,
    zoneId: zone.plan.zoneId,
    area: plan.area,
    lead: plan.lead,
    asbestos: plan.asbestos,
    mold: plan.mold,
    touch: plan.touch,
    trials: plan.trials,
    hold: plan.hold,
    issue: plan.issue,
    choice: plan.choice,
    protection,
    coating: plan.coating,
    work,
    money: {
      low: hands.handsOnH.low * labourPerHour + plan.materials.low + plan.coats + sharedMoney.low,
      high: hands.handsOnH.high * labourPerHour + plan.materials.high + plan.coats + sharedMoney.high,
    },
    sharedMoney,
    materials: plan.materials,
    repairs: plan.repairs,
    coats: plan.coats,
    proof: plan.proof,
    problems: plan.problems,
    next: first ?? nextByChecks(work, protection),
  };
}

function nextByChecks(work: WorkPlan, protection: Protection): Next {
  if (work.standsAt === 'protect') return { act: 'protect', because: protection.needed.because };
  return { act: work.standsAt === null ? 'nothing' : 'work', because: [] };
}
