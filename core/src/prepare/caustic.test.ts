/** Caustic soda in water. Heat of solution and heat capacity: reference tables of chemical-process textbooks and handbooks, worked by hand here. */
import fc from 'fast-check';
import { course, heldKJK, schedule, type CausticMix } from './caustic';
import { heatOfSolutionKJ } from './heat';
import { mixNow, type MixEvent } from './recipe';
import { Refused } from './refused';
import { CAUSTIC_VESSELS, VESSEL_IDS } from '../facts';
import { lossWK, VESSELS, type Vessel } from './vessel';

const PAIL: Vessel = { kind: 'polyethylene', acrossM: 0.26, deepM: 0.3 };
const mix = (over: Partial<CausticMix> = {}): CausticMix => ({
  waterL: 5,
  causticG: 1000,
  waterC: 12,
  airC: 18,
  vessel: PAIL,
  stirrer: 'hand',
  bathC: null,
  ceilingC: 50,
  order: 'causticToWater',
  ...over,
});
/** Tiny loss, hardly any wall: what a textbook reckons. */
const adiabatic = (over: Partial<CausticMix>) => mix({ ceilingC: 95, vessel: { kind: 'stainless', acrossM: 1.2, deepM: 2 }, ...over });

test('a pail that is refused at the bench is refused as a record', () => {
  expect(VESSEL_IDS.filter((v) => VESSELS[v].never === null)).toEqual(CAUSTIC_VESSELS);
});

// N25: 3 -28.87, 5 -37.74, 10 -42.51, 22 about -42.8 kJ/mol.
test.each([
  [100, 1, 107, 1],
  [500, 1, 449, 5],
  [500, 10, 532, 3],
])('%i g in %i L give off %i kJ by the integral heat, not by the infinite dilution', (g, litres, kJ, within) => {
  expect(Math.abs(heatOfSolutionKJ(g / 1000, litres * 0.998) - kJ)).toBeLessThan(within);
});

// Worked by hand: 107 kJ over 1.1 kg at 3.78 kJ/kgK is 25.7 K; 449 kJ over 1.5 kg at 3.44 is 87 K. The vessel and the dry grains take a little.
test.each([
  [50, 5, 25.7, 2.5],
  [50, 25, 88, 7],
])('%i L with %i kg at once rise about %f C when nothing leaves', (waterL, kg, rise, within) => {
  const m = adiabatic({ waterL, causticG: kg * 1000, waterC: 20, airC: 20, vessel: { kind: 'stainless', acrossM: 0.6, deepM: 2 } });
  const { peakC } = course(m, [{ atS: 0, g: kg * 1000 }], [], 900);
  expect(Math.abs(peakC - 20 - rise)).toBeLessThan(within);
});

test('once all is dissolved it cools by the curve of a body that loses heat evenly', () => {
  const m = mix();
  const { points } = course(m, [{ atS: 0, g: 400 }], [], 6 * 3600, 600);
  const at = (h: number) => points.find((p) => p.atS === h * 3600)!.c;
  const loss = lossWK(PAIL, 5.1, false).air;
  const tau = (heldKJK(m, 0.4, 0) * 1000) / loss / 3600;
  expect(at(5) - 18).toBeCloseTo((at(2) - 18) * Math.exp(-3 / tau), 1);
});

test('whatever goes in and when: heat given off less heat that left is the heat in the pail', () => {
  fc.assert(
    fc.property(
      fc.array(fc.record({ atS: fc.integer({ min: 0, max: 3600 }), g: fc.integer({ min: 10, max: 300 }) }), { minLength: 1, maxLength: 6 }),
      fc.integer({ min: 2, max: 22 }),
      fc.constantFrom(null, 8),
      fc.constantFrom('hand' as const, 'drill' as const),
      (puts, waterC, bathC, stirrer) => {
        const m = mix({ waterC, bathC, stirrer, airC: 15 });
        const untilS = 3 * 3600;
        const it = course(m, puts, [], untilS);
        const put = puts.reduce((sum, p) => sum + p.g, 0);
        const held = heldKJK(m, it.dissolvedG / 1000, (put - it.dissolvedG) / 1000);
        const start = heldKJK(m, 0, 0) * (waterC - 25);
        const brought = (put / 1000) * 1.49 * (15 - 25);
        const end = held * (it.points.at(-1)!.c - 25) - it.gaveKJ;
        expect(end).toBeCloseTo(start + brought - it.lostKJ, 6);
        expect(it.dissolvedG).toBeLessThanOrEqual(put + 1e-9);
      },
    ),
    { numRuns: 40 },
  );
});

test('a schedule followed to the letter never passes the ceiling, uses all of it, and waits where it must', () => {
  fc.assert(
    fc.property(
      fc.integer({ min: 100, max: 500 }),
      fc.integer({ min: 5, max: 20 }),
      fc.integer({ min: 35, max: 60 }),
      fc.boolean(),
      (gl, waterC, ceilingC, bath) => {
        const m = mix({ causticG: gl * 5, waterC, ceilingC, bathC: bath ? 10 : null, airC: 15 });
        const s = schedule(m);
        expect(s.portions.reduce((sum, p) => sum + p.g, 0)).toBeCloseTo(m.causticG, 6);
        expect(course(m, s.portions, [], s.doneS).peakC).toBeLessThanOrEqual(ceilingC);
        expect(Math.max(...s.portions.map((p) => p.g))).toBeLessThanOrEqual(500);
      },
    ),
    { numRuns: 15 },
  );
});

test('colder water around the pail, or a higher ceiling, never takes longer; the strong mix waits longer than the weak', () => {
  const done = (over: Partial<CausticMix>) => schedule(mix(over)).doneS;
  expect(done({ bathC: 8, causticG: 2000 })).toBeLessThan(done({ causticG: 2000 }));
  expect(done({ ceilingC: 60, causticG: 2000 })).toBeLessThan(done({ ceilingC: 40, causticG: 2000 }));
  expect(done({ causticG: 2500 })).toBeGreaterThan(done({ causticG: 1000 }));
});

describe('refused, with what would be right', () => {
  const refused = (over: Partial<CausticMix>) => {
    try {
      schedule(mix(over));
    } catch (e) {
      return e instanceof Refused ? e.refusal.id : e;
    }
    return null;
  };
  test.each([
    ['waterIntoCaustic', { order: 'waterToCaustic' }],
    ['metalVessel', { vessel: { ...PAIL, kind: 'aluminium' } }],
    ['metalVessel', { vessel: { ...PAIL, kind: 'galvanised' } }],
    ['glassVessel', { vessel: { ...PAIL, kind: 'glass' } }],
    ['warmWater', { waterC: 40 }],
    ['tooStrong', { causticG: 2600 }],
    ['vesselSmall', { waterL: 12, causticG: 1200 }],
    ['vesselGivesWay', { ceilingC: 70 }],
    // Hot air alone carries a pail past such a ceiling.
    ['warmAir', { ceilingC: 38, airC: 35 }],
    ['range', { causticG: -5 }],
    ['notNumber', { waterL: Number.NaN }],
    [null, {}],
  ] as const)('%s', (id, over) => expect(refused(over)).toBe(id));
});

describe('live', () => {
  const m = mix({ causticG: 2500 });
  const first = schedule(m).portions[0]!;
  const put = (n: number, atS: number, g = first.g): MixEvent => ({ kind: 'put', n, atS, g });
  test('a portion confirmed on two phones is one portion, and is said', () => {
    const it = mixNow(m, [put(1, 10), put(1, 14)], 60);
    expect([it.inG, it.twice]).toEqual([first.g, [1]]);
  });
  test('a hot reading stops it; it goes on only well under the ceiling; the reading moves the model', () => {
    const hot: MixEvent[] = [put(1, 10), { kind: 'felt', atS: 200, c: 55 }];
    expect(mixNow(m, hot, 210).at).toMatchObject({ stage: 'stop', why: 'hot' });
    expect(mixNow(m, hot, 210).nowC).toBeGreaterThan(54);
    expect(mixNow(m, [...hot, { kind: 'felt', atS: 3000, c: 45 }], 3010).at.stage).toBe('stop');
    expect(mixNow(m, [...hot, { kind: 'felt', atS: 9000, c: 30 }], 9010).at.stage).not.toBe('stop');
  });
  test('a stop that ended stays ended while it is warm but not hot; a stop is told even where the next portion would never cool', () => {
    const over: MixEvent[] = [
      put(1, 10),
      { kind: 'felt', atS: 200, c: 55 },
      { kind: 'felt', atS: 9000, c: 30 },
      { kind: 'felt', atS: 9060, c: 34 },
    ];
    expect(mixNow(m, [...over, { kind: 'felt', atS: 9120, c: 41 }], 9130).at.stage).not.toBe('stop');
    const tropic = mix({ airC: 45, waterC: 20, ceilingC: 50, causticG: 2500 });
    const first = schedule(mix({ causticG: 500 })).portions[0]!.g;
    const hot: MixEvent[] = [put(1, 10, first), { kind: 'felt', atS: 400, c: 60 }];
    expect(mixNow(tropic, hot, 410).at).toMatchObject({ stage: 'stop', why: 'hot' });
  });
  test('far warmer than what went in can make it: stop and look for the slip; read again and found so, it goes on', () => {
    const odd: MixEvent[] = [put(1, 10, 100), { kind: 'felt', atS: 400, c: 38 }];
    expect(mixNow(m, odd, 410).at).toMatchObject({ stage: 'stop', why: 'astray' });
    expect(mixNow(m, [...odd, { kind: 'felt', atS: 500, c: 38 }], 510).at.stage).not.toBe('stop');
  });
  test('what lies in it undissolved may carry it past the ceiling: stop before it does', () => {
    const warm: MixEvent[] = [put(1, 10), { kind: 'felt', atS: 12, c: 40 }, { kind: 'felt', atS: 14, c: 40 }];
    const { at } = mixNow(m, warm, 15);
    expect(at).toMatchObject({ stage: 'stop', why: 'climbing' });
    expect(at.stage === 'stop' && at.c).toBeGreaterThan(50);
  });
  test('from the first portion to ready by doing as it says', () => {
    const events: MixEvent[] = [];
    let nowS = 0;
    for (let i = 0; i < 60; i += 1) {
      const { at } = mixNow(m, events, nowS);
      if (at.stage === 'put') events.push(put(at.n, nowS, at.g));
      if (at.stage === 'ready') break;
      nowS += at.stage === 'put' ? 1 : at.stage === 'wait' ? at.forS : at.stage === 'cool' ? (at.forS ?? 600) : 600;
    }
    const end = mixNow(m, events, nowS);
    expect(end.at.stage).toBe('ready');
    expect(events.reduce((sum, e) => sum + (e.kind === 'put' ? e.g : 0), 0)).toBe(2500);
    expect(end.peakC).toBeLessThanOrEqual(50);
  });
});
