/** Checks for what the plan no longer has: a way that was changed, a coat that was dropped. They open nothing, and are not lost. */
import { readHold, type Check } from '../facts';
import { say } from '../reasons';
import type { StepSpec } from '../step';
import { cap } from '../units/units';

/** What a check is about, in words: also one that no step asks for any more. */
export function holdSays(text: string): string {
  const key = readHold(text);
  if (key === null) return 'A check of another day';
  if (key.hold === 'event' && key.what !== undefined) return cap(say(`event.${key.what}`));
  const { part, method, residue, repair, near, access, sign, product, wear } = key as Readonly<Record<string, string | undefined>>;
  const on = [
    part,
    method,
    residue,
    repair && `repair.${repair}`,
    near && `near.${near}`,
    access,
    sign,
    product,
    wear === 'dress' ? undefined : wear,
  ]
    .filter((x) => x !== undefined)
    .map(say);
  return `${cap(say(`hold.${key.hold}`))}${on.length > 0 ? ` (${on.join(', ')})` : ''}`;
}

/** Newest first. What was taken back is told by neither of the two records. */
export function pastChecks(checks: readonly Check[], steps: readonly StepSpec[]): Check[] {
  const asked = new Set(steps.flatMap((st) => st.gates.map((g) => g.id)));
  const gone = new Set(checks.map((c) => c.supersedesId));
  return checks
    .filter((c) => !asked.has(c.gate) && !gone.has(c.id))
    .filter((c) => {
      const hold = readHold(c.gate)?.hold;
      return hold !== 'event' && hold !== 'withdrawn';
    })
    .sort((a, b) => (a.takenAt < b.takenAt ? 1 : -1));
}
