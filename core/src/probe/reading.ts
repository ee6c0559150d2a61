/** What a single lead reading says, before it is set against the others. */
import type { Material, Reading, Surface } from '../facts';
import type { Rulebook } from '../rulebook';
import { convert, measure, type Measure } from '../units/units';
import { why, type Reason } from '../reasons';
import { calibrationOf, correctionFor, NO_INSTRUMENTS, type InstrumentBook } from './xrf';

export type Says = 'lead' | 'noLead' | 'unclear' | 'waiting';

export interface ReadingVerdict {
  readonly says: Says;
  readonly reason: Reason;
  /** Lead below the limit: not lead paint, but lead. */
  readonly trace: boolean;
  /** The coats named by the verdict alone; empty when it speaks of everything reached without telling which. */
  readonly coats: readonly string[];
}

/** Readings that still count: not withdrawn, and not replaced by a later record. */
export function standingReadings(readings: readonly Reading[]): Reading[] {
  const replaced = new Set(readings.map((r) => r.supersedesId));
  return readings.filter((r) => r.kind !== 'withdrawn' && !replaced.has(r.id));
}

/** Readings that speak of lead. */
/** The last reading of the face, else of the air, C; null: none was taken. */
export function lastFaceC(s: Surface): number | null {
  const latest = (kind: Reading['kind']) =>
    standingReadings(s.readings)
      .filter((r) => r.kind === kind && r.value !== null)
      .reduce<Reading | undefined>((a, r) => (a === undefined || r.takenAt > a.takenAt ? r : a), undefined);
  return (latest('surfaceTemp') ?? latest('air'))?.value ?? null;
}

export const isLeadReading = (r: Reading): boolean => r.kind === 'spot' || r.kind === 'lab' || r.kind === 'xrf';

const verdict = (says: Says, reason: Reason, rest: Partial<Pick<ReadingVerdict, 'trace' | 'coats'>> = {}): ReadingVerdict => ({
  says,
  reason,
  trace: rest.trace ?? false,
  coats: rest.coats ?? [],
});

/** The coat, when the test touched just one and cannot have met another below it. */
const onlyCoat = (r: Reading): readonly string[] => (r.reachedLayerIds.length === 1 && !r.toSubstrate ? r.reachedLayerIds : []);

/**
 * Judges one reading.
 * Source: 24 CFR 35.110 (1.0 mg/cm2, 0.5 %, 5,000 ppm; at or above); 40 CFR 745.88 (recognised kits).
 * A swab can convict; it acquits only the coats that it touched, and only with a recognised kit under US rules.
 */
export function judgeReading(r: Reading, rulebook: Rulebook, material?: Material, book: InstrumentBook = NO_INSTRUMENTS): ReadingVerdict {
  if (r.kind === 'spot') return judgeSpot(r, rulebook);
  if (r.value === null || r.unit === null) {
    return verdict('waiting', why('lead.labWaiting', 'trade-wait-lab', {}));
  }
  const found = measure(r.value, r.unit);
  if (r.kind === 'xrf') return judgeXrf(r, found, rulebook, material, book);
  // A lab reports ppm in tens at the least. 0.8 "ppm" is far likelier 0.8 %, which is lead paint: neither clears nor convicts.
  if (r.unit === 'ppm' && r.value > 0 && r.value < LEAST_REPORTED_PPM)
    return verdict('unclear', why('lead.unitDoubt', 'trade-wait-lab', { result: found, least: measure(LEAST_REPORTED_PPM, 'ppm') }));
  return againstLimit(found, rulebook, onlyCoat(r));
}

/** Common practice: labs report lead in paint from some tens of ppm up. */
const LEAST_REPORTED_PPM = 10;

function judgeSpot(r: Reading, rulebook: Rulebook): ReadingVerdict {
  if (r.spot === 'changed') {
    const coats = r.changedLayerIds.length > 0 ? r.changedLayerIds : onlyCoat(r);
    return verdict('lead', why('lead.spotChanged', rulebook.leadPaint === null ? 'job-record' : 'epa-etv', {}), { coats });
  }
  if (r.spot === 'unclear') return verdict('unclear', why('lead.spotUnclear', 'job-record', {}));
  if (rulebook.leadPaint === null) return verdict('unclear', why('lead.spotNoThreshold', 'uk-lead-any', {}));
  if (!r.kitRecognised) return verdict('unclear', why('lead.spotKitUnproven', 'cfr40-745.88', {}));
  return verdict('noLead', why('lead.spotUnchanged', 'cfr40-745.88', {}), { coats: onlyCoat(r) });
}

function limitFor(m: Measure, rulebook: Rulebook): Measure | null {
  if (rulebook.leadPaint === null) return null;
  const { loading, byMass, ppm } = rulebook.leadPaint;
  return m.unit === 'mg/cm2' ? loading.is : m.unit === 'mass%' ? byMass.is : ppm.is;
}

function againstLimit(found: Measure, rulebook: Rulebook, coats: readonly string[]): ReadingVerdict {
  const limit = limitFor(found, rulebook);
  if (limit === null) {
    return found.value > 0
      ? verdict('lead', why('lead.anyAmount', 'uk-lead-any', { result: found }), { coats })
      : verdict('noLead', why('lead.noneReported', 'uk-lead-any', { result: found }), { coats });
  }
  if (found.value >= convert(limit.value, limit.unit, found.unit)) {
    return verdict('lead', why('lead.overLimit', 'cfr24-35.110', { result: [found, limit] }), { coats });
  }
  return verdict('noLead', why('lead.underLimit', 'cfr24-35.110', { result: [found, limit] }), { coats, trace: found.value > 0 });
}

function judgeXrf(r: Reading, read: Measure, rulebook: Rulebook, material: Material | undefined, book: InstrumentBook): ReadingVerdict {
  const correction = material === undefined ? 0 : correctionFor(r, material, book);
  const found = correction === 0 ? read : measure(Math.max(0, read.value - correction), read.unit);
  if (r.bandLow !== null && r.bandHigh !== null && found.value >= r.bandLow && found.value <= r.bandHigh) {
    return verdict(
      'unclear',
      why('lead.xrfInconclusive', rulebook.sources.xrf, {
        result: found,
        low: measure(r.bandLow, 'mg/cm2'),
        high: measure(r.bandHigh, 'mg/cm2'),
      }),
    );
  }
  const says = againstLimit(found, rulebook, []);
  const limit = limitFor(found, rulebook);
  const corrected =
    correction === 0
      ? says
      : {
          ...says,
          reason: why(limit ? 'lead.xrfCorrected' : 'lead.xrfCorrectedAny', rulebook.sources.xrf, {
            read,
            off: measure(correction, 'mg/cm2'),
            result: limit ? [found, limit] : found,
          }),
        };
  // An instrument that was not proven may convict, never acquit.
  const proof = calibrationOf(r, book);
  if (says.says === 'noLead' && proof === 'missing')
    return verdict('unclear', why('lead.xrfUnchecked', rulebook.sources.xrf, { result: found }));
  if (says.says === 'noLead' && proof === 'failed')
    return verdict('unclear', why('lead.xrfCheckFailed', rulebook.sources.xrf, { result: found }));
  return corrected;
}
