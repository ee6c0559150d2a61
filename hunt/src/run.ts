/** One job with its edits, derived at every stop, warm and cold. */
import { isDeepStrictEqual } from 'node:util';
import type { JobFacts } from '../../core/src/facts';
import { createDeriver, type JobPlan } from '../../core/src/pipeline';
import type { FirmSettings } from '../../core/src/rulebook';
import type { SurfacePlan } from '../../core/src/surface-plan';
import { edited } from './edit';
import { factsOf, THIS_YEAR, type Edit, type Recipe } from './scenario';

export interface Run {
  readonly facts: JobFacts;
  readonly settings: FirmSettings;
  readonly plans: ReadonlyMap<string, SurfacePlan>;
  readonly job: JobPlan;
  /** Where the warm and the cold derivation differ. */
  readonly differs: readonly string[];
  /** How it stood before the last edit; null at the first stop. */
  readonly before: Run | null;
  readonly edit: Edit | null;
}

export const coatsFreeOfLead = (plan: SurfacePlan): ReadonlySet<string> =>
  new Set(plan.lead.coats.filter((c) => c.state === 'notFound').map((c) => c.coat.id));

const plansOf = (surfaces: readonly SurfacePlan[]): ReadonlyMap<string, SurfacePlan> => new Map(surfaces.map((p) => [p.surfaceId, p]));

/** Every stop: the job as recorded, and after each edit that the product lets through. */
export function* stopsOf(recipe: Recipe, edits: readonly Edit[]): Generator<Run> {
  const { settings } = recipe;
  const deriver = createDeriver();
  let facts = factsOf(recipe);
  let before: Run | null = null;
  for (const edit of [null, ...edits]) {
    const next = edit === null ? facts : edited(facts, edit);
    if (edit !== null && next === facts) continue;
    facts = next;
    const warm = deriver.derive(facts, settings, THIS_YEAR);
    // Settings of its own, so that nothing which is remembered by them is shared.
    const cold = before === null ? warm : createDeriver().derive(facts, { ...settings }, THIS_YEAR);
    const differs = isDeepStrictEqual(warm, cold)
      ? []
      : warm.surfaces.flatMap((p, i) =>
          Object.keys(p).flatMap((k) =>
            isDeepStrictEqual(p[k as keyof SurfacePlan], cold.surfaces[i]?.[k as keyof SurfacePlan])
              ? []
              : [`${p.surfaceId}: ${k} differs from a fresh derivation`],
          ),
        );
    const run: Run = { facts, settings, plans: plansOf(warm.surfaces), job: warm, differs, before, edit };
    yield run;
    before = run;
  }
}
