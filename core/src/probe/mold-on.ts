import type { Surface } from '../facts';
import { answer, why, type Answer } from '../reasons';
import type { Rulebook } from '../rulebook';
import { measure } from '../units/units';
import { judgeMoisture } from './moisture';
import { standingReadings } from './reading';
import type { HazardState } from './state';

/** Mold on a surface, as a hazard state: growth is seen or it is not; damp without growth is watched. */
export function moldOn(s: Surface, { sources: { mold: source } }: Rulebook): Answer<HazardState> {
  if (s.conditions.includes('moldy') || (s.moldM2 ?? 0) > 0)
    return answer<HazardState>('found', why('mold.growth', source, s.moldM2 ? { extent: measure(s.moldM2, 'm2') } : {}));
  const wet = standingReadings(s.readings).some(
    (r) => r.kind === 'moisture' && ['wet', 'decay'].includes(judgeMoisture(r, s.material).value),
  );
  if (wet || s.conditions.includes('wet')) return answer<HazardState>('assumed', why('mold.dampHides', source, {}));
  return answer<HazardState>('notFound', why('mold.none', 'job-record', {}));
}
