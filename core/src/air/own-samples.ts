/** The firm's own air samples in place of a presumption: for the same task on the same coating, within their time. */
import type { AirSample, JobFacts, MethodId, Surface } from '../facts';
import { airFrom, mayStop, type LimitSet } from './breathing';

export interface OwnAir {
  readonly surfaceId: string;
  readonly methodId: MethodId;
  /** The worst of those that count, ug/m3; of a result below what the lab can see, that least. */
  readonly ugM3: number;
  readonly samples: number;
  /** Two under the action level, a week apart: nobody has to sample this task again. 29 CFR 1926.62(d)(6). */
  readonly settled: boolean;
}

/** A shorter one says little about a shift. Common practice, no published source. */
export const LEAST_MIN = 60;
/** Results of the previous twelve months stand. 29 CFR 1926.62(d)(3)(iii). */
const MONTHS = 12;

/** ug/m3 while the pump ran; null: the lab has not answered. */
export const breathedIn = (s: Pick<AirSample, 'massUg' | 'minutes' | 'flowLMin'>): number | null =>
  s.massUg === null ? null : airFrom(s.massUg, s.flowLMin * s.minutes);

/** What makes two coatings one for the air over them: the same coats on the same material. */
const coatingOf = (s: Surface): string =>
  `${s.material}/${s.layers
    .filter((l) => l.removedAt === null)
    .sort((a, b) => a.position - b.position)
    .map((l) => l.binder)
    .join('+')}`;

/** From when on a result counts: a year before the first day of work; where nobody set that, the first day of this year. */
function countsFrom(startOn: string | null, thisYear: number): number {
  if (startOn === null) return Date.UTC(thisYear, 0, 1);
  const from = new Date(`${startOn}T00:00:00.000Z`);
  from.setUTCMonth(from.getUTCMonth() - MONTHS);
  return from.getTime();
}

export type AirSampleState = 'waiting' | 'short' | 'old' | 'counts';
/** Whether a sample stands in for the presumption, and why not. */
export function airSampleState(s: AirSample, startOn: string | null, thisYear: number): AirSampleState {
  if (s.massUg === null) return 'waiting';
  if (s.minutes < LEAST_MIN) return 'short';
  return Date.parse(s.startedAt) < countsFrom(startOn, thisYear) ? 'old' : 'counts';
}

/** @returns for each surface and task, in the order of the surfaces; none where no sample counts */
export function ownAirOf(
  samples: readonly AirSample[],
  surfaces: JobFacts['surfaces'],
  startOn: string | null,
  thisYear: number,
  set: LimitSet,
): OwnAir[] {
  const counting = samples.filter((s) => s.removedAt === null && airSampleState(s, startOn, thisYear) === 'counts');
  if (counting.length === 0) return [];
  const sampled = counting.flatMap((s) => {
    const on = surfaces.find((x) => x.id === s.onSurfaceId);
    return on === undefined ? [] : [{ s, coating: coatingOf(on) }];
  });
  return surfaces.flatMap((surface) => {
    if (surface.removedAt !== null) return [];
    const coating = coatingOf(surface);
    const here = sampled.filter((x) => x.s.onSurfaceId === surface.id || x.coating === coating).map((x) => x.s);
    return [...new Set(here.map((s) => s.methodId))].map((methodId) => {
      const of = here.filter((s) => s.methodId === methodId);
      const results = of.map((s) => ({ at: s.startedAt, twa8: breathedIn(s)! }));
      return {
        surfaceId: surface.id,
        methodId,
        ugM3: Math.max(...results.map((r) => r.twa8)),
        samples: of.length,
        // Held as if the task filled the whole shift: a shorter one is no worse.
        settled: mayStop(results, set),
      };
    });
  });
}
