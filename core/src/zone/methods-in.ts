/** What is done to a surface, with the hours that it takes: by its own steps, so that the same hours stand everywhere. */
import { methodById, stirs } from '../catalogue';
import type { MethodId } from '../facts';
import { isPresent, leadDepths } from '../probe';
import { effortOn, lowInReach, picksOf } from '../choose';
import type { SurfacePlan } from './surface-plan';

/** Strokes that disturb, each method once; person-hours of the longer case. */
export function methodsIn(plan: SurfacePlan): { readonly methodId: MethodId; readonly hoursHigh: number }[] {
  const hours = new Map<MethodId, number>();
  if (!plan.work.steps.some((st) => st.kind === 'prepare')) return [];
  for (const part of plan.choice.parts)
    for (const { option } of picksOf(part)) {
      const m = methodById(option.methodId);
      if (m.disturbs) hours.set(m.id, (hours.get(m.id) ?? 0) + effortOn(part.areaM2, option.perM2, m).personHours.high);
    }
  return [...hours].map(([methodId, hoursHigh]) => ({ methodId, hoursHigh }));
}

/** Those of it that meet lead, or what may be lead; of lead below the limit, those that make dust or fume of it. */
export const tasksOn = (plan: SurfacePlan): MethodId[] =>
  methodsIn(plan)
    .map((m) => m.methodId)
    .filter((id) => isPresent(plan.lead.overall.value) || (stirs(methodById(id)) && lowInReach(methodById(id), leadDepths(plan.lead))));
