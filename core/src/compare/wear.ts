/** What a person wears to try a method on a surface, before it is in any plan: a trial square meets the same hazards as the work. */
import type { JobFacts, MethodId } from '../facts';
import { isHelper, methodById } from '../catalogue';
import { picksOf } from '../choose';
import { createDeriver } from '../job/derive';
import { withCartridges } from '../protect';
import { say } from '../reasons';
import type { FirmSettings } from '../rulebook';

/** @returns null: no method of that kind may go on it, and nobody should try */
export function wearToTry(facts: JobFacts, surfaceId: string, methodId: MethodId, settings: FirmSettings, thisYear: number): string | null {
  // What only helps is never the work itself: it is tried beside whatever the plan has there.
  const tried = isHelper(methodById(methodId)) ? { alsoIds: [methodId] } : { methodId, alsoIds: [] };
  const parts = (s: JobFacts['surfaces'][number]) => s.parts.map((p) => ({ ...p, ...tried, insistedWhy: 'a trial square' }));
  const supposed = { ...facts, surfaces: facts.surfaces.map((s) => (s.id === surfaceId ? { ...s, parts: parts(s) } : s)) };
  const plan = createDeriver().surface(supposed, surfaceId, settings, thisYear);
  // The zone's tasks are those of every surface in it: another's work does not allow it here.
  const here = plan?.choice.parts.some((p) => picksOf(p).some((x) => x.option.methodId === methodId));
  const task = here ? plan?.protection.tasks.find((t) => t.methodId === methodId) : undefined;
  if (!task) return null;
  const mask = task.respirator.value ? `${say(task.respirator.value)}${withCartridges(task.cartridges)}` : 'no mask';
  return [mask, ...task.kit.map((k) => say(k.value))].join(', ');
}
