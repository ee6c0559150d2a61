/** What is climbed, by height, time and load; minutes of a tool that shakes. */
import { createDeriver } from '../job/derive';
import { minutesTo } from '../protect/vibration';
import { DEFAULT_SETTINGS } from '../rulebook';
import { measure } from '../units/units';
import { aFacts, aLayer, aPart, aReading, aSurface, COATS, THIS_YEAR } from '../testing';

const found = aReading({ spot: 'changed', reachedLayerIds: COATS, toSubstrate: true });
const zoneAt = (accessM: number | null, over: object = {}, space: object = {}, job: object = {}) => {
  const s = aSurface({
    element: 'siding',
    lengthM: 1,
    widthM: 0.3,
    parts: [aPart('flat', 'wetScrapeLoose')],
    readings: [found],
    layers: [aLayer(0, { soundness: 'failing' }), aLayer(1), aLayer(2)],
    ...over,
  });
  return createDeriver().derive(aFacts(s, { space: { kind: 'elevation', accessM, ...space }, job }), DEFAULT_SETTINGS, THIS_YEAR).zones[0]!;
};
const gates = (z: ReturnType<typeof zoneAt>) => z.steps.flatMap((st) => st.gates.map((g) => g.id));

// Common practice, no published source, for where one ends and the next begins; 29 CFR 1926.1053(b)(5): one out for four up.
test.each([
  [2, {}, null],
  [2.01, {}, 'ladder'],
  [5, {}, 'ladder'],
  [6.01, {}, 'tower'],
  [8.01, {}, 'scaffold'],
  [2.5, { lengthM: 12, widthM: 3 }, 'platform'],
  [5, { lengthM: 8, widthM: 3 }, 'tower'],
  [5, { lengthM: 60, widthM: 6 }, 'scaffold'],
  [4, { parts: [aPart('flat', 'heatGun')], aim: 'bareClear' }, 'tower'],
] as const)('%s m, %j: %s', (accessM, over, by) => {
  const z = zoneAt(accessM, over);
  expect(z.access?.value.by ?? null).toBe(by);
  expect(gates(z).filter((g) => g.startsWith('access.'))).toEqual(by === null ? [] : [`access.${by}`]);
});
test('the foot of a ladder stands a quarter of its height out, and what lies below is kept clear', () => {
  expect(zoneAt(4.8)!.access!.value).toMatchObject({ footM: 1.2 });
  expect(zoneAt(9)!.access!.value).toMatchObject({ footM: null });
  // A third of 9 m in whole feet, and never under 7.
  expect([4.8, 9].map((m) => zoneAt(m)!.access!.value.keepOut)).toEqual([measure(7, 'ft'), measure(10, 'ft')]);
  expect(zoneAt(9, {}, {}, { rulebook: 'uk' })!.access!.value.keepOut).toEqual(measure(3, 'm'));
});
test('a scaffold that stands there is used, with its one check; nests are looked for outside, whatever the height', () => {
  const z = zoneAt(4, {}, { nearby: [{ what: 'scaffold', outM: null, alongM: null, lengthM: null }] });
  expect(z.access!.value.by).toBe('scaffold');
  expect(gates(z)).toEqual(expect.arrayContaining(['near.scaffold', 'nests']));
  expect(gates(z)).not.toContain('access.scaffold');
  expect(gates(zoneAt(null, {}, { kind: 'room' }))).not.toContain('nests');
});

// HSE L140, ready-reckoner: 5 m/s2 reaches the action value in 2 h and the limit in 8 h; 10 m/s2 in 30 min and 2 h.
test.each([
  [5, 120, 480],
  [10, 30, 120],
  [20, 7.5, 30],
])('%s m/s2: %s and %s minutes', (a, action, limit) => {
  expect([minutesTo(2.5, a), minutesTo(5, a)]).toEqual([action, limit]);
});
