/** Which mask is worn: what the work asks for, held against what the firm owns. */
import { why, type Answer } from '../reasons';
import type { Respirator, RespiratorId } from '../rulebook';

/** Of a rulebook, from the least protection to the most; and those that the firm owns: null, nobody said. */
export interface MasksAtHand {
  readonly masks: readonly Respirator[];
  readonly owned: readonly RespiratorId[] | null;
}

/**
 * Of the masks that give what is asked for, the first that the firm owns; where it owns none of them, the least of them, and that it is to be
 * got. Common practice for which of several is worn, no published source.
 * @param least what the work asks for
 */
export function ownedMask(least: Answer<RespiratorId | null>, vapour: boolean, { masks, owned }: MasksAtHand): Answer<RespiratorId | null> {
  if (least.value === null || owned === null || owned.includes(least.value)) return least;
  const asked = masks.find((r) => r.id === least.value)!;
  const other = masks.find((r) => owned.includes(r.id) && r.apf >= asked.apf && (!vapour || r.vapour));
  return other
    ? { value: other.id, because: [...least.because, why('ppe.ownsOther', 'firm-setting', { respirator: other.id, asked: asked.id })] }
    : { value: asked.id, because: [...least.because, why('ppe.ownsNone', 'firm-setting', { respirator: asked.id }, 'care')] };
}
