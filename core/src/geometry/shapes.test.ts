import fc from 'fast-check';
import { convert } from '../units/units';
import { floorOf, sheetInside, sheetOutside, spread, unionArea, wallsOf, type Rect } from '../geometry/shapes';

const ft = (n: number) => convert(n, 'ft', 'm');
const ft2 = (m2: number) => convert(m2, 'm2', 'ft2');
const WALLS = ['A', 'B', 'C', 'D'] as const;

/** Squares of a grid whose middle some rectangle covers. */
const raster = (rects: readonly Rect[], n: number): number => {
  let count = 0;
  for (let x = 0.5; x < n; x += 1)
    for (let y = 0.5; y < n; y += 1) if (rects.some((r) => r.x0 < x && x < r.x1 && r.y0 < y && y < r.y1)) count += 1;
  return count;
};

test('what several sheets cover is counted once, as square by square on a grid', () => {
  const at = fc.integer({ min: 0, max: 20 });
  const rect = fc.record({ x0: at, y0: at, x1: at, y1: at });
  fc.assert(fc.property(fc.array(rect, { maxLength: 12 }), (rects) => Math.abs(unionArea(rects) - raster(rects, 20)) < 1e-9));
});

test('the sheets of a room cover it square by square, and never more than the room holds', () => {
  const piece = fc.record({ wall: fc.constantFrom(...WALLS), along: fc.integer({ min: 0, max: 9 }), run: fc.integer({ min: 1, max: 30 }) });
  const room = fc.record({ lengthM: fc.integer({ min: 3, max: 18 }), widthM: fc.integer({ min: 3, max: 18 }) });
  fc.assert(
    fc.property(room, fc.array(piece, { minLength: 1, maxLength: 6 }), fc.integer({ min: 1, max: 3 }), (f, pieces, beyond) => {
      const rects = pieces.flatMap((p) => sheetInside(p.wall, p.along, p.run, beyond, f));
      const area = unionArea(rects);
      return Math.abs(area - raster(rects, 18)) < 1e-9 && area <= unionArea([floorOf(f)]) + 1e-9;
    }),
  );
});

// 40 CFR 745.85(a)(2)(ii): 10 ft beyond. (24 + 20) x (36 + 20) - 24 x 36 = 1,600 ft2: each corner once.
test('a house of 24 x 36 ft, 10 ft all round, takes 1,600 ft2 of ground sheet before laps', () => {
  const house = { lengthM: ft(36), widthM: ft(24) };
  const sides = WALLS.map((s) => sheetOutside(s, 0, s === 'A' || s === 'C' ? house.lengthM : house.widthM, ft(10), ft(10), house));
  expect(ft2(unionArea(sides))).toBeCloseTo(1600, 6);
  // Each side by itself: (36 + 20) x 10 twice, (24 + 20) x 10 twice.
  expect(sides.reduce((sum, s) => sum + ft2(unionArea([s])), 0)).toBeCloseTo(2000, 6);
});

test('four windows stand evenly on their wall, and their sheet reaches from the first to the last', () => {
  expect(spread(4, 0.8, 1, 7)).toEqual({ pitchM: expect.closeTo(1.4, 9), spanM: 5 });
  // No room for that: one beside the other.
  expect(spread(4, 1.4, 1, 7)).toEqual({ pitchM: 1.4, spanM: 5.6 });
  expect(spread(1, 0.8, 1, 7).spanM).toBe(0.8);
});

test('a run goes round the corners, and once round at most', () => {
  const room = { lengthM: 5, widthM: 4 };
  expect(wallsOf('C', 4, 3, room)).toEqual([
    { wall: 'C', fromM: 4, toM: 5 },
    { wall: 'D', fromM: 0, toM: 2 },
  ]);
  const round = wallsOf('A', 0, 99, room);
  expect(round.map((w) => w.wall)).toEqual(['A', 'B', 'C', 'D']);
  expect(round.reduce((sum, w) => sum + w.toM - w.fromM, 0)).toBeCloseTo(18, 9);
  // From the left corner of each wall, as one looks at it from inside.
  expect(sheetInside('A', 0, 1, 0.5, room)).toEqual([{ x0: 3.5, x1: 5, y0: 0, y1: 0.5 }]);
  expect(sheetInside('D', 0, 1, 0.5, room)).toEqual([{ x0: 4.5, x1: 5, y0: 2.5, y1: 4 }]);
});
