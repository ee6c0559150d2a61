/** A value as a person reads it. What somebody typed is theirs: in quotes, as they wrote it. */
import { formatMeasure, withCommas, type Measure, type UnitSystem } from '../units/units';
import { say } from './en/vocabulary';
import type { Typed, Value } from './reason';

const isTyped = (v: object): v is Typed => 'typed' in v;
const isMeasure = (v: Value): v is Measure => typeof v === 'object' && 'unit' in v;
const one = (v: string | Typed): string => (typeof v === 'string' ? say(v) : `“${v.typed}”`);

export function valueText(v: Value, system: UnitSystem): string {
  if (typeof v === 'string') return say(v);
  if (typeof v === 'number') return withCommas(v);
  if (typeof v === 'boolean') return v ? 'yes' : 'no';
  if (isMeasure(v)) return formatMeasure(v, system);
  if (isTyped(v)) return one(v);
  return v.map(one).join('; ');
}
