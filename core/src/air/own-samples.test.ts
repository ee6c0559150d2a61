/** Own air results in place of a presumption, as they reach the mask. */
import { BLANK_AIR_SAMPLE, type AirSample } from '../facts';
import { sentence } from '../words';
import { DEFAULT_SETTINGS } from '../rulebook';
import { aFacts, aLayer, aPart, aReading, aSurface, COATS, THIS_YEAR } from '../testing';
import { createDeriver } from '../job/derive';
import { airSampleState, breathedIn } from './own-samples';

const found = aReading({ spot: 'changed', reachedLayerIds: COATS, toSubstrate: true });
const layers = [aLayer(0, { soundness: 'failing' }), aLayer(1), aLayer(2)];
const scraped = aSurface({ parts: [aPart('flat', 'wetScrapeLoose')], readings: [found], layers });
const result = (id: string, massUg: number | null, over: Partial<AirSample> = {}): AirSample => ({
  ...BLANK_AIR_SAMPLE,
  id,
  number: id,
  onSurfaceId: scraped.id,
  methodId: 'wetScrapeLoose',
  startedAt: `${THIS_YEAR}-03-02T08:00:00.000Z`,
  minutes: 240,
  massUg,
  removedAt: null,
  ...over,
});
const protectionWith = (airSamples: AirSample[], job: object = {}, settings: object = {}) => {
  const facts = { ...aFacts(scraped, { job }), airSamples };
  return createDeriver().surface(facts, scraped.id, { ...DEFAULT_SETTINGS, ...settings }, THIS_YEAR)!.protection;
};
const week = { startedAt: `${THIS_YEAR}-03-09T08:00:00.000Z` };

// 240 min at 2 L/min are 480 L; 4.8 ug on the filter are 10 ug/m3: worked by hand.
test('what a filter says of the air', () => {
  expect(breathedIn(result('A-1', 4.8))).toBeCloseTo(10, 9);
  expect(breathedIn(result('A-1', null))).toBeNull();
});

// 29 CFR 1926.62(d)(2), (d)(3), (d)(6); 29 CFR 1910.134, table 1.
test('one result moves the presumption both ways, two under the action level and a week apart end the mask for lead', () => {
  expect(protectionWith([])).toMatchObject({ respirator: { value: 'halfMask' }, breathedUgM3: 500 });
  const high = protectionWith([result('A-1', 480)]);
  expect(high).toMatchObject({ respirator: { value: 'poweredHood' }, exposure: { value: 'class2' } });
  expect(high.breathedUgM3).toBeCloseTo(1000, 6);
  const once = protectionWith([result('A-1', 4.8)]);
  expect(once).toMatchObject({ respirator: { value: 'halfMask' }, exposure: { value: 'class1' } });
  expect(sentence(once.respirator.because[0]!, 'm')).toMatch(/not yet twice under the action level/);
  const twice = protectionWith([result('A-1', 4.8), result('A-2', 5, week)]);
  expect(twice.respirator.value).toBeNull();
  expect(sentence(twice.exposure.because[0]!, 'm')).toMatch(/10.4 µg\/m³ at the most, of 2/);
  // The worst of them stands, and clothes, sheet and sign are those of lead work as before.
  expect(protectionWith([result('A-1', 4.8), result('A-2', 240, week)]).breathedUgM3).toBeCloseTo(500, 6);
  expect([twice.sign.value.length, twice.kit.map((k) => k.value).includes('coverall')]).toEqual([5, true]);
});

test('what does not count: another task, another coating, a short or an old one, one without an answer, one that was taken out', () => {
  const presumed = (s: AirSample, job: object = {}) => protectionWith([s], job).breathedUgM3 === 500;
  expect(presumed(result('A-1', 4.8, { methodId: 'wetSand' }))).toBe(true);
  expect(presumed(result('A-1', 4.8, { onSurfaceId: 'elsewhere' }))).toBe(true);
  expect(presumed(result('A-1', 4.8, { minutes: 59 }))).toBe(true);
  expect(presumed(result('A-1', null))).toBe(true);
  expect(presumed(result('A-1', 4.8, { removedAt: '2026-01-01T00:00:00.000Z' }))).toBe(true);
  // 29 CFR 1926.62(d)(3)(iii): the previous twelve months, to the day.
  const on = (startedAt: string) => result('A-1', 4.8, { startedAt });
  const job = { startOn: '2026-05-04' };
  expect(airSampleState(on('2025-05-04T00:00:00.000Z'), job.startOn, THIS_YEAR)).toBe('counts');
  expect(airSampleState(on('2025-05-03T23:59:59.000Z'), job.startOn, THIS_YEAR)).toBe('old');
  expect(presumed(on('2025-05-03T23:59:59.000Z'), job)).toBe(true);
  // Without a first day nobody knows how old it will be: only those of this year count.
  expect(airSampleState(on(`${THIS_YEAR - 1}-12-31T23:59:59.000Z`), null, THIS_YEAR)).toBe('old');
});

test('another piece with the same coats on the same material is covered, one with another coat is not', () => {
  const twin = { ...scraped, id: 'surface-2', readings: [{ ...found, id: 'r-2' }] };
  const other = { ...twin, id: 'surface-3', layers: [aLayer(0, { binder: 'limewash', soundness: 'failing' }), ...layers.slice(1)] };
  const facts = (piece: typeof twin) => ({
    ...aFacts({ ...scraped, zoneId: null }, { others: [piece] }),
    airSamples: [result('A-1', 4.8), result('A-2', 5, week)],
  });
  const breathed = (piece: typeof twin) =>
    createDeriver().surface(facts(piece), piece.id, DEFAULT_SETTINGS, THIS_YEAR)!.protection.breathedUgM3;
  expect(breathed(twin)).toBeCloseTo(10.42, 2);
  // In one zone the worst is everybody's.
  expect(breathed(other)).toBe(500);
});

// 29 CFR 1926.62(c)(2): 400 / 10 h is 40; ten times 40 does not cover 500. 8 CCR 1532.1, from memory: 10 ug/m3.
test('a long shift and a stricter state ask for more mask for the same work', () => {
  expect(protectionWith([], {}, { hoursPerDay: 10 }).respirator.value).toBe('poweredHood');
  expect(protectionWith([], { stateLayer: 'california' }).respirator.value).toBe('fullFace');
  expect(protectionWith([], { rulebook: 'uk', stateLayer: 'california' }).respirator.value).toBe(
    protectionWith([], { rulebook: 'uk' }).respirator.value,
  );
});
