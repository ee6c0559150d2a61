/** Looks for a job, and edits of it, that break a law; shrinks what it finds. */
import { mkdirSync, writeFileSync } from 'node:fs';
import path from 'node:path';
import fc from 'fast-check';
import { edit, recipe, type Edit, type Recipe } from './scenario';
import { stopsOf } from './run';
import { EVIDENCE } from './laws/evidence';
import type { Law } from './laws/law';

export const LAWS: readonly Law[] = [...EVIDENCE];

interface Scenario {
  readonly recipe: Recipe;
  readonly edits: readonly Edit[];
}
export const scenario: fc.Arbitrary<Scenario> = fc.record({
  recipe,
  edits: fc.oneof(fc.constant([] as Edit[]), fc.array(edit, { minLength: 1, maxLength: 8 })),
});

export interface Find {
  readonly law: string;
  readonly count: number;
  readonly says: string;
  readonly path: string;
  readonly smallest: Scenario;
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

function breaches(law: Law, { recipe: r, edits }: Scenario): readonly string[] {
  for (const run of stopsOf(r, edits)) {
    const found = law.check(run);
    if (found.length > 0) return found;
  }
  return [];
}

export function hunt({ surfaces, seed, laws, shrink = true, first = false, told }: HuntOptions): {
  readonly surfaces: number;
  readonly finds: readonly Find[];
} {
  const watched = LAWS.filter((l) => laws === undefined || laws.length === 0 || laws.includes(l.id));
  const counts = new Map<string, number>();
  const firstIndex = new Map<string, number>();
  let seen = 0;
  let index = -1;
  // Values are drawn one after another from one seed, as fast-check's own runner draws them, so that a breach is met again by its place.
  const drawn = fc.sample(scenario, { seed, numRuns: Math.ceil(surfaces / 1.5) });
  for (const one of drawn) {
    index += 1;
    if (seen >= surfaces) break;
    for (const run of stopsOf(one.recipe, one.edits)) {
      if (run.before === null) seen += run.facts.surfaces.length;
      for (const law of watched) {
        const found = law.check(run);
        if (found.length === 0) continue;
        counts.set(law.id, (counts.get(law.id) ?? 0) + 1);
        if (!firstIndex.has(law.id)) firstIndex.set(law.id, index);
      }
    }
    if (index % 200 === 0) told?.(seen);
    if (first && counts.size > 0) break;
  }
  const finds = watched.flatMap((law): Find[] => {
    const at = firstIndex.get(law.id);
    if (at === undefined) return [];
    const met = drawn[at]!;
    let smallest = met;
    if (shrink) {
      const check = fc.check(
        fc.property(scenario, (x) => breaches(law, x).length === 0),
        { seed, numRuns: at + 2, endOnFailure: false },
      );
      if (check.failed && check.counterexample) [smallest] = check.counterexample;
    }
    return [
      {
        law: law.id,
        count: counts.get(law.id)!,
        says: breaches(law, smallest)[0] ?? breaches(law, met)[0] ?? '',
        path: `${seed}:${at}`,
        smallest,
      },
    ];
  });
  return { surfaces: seen, finds };
}

export function keep(dir: string, finds: readonly Find[]): void {
  mkdirSync(dir, { recursive: true });
  for (const f of finds) writeFileSync(path.join(dir, `${f.law}.json`), JSON.stringify(f, null, 1));
}
