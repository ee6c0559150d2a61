/** How many days a zone still takes before its first coat may be thought of. */
import type { FirmSettings } from '../rulebook';
import type { SurfacePlan } from './surface-plan';
import type { Step } from '../step';

const isCoat = (st: Step): boolean => st.kind === 'prime' || st.kind === 'coat';

/** What stands between where the work is and its first coat. */
function before({ work }: SurfacePlan): readonly Step[] {
  const from = work.steps.findIndex((st) => st.id === work.standsAt);
  const to = work.steps.findIndex(isCoat);
  return from < 0 || to < 0 ? [] : work.steps.slice(from, Math.max(from, to));
}

/**
 * The day, counted from 1, on which the first coat of a zone may be thought of: the hands-on hours of all its surfaces by the crew's day, and
 * the longest waiting of any of them beside it. The slow ends are taken: a window that is too late is laid in, one too early is missed.
 * @param plans those of the zone
 */
export function readyOnDay(plans: readonly SurfacePlan[], { crew, hoursPerDay }: Pick<FirmSettings, 'crew' | 'hoursPerDay'>): number {
  const shared = new Map<string, Step>();
  let handsOnH = 0;
  let waitH = 0;
  for (const p of plans) {
    let waits = 0;
    for (const st of before(p)) {
      // What the whole zone shares is done once.
      if (st.shared) shared.set(st.id, st);
      else handsOnH += st.handsOnH.high;
      waits += st.waitH.high;
    }
    waitH = Math.max(waitH, waits);
  }
  for (const st of shared.values()) handsOnH += st.handsOnH.high;
  return 1 + Math.floor(handsOnH / (crew * hoursPerDay) + waitH / 24);
}
