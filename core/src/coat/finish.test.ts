/** What is wanted of a finish: heat it bears, tone, coats wanted; and the firm's schools of what lies first. Common practice, no published source. */
import type { Surface, TopcoatId } from '../facts';
import { DEFAULT_SETTINGS, type FirmSettings } from '../rulebook';
import { aLayer, aPart, aSurface, planOf } from '../testing';

const YOUNG = { yearBuilt: 2015 };
const heater = (over: Partial<Surface>, firm: Partial<FirmSettings> = {}) =>
  planOf(
    aSurface({
      element: 'heater',
      material: 'castIron',
      yearMade: 2015,
      coatsCounted: true,
      layers: [aLayer(0, { binder: 'alkyd', yearApplied: 2016 })],
      parts: [aPart('flat', 'overcoat')],
      ...over,
    }),
    { job: YOUNG, settings: { ...DEFAULT_SETTINGS, ...firm } },
  );
const lines = (p: ReturnType<typeof heater>) => p.coating.lines.map((l) => l.product);
const rules = (p: ReturnType<typeof heater>) => [...p.coating.refused, ...p.coating.asks].map((r) => r.rule);

describe('a heater', () => {
  // reference.md, primers: alkyd or heat primer up to 90 C.
  test.each([
    [null, 'metalEnamel', ['coat.serviceUnknown'], ['metalEnamel']],
    [90, 'metalEnamel', [], ['metalEnamel']],
    [91, 'metalEnamel', ['coat.tooHot'], []],
    [140, 'heatEnamel', ['coat.hotOverFilm'], []],
    [250, 'heatEnamel', ['coat.hotterThanAny'], []],
  ] as const)('at %s C with %s', (serviceC, topcoat, says, laid) => {
    const p = heater({ serviceC, topcoat });
    expect([rules(p), lines(p)]).toEqual([says, laid]);
  });
  test('so hot that only bare metal bears it: enamel by itself, and it is what is usual there', () => {
    const bare = { layers: [], parts: [aPart('flat', null)] };
    expect(lines(heater({ ...bare, serviceC: 140, topcoat: 'heatEnamel' }))).toEqual(['heatEnamel']);
    expect(lines(heater({ ...bare, serviceC: 60, topcoat: 'metalEnamel' }))).toEqual(['heatResistant', 'metalEnamel']);
    expect(heater({ serviceC: 140 }).coating.topcoat.value).toBe('heatEnamel');
  });
  test('the school of the firm: on the keyed coat, or primed all over', () => {
    const hot = { serviceC: 70, topcoat: 'metalEnamel' as const };
    expect(lines(heater(hot, { heaterGround: 'primed' }))).toEqual(['heatResistant', 'metalEnamel']);
  });
  test('cold by a reading before, off for two days after: N26', () => {
    const asks = heater({ serviceC: 70 }).work.steps.flatMap((st) => st.gates.flatMap((g) => g.asks.map((a) => [g.id, a.what])));
    expect(asks).toContainEqual(['piece-cold', 'faceC']);
    expect(asks.at(-1)).toEqual(['heater-waited', 'waitedH']);
  });
});

const casing = (over: Partial<Surface>, firm: Partial<FirmSettings> = {}) =>
  planOf(
    aSurface({
      element: 'casing',
      material: 'softwood',
      yearMade: 2015,
      coatsCounted: true,
      layers: [aLayer(0, { binder: 'acrylic', yearApplied: 2016 })],
      parts: [aPart('flat', 'overcoat')],
      topcoat: 'waterborneEggshell',
      ...over,
    }),
    { job: YOUNG, settings: { ...DEFAULT_SETTINGS, ...firm } },
  );
const top = (p: ReturnType<typeof casing>) => p.coating.lines.at(-1)!;
const saysOf = (p: ReturnType<typeof casing>) => top(p).because.map((r) => r.rule);

describe('coats wanted against coats enough', () => {
  test('a pure strong color takes one more; more than enough tells what each costs; fewer tells the film that is missing', () => {
    const usual = top(casing({}));
    const strong = top(casing({ tint: 'strong' }));
    expect([usual.coats, strong.coats, strong.litres / usual.litres]).toEqual([2, 3, expect.closeTo(1.5, 6)]);
    const four = casing({ coatsWanted: 4 });
    expect([top(four).coats, saysOf(four)]).toEqual([4, expect.arrayContaining(['coat.more'])]);
    const one = casing({ coatsWanted: 1 });
    expect([top(one).coats, saysOf(one)]).toEqual([1, expect.arrayContaining(['coat.tooFew'])]);
    expect(saysOf(casing({ coatsWanted: 2 }))).not.toEqual(expect.arrayContaining(['coat.more']));
  });
});

describe('prime everything', () => {
  const always = { primeAlways: true } as const;
  test('primes a sound coat and a heater, and nothing that bears no primer', () => {
    expect(lines(casing({}, always))[0]).toBe('bonding');
    expect(lines(heater({ serviceC: 70 }, always))).toEqual(['heatResistant', 'metalEnamel']);
    const lime: Partial<Surface> = {
      element: 'wall',
      material: 'limePlaster',
      layers: [aLayer(0, { binder: 'limewash', yearApplied: 2016 })],
    };
    expect(lines(casing({ ...lime, topcoat: 'limewash' }, always))).toEqual(['limewash']);
    expect(lines(casing({ ...lime, topcoat: 'silicatePaint' }, always))).toEqual(['silicatePaint']);
    const polish = { layers: [aLayer(0, { binder: 'shellac', yearApplied: 2016 })] };
    expect(lines(casing({ ...polish, topcoat: 'clearVarnish' }, always))).toEqual(['clearVarnish']);
  });
});

describe('the last wipe with alcohol', () => {
  const firm = { lastWipe: 'alcohol' } as const;
  const has = (p: ReturnType<typeof casing>) => [
    p.work.steps.some((st) => st.id === 'lastWipe'),
    p.work.steps.some((st) => st.because.some((r) => r.rule === 'wipe.barred')),
  ];
  test('is a step with its liters where the coat bears it, barred where it dissolves or nobody tried, and none in the other school', () => {
    const layer = (over: object) => ({ layers: [aLayer(0, { binder: 'acrylic', yearApplied: 2016, ...over })] });
    expect(has(casing(layer({ alcohol: 'none' }), firm))).toEqual([true, false]);
    expect(has(casing(layer({ alcohol: 'dissolves' }), firm))).toEqual([false, true]);
    expect(has(casing(layer({ binder: 'unknown' }), firm))).toEqual([false, true]);
    expect(has(casing(layer({ alcohol: 'none' })))).toEqual([false, false]);
  });
});

test.each([
  ['floorBoards', 'waterborneEggshell', 'coat.walkedOn'],
  ['handrail', 'matEmulsion', 'coat.handled'],
  ['casing', 'floorPaint', 'coat.floorElsewhere'],
] as const)('%s with %s is asked about', (element, topcoat: TopcoatId, rule) => {
  expect(casing({ element, topcoat }).coating.asks.map((r) => r.rule)).toContain(rule);
});
