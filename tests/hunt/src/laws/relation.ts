/** H3 and P5: one fact is changed, and the answer moves the right way or not at all. */
import type { JobFacts, Surface } from '../../../../core/src/facts';
import { createDeriver } from '../../../../core/src/job/derive';
import type { SurfacePlan } from '../../../../core/src/zone/surface-plan';
import { FACTOR } from '../oracle/masks';
import { THIS_YEAR } from '../scenario';
import type { Run } from '../run';
import type { Law } from './law';

const CLEARS = ['spot', 'lab', 'xrf', 'report', 'bulk'];
const says = (r: Surface['readings'][number]): boolean =>
  r.spot === 'changed' || (r.value ?? 0) > 0 || r.trace || r.finding === 'lead' || (r.kind === 'lab' && r.value === null);

/** The same job with less known of it: no clear result, no year after which anything is free. */
function knowingLess(facts: JobFacts): JobFacts {
  const kept = (s: Surface) => {
    // What takes a record out is kept with it, or the record would come back by itself.
    const named = new Set(s.readings.map((r) => r.supersedesId));
    return s.readings.filter((r) => !CLEARS.includes(r.kind) || says(r) || named.has(r.id) || r.supersedesId !== null);
  };
  return {
    ...facts,
    job: { ...facts.job, yearBuilt: null },
    spaces: facts.spaces.map((x) => ({ ...x, yearBuilt: null })),
    surfaces: facts.surfaces.map((s) => ({
      ...s,
      yearMade: null,
      readings: kept(s),
      layers: s.layers.map((l) => ({ ...l, yearApplied: null })),
    })),
  };
}

const picksOf = (p: SurfacePlan): string =>
  p.choice.parts.map((x) => [x.selected.value, ...x.also.map((a) => a.value)].join('+')).join('|');
/** What is planned in the whole zone: what it sets up follows from all of it. */
const zonePicks = (all: readonly SurfacePlan[], p: SurfacePlan): string =>
  all
    .filter((x) => x.zoneId === p.zoneId)
    .map(picksOf)
    .join('/');

/** A second derivation is slow: one job in three has it, always the same ones. */
const isLookedAt = ({ before, facts }: Run): boolean =>
  before === null && facts.surfaces.reduce((n, s) => n + s.readings.length + s.layers.length, 0) % 3 === 0;

/** Each surface beside itself in the other job. */
function beside(
  run: Run,
  other: JobFacts,
  wrong: (s: Surface, base: SurfacePlan, then: SurfacePlan, alike: boolean) => string[],
): string[] {
  const then = new Map(
    createDeriver()
      .derive(other, run.settings, THIS_YEAR)
      .surfaces.map((p) => [p.surfaceId, p]),
  );
  return run.facts.surfaces.flatMap((s) => {
    const [a, b] = [run.plans.get(s.id), then.get(s.id)];
    return a && b ? wrong(s, a, b, zonePicks([...run.plans.values()], a) === zonePicks([...then.values()], b)) : [];
  });
}

export const RELATIONS: readonly Law[] = [
  {
    id: 'H3',
    says: 'knowing less never allows more, never lowers protection, never costs less',
    check: (run) =>
      !isLookedAt(run)
        ? []
        : beside(run, knowingLess(run.facts), (s, base, less, alike) => {
            const out = base.choice.parts.flatMap((p, i) => {
              const q = less.choice.parts[i]!;
              const allowed = new Set([...p.options, ...p.helpers].filter((o) => o.verdict !== 'blocked').map((o) => o.methodId));
              return [...q.options, ...q.helpers]
                .filter((o) => o.verdict !== 'blocked' && !allowed.has(o.methodId))
                .map((o) => `${s.name}, ${p.kind}: ${o.methodId} only where less is known`);
            });
            if (!alike) return out;
            const mask = (p: SurfacePlan) => (p.protection.respirator.value === null ? 0 : FACTOR[p.protection.respirator.value]!);
            if (mask(less) < mask(base)) out.push(`${s.name}: a weaker mask where less is known`);
            if (less.protection.sheetLaidM2.value < base.protection.sheetLaidM2.value - 1e-6)
              out.push(`${s.name}: less sheet where less is known`);
            const kit = new Set<string>(less.protection.kit.map((k) => k.value));
            // The class for asbestos does what the class for lead does.
            if (kit.has('asbestosVacuum')) kit.add('leadVacuum');
            const lost = base.protection.kit.find((k) => !kit.has(k.value));
            if (lost) out.push(`${s.name}: no ${lost.value} where less is known`);
            // What may not be laid on a suspect is not paid for: the coats that are laid are compared by what may lie there (C3), not by price.
            const strokes = (p: SurfacePlan) => p.money.low - p.coats;
            // A brush in place of a roller spatters nothing: what is taped for the coats goes with their way.
            const ways = (p: SurfacePlan) => p.coating.lines.map((l) => l.way).join();
            const likewise = less.coating.refused.length === base.coating.refused.length && ways(less) === ways(base);
            if (likewise && strokes(less) < strokes(base) - 1e-6) out.push(`${s.name}: cheaper where less is known`);
            return out;
          }),
  },
  {
    id: 'P5',
    says: 'twice the length never takes fewer hours or less money',
    check: (run) =>
      !isLookedAt(run)
        ? []
        : beside(
            run,
            { ...run.facts, surfaces: run.facts.surfaces.map((s) => ({ ...s, lengthM: s.lengthM * 2 })) },
            (s, base, long, alike) => {
              if (!alike || base.choice.parts.some((p) => p.selected.value === null)) return [];
              const out: string[] = [];
              // How a zone's work is shared out turns on its other surfaces; what a surface does by itself, and the zone's sheet, only grow.
              const own = (p: SurfacePlan) => [p.work.handsOnH.low - p.work.sharedH.low, p.money.high - p.sharedMoney.high] as const;
              const near = (a: number) => a - 1e-6 * Math.max(1, Math.abs(a));
              if (own(long)[0] < near(own(base)[0])) out.push(`${s.name}: fewer hours on twice the length`);
              if (own(long)[1] < near(own(base)[1])) out.push(`${s.name}: less money on twice the length`);
              if (long.protection.sheetLaidM2.value < near(base.protection.sheetLaidM2.value))
                out.push(`${s.name}: less sheet on twice the length`);
              return out;
            },
          ),
  },
];
