import { AT, aReading, aSample, aSurface, COATS } from '../testing';
import type { Reading, Sample } from './registry';
import { readingProblems } from './validate';

const LATER = '2026-05-06T09:00:00.000Z';
const blankOf = (over: Partial<Reading>) => aReading({ reachedLayerIds: [], toSubstrate: false, ...over });
/** One good record of each kind: what a person would enter. */
const GOOD = {
  spot: blankOf({ kind: 'spot', spot: 'unchanged', toSubstrate: true }),
  lab: blankOf({ kind: 'lab', value: 0.3, unit: 'mass%', toSubstrate: true }),
  xrf: blankOf({ kind: 'xrf', value: 1.4, unit: 'mg/cm2' }),
  report: blankOf({ kind: 'report', finding: 'lead' }),
  bulk: blankOf({ kind: 'bulk', value: 3, unit: 'mass%', sampleId: 'a', takenAt: LATER }),
  moisture: blankOf({ kind: 'moisture', value: 14, unit: '%MC' }),
  surfaceTemp: blankOf({ kind: 'surfaceTemp', value: -4, unit: 'C' }),
  air: blankOf({ kind: 'air', value: 18, unit: 'C', humidityPct: 60 }),
  crossCut: blankOf({ kind: 'crossCut', value: 5, unit: 'class' }),
  knife: blankOf({ kind: 'knife', value: 8, unit: 'class' }),
  drop: blankOf({ kind: 'drop', value: 40, unit: 's' }),
} as const satisfies Partial<Record<Reading['kind'], Reading>>;
type Kind = keyof typeof GOOD;

const samples: Sample[] = [
  aSample({ id: 'a', number: 'QP-001', hazard: 'asbestos', suspect: 'putty', takenAt: AT }),
  aSample({ id: 'l', number: 'QP-002', hazard: 'lead', takenAt: AT }),
];
const fieldsOf = (r: Reading): string[] =>
  readingProblems(r, aSurface({ samples }), 'readings[0]').map((p) => p.path.replace('readings[0].', ''));

test.each(Object.entries(GOOD))('a %s as a person would enter it is taken', (_kind, r) => expect(fieldsOf(r)).toEqual([]));

test.each<[string, Kind, Partial<Reading>, string]>([
  ['a swab without its color', 'spot', { spot: null }, 'spot'],
  ['a lab paper with the color of a swab', 'lab', { spot: 'changed' }, 'spot'],
  ['a number without its unit', 'lab', { unit: null }, 'unit'],
  ['paint by weight, read by an XRF', 'xrf', { unit: 'mass%' }, 'unit'],
  ['a swab with a unit', 'spot', { unit: 'ppm' }, 'unit'],
  ['air wetter than can be', 'moisture', { value: 101, unit: '%RH' }, 'value'],
  ['a moisture below none', 'moisture', { value: -1 }, 'value'],
  ['paint of more than itself', 'lab', { value: 100.1 }, 'value'],
  ['a face hotter than boiling, as if read in F', 'surfaceTemp', { value: 140 }, 'value'],
  ['a moisture without a number', 'moisture', { value: null, unit: null }, 'value'],
  ['an XRF without a number', 'xrf', { value: null, unit: null }, 'value'],
  ['a cross-cut of class 6', 'crossCut', { value: 6 }, 'value'],
  ['a cross-cut between two classes', 'crossCut', { value: 2.5 }, 'value'],
  ['a knife test between two classes', 'knife', { value: 7 }, 'value'],
  ['air without its humidity', 'air', { humidityPct: null }, 'humidityPct'],
  ['a report that determines nothing', 'report', { finding: null }, 'finding'],
  ['a swab that determines', 'spot', { finding: 'noLead' }, 'finding'],
  ['an asbestos answer to no sample', 'bulk', { sampleId: null }, 'sampleId'],
  ['an asbestos answer to a lead sample', 'bulk', { sampleId: 'l' }, 'sampleId'],
  ['a lead answer to an asbestos sample', 'lab', { sampleId: 'a', takenAt: LATER }, 'sampleId'],
  ['an asbestos answer of nothing', 'bulk', { value: null, unit: null }, 'value'],
  ['an answer from before its sample', 'bulk', { takenAt: '2026-05-03T09:00:00.000Z' }, 'takenAt'],
  ['half an inconclusive range', 'xrf', { bandLow: 0.8 }, 'bandHigh'],
  ['an inconclusive range upside down', 'xrf', { bandLow: 1.2, bandHigh: 0.8 }, 'bandHigh'],
  ['a swab of nobody knows which depth', 'spot', { toSubstrate: false }, 'reachedLayerIds'],
  ['a coat reached twice', 'spot', { reachedLayerIds: [COATS[0]!, COATS[0]!] }, 'reachedLayerIds'],
  [
    'a coat that changed and was not reached',
    'spot',
    { spot: 'changed', reachedLayerIds: [COATS[0]!], changedLayerIds: [COATS[2]!] },
    'changedLayerIds',
  ],
  ['coats that changed on a swab that did not', 'spot', { reachedLayerIds: [COATS[0]!], changedLayerIds: [COATS[0]!] }, 'changedLayerIds'],
  ['a withdrawal of nothing', 'spot', { kind: 'withdrawn', spot: null }, 'supersedesId'],
  ['a record put in the place of another without a why', 'spot', { supersedesId: 'reading-old', supersedesWhy: ' ' }, 'supersedesWhy'],
])('%s is refused beside its field', (_what, kind, over, field) => expect(fieldsOf({ ...GOOD[kind], ...over })).toContain(field));

test('a trace is an answer: an asbestos sample needs no number beside it', () =>
  expect(fieldsOf({ ...GOOD.bulk, value: null, unit: null, trace: true })).toEqual([]));
