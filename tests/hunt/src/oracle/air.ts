/** What is breathed at a task on lead, and the limit for it, written down again: 29 CFR 1926.62(c), (d); 8 CCR 1532.1 from memory; CLAW 2002. */
import type { AirSample, JobFacts, MethodId, Surface } from '../../../../core/src/facts';
import { THIS_YEAR } from '../scenario';

/** Which law, and for a shift past eight hours how much of it. */
export function limitFor({ job }: JobFacts, shiftH: number): number {
  if (job.rulebook === 'uk') return 150;
  const [limit, product] = job.stateLayer === 'california' ? [10, 80] : [50, 400];
  return shiftH > 8 ? product / shiftH : limit;
}
const action = ({ job }: JobFacts): number => (job.rulebook === 'uk' ? 75 : job.stateLayer === 'california' ? 2 : 30);

const NOTHING: readonly MethodId[] = ['leave', 'thickPrimer', 'encapsulate', 'cover'];
const SECOND: readonly MethodId[] = ['powerSand', 'drillBrush', 'nylonWheel', 'flapDisc'];
const THIRD: readonly MethodId[] = ['softBlast', 'sodaBlast', 'spongeBlast', 'hardBlast', 'vacuumBlast', 'torch'];
/** ug/m3 by the class of the task. */
export const presumed = (m: MethodId): number => (NOTHING.includes(m) ? 0 : SECOND.includes(m) ? 2500 : THIRD.includes(m) ? Infinity : 500);

const sameCoating = (a: Surface, b: Surface): boolean => {
  const coats = (s: Surface) =>
    s.layers
      .filter((l) => l.removedAt === null)
      .sort((x, y) => x.position - y.position)
      .map((l) => l.binder)
      .join();
  return a.material === b.material && coats(a) === coats(b);
};
function stands(a: AirSample, { job }: JobFacts): boolean {
  const at = new Date(a.startedAt);
  const since =
    job.startOn === null
      ? new Date(Date.UTC(THIS_YEAR, 0, 1))
      : new Date(Date.UTC(Number(job.startOn.slice(0, 4)) - 1, Number(job.startOn.slice(5, 7)) - 1, Number(job.startOn.slice(8))));
  return a.removedAt === null && a.massUg !== null && a.minutes >= 60 && at >= since;
}

/** What the firm's own results say of a task on a surface; null: nothing that counts. */
export function measured(facts: JobFacts, s: Surface, m: MethodId): { readonly most: number; readonly settled: boolean } | null {
  const counting = facts.airSamples.filter((a) => {
    const on = facts.surfaces.find((x) => x.id === a.onSurfaceId);
    return a.methodId === m && on !== undefined && stands(a, facts) && (on.id === s.id || sameCoating(on, s));
  });
  if (counting.length === 0) return null;
  const air = counting
    .map((a) => ({ at: Date.parse(a.startedAt), ug: (a.massUg! * 1000) / (a.minutes * a.flowLMin) }))
    .sort((a, b) => a.at - b.at);
  const lastOver = air.findLastIndex((x) => x.ug >= action(facts));
  const under = air.slice(lastOver + 1);
  return {
    most: Math.max(...air.map((x) => x.ug)),
    settled: under.length > 1 && under.at(-1)!.at - under[0]!.at >= 7 * 24 * 3_600_000,
  };
}
