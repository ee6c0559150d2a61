import { aCheck, aFacts, aLaid, aLayer, aPart, aReading, aSquare, aSurface, AT } from '../testing';
import { applyChanges, changesFor } from './change';
import { copiedJob } from './copy';
import type { JobFacts } from './registry';

const LATER = '2028-03-01T08:00:00.000Z';
const facts = aFacts(
  aSurface({
    name: 'Sash',
    colour: 'bone',
    conditions: ['flaking'],
    declinedOn: '2026-05-01',
    parts: [aPart('flat', 'infrared', { id: 'p-flat', insistedWhy: 'the owner wants it' })],
    layers: [aLayer(0), aLayer(1)],
    readings: [aReading({ id: 'r-1', kind: 'lab', value: 2.4, unit: 'mass%', reachedLayerIds: ['coat-1'], by: 'Mara Tarn' })],
    checks: [aCheck('adhesion')],
    squares: [aSquare({ id: 'q-1', methodId: 'infrared' })],
    laid: [
      aLaid({ product: 'acrylicWood' }),
      aLaid({ id: 'laid-2', product: 'matEmulsion', coats: 2, takenAt: '2026-05-06T10:00:00.000Z' }),
    ],
  }),
  {
    job: { childUnder6: 'yes', yearBuilt: 1904, startOn: '2026-05-04', clientName: 'Orla Venn', place: 'Quill Point' },
    space: { lengthM: 4, boundaryM: 3 },
  },
);
const copied = (way: 'alike' | 'sameHouse', from: JobFacts = facts) => {
  let n = 0;
  const made = copiedJob(from, way, { name: 'Next' }, () => `new-${(n += 1)}`, LATER);
  if (!made.ok) throw new Error(made.problems[0]!.message);
  return made.value;
};

test('at the same house: what was found with who found it and when, what was laid on top of the old coats, nothing of what was done', () => {
  const { job, surfaces, instrumentChecks } = copied('sameHouse');
  const [s] = surfaces;
  expect(job).toMatchObject({ name: 'Next', place: 'Quill Point', clientName: 'Orla Venn', yearBuilt: 1904, createdAt: LATER });
  // Who lives there now, and when it begins, is asked again.
  expect(job).toMatchObject({ childUnder6: 'unknown', startOn: null });
  expect(s!.layers.map((l) => [l.position, l.binder, l.colour, l.yearApplied])).toEqual([
    [0, 'acrylic', 'bone', 2026],
    [1, 'acrylic', 'bone', 2026],
    [2, 'acrylic', 'bone', 2026],
    ...facts.surfaces[0]!.layers.map((l, i) => [3 + i, l.binder, l.colour, l.yearApplied]),
  ]);
  expect(s!.readings).toMatchObject([{ value: 2.4, by: 'Mara Tarn', takenAt: AT, reachedLayerIds: [s!.layers[4]!.id] }]);
  expect(s).toMatchObject({ conditions: ['flaking'], declinedOn: null, checks: [], squares: [], laid: [] });
  expect(s!.parts).toMatchObject([{ kind: 'flat', methodId: null, insistedWhy: null }]);
  expect(instrumentChecks).toHaveLength(facts.instrumentChecks.length);
});

test('a like house: rooms, pieces and the ways that were chosen; nobody has looked at it yet', () => {
  const { job, spaces, surfaces, instrumentChecks } = copied('alike');
  expect(job).toMatchObject({ place: '', clientName: '', yearBuilt: null, childUnder6: 'unknown' });
  expect(spaces).toMatchObject([{ lengthM: 4, boundaryM: null }]);
  expect(surfaces).toMatchObject([{ name: 'Sash', conditions: [], coatsCounted: false, layers: [], readings: [], checks: [] }]);
  expect(surfaces[0]!.parts).toMatchObject([{ methodId: 'infrared', insistedWhy: null }]);
  expect(instrumentChecks).toEqual([]);
});

test('what was removed stays behind in a like house; at the same house it is known as removed, for what was found on it was found there', () => {
  const gone = { ...facts, surfaces: facts.surfaces.map((s) => ({ ...s, removedAt: AT })) };
  expect(copied('alike', gone).surfaces).toEqual([]);
  expect(copied('sameHouse', gone).surfaces).toMatchObject([{ removedAt: AT, readings: [{ value: 2.4 }] }]);
});

test('it goes in by the one door, and its first id is the job’s', () => {
  const made = copied('sameHouse');
  expect(made.job.id).toBe('new-1');
  const entered = applyChanges(
    null,
    changesFor(
      made,
      (
        (n) => () =>
          `c-${(n += 1)}`
      )(0),
      'Ines',
    ),
    2028,
  );
  expect(entered).toEqual({ ok: true, value: made });
});

test('what was found in one house is never taken along to another', () => {
  const at = (siteId: string | null) => ({ ...facts, job: { ...facts.job, siteId } });
  const to = (from: JobFacts, way: 'alike' | 'sameHouse', siteId: string | null) =>
    copiedJob(
      from,
      way,
      { name: 'Next', siteId },
      (
        (n) => () =>
          `n-${(n += 1)}`
      )(0),
      LATER,
    );
  expect(to(at('pier'), 'sameHouse', 'mill')).toMatchObject({ ok: false, problems: [{ path: 'way' }] });
  expect(to(at('pier'), 'alike', 'mill').ok).toBe(true);
  expect([to(at('pier'), 'sameHouse', 'pier').ok, to(at(null), 'sameHouse', 'mill').ok, to(at('pier'), 'sameHouse', null).ok]).toEqual([
    true,
    true,
    true,
  ]);
});
