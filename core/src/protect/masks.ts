/** Which mask is worn: what the work asks for, held against what the firm owns. */
import { why, type Answer } from '../reasons';
import type { RespiratorId } from '../rulebook';
import type { ZoneContext } from './zone-context';

/**
 * Of the masks that give what is asked for, the first that the firm owns; where it owns none of them, the least of them, and that it is to be
 * got. Common practice for which of several is worn, no published source.
 * @param least what the work asks for
 */
export function ownedMask(
  least: Answer<RespiratorId | null>,
  vapour: boolean,
  { rulebook, settings }: Pick<ZoneContext, 'rulebook' | 'settings'>,
): Answer<RespiratorId | null> {
  const { masks } = settings;
  if (least.value === null || masks === null || masks.includes(least.value)) return least;
  const asked = rulebook.respirators.find((r) => r.id === least.value)!;
  const owned = rulebook.respirators.find((r) => masks.includes(r.id) && r.apf >= asked.apf && (!vapour || r.vapour));
  return owned
    ? { value: owned.id, because: [...least.because, why('ppe.ownsOther', 'firm-setting', { respirator: owned.id, asked: asked.id })] }
    : { value: least.value, because: [...least.because, why('ppe.ownsNone', 'firm-setting', { respirator: asked.id }, 'care')] };
}
