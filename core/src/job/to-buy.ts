/** What several steps ask for, summed; and what of a job is not done yet. One judgement for the plan's own list and for the shop. */
import { convert, measure, UNITS } from '../units/units';
import type { Amount, Step, StepSpec } from '../step';
import type { ZonePlan } from '../zone';
import type { SurfacePlan } from '../zone/surface-plan';

/** Of one thing, everything that any step asks for. Counted in two kinds of unit it is two lines. */
export function toBuy(steps: readonly Pick<StepSpec, 'amounts'>[]): Amount[] {
  const sums = new Map<string, Amount>();
  for (const { what, amount } of steps.flatMap((st) => st.amounts)) {
    const key = `${what}/${UNITS[amount.unit].dimension}`;
    const before = sums.get(key)?.amount;
    const sum = before ? measure(before.value + convert(amount.value, amount.unit, before.unit), before.unit) : amount;
    sums.set(key, { what, amount: sum });
  }
  return [...sums.values()];
}

/** From the step at which the work stands. What has no check has not passed any: it is to do. */
function stillToDo(steps: readonly Step[], standsAt: string | null): readonly Step[] {
  if (standsAt === null) return steps.some((st) => st.gates.length > 0) ? [] : steps;
  const i = steps.findIndex((st) => st.id === standsAt);
  return i < 0 ? steps : steps.slice(i);
}

type Worked = Pick<SurfacePlan, 'surfaceId' | 'work'>;
const isDone = ({ work }: Worked): boolean => stillToDo(work.steps, work.standsAt).length === 0;
/** Something is left to do in it: by its own checks; where it has none, by those of its pieces. */
export const isBusy = (z: Pick<ZonePlan, 'steps' | 'standsAt' | 'surfaceIds'>, surfaces: readonly Worked[]): boolean =>
  z.standsAt !== null ||
  (z.steps.length > 0 &&
    z.steps.every((st) => st.gates.length === 0) &&
    surfaces.some((p) => z.surfaceIds.includes(p.surfaceId) && !isDone(p)));

export interface StillToDo {
  readonly zoneSteps: readonly Step[];
  readonly own: readonly { readonly plan: SurfacePlan; readonly steps: readonly Step[] }[];
  /** Summed, without what of a coat was laid already. */
  readonly amounts: readonly Amount[];
  /** Something is done, and is not in it. */
  readonly partly: boolean;
}

/** What of these zones and surfaces is still to do, and what that takes. */
export function leftToDo(zones: readonly ZonePlan[], surfaces: readonly SurfacePlan[]): StillToDo {
  const zoneSteps = zones.flatMap((z) => (isBusy(z, surfaces) ? stillToDo(z.steps, z.standsAt) : []));
  const own = surfaces.map((plan) => ({
    plan,
    steps: stillToDo(plan.work.steps, plan.work.standsAt).filter((st) => !st.shared),
  }));
  const laid = new Map<string, number>();
  for (const { plan, steps } of own)
    for (const l of plan.coating.lines)
      if (l.laidL > 0 && steps.some((st) => st.amounts.some((a) => a.what === l.product)))
        laid.set(l.product, (laid.get(l.product) ?? 0) + l.laidL);
  const amounts = toBuy([...zoneSteps, ...own.flatMap((x) => x.steps)]).flatMap((a): Amount[] => {
    const gone = a.amount.unit === 'L' ? (laid.get(a.what) ?? 0) : 0;
    const left = a.amount.value - gone;
    return left <= 0 ? [] : [{ what: a.what, amount: measure(left, a.amount.unit) }];
  });
  const partly =
    laid.size > 0 ||
    zones.some((z) => z.steps.length > 0 && (z.standsAt !== null ? z.steps[0]!.id !== z.standsAt : !isBusy(z, surfaces))) ||
    own.some((x) => x.steps.length < x.plan.work.steps.filter((st) => !st.shared).length);
  return { zoneSteps, own, amounts, partly };
}
