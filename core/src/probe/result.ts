/** What a result says, in the same words on every screen and paper. */
import type { Reading } from '../facts';
import { say } from '../reasons';
import { formatMeasure, measure, type UnitSystem } from '../units/units';

/** @returns `trace`, `under 40 ppm`, `0.72 %`; null: no answer yet, or a reading that is no number */
export function resultText(r: Pick<Reading, 'value' | 'unit' | 'trace' | 'below'>, units: UnitSystem): string | null {
  if (r.trace) return 'trace';
  if (r.value === null || r.unit === null) return null;
  const text = formatMeasure(measure(r.value, r.unit), units);
  return r.below ? `under ${text}` : text;
}

/** What an answer comes to against its limit; `low`: it was seen, under the limit. */
export type SampleAnswer = 'found' | 'low' | 'clear' | 'unclear';

/** "4 %, found", "0.6 %, low", "none found (under 40 ppm)", "not proven"; the same words on every list and paper. */
export function answerText(
  is: SampleAnswer | null,
  r: Pick<Reading, 'value' | 'unit' | 'trace' | 'below'> | null,
  units: UnitSystem,
): string {
  if (is === null || r === null) return 'no answer yet';
  const number = r.value === 0 && !r.trace ? null : resultText(r, units);
  if (is === 'clear') return number === null ? say('answer.clear') : `${say('answer.clear')} (${number})`;
  return [number, say(`answer.${is}`)].filter((x) => x !== null).join(', ');
}
