/** One job with its edits, derived at every stop, warm and cold. */
import type { JobFacts } from '../../../core/src/facts';
import { createDeriver } from '../../../core/src/job/derive';
import { type JobPlan } from '../../../core/src/job/plan';
import type { FirmSettings } from '../../../core/src/rulebook';
import type { SurfacePlan } from '../../../core/src/zone/surface-plan';
import { applies, edited } from './edit';
import { THIS_YEAR, type Edit } from './scenario';

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

/** A plan without the words of every method that was weighed: their rules stand for them. Its text says whether two are the same. */
const signOf = (p: SurfacePlan): string =>
  JSON.stringify({
    ...p,
    choice: {
      ...p.choice,
      parts: p.choice.parts.map((x) => ({
        ...x,
        options: [...x.options, ...x.helpers].map((o) => [
          o.methodId,
          o.verdict,
          o.canInsist,
          o.coatsReached,
          o.perM2.total.high,
          o.because.map((r) => r.rule).join(),
        ]),
        helpers: null,
      })),
    },
  });
const sumsOf = ({ surfaces: _, ...sums }: JobPlan): string => JSON.stringify(sums);

function differences(warm: JobPlan, cold: JobPlan): string[] {
  const surfaces = warm.surfaces.flatMap((p, i) => {
    const fresh = cold.surfaces[i];
    if (fresh && signOf(p) === signOf(fresh)) return [];
    const keys = Object.keys(p) as (keyof SurfacePlan)[];
    return keys
      .filter((k) => JSON.stringify(p[k]) !== JSON.stringify(fresh?.[k]))
      .map((k) => `${p.surfaceId}: ${k} differs from a fresh derivation`);
  });
  return surfaces.length > 0 || sumsOf(warm) === sumsOf(cold) ? surfaces : ['the sums of the job differ from a fresh derivation'];
}

/** A job with what is done to it afterwards. */
export interface Course {
  readonly facts: JobFacts;
  readonly settings: FirmSettings;
  readonly edits: readonly Edit[];
}

/** Every stop: the job as recorded, and after each edit that the product lets through. */
export function* stopsOf({ facts: recorded, settings, edits }: Course, tell?: (e: Edit, took: boolean) => void): Generator<Run> {
  const deriver = createDeriver();
  let stop = 0;
  let facts = recorded;
  let before: Run | null = null;
  for (const edit of [null, ...edits]) {
    const next = edit === null ? facts : edited(facts, edit);
    if (edit !== null && applies(facts, edit)) tell?.(edit, next !== facts);
    if (edit !== null && next === facts) continue;
    facts = next;
    const warm = deriver.derive(facts, settings, THIS_YEAR);
    // Settings of its own, so that nothing which is remembered by them is shared.
    // A fresh derivation at every second stop: it takes as long as all the rest.
    stop += 1;
    const differs = stop % 2 === 1 ? [] : differences(warm, createDeriver().derive(facts, { ...settings }, THIS_YEAR));
    const run: Run = { facts, settings, plans: plansOf(warm.surfaces), job: warm, differs, before, edit };
    yield run;
    before = run;
  }
}
