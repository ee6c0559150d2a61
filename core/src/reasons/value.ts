/** A value as a person reads it. */
import { formatMeasure, type Measure, type UnitSystem } from '../units/units';
import { say } from './en/vocabulary';
import type { Value } from './reason';

const isMeasure = (v: Value): v is Measure => typeof v === 'object' && !Array.isArray(v);

export function valueText(v: Value, system: UnitSystem): string {
  if (typeof v === 'string') return say(v);
  if (typeof v === 'number') return v.toLocaleString('en-US');
  if (typeof v === 'boolean') return v ? 'yes' : 'no';
  if (isMeasure(v)) return formatMeasure(v, system);
  return v.map((x) => say(x)).join('; ');
}
