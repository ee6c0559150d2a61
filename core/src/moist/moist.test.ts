import psychrolib from 'psychrolib';
import fc from 'fast-check';
import { convert } from '../units/units';
import type { MoistureFacts } from '../facts';
import {
  leastTemperatureFactor,
  saturationC,
  saturationPa,
  surfaceC,
  surfaceRh,
  temperatureFactor,
  vapourGM3,
  woodMoistureAt,
} from './air';
import { comesBack, fanVerdict, outlook, roomAir, faceClimate, spotClimate } from './cause';
import { simulatedClimate, steadyClimate } from './climate';
import { airChanges, wantedFan } from './fan';
import { criticalRh, greatestIndex, growthIndex, PINE, weeksToFirst, weeksToSeen } from './growth';

psychrolib.SetUnitSystem(psychrolib.SI);

describe('moist air', () => {
  // ISO 13788 annex E.
  test.each([
    [0, 610.5],
    [12, 1401.8],
    [20, 2337.0],
    [-5, 401.2],
  ])('saturation at %d C is %d Pa', (c, pa) => {
    expect(saturationPa(c)).toBeCloseTo(pa, 0);
    expect(saturationC(saturationPa(c))).toBeCloseTo(c, 6);
  });
  test('agrees with psychrolib within 0.4 % from -10 to 40 C', () => {
    for (let c = -10; c <= 40; c += 2) expect(Math.abs(saturationPa(c) / psychrolib.GetSatVapPres(c) - 1)).toBeLessThan(0.004);
  });
  test('water in air agrees with psychrolib: 20 C and 50 %', () => {
    const w = psychrolib.GetHumRatioFromRelHum(20, 0.5, 101325);
    const volume = psychrolib.GetMoistAirVolume(20, w, 101325);
    expect(vapourGM3(saturationPa(20) * 0.5, 20)).toBeCloseTo((1000 * w) / volume, 1);
  });
  // Wood Handbook ch. 4, equation in C.
  test.each([
    [20, 30, 6.19],
    [20, 50, 9.27],
    [20, 65, 12.0],
    [20, 80, 16.04],
    [20, 90, 20.53],
    [10, 80, 16.38],
  ])('wood at %d C and %d %% holds %d %%', (c, rh, mc) => {
    expect(woodMoistureAt(c, rh)).toBeCloseTo(mc, 2);
  });
  // ISO 13788: worked from its own formulas.
  test('temperature factor and the least that keeps 80 % away', () => {
    expect(temperatureFactor(1.5)).toBeCloseTo(0.625, 9);
    expect(surfaceC(20, 0, 0.625)).toBeCloseTo(12.5, 9);
    expect(leastTemperatureFactor(20, 50, 0)).toBeCloseTo(0.631, 3);
    expect(leastTemperatureFactor(20, 60, 0)).toBeCloseTo(0.772, 3);
    expect(leastTemperatureFactor(21, 55, 5)).toBeCloseTo(0.628, 3);
    expect(surfaceRh(20, 50, 12)).toBeCloseTo(83.4, 1);
  });
});

describe('fans', () => {
  // HVI: 1 cfm for each ft2, at least 50 cfm; 8 air changes in 8 x 6 x 8 ft are 51.2 cfm. Approved Document F: 15 L/s.
  test('what a bathroom wants', () => {
    const cfm = (ft2: number) => convert(wantedFan('bath', convert(ft2, 'ft2', 'm2'), 'us'), 'm3/h', 'cfm');
    expect([cfm(48), cfm(50), cfm(90), cfm(100), cfm(101)].map((x) => Number(x.toFixed(6)))).toEqual([50, 50, 90, 100, 150]);
    expect(wantedFan('bath', 10, 'uk')).toBeCloseTo(54, 9);
    const volume = 8 * 6 * 8 * convert(1, 'ft', 'm') ** 3;
    expect(airChanges(convert(51.2, 'cfm', 'm3/h'), volume)).toBeCloseTo(8, 6);
  });
  // ASHRAE 62.2: 100 cfm at a hood, 300 cfm elsewhere in a kitchen; Approved Document F: 30 and 60 L/s.
  test.each([
    ['kitchenHood', 'us', 100],
    ['kitchen', 'us', 300],
    ['kitchenHood', 'uk', 30],
    ['kitchen', 'uk', 60],
  ] as const)('a %s in the %s wants %d', (room, rules, want) => {
    const flow = wantedFan(room, 40, rules);
    expect(rules === 'us' ? convert(flow, 'm3/h', 'cfm') : flow / 3.6).toBeCloseTo(want, 6);
  });
});

describe('mold growth index: Hukka and Viitanen 1999', () => {
  test.each([
    [1, 97.03],
    [5, 88.02],
    [10, 82.03],
    [15, 80.04],
    [20, 80.04],
    [20.1, 80],
  ])('critical humidity at %d C is %d %%', (c, rh) => expect(criticalRh(c)).toBeCloseTo(rh, 2));

  test.each([
    [20, 97, 0, 0, 1.4835, 2.9827, 5.504],
    [20, 97, 1, 0, 1.7065, 3.1672, 5.504],
    [20, 97, 0, 1, 1.0665, 2.9827, 5.504],
    [20, 90, 0, 0, 4.202, 7.734, 3.995],
    [10, 95, 0, 0, 3.175, 6.493, 5.01],
    [5, 95, 0, 0, 5.087, 10.845, 4.4],
    [25, 85, 0, 0, 7.991, 13.565, 2.625],
  ] as const)('at %d C, %d %% (wood %d, face %d)', (c, rh, wood, face, first, seen, most) => {
    const m = { wood, face, sensitivity: null };
    expect(weeksToFirst(c, rh, m)).toBeCloseTo(first, 2);
    expect(weeksToSeen(c, rh, m)).toBeCloseTo(seen, 2);
    expect(greatestIndex(c, rh, m)).toBeCloseTo(most, 3);
  });

  // Integrated with steps of one hour; to 0.01.
  test.each([
    [20, 97, 7, 0.674],
    [20, 97, 14, 1.686],
    [20, 97, 28, 4.325],
    [20, 97, 56, 5.504],
    [20, 90, 28, 0.952],
    [20, 90, 56, 3.091],
    [20, 90, 84, 3.979],
    [20, 90, 180, 3.995],
    [10, 95, 28, 1.496],
    [10, 95, 56, 3.874],
    [25, 85, 56, 0.992],
    [25, 85, 84, 2.21],
    [25, 85, 180, 2.625],
  ])('%d C and %d %% for %d days: index %d', (c, rh, days, index) => {
    const k = steadyClimate(c, rh, days * 24);
    expect(Math.abs(growthIndex(k.tempC, k.rhPct).at(-1)! - index)).toBeLessThanOrEqual(0.01);
  });

  test('decline: six hours fall, to a day it holds, then it falls slowly', () => {
    const k = steadyClimate(20, 50, 72);
    const m = growthIndex(k.tempC, k.rhPct, PINE, 2);
    expect(m[5]).toBeCloseTo(2 - (0.032 * 6) / 24, 9);
    expect(m[23]).toBe(m[5]);
    expect(m[71]).toBeCloseTo(m[23]! - (0.016 * 48) / 24, 9);
  });

  test('the index stays between 0 and 6, below 0 C nothing grows, and arrays must match', () => {
    const frost = steadyClimate(-2, 99, 500);
    expect(Math.max(...growthIndex(frost.tempC, frost.rhPct))).toBe(0);
    // Saturated air a hair above freezing, where the critical humidity is 100 too.
    expect(Math.max(...growthIndex(Float64Array.of(5e-324, 0), Float64Array.of(100, 0)))).toBeCloseTo(0, 9);
    fc.assert(
      fc.property(
        fc.array(fc.tuple(fc.double({ min: -20, max: 50, noNaN: true }), fc.double({ min: 0, max: 100, noNaN: true })), {
          minLength: 1,
          maxLength: 300,
        }),
        (hours) => {
          const m = growthIndex(
            Float64Array.from(hours, (h) => h[0]),
            Float64Array.from(hours, (h) => h[1]),
            PINE,
            5.9,
          );
          expect(Math.min(...m)).toBeGreaterThanOrEqual(0);
          expect(Math.max(...m)).toBeLessThanOrEqual(6);
        },
      ),
    );
    expect(() => growthIndex(new Float64Array(3), new Float64Array(4))).toThrow(RangeError);
  });
});

describe('the cause of mold in a room', () => {
  const bath: MoistureFacts = {
    insideC: 19,
    insideRhPct: 65,
    outsideC: 3,
    outsideRhPct: 85,
    uValueWm2K: 2,
    fanRatedM3h: 60,
    fanMeasuredM3h: null,
    fanMinPerDay: 30,
    leakAch: 0.3,
    waterGPerDay: 2400,
    burstsPerDay: 3,
    leak: 'no',
    rising: 'no',
    fanVentsOutside: 'yes',
    laundryDries: 'no',
    coldCorner: 'yes',
    fanRoom: 'bath',
  };
  const room = { lengthM: 2.4, widthM: 1.9, heightM: 2.5 };
  const year = simulatedClimate('test');

  test('a steady room settles where vapour in and out balance', () => {
    // 1,800 g a day into 11.4 m3 at 0.4 changes: 75 g/h / 4.56 m3/h = 16.45 g/m3 above outdoors, until it condenses.
    const air = { ...roomAir({ ...bath, fanRatedM3h: null, burstsPerDay: 0, waterGPerDay: 240 }, room, 'now', 'us') };
    const face = faceClimate(air, steadyClimate(18, 60, 400));
    const expected = vapourGM3(saturationPa(18) * 0.6, air.insideC) + 10 / air.leakM3h;
    const got = vapourGM3((saturationPa(face.tempC[399]!) * face.rhPct[399]!) / 100, air.insideC);
    expect(got).toBeCloseTo(Math.min(expected, vapourGM3(saturationPa(face.tempC[399]!), air.insideC)), 6);
  });

  test('each remedy helps, and all three help most', () => {
    const peaks = Object.fromEntries(
      (['now', 'fan', 'heat', 'insulation', 'all'] as const).map((r) => [r, outlook(bath, room, year, PINE, r, 'us')]),
    );
    expect(peaks['now']!.hoursAbove80).toBeGreaterThan(peaks['fan']!.hoursAbove80);
    expect(peaks['now']!.hoursAbove80).toBeGreaterThan(peaks['heat']!.hoursAbove80);
    expect(peaks['now']!.hoursAbove80).toBeGreaterThan(peaks['insulation']!.hoursAbove80);
    expect(Math.min(...['fan', 'heat', 'insulation'].map((r) => peaks[r]!.hoursAbove80))).toBeGreaterThanOrEqual(
      peaks['all']!.hoursAbove80,
    );
    expect(comesBack(peaks['now']!).value).toBe('yes');
    expect(comesBack(peaks['all']!).value).toBe('no');
  });

  test('a fan that blows into the roof counts as none; a label is not a flow', () => {
    expect(roomAir({ ...bath, fanVentsOutside: 'no' }, room, 'now', 'us').fanM3h).toBe(0);
    expect(fanVerdict({ ...bath, fanVentsOutside: 'no' }, 4.56, 'us').value).toBe('intoRoof');
    expect(fanVerdict({ ...bath, fanRatedM3h: 100 }, 4.56, 'us').value).toBe('weak');
    expect(fanVerdict({ ...bath, fanRatedM3h: 100, fanMeasuredM3h: 90 }, 4.56, 'us').value).toBe('enough');
  });

  test('spot readings: 20 C, 50 %, 0 C outside at U 1.5 is a risk; at U 0.4 it is not', () => {
    expect(spotClimate({ ...bath, insideC: 20, insideRhPct: 50, outsideC: 0, uValueWm2K: 1.5 }).risk.value).toBe('risk');
    expect(spotClimate({ ...bath, insideC: 20, insideRhPct: 50, outsideC: 0, uValueWm2K: 0.4 }).risk.value).toBe('dry');
  });

  test('the simulated year is a plausible one, and its own seed’s', () => {
    expect(year.tempC).toHaveLength(8760);
    expect(Math.max(...year.rhPct)).toBeLessThanOrEqual(100);
    expect(Math.min(...year.tempC)).toBeGreaterThan(-30);
    expect(simulatedClimate('test').tempC[4000]).toBe(year.tempC[4000]);
    expect(simulatedClimate('else').tempC[4000]).not.toBe(year.tempC[4000]);
  });
});
