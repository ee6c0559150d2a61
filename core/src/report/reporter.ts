/** Writes answers, reasons and quantities in words, for one unit system. */
import { SIGN_DATA, SIGN_ROLES, type SignRole } from '../catalogue';
import type { SignId } from '../facts';
import { say, type Answer, type Reason } from '../reasons';
import type { FirmSettings } from '../rulebook';
import type { Asked } from '../step';
import { remedy, sentence, sourceKnown, sourceText } from '../words';
import { formatMeasure, type Measure, type Range, type Unit, type UnitSystem } from '../units/units';
import { checkUnit } from '../work';

/** Where a rule or a number comes from. */
export interface SourceReport {
  readonly title: string;
  readonly kind: string;
}

export interface ReasonReport {
  readonly rule: string;
  readonly effect: Reason['effect'];
  readonly says: string;
  readonly lifts?: string;
  readonly source: SourceReport;
  readonly weighed: Reason['weighed'];
}

export const NOTICE =
  'Rough Sill advises. It does not replace the local authority, a licensed professional, the product’s own data sheet or a laboratory. What is not known is treated as present.';

/** What is said in many places alike, each once: in the report the thing itself, in its JSON the place in this table. */
export interface Table<T extends object> {
  readonly rows: readonly T[];
  /** @param key two that say the same have the same */
  at(key: string, make: () => T): T;
}

function table<T extends object>(): Table<T> {
  const rows: T[] = [];
  const named = new Map<string, T>();
  return {
    rows,
    at(key, make) {
      const known = named.get(key);
      if (known) return known;
      const row = make();
      const place = rows.push(row) - 1;
      const name = Object.defineProperty({ ...row }, 'toJSON', { value: () => place });
      named.set(key, name);
      return name;
    },
  };
}

/** A number that a check is entered as, and what it has to be. */
export interface AskedReport extends Asked {
  readonly name: string;
  readonly unit: Unit;
}
/** What is looked for at a step: to go on, to stop, and of harm. */
export type SignsReport = Readonly<Record<SignRole, readonly string[]>>;

/** Without the last bits of a float, which are half of a report's digits and say nothing. */
const plain = (n: number): number => Math.round(n * 1e9) / 1e9;

type Stated<T> = { readonly value: T; readonly because: readonly ReasonReport[] };
export interface Quantity {
  readonly value: number;
  readonly unit: Measure['unit'];
  readonly text: string;
}

/** Writes answers, reasons and quantities of one report, in one unit system. */
export interface Reporter {
  readonly units: UnitSystem;
  reason(r: Reason): ReasonReport;
  reasons(rs: readonly Reason[]): readonly ReasonReport[];
  stated<T>(a: Answer<T>): Stated<T>;
  quantity(m: Measure): Quantity;
  asked(a: Asked): AskedReport;
  /** Null: nothing. */
  signs(ids: readonly SignId[]): SignsReport | null;
  hours(r: Range): Range;
  /** What the report names by its place in JSON, each once. */
  readonly tables: {
    readonly reasons: Table<ReasonReport>;
    readonly sources: Table<SourceReport>;
    readonly asked: Table<AskedReport>;
    readonly signs: Table<SignsReport>;
  };
}

/** @param checks sources that the firm held against the document: they say so */
export function reporter(units: UnitSystem, { sourceChecks }: Pick<FirmSettings, 'sourceChecks'> = {}): Reporter {
  const tables: Reporter['tables'] = { reasons: table(), sources: table(), asked: table(), signs: table() };
  const source = (id: Reason['source']): SourceReport =>
    tables.sources.at(id, () => ({ title: sourceText(id), kind: sourceKnown(id, sourceChecks) }));
  const byReason = new Map<Reason, ReasonReport>();
  const reason = (r: Reason): ReasonReport => {
    const known = byReason.get(r);
    if (known) return known;
    // Before it is put into words: most say what another has said.
    const key = `${r.rule}|${r.effect}|${r.source}|${r.weighed.length === 0 ? '' : JSON.stringify(r.weighed)}`;
    const entry = tables.reasons.at(key, () => {
      const lifts = remedy(r, units);
      return {
        rule: r.rule,
        effect: r.effect,
        says: sentence(r, units),
        ...(lifts ? { lifts } : {}),
        source: source(r.source),
        weighed: r.weighed,
      };
    });
    byReason.set(r, entry);
    return entry;
  };
  const reasons = (rs: readonly Reason[]) => rs.map(reason);
  return {
    units,
    tables,
    reason,
    reasons,
    stated: (a) => ({ value: a.value, because: reasons(a.because) }),
    quantity: (m) => ({ value: plain(m.value), unit: m.unit, text: formatMeasure(m, units) }),
    hours: ({ low, high }) => ({ low: plain(low), high: plain(high) }),
    asked: (a) => tables.asked.at(JSON.stringify(a), () => ({ ...a, name: say(a.what), unit: checkUnit(a.what, units) })),
    signs: (ids) =>
      ids.length === 0
        ? null
        : tables.signs.at(
            ids.join(),
            () =>
              Object.fromEntries(
                SIGN_ROLES.map((role) => [role, ids.filter((id) => SIGN_DATA[id].role === role).map(say)]),
              ) as unknown as SignsReport,
          ),
  };
}
