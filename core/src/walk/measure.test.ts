import fc from 'fast-check';
import { aSurface } from '../testing';
import { ELEMENT_IDS, PART_KINDS } from '../facts';
import { convert } from '../units/units';
import { ELEMENTS } from './elements';
import { liveLayers, takeOff } from './measure';

test('a hand-worked take-off: four sashes of 30 x 34 in, 45 % wood, one face', () => {
  // 30 in x 34 in = 7.083 ft2; x 0.45 = 3.1875 ft2 each; x 4 = 12.75 ft2.
  const s = aSurface({
    element: 'doubleHungSash',
    lengthM: convert(30, 'in', 'm'),
    widthM: convert(34, 'in', 'm'),
    count: 4,
    parts: aSurface({ element: 'doubleHungSash' }).parts,
  });
  expect(convert(takeOff(s).eachM2, 'm2', 'ft2')).toBeCloseTo(3.1875, 4);
  expect(convert(takeOff(s).totalM2, 'm2', 'ft2')).toBeCloseTo(12.75, 4);
});

test('a run by its girth: 16 ft of casing, 5 1/2 in round, both faces', () => {
  // 16 x 5.5/12 = 7.333 ft2, x 2 faces = 14.667 ft2.
  const s = aSurface({ lengthM: convert(16, 'ft', 'm'), widthM: convert(5.5, 'in', 'm'), faces: 2 });
  expect(convert(takeOff(s).totalM2, 'm2', 'ft2')).toBeCloseTo(14.667, 3);
});

test('the parts share out the whole area and nothing else, whatever the shares', () => {
  fc.assert(
    fc.property(
      fc.array(fc.integer({ min: 1, max: 100 }), { minLength: 1, maxLength: 5 }),
      fc.double({ min: 0.1, max: 20, noNaN: true }),
      (weights, lengthM) => {
        const sum = weights.reduce((a, b) => a + b, 0);
        const parts = weights.map((w, i) => ({
          id: `part-${i}`,
          kind: PART_KINDS[i]!,
          sharePct: (w * 100) / sum,
          methodId: null,
          insistedWhy: null,
          removedAt: null,
        }));
        const area = takeOff(aSurface({ lengthM, parts }));
        expect(Object.values(area.partM2).reduce((a, b) => a + b, 0)).toBeCloseTo(area.totalM2, 9);
      },
    ),
  );
});

test('a removed part or coat no longer counts, and coats run from the top whatever order they were entered in', () => {
  const base = aSurface();
  const gone = '2026-05-05T00:00:00.000Z';
  const s = aSurface({
    parts: [
      { ...base.parts[0]!, removedAt: gone },
      { ...base.parts[1]!, sharePct: 100 },
    ],
    layers: [base.layers[2]!, { ...base.layers[1]!, removedAt: gone }, base.layers[0]!],
  });
  expect(Object.keys(takeOff(s).partM2)).toEqual(['part-moulded']);
  expect(liveLayers(s).map((l) => l.id)).toEqual(['coat-0', 'coat-2']);
});

test('every template is whole: shares add to 100, sizes are plausible, it stands inside or outside', () => {
  for (const id of ELEMENT_IDS) {
    const e = ELEMENTS[id];
    expect([id, e.parts.reduce((a, [, share]) => a + share, 0)]).toEqual([id, 100]);
    expect(e.inside || e.outside).toBe(true);
    expect(e.lengthM * e.widthM).toBeGreaterThan(0.05);
    expect(e.lengthM).toBeLessThan(20);
  }
});
