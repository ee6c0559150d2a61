/** Looks for a job, and edits of it, that break a law; shrinks what it finds. */
import { mkdirSync, writeFileSync } from 'node:fs';
import path from 'node:path';
import fc from 'fast-check';
import { edit, factsOf, recipe, type Edit, type Recipe } from './scenario';
import { stopsOf, type Course } from './run';
import { CHOICE_LAWS } from './laws/choice';
import { EVIDENCE } from './laws/evidence';
import { HAZARDS_LAWS } from './laws/hazards';
import { RELATIONS } from './laws/relation';
import type { Law } from './laws/law';
import { REPAIR_LAWS } from './laws/repair';
import { COAT_LAWS } from './laws/coats';
import { SHELF_LAWS } from './laws/shelf';
import { WINDOW_LAWS } from './laws/windows';
import { VOICE_LAWS } from './laws/voices';
import { WORLD_LAWS } from './laws/world';
import { ZONE_LAWS } from './laws/zones';

export const LAWS: readonly Law[] = [
  ...EVIDENCE,
  ...HAZARDS_LAWS,
  ...CHOICE_LAWS,
  ...RELATIONS,
  ...ZONE_LAWS,
  ...REPAIR_LAWS,
  ...SHELF_LAWS,
  ...COAT_LAWS,
  ...WINDOW_LAWS,
  ...WORLD_LAWS,
  ...VOICE_LAWS,
];

interface Scenario {
  readonly recipe: Recipe;
  readonly edits: readonly Edit[];
}
export const scenario: fc.Arbitrary<Scenario> = fc.record({
  recipe,
  edits: fc.oneof(fc.constant([] as Edit[]), fc.array(edit, { minLength: 1, maxLength: 8 })),
});

export interface EditCount {
  readonly tried: number;
  readonly took: number;
}
export interface Find {
  readonly law: string;
  readonly count: number;
  readonly says: string;
  readonly path: string;
  readonly smallest: Course;
}
export interface HuntOptions {
  readonly surfaces: number;
  readonly seed: number;
  readonly laws?: readonly string[];
  /** Without it the first example is told as it was met. */
  readonly shrink?: boolean;
  /** Ends at the first breach: a mutant needs no second. */
  readonly first?: boolean;
  readonly told?: (surfaces: number) => void;
}

export const courseOf = ({ recipe: r, edits }: Scenario): Course => ({ facts: factsOf(r), settings: r.settings, edits });

/** What a course breaks of a law at its first breach. */
export function breaches(law: Law, course: Course): readonly string[] {
  for (const run of stopsOf(course)) {
    const found = law.check(run);
    if (found.length > 0) return found;
  }
  return [];
}

export function hunt({ surfaces, seed, laws, shrink = true, first = false, told }: HuntOptions): {
  readonly surfaces: number;
  readonly finds: readonly Find[];
  /** How many cases each law judged, and how many edits of each kind were tried and took hold. */
  readonly asked: ReadonlyMap<string, number>;
  readonly edits: ReadonlyMap<string, EditCount>;
} {
  const watched = LAWS.filter((l) => laws === undefined || laws.length === 0 || laws.includes(l.id));
  const counts = new Map<string, number>();
  const firstMet = new Map<string, { readonly at: number; readonly is: Scenario }>();
  const asked = new Map(watched.map((l) => [l.id, 0]));
  const edits = new Map<string, EditCount>();
  const tell = (e: Edit, took: boolean): void => {
    const key = 'entity' in e ? `${e.kind} ${e.entity}` : e.kind;
    const known = edits.get(key) ?? { tried: 0, took: 0 };
    edits.set(key, { tried: known.tried + 1, took: known.took + (took ? 1 : 0) });
  };
  let seen = 0;
  let index = -1;
  // One after another, none kept: a long hunt must fit in memory. A breach is met again by its seed and place.
  const look = fc.property(scenario, (one) => {
    index += 1;
    if (seen >= surfaces) return;
    for (const run of stopsOf(courseOf(one), tell)) {
      if (run.before === null) seen += run.facts.surfaces.length;
      for (const law of watched) {
        asked.set(law.id, asked.get(law.id)! + (law.asks?.(run) ?? 1));
        if (law.check(run).length === 0) continue;
        counts.set(law.id, (counts.get(law.id) ?? 0) + 1);
        if (!firstMet.has(law.id)) firstMet.set(law.id, { at: index, is: one });
      }
    }
    if (index % 200 === 0) told?.(seen);
    if (first && counts.size > 0) throw new Error('met the first');
  });
  const whole = fc.check(look, { seed, numRuns: Math.ceil(surfaces / 1.5), endOnFailure: true });
  if (whole.failed && counts.size === 0) throw whole.errorInstance;
  const finds = watched.flatMap((law): Find[] => {
    const met = firstMet.get(law.id);
    if (met === undefined) return [];
    let smallest = met.is;
    if (shrink) {
      const check = fc.check(
        fc.property(scenario, (x) => breaches(law, courseOf(x)).length === 0),
        { seed, numRuns: met.at + 2, endOnFailure: false },
      );
      if (check.failed && check.counterexample) [smallest] = check.counterexample;
    }
    return [
      {
        law: law.id,
        count: counts.get(law.id)!,
        says: breaches(law, courseOf(smallest))[0] ?? breaches(law, courseOf(met.is))[0] ?? '',
        path: `${seed}:${met.at}`,
        smallest: courseOf(smallest),
      },
    ];
  });
  return { surfaces: seen, finds, asked, edits };
}

export function keep(dir: string, finds: readonly Find[]): void {
  mkdirSync(dir, { recursive: true });
  for (const f of finds) writeFileSync(path.join(dir, `${f.law}.json`), JSON.stringify(f, null, 1));
}
