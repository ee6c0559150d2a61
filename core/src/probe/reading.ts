/** What a single lead reading says, before it is set against the others. */
import { PLASTER, TIMBER, type Material, type Reading, type Surface } from '../facts';
import type { Rulebook } from '../rulebook';
import { convert, measure, type Measure } from '../units/units';
import { why, type Reason } from '../reasons';
import { lowOf, seesWell, type Low } from './rung';
import { standingReadings } from './standing';
import { calibrationOf, correctionFor, NO_INSTRUMENTS, type InstrumentBook } from './xrf';

export type Says = 'lead' | 'noLead' | 'unclear' | 'waiting';

export interface ReadingVerdict {
  readonly says: Says;
  readonly reason: Reason;
  /** On which rung it stands where it does not convict; null: it shows nothing of that. */
  readonly low: Low | null;
  /** The coats named by the verdict alone; empty when it speaks of everything reached without telling which. */
  readonly coats: readonly string[];
}

/** The last reading of the face, else of the air, C; null: none was taken. */
export function lastFaceC(s: Surface): number | null {
  const latest = (kind: Reading['kind']) =>
    standingReadings(s)
      .filter((r) => r.kind === kind && r.value !== null)
      .reduce<Reading | undefined>((a, r) => (a === undefined || r.takenAt > a.takenAt ? r : a), undefined);
  return (latest('surfaceTemp') ?? latest('air'))?.value ?? null;
}

const verdict = (says: Says, reason: Reason, rest: Partial<Pick<ReadingVerdict, 'low' | 'coats'>> = {}): ReadingVerdict => ({
  says,
  reason,
  low: rest.low ?? null,
  coats: rest.coats ?? [],
});

/** The coat, when the test touched just one and cannot have met another below it. */
const onlyCoat = (r: Reading): readonly string[] => (r.reachedLayerIds.length === 1 && !r.toSubstrate ? r.reachedLayerIds : []);

/**
 * Judges one reading.
 * Source: 24 CFR 35.110 (1.0 mg/cm2, 0.5 %, 5,000 ppm; at or above); 40 CFR 745.88 (recognised kits); 40 CFR 745.82(a) (who may decide).
 * Anybody's test can convict; it acquits only where it is valid, and only what it reached.
 */
export function judgeReading(r: Reading, rulebook: Rulebook, material?: Material, book: InstrumentBook = NO_INSTRUMENTS): ReadingVerdict {
  if (r.kind === 'spot') return judgeSpot(r, rulebook, material);
  if (r.kind === 'report') return judgeReport(r, rulebook);
  if (r.value === null || r.unit === null) return verdict('waiting', why('lead.labWaiting', 'trade-wait-lab', {}));
  const found = measure(r.value, r.unit);
  if (r.kind === 'xrf') return judgeXrf(r, found, rulebook, material, book);
  // A lab reports ppm in tens at the least. 0.8 "ppm" is far likelier 0.8 %, which is lead paint: neither clears nor convicts.
  if (r.unit === 'ppm' && r.value > 0 && r.value < LEAST_REPORTED_PPM)
    return verdict('unclear', why('lead.unitDoubt', 'trade-wait-lab', { result: found, least: measure(LEAST_REPORTED_PPM, 'ppm') }), {
      low: lowOf(found, false, true),
    });
  return r.below ? belowLimit(found, rulebook, onlyCoat(r)) : againstLimit(found, rulebook, onlyCoat(r));
}

/** Common practice: labs report lead in paint from some tens of ppm up. */
const LEAST_REPORTED_PPM = 10;
/** What a kit is recognised on. EPA recognition notices, from memory: wood, ferrous metal, drywall and plaster. */
const KIT_MATERIALS: readonly Material[] = [...TIMBER, ...PLASTER, 'mildSteel', 'castIron'];

function judgeSpot(r: Reading, rulebook: Rulebook, material: Material | undefined): ReadingVerdict {
  if (r.spot === 'changed') {
    const coats = r.changedLayerIds.length > 0 ? r.changedLayerIds : onlyCoat(r);
    return verdict('lead', why('lead.spotChanged', rulebook.leadPaint === null ? 'job-record' : 'epa-etv', {}), { coats });
  }
  if (r.spot === 'unclear') return verdict('unclear', why('lead.spotUnclear', 'job-record', {}));
  if (rulebook.leadPaint === null) return verdict('unclear', why('lead.spotNoThreshold', 'uk-lead-any', {}));
  if (!r.kitRecognised) return verdict('unclear', why('lead.spotKitUnproven', 'cfr40-745.88', {}));
  if (material !== undefined && !KIT_MATERIALS.includes(material))
    return verdict('unclear', why('lead.spotMaterial', 'epa-kits', { material }));
  if (r.control !== 'worked')
    return verdict('unclear', why(r.control === 'dead' ? 'lead.spotControlFailed' : 'lead.spotNoControl', 'cfr40-745.88', {}));
  return verdict('noLead', why('lead.spotUnchanged', 'cfr40-745.88', {}), { coats: onlyCoat(r), low: NOT_LEAD_PAINT });
}

/** A kit and a determination tell that it is no lead paint, never that there is no lead. 40 CFR 745.88(c) */
const NOT_LEAD_PAINT: Low = { rung: 'below', measured: null, under: false };

/** A number or a name by which the authority can look it up. */
const hasCertificate = (r: Reading): boolean => r.certificate.trim().length >= 3;

/** A signed determination speaks for the whole stack. 40 CFR 745.82(a)(1). */
function judgeReport(r: Reading, rulebook: Rulebook): ReadingVerdict {
  const by = { certificate: r.certificate.trim() === '' ? 'none given' : r.certificate };
  if (r.finding === 'lead')
    return verdict('lead', why('lead.reportFound', rulebook.leadPaint === null ? 'trade-sample' : 'cfr40-745.82', by));
  if (rulebook.leadPaint === null) return verdict('unclear', why('lead.reportNotHere', 'uk-lead-any', by));
  const signed = r.finding === 'noLead' && r.decidedBy === 'inspector' && hasCertificate(r) && r.file.trim() !== '';
  return signed
    ? verdict('noLead', why('lead.reportClear', 'cfr40-745.82', by), { low: NOT_LEAD_PAINT })
    : verdict('unclear', why('lead.reportUnsigned', 'cfr40-745.82', by));
}

/** What counts as found, in the unit of the result: by the rulebook, or under UK rules by the firm; null: no figure in that unit. */
function limitFor(m: Measure, rulebook: Rulebook): Measure | null {
  if (rulebook.leadPaint === null) return m.unit === 'mg/cm2' ? null : rulebook.leadThreshold!.is;
  const { loading, byMass, ppm } = rulebook.leadPaint;
  return m.unit === 'mg/cm2' ? loading.is : m.unit === 'mass%' ? byMass.is : ppm.is;
}

function againstLimit(found: Measure, rulebook: Rulebook, coats: readonly string[], byLab = true): ReadingVerdict {
  const limit = limitFor(found, rulebook);
  const source = rulebook.leadPaint === null ? rulebook.leadThreshold!.source : 'cfr24-35.110';
  const uk = rulebook.leadPaint === null;
  if (limit !== null && found.value >= convert(limit.value, limit.unit, found.unit))
    return verdict('lead', why(uk ? 'lead.overThreshold' : 'lead.overLimit', source, { result: [found, limit] }), { coats });
  const low = lowOf(found, false, byLab);
  if (low.rung === 'noneFound') return verdict('noLead', why('lead.noneReported', 'job-record', {}), { coats, low });
  // By area the UK has no figure at all, and no film data to make one.
  if (limit === null && found.value > 0) return verdict('lead', why('lead.anyAmount', 'uk-lead-any', { result: found }), { coats });
  if (limit === null) return verdict('noLead', why('lead.noneReported', 'job-record', {}), { coats, low });
  return verdict('noLead', why(uk ? 'lead.underThreshold' : 'lead.underLimit', source, { result: [found, limit] }), { coats, low });
}

/** "Less than so much" is not none: it clears where that much would clear, and the dust of it is still lead. */
function belowLimit(least: Measure, rulebook: Rulebook, coats: readonly string[], byLab = true): ReadingVerdict {
  const limit = limitFor(least, rulebook);
  const low = lowOf(least, true, byLab);
  if (low.rung === 'noneFound') return verdict('noLead', why('lead.noneAbove', 'trade-wait-lab', { least }), { coats, low });
  const clears = limit === null ? seesWell(least) : least.value <= convert(limit.value, limit.unit, least.unit);
  if (!clears) return verdict('unclear', why('lead.belowTooCoarse', 'trade-wait-lab', { least }), { low });
  const source = rulebook.leadPaint === null ? rulebook.leadThreshold!.source : 'cfr24-35.110';
  return verdict('noLead', why('lead.belowReported', source, { least }), { coats, low });
}

/** An instrument convicts in anybody's hands. It acquits by its rules, in the hands of whom the rulebook lets decide. */
function judgeXrf(r: Reading, read: Measure, rulebook: Rulebook, material: Material | undefined, book: InstrumentBook): ReadingVerdict {
  const correction = material === undefined ? 0 : correctionFor(r, material, book);
  const found = correction === 0 ? read : measure(Math.max(0, read.value - correction), read.unit);
  const source = rulebook.sources.xrf;
  if (r.bandLow !== null && r.bandHigh !== null && found.value >= r.bandLow && found.value <= r.bandHigh) {
    return verdict(
      'unclear',
      why('lead.xrfInconclusive', source, { result: found, low: measure(r.bandLow, 'mg/cm2'), high: measure(r.bandHigh, 'mg/cm2') }),
      { low: lowOf(found, r.below, false) },
    );
  }
  const says = r.below ? belowLimit(found, rulebook, [], false) : againstLimit(found, rulebook, [], false);
  const limit = limitFor(found, rulebook);
  const low = lowOf(found, r.below, false);
  const corrected =
    correction === 0
      ? says
      : {
          ...says,
          reason: limit
            ? why('lead.xrfCorrected', source, { read, off: measure(correction, 'mg/cm2'), result: [found, limit] })
            : why('lead.xrfCorrectedAny', source, { read, off: measure(correction, 'mg/cm2'), result: found }),
        };
  if (says.says !== 'noLead') return corrected;
  const facts = { result: found };
  if (rulebook.leadPaint === null) return verdict('unclear', why('lead.xrfLabOnly', 'uk-lead-any', facts), { low });
  if (r.decidedBy !== 'inspector' || !hasCertificate(r))
    return verdict('unclear', why('lead.xrfNotDecided', 'cfr40-745.82', facts), { low });
  switch (calibrationOf(r, book)) {
    case 'unnamed':
      return verdict('unclear', why('lead.xrfUnnamed', source, facts), { low });
    case 'missing':
      return verdict('unclear', why('lead.xrfUnchecked', source, facts), { low });
    case 'failed':
      return verdict('unclear', why('lead.xrfCheckFailed', source, facts), { low });
    case 'provisional':
      return verdict('waiting', why('lead.xrfProvisional', source, facts), { low });
    case 'holds':
      return corrected;
  }
}
