/** How deep the work must go: from the aim, what fails, and what rubs or is chewed. */
import { PLASTIC, type Binder, type GradeId, type Surface } from '../facts';
import type { SurfaceContext } from '../views';
import { isOnGoods, isPresent, rungKey, type LeadPicture } from '../probe';
import { answer, why, type Answer } from '../reasons';
import { measure } from '../units/units';
import { ELEMENTS, failsByDegree, goodsOf } from '../walk';
import { endsClear, wantsBare, type Hold } from '../trial';
import { FERROUS } from '../catalogue/method';
import type { Bite } from '../catalogue';

/** Films that are clear themselves: more of the same may go on them. */
export const CLEAR_FILMS: readonly Binder[] = ['shellac', 'lacquer', 'polyurethane'];
/** From these degrees on the build-up itself has failed: class III of NPS Preservation Brief 10. Which degree that is: common practice. */
const FAILED_THROUGH = { crackGrade: 4, flakeGrade: 5, blisterGrade: 5 } as const satisfies Partial<Record<GradeId, number>>;
/** Rust through the film, ISO 4628-3: spots are worked to a sound edge, a face that is rust goes to metal. Common practice. */
export const RUST_SPOTS = 1;
export const RUST_FACE = 4;

export function requiredDepth(s: Surface, ctx: SurfaceContext, lead: LeadPicture, hold: Hold): Answer<Bite> {
  // Nobody works on what the client declined: it is left, and stands outside the scope.
  if (s.declinedOn !== null) return answer('none', why('depth.declined', 'job-record'));
  if (goodsOf(s.element) === 'childs' && isOnGoods(lead.standing, ctx.rulebook))
    return answer('bare', why('depth.childsGoods', ctx.rulebook.sources.childsGoods, { leadInReach: rungKey(lead.standing) }));
  const element = ELEMENTS[s.element];
  const rubs = element.friction || s.conditions.includes('rubbing');
  const filmsClear = lead.coats.length > 0 && lead.coats.every((c) => CLEAR_FILMS.includes(c.coat.binder));
  if (PLASTIC.includes(s.material) && lead.coats.length === 0 && s.topcoat !== null)
    return answer('skin', why('depth.plasticKey', 'trade-prime', { material: s.material }));
  if (s.aim === 'bareClear' || (wantsBare(s) && lead.coats.length > 0 && !filmsClear))
    return answer('bare', why(endsClear(s) ? 'depth.clearNeedsBare' : 'depth.bareWanted', 'trade-aim'));
  if ((rubs || element.chewable) && isPresent(lead.overall.value) && ctx.site.childOrPregnancy !== 'no') {
    return answer(
      'bare',
      why('depth.rubbingLead', 'trade-aim', { leadInReach: lead.overall.value, childOrPregnancy: ctx.site.childOrPregnancy }),
    );
  }
  // Nothing lasts on a film that the knife lifts; to keep the old surface all the same is a choice that the person makes.
  if (hold === 'strip' && s.aim !== 'patina') return answer('bare', why('depth.doesNotHold', 'trade-trial'));
  if (hold === 'feather') return answer('loose', why('depth.feather', 'trade-trial'));
  // Soft distemper lifts under whatever goes on it, so it comes off whole.
  if (lead.coats[0]?.coat.binder === 'distemper' && s.aim !== 'patina') return answer('bare', why('depth.distemper', 'trade-wash'));
  const grades = failsByDegree(s);
  const through = (Object.keys(FAILED_THROUGH) as (keyof typeof FAILED_THROUGH)[]).filter((g) => (s[g] ?? 0) >= FAILED_THROUGH[g]);
  if (through.length > 0 && s.aim !== 'patina') return answer('bare', why('depth.failedThrough', 'nps-pb10', { grades: through }));
  const rust = FERROUS.includes(s.material) ? (s.rustGrade ?? 0) : 0;
  if (rust >= RUST_FACE && s.aim !== 'patina') return answer('bare', why('depth.rustFace', 'trade-rust', { rust: measure(rust, 'class') }));
  const failing =
    lead.coats.some((c) => c.coat.soundness === 'failing') ||
    s.conditions.some((c) => c === 'blistered' || c === 'flaking' || c === 'powdery');
  if (failing) return answer('loose', why('depth.toSoundLayer', 'trade-aim', { conditions: s.conditions }));
  if (grades.length > 0) return answer('loose', why('depth.byDegree', 'trade-aim', { grades }));
  if (rust >= RUST_SPOTS) return answer('loose', why('depth.rustSpots', 'trade-rust', { rust: measure(rust, 'class') }));
  if (s.conditions.includes('checked')) return answer('loose', why('depth.checked', 'nps-pb10'));
  if (s.conditions.includes('runs')) return answer('skin', why('depth.runs', 'trade-sand'));
  return answer('none', why('depth.soundStays', 'trade-aim'));
}
