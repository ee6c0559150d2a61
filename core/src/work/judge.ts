/** A check as it counts: numbers are held against their limits here, whatever was ticked beside them. Law O2. */
import type { Check, CheckNumber } from '../facts';
import { convert, UNITS, unitFor, type Measure, type Unit, type UnitSystem } from '../units/units';
import type { Asked, SpokenOf } from '../step';

/** ASTM D4262: the wet face reads at most 1.0 below and 2.0 above its own rinse water. Limits recalled with medium confidence. */
export const FACE_PH = { below: 1, above: 2 } as const;

/** The unit in which each number is entered and kept. */
export const CHECK_UNITS: Readonly<Record<CheckNumber, Unit>> = {
  moisturePct: '%MC',
  ph: 'pH',
  aboveDewC: 'deltaC',
  windMs: 'm/s',
  waitedMin: 'min',
  waitedH: 'h',
  dustFloor: 'ug/ft2',
  dustSill: 'ug/ft2',
  dustTrough: 'ug/ft2',
  leadPpm: 'ppm',
  faceRhPct: '%RH',
  faceC: 'C',
  adhesionClass: 'class',
  chalkClass: 'class',
  rinsePh: 'pH',
  dropS: 's',
  filmS: 's',
  saltMgM2: 'mg/m2',
  profileUm: 'um',
};

/** What the check itself speaks of in this unit, and what its kit counts in. */
const AS_KEPT: readonly CheckNumber[] = ['waitedMin', 'waitedH', 'dropS', 'filmS', 'saltMgM2'];
/** As a person on a job reads and enters it. */
export const checkUnit = (what: CheckNumber, system: UnitSystem): Unit =>
  AS_KEPT.includes(what) ? CHECK_UNITS[what] : (unitFor(UNITS[CHECK_UNITS[what]].dimension, system) ?? CHECK_UNITS[what]);

/** What a reading on the very limit may differ by without being beyond it: the last bit of a conversion. */
const SAME = 1e-9;

export function keeps(asked: Asked, value: number): boolean {
  const limit = (m: Measure) => convert(m.value, m.unit, CHECK_UNITS[asked.what]);
  return (
    (asked.atLeast === undefined || value >= limit(asked.atLeast) - SAME) &&
    (asked.atMost === undefined || value <= limit(asked.atMost) + SAME) &&
    (asked.below === undefined || value < limit(asked.below) - SAME)
  );
}

function keepsNear({ what, near }: Asked, values: ReadonlyMap<CheckNumber, number>): boolean {
  const other = near === undefined ? undefined : values.get(near.what);
  if (near === undefined || other === undefined) return true;
  const over = values.get(what)! - other;
  return over >= -near.below - SAME && over <= near.above + SAME;
}

/** Whether a pass still says what the check says now: a record that did not keep what it spoke of counts for all. Law O3. */
export function stillSpeaks({ pieceIds, spokeOf }: Pick<Check, 'pieceIds' | 'spokeOf'>, of: SpokenOf | undefined): boolean {
  if (of === undefined) return true;
  return (
    (pieceIds === null || of.pieceIds.every((id) => pieceIds.includes(id))) &&
    (spokeOf === null || of.spokeOf.every((x) => spokeOf.includes(x)))
  );
}

/** @returns what the check comes to; null: a pass without its numbers, which counts for nothing */
export function checkOutcome(c: Pick<Check, 'outcome' | 'measured'>, asks: readonly Asked[]): Check['outcome'] | null {
  if (c.outcome === 'fail') return 'fail';
  const values = new Map(c.measured.map((m) => [m.what, m.value]));
  if (asks.some((a) => values.has(a.what) && !(keeps(a, values.get(a.what)!) && keepsNear(a, values)))) return 'fail';
  return asks.every((a) => values.has(a.what)) ? 'pass' : null;
}
