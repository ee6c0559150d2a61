import fc from 'fast-check';
import { feetAndInches, feetForReading, lengthText, readLength, readNumber } from './length';

const FT = 0.3048;
const IN = 0.0254;

// International yard and pound agreement 1959: 1 in = 25.4 mm exactly. How lengths are said on site: common practice, no published source.
test.each([
  [`4' 6"`, 4 * FT + 6 * IN],
  [`4'6`, 4 * FT + 6 * IN],
  [`6'8`, 6 * FT + 8 * IN],
  [`6'-8 1/4"`, 6 * FT + 8.25 * IN],
  ['6 ft 8 in', 6 * FT + 8 * IN],
  [`14 1/2"`, 14.5 * IN],
  ['14½"', 14.5 * IN],
  ['14-1/2 in', 14.5 * IN],
  ['3/4"', 0.75 * IN],
  ['4.5', 4.5 * FT],
  ['4,5', 4.5 * FT],
  ['4 1/2', 4.5 * FT],
  ['10’ 2”', 10 * FT + 2 * IN],
  [`10' 2''`, 10 * FT + 2 * IN],
  ['1.2 m', 1.2],
  ['1200mm', 1.2],
  [`3' 4" x 2 + 8"`, 2 * (3 * FT + 4 * IN) + 8 * IN],
  [`2 × 6'8`, 2 * (6 * FT + 8 * IN)],
  [`12' - 2' 6"`, 9.5 * FT],
  ['2 x 3', 6 * FT],
])('%s under US rules', (text, m) => {
  expect(readLength(text, 'ft')).toEqual({ ok: true, value: expect.closeTo(m, 9) });
});

test.each([
  ['1.2', 1.2],
  ['1200 mm', 1.2],
  ['120cm', 1.2],
  [`4' 6"`, 4.5 * FT],
  ['2 x 0.6 + 0.3', 1.5],
])('%s under UK rules', (text, m) => {
  expect(readLength(text, 'm')).toEqual({ ok: true, value: expect.closeTo(m, 9) });
});

test.each(['', '19x31', 'four feet', `4' x 3'`, '--3', `4'' 6'`, '1/0', '6 x', '1.2.3'])('“%s” is refused in words', (text) => {
  const read = readLength(text, 'ft');
  expect(read.ok).toBe(false);
  expect(!read.ok && read.says).toMatch(/\.$/);
});

test('what is shown reads back as it was, to a sixteenth of an inch', () => {
  fc.assert(
    fc.property(fc.integer({ min: 1, max: 16 * 12 * 90 }), fc.constantFrom('ft' as const, 'm' as const), (sixteenths, system) => {
      const m = Number(((sixteenths / 16) * IN).toFixed(system === 'm' ? 3 : 9));
      expect(readLength(lengthText(m, system), system)).toEqual({ ok: true, value: expect.closeTo(m, 6) });
    }),
  );
  expect([0.914, 6 * FT + 8.25 * IN, 14.5 * IN, 0].map((m) => feetAndInches(m))).toEqual([`3'`, `6' 8 1/4"`, `14 1/2"`, `0"`]);
  expect([3.048, 24 * FT + 6.5 * IN, 2 * FT].map(feetForReading)).toEqual(['10 ft', `24' 7"`, '2 ft']);
});

test('small sums of plain numbers', () => {
  expect(['12 + 3', '2 x 4', '10 - 1', '7', '-4.5'].map((t) => readNumber(t))).toEqual(
    [15, 8, 9, 7, -4.5].map((value) => ({ ok: true, value })),
  );
  expect(readNumber('many').ok).toBe(false);
});
