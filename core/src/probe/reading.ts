/** What a single lead reading says, before it is set against the others. */
import type { Reading } from '../facts';
import type { Rulebook } from '../rulebook';
import { convert, measure, type Measure } from '../units/units';
import { why, type Reason } from '../reasons';

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
export function judgeReading(r: Reading, rulebook: Rulebook): ReadingVerdict {
  if (r.kind === 'spot') return judgeSpot(r, rulebook);
  if (r.value === null || r.unit === null) {
    return verdict('waiting', why('lead.labWaiting', 'trade-wait-lab', {}));
  }
  const found = measure(r.value, r.unit);
  if (r.kind === 'xrf') return judgeXrf(r, found, rulebook);
  return againstLimit(found, rulebook, onlyCoat(r));
}

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

function judgeXrf(r: Reading, found: Measure, rulebook: Rulebook): ReadingVerdict {
  if (r.bandLow !== null && r.bandHigh !== null && found.value >= r.bandLow && found.value <= r.bandHigh) {
    return verdict(
      'unclear',
      why('lead.xrfInconclusive', 'hud-g', { result: found, low: measure(r.bandLow, 'mg/cm2'), high: measure(r.bandHigh, 'mg/cm2') }),
    );
  }
  return againstLimit(found, rulebook, []);
}
