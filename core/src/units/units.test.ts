import fc from 'fast-check';
import { convert, formatMeasure, measure, UNITS, type Unit } from './units';

describe('conversion', () => {
  // International yard and pound agreement 1959: 1 ft = 0.3048 m exactly; US gallon = 231 in3 exactly.
  test.each([
    [1, 'ft', 'm', 0.3048],
    [20, 'ft2', 'm2', 1.858],
    [1, 'gal', 'L', 3.785412],
    [1100, 'F', 'C', 593.33],
    [1, 'mil', 'um', 25.4],
    [0.5, 'mass%', 'ppm', 5000],
    [0.15, 'mg/m3', 'ug/m3', 150],
    [20, 'mph', 'm/s', 8.94],
  ] as const)('%d %s is %s %d', (value, from, to, want) => {
    expect(convert(value, from, to)).toBeCloseTo(want, 2);
  });

  test('there and back is the same, for every pair that measures one thing', () => {
    const units = Object.keys(UNITS) as Unit[];
    fc.assert(
      fc.property(fc.constantFrom(...units), fc.constantFrom(...units), fc.double({ min: -1e6, max: 1e6, noNaN: true }), (a, b, v) => {
        if (UNITS[a].dimension !== UNITS[b].dimension) {
          expect(() => convert(v, a, b)).toThrow(RangeError);
        } else {
          expect(convert(convert(v, a, b), b, a)).toBeCloseTo(v, 3);
        }
      }),
    );
  });
});

test('a published limit keeps its own unit in brackets for a metric reader', () => {
  expect(formatMeasure(measure(20, 'ft2'), 'm')).toBe('1.86 m² (20 ft²)');
  expect(formatMeasure(measure(20, 'ft2'), 'ft')).toBe('20 ft²');
  expect(formatMeasure(measure(5000, 'ppm'), 'm')).toBe('5,000 ppm');
  expect(formatMeasure(measure(0.25, 'h'), 'm')).toBe('15 min');
});

// Exact by definition: an inch is 25.4 mm.
test.each([
  [0.3, '1/64 in'],
  [1, '3/64 in'],
  [2, '5/64 in'],
  [25.4, '1 in'],
  [38.1, '1 1/2 in'],
  [22, '7/8 in'],
  [200, '8 in'],
])('a depth of %d mm is read as %s', (mm, says) => {
  expect(formatMeasure(measure(mm, 'mm'), 'ft')).toBe(says);
});
