/** What may be touched today, by depth: the one answer that a crew asks for. */
import { answer, why, type Answer } from '../reasons';
import type { AsbestosPicture } from './asbestos';
import { leadDepths } from './depths';
import type { LeadPicture } from './lead';
import type { Rulebook } from '../rulebook';
import { isPresent, strictest, type HazardState } from './state';

export const DEPTHS = ['skin', 'loose', 'bare'] as const;
export type Depth = (typeof DEPTHS)[number];
/** free: as any paint. controlled: lead-safe, set up first. stop: nobody touches it. */
export type Touch = 'free' | 'controlled' | 'stop';

export interface TouchToday {
  readonly depth: Depth;
  readonly answer: Answer<Touch>;
}

/** A surface's answer for each depth. Anything that is not "not found" counts as present. */
export function touchToday(lead: LeadPicture, asbestos: AsbestosPicture, mold: HazardState, rulebook: Rulebook): TouchToday[] {
  const depths = leadDepths(lead);
  const leadAt = { skin: depths.skin, loose: depths.loose, bare: depths.all };
  return DEPTHS.map((depth): TouchToday => {
    const fibre = depth === 'bare' ? strictest([asbestos.coat.value, asbestos.below.value]) : asbestos.coat.value;
    if (isPresent(asbestos.coat.value))
      return { depth, answer: answer('stop', why('touch.asbestos', rulebook.sources.asbestosWork, { state: fibre }, 'block', 'law')) };
    if (mold === 'found') return { depth, answer: answer('stop', why('touch.mold', rulebook.sources.mold, {}, 'block', 'hazard')) };
    const state = leadAt[depth];
    if (isPresent(fibre))
      return { depth, answer: answer('controlled', why('touch.below', 'trade-sample', { state: fibre }, 'care', 'hazard')) };
    if (isPresent(state)) return { depth, answer: answer('controlled', why('touch.lead', 'job-record', { state }, 'care', 'law')) };
    return { depth, answer: answer('free', why('touch.clear', 'job-record', {})) };
  });
}
