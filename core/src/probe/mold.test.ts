import fc from 'fast-check';
import { convert } from '../units/units';
import { aReading, aSpace, aSurface, planOf, rulesOf } from '../testing';
import { RULEBOOKS } from '../rulebook';
import { correctedWoodMoisture, judgeMoisture } from './moisture';
import { moldPicture, moldSize } from './mold';

describe('extent: EPA 402-K-01-001 table 2; 10 and 100 ft2 themselves are medium', () => {
  test.each([
    [0, 'none'],
    [9.99, 'small'],
    [10, 'medium'],
    [100, 'medium'],
    [100.1, 'large'],
  ] as const)('%d ft2 is %s', (ft2, want) => expect(moldSize(convert(ft2, 'ft2', 'm2'), 0).value).toBe(want));

  test('patches in one room add up; growth that nobody measured is taken as medium', () => {
    const patch = (id: string, ft2: number | null) =>
      aSurface({ id, conditions: ['moldy'], moldM2: ft2 === null ? null : convert(ft2, 'ft2', 'm2') });
    expect(moldPicture(aSpace(), [patch('a', 6), patch('b', 5)], RULEBOOKS.us).size.value).toBe('medium');
    const unknown = moldPicture(aSpace(), [patch('a', null)], RULEBOOKS.us);
    expect([unknown.size.value, unknown.containment.value, unknown.condition.value]).toEqual(['medium', 'limited', 3]);
  });

  test('more mold never asks for less', () => {
    const rank = ['none', 'small', 'medium', 'large'];
    fc.assert(
      fc.property(fc.double({ min: 0, max: 30, noNaN: true }), fc.double({ min: 0, max: 30, noNaN: true }), (a, b) => {
        expect(rank.indexOf(moldSize(Math.max(a, b), 0).value)).toBeGreaterThanOrEqual(rank.indexOf(moldSize(Math.min(a, b), 0).value));
      }),
    );
  });
});

describe('cause first', () => {
  const moist = {
    insideC: 20,
    insideRhPct: 60,
    outsideC: 5,
    outsideRhPct: 80,
    uValueWm2K: 1.5,
    fanRatedM3h: null,
    fanMeasuredM3h: null,
    fanMinPerDay: 0,
    leakAch: 0.5,
    waterGPerDay: 1000,
    burstsPerDay: 2,
    leak: 'unknown',
    rising: 'no',
    fanVentsOutside: 'unknown',
    laundryDries: 'no',
    coldCorner: 'no',
    fanRoom: 'bath',
  } as const;
  const growth = [aSurface({ conditions: ['moldy'] })];
  test.each([
    [null, 'open'],
    [{ ...moist }, 'open'],
    [{ ...moist, leak: 'yes' }, 'leak'],
    [{ ...moist, leak: 'no', rising: 'yes' }, 'rising'],
    [{ ...moist, leak: 'no' }, 'condensation'],
  ] as const)('%#: %s', (moisture, want) =>
    expect(moldPicture(aSpace({ moisture: moisture as never }), growth, RULEBOOKS.us).cause.value).toBe(want),
  );
  test('growth sends the job to its cause before any method is chosen', () => {
    const p = planOf(aSurface({ conditions: ['moldy'], layers: [] }), { job: { yearBuilt: 2010 } });
    expect(p.next.act).toBe('moldCause');
    expect(rulesOf(p.touch[0]!.answer.because)).toContain('touch.mold');
  });
});

describe('moisture by material', () => {
  // Wood: paint at 15 %, mold above about 16, decay risk above 20 (Wood Handbook; MPI; BS 6150). Gypsum scale 1 %, masonry 12: from memory.
  test.each([
    ['softwood', '%MC', 15, 'dry'],
    ['softwood', '%MC', 15.5, 'moist'],
    ['softwood', '%MC', 17, 'wet'],
    ['softwood', '%MC', 20.5, 'decay'],
    ['gypsumPlaster', '%gypsum', 1, 'dry'],
    ['gypsumPlaster', '%gypsum', 1.1, 'wet'],
    ['brick', '%rel', 13, 'wet'],
    ['limePlaster', '%RH', 74, 'dry'],
    ['limePlaster', '%RH', 76, 'moist'],
    ['limePlaster', '%RH', 80, 'wet'],
    ['brick', '%MC', 10, 'unread'],
  ] as const)('%s at %s %d is %s', (material, unit, value, want) => {
    expect(judgeMoisture(aReading({ kind: 'moisture', value, unit }), material).value).toBe(want);
  });
  test('a warm board reads too high: 0.1 % for each degree above 20 C (FPL)', () => {
    expect(correctedWoodMoisture(15.5, 30)).toBeCloseTo(14.5, 9);
    expect(correctedWoodMoisture(12, null)).toBe(12);
  });
});
