/** How deep the work must go: from the aim, what fails, and what rubs or is chewed. */
import type { Surface } from '../facts';
import type { SurfaceContext } from '../context';
import { isPresent, type LeadPicture } from '../probe';
import { answer, why, type Answer } from '../reasons';
import { ELEMENTS } from '../walk';
import type { Hold } from '../trial';
import type { Bite } from '../catalogue';

export function requiredDepth(s: Surface, ctx: SurfaceContext, lead: LeadPicture, hold: Hold): Answer<Bite> {
  const element = ELEMENTS[s.element];
  const rubs = element.friction || s.conditions.includes('rubbing');
  if (s.aim === 'bareClear') return answer('bare', why('depth.clearNeedsBare', 'trade-aim'));
  if ((rubs || element.chewable) && isPresent(lead.overall.value) && ctx.childOrPregnancy !== 'no') {
    return answer(
      'bare',
      why('depth.rubbingLead', 'trade-aim', { leadInReach: lead.overall.value, childOrPregnancy: ctx.childOrPregnancy }),
    );
  }
  // Nothing lasts on a film that the knife lifts; to keep the old surface all the same is a choice that the person makes.
  if (hold === 'strip' && s.aim !== 'patina') return answer('bare', why('depth.doesNotHold', 'trade-trial'));
  if (hold === 'feather') return answer('loose', why('depth.feather', 'trade-trial'));
  // Soft distemper lifts under whatever goes on it, so it comes off whole.
  if (lead.coats[0]?.coat.binder === 'distemper' && (lead.coats[0].coat.soundness === 'failing' || s.conditions.includes('powdery')))
    return answer('bare', why('depth.distemper', 'trade-wash'));
  const failing =
    lead.coats.some((c) => c.coat.soundness === 'failing') ||
    s.conditions.some((c) => c === 'blistered' || c === 'flaking' || c === 'powdery');
  if (failing) return answer('loose', why('depth.toSoundLayer', 'trade-aim', { conditions: s.conditions }));
  if (s.conditions.includes('checked')) return answer('loose', why('depth.checked', 'nps-pb10'));
  return answer('none', why('depth.soundStays', 'trade-aim'));
}
