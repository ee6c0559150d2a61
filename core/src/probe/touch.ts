/** What may be touched today, by depth: the one answer that a crew asks for. */
import { answer, why, type Answer } from '../reasons';
import type { AsbestosPicture } from './asbestos';
import { leadDepths, meetsMaterial, poisonsTo, type LeadDepths } from './depths';
import type { LeadPicture } from './lead';
import type { CoatPoison } from './stack';
import type { Rulebook } from '../rulebook';
import { isPresent, strictest, type HazardState } from './state';

export const DEPTHS = ['skin', 'loose', 'bare'] as const;
export type Depth = (typeof DEPTHS)[number];
/** free: as any paint. masked: low lead, dust and fume of it in a mask. above: this coat only, lead lies below it. controlled: lead-safe, set up first. stop: nobody touches it. */
export type Touch = 'free' | 'masked' | 'above' | 'controlled' | 'stop';

export type Trained = 'coat' | 'piece' | null;

export interface TouchToday {
  readonly depth: Depth;
  readonly answer: Answer<Touch>;
}

/** Few states are possible, so each answer is made once. */
const made = new Map<string, readonly TouchToday[]>();

/**
 * A surface's answer for each depth. Anything that is not "not found" counts as present.
 * @param trained what of it trained people of the firm work, as planned: a coat that may hold asbestos, or the whole piece; null: nothing
 * @param ownHomeWithChild an owner works in their own home, and a small child or a pregnancy there is not ruled out
 */
export function touchToday(
  lead: LeadPicture,
  asbestos: AsbestosPicture,
  mold: HazardState,
  rulebook: Rulebook,
  trained: Trained,
  ownHomeWithChild: boolean,
): readonly TouchToday[] {
  const depths = leadDepths(lead);
  const fouled = lead.coats.some((c) => c.coat.binder === 'antifouling');
  const poisons = { skin: poisonsTo('skin', lead, depths), loose: poisonsTo('loose', lead, depths), bare: poisonsTo('bare', lead, depths) };
  const key = [
    rulebook.id,
    depths.skin,
    depths.loose,
    depths.all,
    depths.low.skin,
    depths.low.loose,
    depths.low.all,
    meetsMaterial('loose', depths),
    meetsMaterial('skin', depths),
    asbestos.coat.value,
    asbestos.below.value,
    asbestos.putty.value,
    asbestos.trace,
    mold,
    trained,
    ownHomeWithChild,
    poisons.skin,
    poisons.loose,
    poisons.bare,
    fouled,
  ].join(';');
  const known = made.get(key);
  if (known) return known;
  const leadAt = { skin: depths.skin, loose: depths.loose, bare: depths.all };
  const out = DEPTHS.map((depth): TouchToday => ({
    depth,
    answer: touchAt(leadAt[depth], depth, { asbestos, mold, rulebook, depths, trained, ownHomeWithChild, poisons: poisons[depth], fouled }),
  }));
  made.set(key, out);
  return out;
}

interface There {
  readonly asbestos: AsbestosPicture;
  readonly mold: HazardState;
  readonly rulebook: Rulebook;
  readonly depths: LeadDepths;
  readonly trained: Trained;
  readonly ownHomeWithChild: boolean;
  readonly poisons: readonly CoatPoison[];
  readonly fouled: boolean;
}

function touchAt(
  lead: HazardState,
  depth: Depth,
  { asbestos, mold, rulebook, depths, trained, ownHomeWithChild, poisons, fouled }: There,
): Answer<Touch> {
  const coat = asbestos.coat.value;
  const worked =
    trained === 'piece' ? strictest([coat, asbestos.below.value, asbestos.putty.value]) : trained === 'coat' ? coat : 'notFound';
  if (isPresent(worked)) return answer('controlled', why('touch.trained', rulebook.sources.asbestosWork, { state: worked }, 'care', 'law'));
  if (isPresent(coat)) return answer('stop', why('touch.asbestos', rulebook.sources.asbestosWork, { state: coat }, 'block', 'law'));
  const below = asbestos.below.value;
  if (isPresent(below) && meetsMaterial(depth, depths))
    return answer('stop', why('touch.below', rulebook.sources.asbestosWork, { state: below }, 'block', 'law'));
  if (isPresent(lead) && ownHomeWithChild)
    return answer('stop', why('lead.ownHomeChild', 'trade-aim', { leadInReach: lead }, 'block', 'hazard'));
  if (mold === 'found') return answer('controlled', why('touch.mold', rulebook.sources.mold, {}, 'care', 'hazard'));
  if (isPresent(below)) return answer('controlled', why('touch.aboveSuspect', 'trade-sample', { state: below }, 'care', 'hazard'));
  const putty = asbestos.putty.value;
  const beside = isPresent(putty) ? [why('touch.putty', 'trade-putty', { state: putty }, 'care', 'hazard')] : [];
  const poison = [
    ...(fouled ? [why('touch.antifoul', 'mem-antifoul', {}, 'care', 'hazard')] : []),
    ...(poisons.length > 0 ? [why('touch.poison', 'mem-poison', { poisons }, 'care', 'hazard')] : []),
  ];
  if (isPresent(lead)) return answer('controlled', why('touch.lead', 'job-record', { state: lead }, 'care', 'law'), ...poison, ...beside);
  if (poison.length > 0) return answer('controlled', ...poison, ...beside);
  if (asbestos.trace) return answer('controlled', why('touch.trace', 'osha-trace', {}, 'care', 'hazard'), ...beside);
  if (beside.length > 0) return answer('controlled', ...beside);
  if (isPresent(depths.all)) return answer('above', why('touch.leadBelow', 'job-record', { state: depths.all }, 'care'));
  if ({ skin: depths.low.skin, loose: depths.low.loose, bare: depths.low.all }[depth])
    return answer('masked', why('touch.low', rulebook.sources.clothing, {}, 'care', 'law'));
  return answer('free', why('touch.clear', 'job-record', {}));
}
