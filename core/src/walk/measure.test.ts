import fc from 'fast-check';
import { aSurface } from '../testing';
import { ELEMENT_IDS, PART_KINDS, SpaceFields, SurfaceFields, type Surface } from '../facts';
import { convert } from '../units/units';
import { ELEMENTS } from './elements';
import { liveLayers, takeOff } from './measure';
import { KIT_IDS, unfoldKit } from './kits';

const ft = (v: number) => convert(v, 'ft', 'm');
const inch = (v: number) => convert(v, 'in', 'm');
const eachFt2 = (over: Partial<Surface>) => convert(takeOff(aSurface(over)).eachM2, 'm2', 'ft2');

// Each expectation is worked by hand in the comment, in feet and inches.
describe('take-off by shape', () => {
  test('room faces less openings: 46 ft round at 9 ft, less 48 ft2 of doors and windows', () => {
    expect(eachFt2({ element: 'wall', lengthM: ft(46), widthM: ft(9), measures: { openingsM2: convert(48, 'ft2', 'm2') } })).toBeCloseTo(
      414 - 48,
      6,
    );
  });

  test('openings never make a face less than nothing', () => {
    expect(eachFt2({ element: 'wall', lengthM: ft(2), widthM: ft(2), measures: { openingsM2: 100 } })).toBe(0);
  });

  test('a sash of six panes', () => {
    // 36 x 30 in, stiles 2, muntins 1, 3 across and 2 down: panes (30-4-2)/3 = 8 wide, (36-4-1)/2 = 15.5 high.
    // wood 1080 - 6 x 124 = 336; rebates 6 x 2 x 23.5 x 0.3937 (10 mm) = 111.02; edges 2 x 66 x 1.5 = 198; in all 645.02 in2.
    const area = eachFt2({
      element: 'doubleHungSash',
      lengthM: inch(36),
      widthM: inch(30),
      measures: { panesAcross: 3, panesDown: 2, stileM: inch(2), muntinM: inch(1), edgeM: inch(1.5) },
    });
    expect(area).toBeCloseTo(645.02 / 144, 3);
  });

  test('a plain four-panel door: face, mouldings and edges', () => {
    // 80 x 32 in. Panels in 3 rows and 4/3 columns of six tenths of the face: outline 2 x (16 + 14.4) = 60.8 in, 4 of them, 1 in of moulding: 243.2.
    // Face 2560; edges 2 x 112 x 1.75 = 392. In all 3195.2 in2.
    expect(
      eachFt2({ element: 'door', lengthM: inch(80), widthM: inch(32), measures: { panels: 4, mouldingM: inch(1), edgeM: inch(1.75) } }),
    ).toBeCloseTo(3195.2 / 144, 3);
  });

  test('balusters and rails by girth', () => {
    // 30 balusters 32 in high, 5 in round: 4800; rails 144 in long, 12 in round: 1728. In all 6528 in2.
    expect(
      eachFt2({
        element: 'railing',
        lengthM: inch(144),
        widthM: inch(32),
        measures: { pieces: 30, pieceGirthM: inch(5), railGirthM: inch(12) },
      }),
    ).toBeCloseTo(6528 / 144, 6);
  });

  test('a stair: treads, risers and two strings', () => {
    // 12 steps, rise 7.5, going 10 in, 36 in wide: 4320 + 3240; slope 12.5, string 10 in: 12 x 12.5 x 10 x 2 = 3000. In all 10560 in2.
    expect(
      eachFt2({ element: 'stairFlight', lengthM: inch(36), widthM: inch(10), measures: { steps: 12, riseM: inch(7.5), goingM: inch(10) } }),
    ).toBeCloseTo(10560 / 144, 6);
  });

  // Heating surface of old column heaters, from memory of makers' tables: 38 in, 3 columns, 5 ft2 a section.
  test.each([
    [3, 38, 10, 50],
    [2, 26, 8, 8 * 2.67],
    [4, 45, 6, 60],
    // Half way between 26 in (3.75) and 32 in (4.5).
    [3, 29, 4, 4 * 4.125],
  ])('a heater of %d columns, %d in high, %d sections', (columns, high, sections, ft2) => {
    expect(eachFt2({ element: 'heater', lengthM: inch(high), widthM: 1, measures: { columns, sections } })).toBeCloseTo(ft2, 6);
  });

  test('corrugated and louvred faces by a factor', () => {
    expect(eachFt2({ element: 'corrugatedSheet', lengthM: ft(10), widthM: ft(8), measures: { factor: 1.2 } })).toBeCloseTo(96, 6);
    expect(eachFt2({ element: 'shutter', lengthM: ft(4), widthM: ft(1.5), measures: { factor: 1.75 } })).toBeCloseTo(10.5, 6);
  });

  test('the lines of the sum add to the area, whatever the element and sizes', () => {
    fc.assert(
      fc.property(
        fc.constantFrom(...ELEMENT_IDS),
        fc.double({ min: 0.2, max: 12, noNaN: true }),
        fc.double({ min: 0.1, max: 4, noNaN: true }),
        fc.integer({ min: 1, max: 2 }),
        (element, lengthM, widthM, faces) => {
          const t = takeOff(aSurface({ element, lengthM, widthM, faces }));
          expect(t.eachM2).toBeCloseTo(
            Math.max(
              0,
              t.lines.reduce((a, l) => a + l.m2, 0),
            ) * faces,
            9,
          );
          for (const l of t.lines)
            expect(Math.abs(l.m2)).toBeCloseTo(
              [...l.metres, ...l.times].reduce((a, b) => a * b, 1),
              9,
            );
        },
      ),
    );
  });
});

describe('kits of rooms', () => {
  test.each(KIT_IDS)('%s unfolds into surfaces that fit the schema, on its own side', (id) => {
    const { space, surfaces } = unfoldKit(id, 'Room', 0, String, 'm');
    expect(SpaceFields.safeParse(space).error).toBeUndefined();
    for (const s of surfaces) {
      expect(SurfaceFields.safeParse({ ...s, spaceId: 'room-1' }).error).toBeUndefined();
      expect(space.kind === 'room' ? ELEMENTS[s.element].inside : ELEMENTS[s.element].outside).toBe(true);
    }
  });

  test('a bedroom holds ten surfaces; its walls run round the measured room', () => {
    const { surfaces } = unfoldKit('bedroom', 'Bedroom', 0, String, 'm', { lengthM: 5, widthM: 4, heightM: 3 });
    expect(surfaces).toHaveLength(10);
    expect(surfaces[0]).toMatchObject({ element: 'wall', lengthM: 18, widthM: 3 });
  });
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
          alsoIds: [],
          grits: [],
          toolC: null,
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
