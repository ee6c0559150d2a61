/** Drying and the windows in which a coat may go on: rules of thumb by their own arithmetic, windows against a plain search over every hour. */
import fc from 'fast-check';
import { RangedError } from '../units/ranged';
import { bySheet, CURVES, dryingRate, fitSheet } from '../catalogue/drying';
import { dewPointC } from './dew-point';
import { barredMost, chainOf, dayLaterH, LIMIT_IDS, movedBy, together, windowsOf, type CoatSpec, type FaceHours } from './windows';

const N = 96;
const COAT: CoatSpec = {
  product: 'exteriorAcrylic',
  curve: CURVES.water,
  recoatH: 5,
  mostRecoatH: null,
  airC: { least: 10, most: 30 },
  faceC: { least: 10, most: 35 },
  rhMostPct: 85,
  windMostMS: 8.9,
  rainSafe: 0.6,
  strokeH: 1.5,
};
const steady = (over: Partial<Record<keyof FaceHours, (h: number) => number>> = {}): FaceHours => {
  const series = (f: ((h: number) => number) | undefined, usual: number) => Float64Array.from({ length: N }, (_, h) => (f ? f(h) : usual));
  return {
    airC: series(over.airC, 20),
    rhPct: series(over.rhPct, 50),
    faceC: series(over.faceC, 20),
    windMS: series(over.windMS, 2),
    rainMm: series(over.rainMm, 0),
    light: Uint8Array.from(series(over.light, 1)),
    hours: Uint8Array.from(series(over.hours, 1)),
  };
};
const random = fc.record(
  Object.fromEntries(
    (
      [
        ['airC', 4, 34],
        ['rhPct', 30, 100],
        ['faceC', 2, 40],
        ['windMS', 0, 12],
      ] as const
    ).map(([k, min, max]) => [k, fc.array(fc.double({ min, max, noNaN: true }), { minLength: N, maxLength: N })]),
  ) as Record<'airC' | 'rhPct' | 'faceC' | 'windMS', fc.Arbitrary<number[]>>,
);
const rare = fc.array(fc.boolean(), { minLength: N, maxLength: N });
/** Weather has long good stretches: noise on noise would leave no window to compare. Half of it is calm throughout, so that chains are found whatever the seed. */
const weather = fc.tuple(random, rare, rare, fc.constantFrom(0, 0.6, 1, 1)).map(([r, rain, off, calm]): FaceHours => {
  const eased = (k: keyof typeof r, to: number) => Float64Array.from(r[k]!, (v, i) => (i % 24 > 24 * calm ? v : to + (v - to) * 0.1));
  return {
    airC: eased('airC', 20),
    rhPct: eased('rhPct', 55),
    faceC: eased('faceC', 22),
    windMS: eased('windMS', 2),
    rainMm: Float64Array.from(rain, (x, i) => (x && i % 24 > 24 * calm ? 1 : 0)),
    light: Uint8Array.from({ length: N }, (_, h) => (h % 24 >= 6 && h % 24 < 20 ? 1 : 0)),
    hours: Uint8Array.from(off, (x, h) => (x && h % 7 === 0 ? 0 : 1)),
  };
});

describe('drying', () => {
  // T07: twice as long for each 10 C colder: 4 h at 25 are 8 h at 15; from 23 to 12 x 2.144.
  test.each([
    [25, 15, 2],
    [23, 12, 2.144],
  ])('solvent from %i to %i C takes %f times as long', (warm, cold, times) => {
    expect(dryingRate(CURVES.solvent, warm, 50) / dryingRate(CURVES.solvent, cold, 50)).toBeCloseTo(times, 2);
  });
  test('four hours at 20 C in a cold cellar of 8 C and 80 % are a day for waterborne, nine hours for solvent, six for shellac', () => {
    const hours = (k: keyof typeof CURVES) => 4 / dryingRate(CURVES[k], 8, 80);
    expect(hours('water')).toBeCloseTo(4 * 2 ** 1.2 * 2.5, 6);
    expect(hours('solvent')).toBeCloseTo(9.19, 2);
    expect(hours('shellac')).toBeCloseTo(6.06, 2);
  });
  test('nothing dries below where its curve stops, nor waterborne in fog; lime wants neither dry nor soaked air', () => {
    expect([dryingRate(CURVES.twoPack, 7, 50), dryingRate(CURVES.water, 20, 100)]).toEqual([0, 0]);
    expect(dryingRate(CURVES.lime, 20, 25)).toBeLessThan(dryingRate(CURVES.lime, 20, 60));
  });
  test('a sheet’s own points give its own doubling', () => {
    const { h20, doubleC } = fitSheet([10, 15, 25].map((x) => ({ c: x, h: 6 * 2 ** ((20 - x) / 8) })));
    expect([h20, doubleC]).toEqual([expect.closeTo(6, 6), expect.closeTo(8, 6)]);
    const two = bySheet(
      COAT,
      [
        { c: 10, h: 16 },
        { c: 20, h: 8 },
      ],
      'twoPack',
    );
    expect([two.recoatH, dryingRate(two.curve, 7, 50), dryingRate(two.curve, 10, 90)]).toEqual([
      expect.closeTo(8, 6),
      0,
      expect.closeTo(0.5, 6),
    ]);
    expect(() =>
      fitSheet([
        { c: 10, h: 2 },
        { c: 20, h: 4 },
      ]),
    ).toThrow(/slower in the warm/);
    expect(() => fitSheet([{ c: 10, h: 2 }])).toThrow(RangedError);
  });
});

/** Told anew, hour by hour, without the bands. */
function mayPlain(f: FaceHours, c: CoatSpec, h: number): number | null {
  const end = h + Math.ceil(c.strokeH);
  for (let t = h; t < end; t += 1) {
    if (t >= N) return null;
    const ok =
      f.light[t] &&
      f.hours[t] &&
      f.airC[t]! >= c.airC.least &&
      f.airC[t]! <= c.airC.most &&
      f.faceC[t]! >= c.faceC.least &&
      f.faceC[t]! <= c.faceC.most;
    if (!ok || f.rhPct[t]! > c.rhMostPct || f.windMS[t]! > c.windMostMS) return null;
    if (f.faceC[t]! - dewPointC(f.airC[t]!, f.rhPct[t]!) < 3) return null;
  }
  let share = 0;
  for (let t = h; t < N; t += 1) {
    if (share >= 1) return t;
    if (f.faceC[t]! <= 0) return null;
    if (share < c.rainSafe && (f.rainMm[t]! > 0 || f.faceC[t]! <= dewPointC(f.airC[t]!, f.rhPct[t]!))) return null;
    if (t >= end) share += dryingRate(c.curve, f.faceC[t]!, f.rhPct[t]!) / c.recoatH;
  }
  return share >= 1 ? N : null;
}

test('each hour as a plain search finds it, and the first chain finishes no later than any other chain', () => {
  let found = 0;
  fc.assert(
    fc.property(weather, (f) => {
      const w = windowsOf(f, COAT);
      const plain = Array.from({ length: N }, (_, h) => mayPlain(f, COAT, h));
      expect([...w.may]).toEqual(plain.map((x) => (x === null ? 0 : 1)));
      for (let h = 0; h < N; h += 1) if (plain[h] !== null) expect(w.readyAt[h]).toBe(plain[h]);
      // Every chain of two coats, one by one.
      let best = Infinity;
      for (let a = 0; a < N; a += 1) for (let b = plain[a] ?? N; b < N; b += 1) if (plain[b] !== null) best = Math.min(best, plain[b]!);
      const chain = chainOf([w, w], [COAT, COAT]);
      found += chain.stopped ? 0 : 1;
      expect(chain.stopped ? Infinity : chain.coats[1]!.readyH).toBe(best);
    }),
    { numRuns: 60 },
  );
  expect(found).toBeGreaterThan(5);
});

test('each limit bars its own hours, and says so', () => {
  const bars = (f: FaceHours, h: number, coat = COAT) => {
    const w = windowsOf(f, coat);
    return LIMIT_IDS.filter((id) => w.bands[id][h] === 0);
  };
  expect(bars(steady(), 10)).toEqual([]);
  expect(bars(steady({ rainMm: (h) => (h === 13 ? 1 : 0) }), 10)).toEqual(['rain']);
  // Rain-safe by then: three of five hours have dried.
  expect(bars(steady({ rainMm: (h) => (h === 16 ? 1 : 0) }), 10)).toEqual([]);
  expect(bars(steady({ faceC: (h) => (h === 15 ? -1 : 20) }), 10)).toEqual(expect.arrayContaining(['frost']));
  // Dry at the stroke, wet with dew two hours later: the whole drying counts.
  expect(bars(steady({ rhPct: (h) => (h === 13 ? 84 : 50), faceC: (h) => (h === 13 ? 17 : 20) }), 10)).toEqual(['dew']);
  expect(bars(steady({ windMS: () => 10 }), 10)).toEqual(['wind']);
  expect(bars(steady({ rhPct: (h) => (h < 12 ? 90 : 50), faceC: () => 26 }), 10)).toEqual(['humidity']);
  expect(bars(steady({ hours: (h) => (h < 11 ? 1 : 0) }), 10)).toEqual(['hours']);
  expect(bars(steady(), N - 3)).toEqual(['ahead']);
  expect(barredMost(windowsOf(steady({ rainMm: () => 1 }), COAT))).toBe('rain');
  expect(barredMost(windowsOf(steady({ light: () => 0 }), COAT))).toBe('light');
  // The last day of work is over: the forecast ends, whatever the light.
  expect(barredMost(windowsOf(steady({ hours: (h) => (h < 40 ? 1 : 0) }), COAT), 40)).toBe('ahead');
});

test('later than the most that a coat may stand: abrade; a day later costs a day in even weather; a moved forecast is told', () => {
  const day = (h: number) => (h % 24 >= 8 && h % 24 < 10 ? 1 : 0);
  const f = steady({ hours: day });
  const short = { ...COAT, mostRecoatH: 20 };
  const w = windowsOf(f, short);
  const chain = chainOf([w, w], [short, short]);
  expect(chain.coats.map((x) => [x.startH, x.abrade])).toEqual([
    [8, false],
    [32, true],
  ]);
  expect(dayLaterH([w, w], [short, short], chain)).toBe(24);
  const rained = windowsOf(steady({ hours: day, rainMm: (h) => (h < 24 ? 1 : 0) }), short);
  expect(movedBy(chain, chainOf([rained, rained], [short, short]))).toEqual([
    { coat: 0, from: 8, to: 32 },
    { coat: 1, from: 32, to: 56 },
  ]);
  const both = together([w, rained]);
  expect(chainOf([both], [short]).coats[0]!.startH).toBe(32);
});
