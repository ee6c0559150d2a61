/** The XRF instrument's own proof: calibration checks on both sides of a reading, and what bare material adds. HUD Guidelines ch. 7. */
import type { InstrumentCheck, Material, Reading } from '../facts';

interface CalibrationCheck {
  readonly at: number;
  readonly mean: number;
  readonly holds: boolean;
}
export interface Instrument {
  readonly calibrations: readonly CalibrationCheck[];
  /** What bare material alone reads beyond the film's own value, mg/cm2; taken off a reading. */
  readonly corrections: ReadonlyMap<Material, number>;
}
export type InstrumentBook = ReadonlyMap<string, Instrument>;
export const NO_INSTRUMENTS: InstrumentBook = new Map();

/** HUD Guidelines ch. 7: at the start, at least every four hours, and at the end. */
const CHECK_EVERY_MS = 4 * 3_600_000;
const mean = (xs: readonly number[]): number => xs.reduce((a, b) => a + b, 0) / xs.length;

/** Mean of the readings on bare material with the film over it, less the film's own value, mg/cm2. */
export const substrateCorrection = (values: readonly number[], filmMgCm2: number): number => mean(values) - filmMgCm2;

export function instrumentBook(checks: readonly InstrumentCheck[]): InstrumentBook {
  const book = new Map<string, { calibrations: CalibrationCheck[]; corrections: Map<Material, number> }>();
  for (const k of [...checks].sort((a, b) => (a.takenAt < b.takenAt ? -1 : 1))) {
    const entry = book.get(k.device) ?? { calibrations: [] as CalibrationCheck[], corrections: new Map<Material, number>() };
    book.set(k.device, entry);
    if (k.what === 'substrate' && k.material !== null) entry.corrections.set(k.material, substrateCorrection(k.values, k.filmMgCm2));
    else {
      const m = mean(k.values);
      entry.calibrations.push({ at: Date.parse(k.takenAt), mean: m, holds: Math.abs(m - k.filmMgCm2) <= k.tolerance + 1e-9 });
    }
  }
  return book;
}

/**
 * Whether the instrument was proven about the time of a reading: by a check within four hours before it, and by the next one after it,
 * until which the reading is provisional.
 */
export function calibrationOf(r: Reading, book: InstrumentBook): 'unnamed' | 'holds' | 'provisional' | 'missing' | 'failed' {
  if (r.device.trim() === '') return 'unnamed';
  const checks = book.get(r.device)?.calibrations ?? [];
  const at = Date.parse(r.takenAt);
  const before = checks.filter((c) => c.at <= at).at(-1);
  const after = checks.find((c) => c.at > at);
  if (before?.holds === false || after?.holds === false) return 'failed';
  if (!before || at - before.at > CHECK_EVERY_MS) return 'missing';
  return after ? 'holds' : 'provisional';
}

export const correctionFor = (r: Reading, material: Material, book: InstrumentBook): number =>
  book.get(r.device)?.corrections.get(material) ?? 0;
