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
  readonly weighed: Reason['weighed'];
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

/** Writes answers, reasons and quantities for one unit system. */
export function reporter(units: UnitSystem) {
  const reasons = (rs: readonly Reason[]) => rs.map((r) => reasonReport(r, units));
  const stated = <T>(a: Answer<T>): Stated<T> => ({ value: a.value, because: reasons(a.because) });
  const quantity = (m: Measure): Quantity => ({ ...m, text: formatMeasure(m, units) });
  return { reasons, stated, quantity };
}
