/** Writes answers, reasons and quantities in words, for one unit system. */
import type { Answer, Reason } from '../reasons';
import { remedy, sentence, SOURCES, SOURCE_KIND_WORDS } from '../words';
import { formatMeasure, type Measure, type UnitSystem } from '../units/units';

export interface ReasonReport {
  readonly rule: string;
  readonly effect: Reason['effect'];
  readonly says: string;
  readonly lifts?: string;
  readonly source: string;
  readonly sourceKind: string;
  /** Left out where a method is only compared: thirty of them a part, and the sentence names what counted. */
  readonly weighed?: Reason['weighed'];
}

export const NOTICE =
  'Rough Sill advises. It does not replace the local authority, a licensed professional, the product’s own data sheet or a laboratory. What is not known is treated as present.';

export function reasonReport(r: Reason, units: UnitSystem): ReasonReport {
  const s = SOURCES[r.source];
  const lifts = remedy(r, units);
  return {
    rule: r.rule,
    effect: r.effect,
    says: sentence(r, units),
    ...(lifts ? { lifts } : {}),
    source: `${s.title}: ${s.at}`,
    sourceKind: SOURCE_KIND_WORDS[s.kind],
    weighed: r.weighed,
  };
}

type Stated<T> = { readonly value: T; readonly because: readonly ReasonReport[] };
interface Quantity {
  readonly value: number;
  readonly unit: Measure['unit'];
  readonly text: string;
}

/** Like parts share their reasons by reference, so each is put into words once. */
const written: Record<UnitSystem, WeakMap<Reason, ReasonReport>> = { ft: new WeakMap(), m: new WeakMap() };
function once(r: Reason, units: UnitSystem): ReasonReport {
  const known = written[units].get(r);
  if (known) return known;
  const made = reasonReport(r, units);
  written[units].set(r, made);
  return made;
}

/** Writes answers, reasons and quantities for one unit system. */
export function reporter(units: UnitSystem) {
  const reasons = (rs: readonly Reason[]) => rs.map((r) => once(r, units));
  const stated = <T>(a: Answer<T>): Stated<T> => ({ value: a.value, because: reasons(a.because) });
  const quantity = (m: Measure): Quantity => ({ ...m, text: formatMeasure(m, units) });
  const inShort = (rs: readonly Reason[]) => reasons(rs).map(({ weighed: _w, ...r }): ReasonReport => r);
  return { reasons, inShort, stated, quantity };
}
