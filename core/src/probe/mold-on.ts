import type { Surface } from '../facts';
import { answer, why, type Answer } from '../reasons';
import type { Rulebook } from '../rulebook';
import { measure } from '../units/units';
import { judgeMoisture } from './moisture';
import { saysSomething, standingReadings } from './standing';
import type { HazardState } from './state';

/**
 * Mold on a surface, as a hazard state: growth is seen or it is not; damp without growth is watched.
 * @param before growth was seen on a like piece at this place that was taken off the list
 */
export function moldOn(s: Surface, { sources: { mold: source } }: Rulebook, before = false): Answer<HazardState> {
  if (s.conditions.includes('moldy') || (s.moldM2 ?? 0) > 0)
    return answer<HazardState>('found', why('mold.growth', source, s.moldM2 ? { extent: measure(s.moldM2, 'm2') } : {}));
  const wet = standingReadings(s).some((r) => r.kind === 'moisture' && ['wet', 'decay'].includes(judgeMoisture(r, s.material).value));
  if (wet || s.conditions.includes('wet')) return answer<HazardState>('assumed', why('mold.dampHides', source, {}));
  if (before && (s.past === 'asBefore' || !saysSomething(s.pastWhy)))
    return answer<HazardState>('assumed', why('mold.foundBefore', 'job-record', {}));
  return answer<HazardState>('notFound', why('mold.none', 'job-record', {}));
}

/** What the meter said last: wet, or at risk of rot. Of readings of one moment the wettest counts. */
export function readsWet(s: Surface): boolean {
  const all = standingReadings(s).filter((r) => r.kind === 'moisture' && r.value !== null);
  const last = all.reduce<string>((t, r) => (r.takenAt > t ? r.takenAt : t), '');
  return all.some((r) => r.takenAt === last && ['wet', 'decay'].includes(judgeMoisture(r, s.material).value));
}

/** Water or growth was seen on it, or the meter says so: the cause comes first, and no film goes on. */
export const isDamp = (s: Surface): boolean =>
  s.conditions.includes('wet') || s.conditions.includes('moldy') || (s.moldM2 ?? 0) > 0 || readsWet(s);
