/** What a result says, in the same words on every screen and paper. */
import type { Reading } from '../facts';
import { formatMeasure, measure, type UnitSystem } from '../units/units';

/** @returns `trace`, `under 40 ppm`, `0.72 %`; null: no answer yet, or a reading that is no number */
export function resultText(r: Pick<Reading, 'value' | 'unit' | 'trace' | 'below'>, units: UnitSystem): string | null {
  if (r.trace) return 'trace';
  if (r.value === null || r.unit === null) return null;
  const text = formatMeasure(measure(r.value, r.unit), units);
  return r.below ? `under ${text}` : text;
}
