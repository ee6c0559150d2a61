import fc from 'fast-check';
import { METHOD_IDS, PART_KINDS } from '../facts';
import { DEFAULT_SETTINGS } from '../rulebook';
import { effortOn, unitEffort } from './cost';
import { methodById, METHODS } from '../catalogue';

const FT2_M2 = 0.09290304;

test('a worked example: wet scraping 100 ft2 of flats at 20 to 60 ft2 an hour', () => {
  // Rates are a sanity range from memory: 100 / 60 = 1.67 h, 100 / 20 = 5 h; at 58 an hour 96.67 to 290, and 0.40 a m2 for blades.
  const m = methodById('wetScrapeLoose');
  const e = effortOn(100 * FT2_M2, unitEffort(m, 'flat', DEFAULT_SETTINGS), m);
  expect(e.personHours.low).toBeCloseTo(1.667, 3);
  expect(e.personHours.high).toBeCloseTo(5, 6);
  expect(e.materials.high).toBeCloseTo(9.290304 * 0.4, 6);
  expect(e.total.low).toBeCloseTo(1.6667 * 58 + 3.716, 2);
  expect(e.total.high).toBeCloseTo(5 * 58 + 3.716, 2);
});

test('passes and people multiply the hours: two people for a board, two to three passes of a sander', () => {
  const board = methodById('cover');
  expect(unitEffort(board, 'flat', DEFAULT_SETTINGS).personHours.high).toBeCloseTo(2 / (15 * FT2_M2), 6);
  const sander = methodById('hepaSand');
  const e = unitEffort(sander, 'flat', DEFAULT_SETTINGS).personHours;
  expect([e.low, e.high]).toEqual([expect.closeTo(2 / (100 * FT2_M2), 6), expect.closeTo(3 / (40 * FT2_M2), 6)]);
});

test('effort grows in proportion to area, for every method on every part', () => {
  fc.assert(
    fc.property(
      fc.constantFrom(...METHOD_IDS),
      fc.constantFrom(...PART_KINDS),
      fc.double({ min: 0, max: 500, noNaN: true }),
      (id, part, areaM2) => {
        const m = methodById(id);
        const unit = unitEffort(m, part, DEFAULT_SETTINGS);
        const one = effortOn(areaM2, unit, m);
        const two = effortOn(2 * areaM2, unit, m);
        expect(two.total.low).toBeCloseTo(2 * one.total.low, 6);
        expect(one.personHours.low).toBeLessThanOrEqual(one.personHours.high);
        expect(one.consumables.every((c) => c.amount.value >= 0)).toBe(true);
      },
    ),
  );
});

test('work between mouldings and turnings is never quicker than on flats', () => {
  for (const m of METHODS)
    for (const part of PART_KINDS) {
      if (m.reach[part] === undefined || m.reach.flat === undefined) continue;
      expect(unitEffort(m, part, DEFAULT_SETTINGS).personHours.low).toBeGreaterThanOrEqual(
        unitEffort(m, 'flat', DEFAULT_SETTINGS).personHours.low - 1e-12,
      );
    }
});

test('the catalogue is whole: ids once, ranges the right way round, a source, a reach', () => {
  expect(METHODS.map((m) => m.id).sort()).toEqual([...METHOD_IDS].sort());
  for (const m of METHODS) {
    expect([m.id, m.rate.lowM2PerH > 0 && m.rate.lowM2PerH <= m.rate.highM2PerH]).toEqual([m.id, true]);
    expect([m.id, m.passes.low <= m.passes.high, m.dwellH === null || m.dwellH.low <= m.dwellH.high]).toEqual([m.id, true, true]);
    expect(m.suits.length * Object.keys(m.reach).length).toBeGreaterThan(0);
  }
  expect(() => methodById('chisel' as never)).toThrow(RangeError);
});

// Common practice, no published source, as the catalogue's facts.
test.each([
  ['solventGel', { low: 1, high: 1.5 }],
  ['causticPoultice', { low: 24, high: 168 }],
] as const)('%s works by itself for %o hours', (id, dwell) => expect(methodById(id).dwellH).toEqual(dwell));
