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

function inWords(r: Reason, units: UnitSystem): ReasonReport {
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

/** A reason where it is named: in words for who reads it, its place in the table for JSON. */
class InTable implements ReasonReport {
  readonly rule: string;
  readonly effect: Reason['effect'];
  readonly says: string;
  readonly lifts?: string;
  readonly source: string;
  readonly sourceKind: string;
  readonly weighed: Reason['weighed'];
  readonly #at: number;

  constructor(words: ReasonReport, at: number) {
    this.rule = words.rule;
    this.effect = words.effect;
    this.says = words.says;
    if (words.lifts !== undefined) this.lifts = words.lifts;
    this.source = words.source;
    this.sourceKind = words.sourceKind;
    this.weighed = words.weighed;
    this.#at = at;
  }

  toJSON(): number {
    return this.#at;
  }
}

type Stated<T> = { readonly value: T; readonly because: readonly ReasonReport[] };
export interface Quantity {
  readonly value: number;
  readonly unit: Measure['unit'];
  readonly text: string;
}

/** Writes answers, reasons and quantities of one report, in one unit system. */
export interface Reporter {
  readonly units: UnitSystem;
  reasons(rs: readonly Reason[]): readonly ReasonReport[];
  stated<T>(a: Answer<T>): Stated<T>;
  quantity(m: Measure): Quantity;
  /** Every reason that the report names, each once: in JSON a reason is its place in here. */
  readonly table: readonly ReasonReport[];
}

export function reporter(units: UnitSystem): Reporter {
  const table: ReasonReport[] = [];
  const byReason = new Map<Reason, ReasonReport>();
  const byContent = new Map<string, ReasonReport>();
  const told = (r: Reason): ReasonReport => {
    const known = byReason.get(r);
    if (known) return known;
    // Before it is put into words: most say what another has said.
    const content = `${r.rule}|${r.effect}|${r.source}|${r.weighed.length === 0 ? '' : JSON.stringify(r.weighed)}`;
    let entry = byContent.get(content);
    if (!entry) {
      const words = inWords(r, units);
      entry = new InTable(words, table.push(words) - 1);
      byContent.set(content, entry);
    }
    byReason.set(r, entry);
    return entry;
  };
  const reasons = (rs: readonly Reason[]) => rs.map(told);
  return {
    units,
    table,
    reasons,
    stated: (a) => ({ value: a.value, because: reasons(a.because) }),
    quantity: (m) => ({ ...m, text: formatMeasure(m, units) }),
  };
}
