/** How deep the work must go: from the aim, what fails, and what rubs or is chewed. */
import type { Surface } from '../facts';
import type { SurfaceContext } from '../context';
import { isPresent, type LeadPicture } from '../probe';
import { answer, why, type Answer } from '../reasons';
import { ELEMENTS } from '../walk';
import type { Bite } from './methods';

export function requiredDepth(s: Surface, ctx: SurfaceContext, lead: LeadPicture): Answer<Bite> {
  const element = ELEMENTS[s.element];
  const rubs = element.friction || s.conditions.includes('rubbing');
  if (s.aim === 'bareClear') return answer('bare', why('depth.clearNeedsBare', 'trade-aim'));
  if ((rubs || element.chewable) && isPresent(lead.overall.value) && ctx.childOrPregnancy !== 'no') {
    return answer(
      'bare',
      why('depth.rubbingLead', 'trade-aim', { leadInReach: lead.overall.value, childOrPregnancy: ctx.childOrPregnancy }),
    );
  }
  const failing =
    lead.coats.some((c) => c.coat.soundness === 'failing') ||
    s.conditions.some((c) => c === 'blistered' || c === 'flaking' || c === 'powdery');
  if (failing) return answer('loose', why('depth.toSoundLayer', 'trade-aim', { conditions: s.conditions }));
  if (s.conditions.includes('checked')) return answer('loose', why('depth.checked', 'nps-pb10'));
  return answer('none', why('depth.soundStays', 'trade-aim'));
}
