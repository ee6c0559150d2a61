import { aCheck, aPart, aSurface, planOf } from '../testing';
import { readyOnDay } from './ready';

const wall = (over = {}) =>
  planOf(
    aSurface({
      element: 'wall',
      material: 'gypsumPlaster',
      yearMade: 2015,
      coatsCounted: true,
      topcoat: 'matEmulsion',
      lengthM: 6,
      widthM: 2.5,
      parts: [aPart('flat', 'overcoat')],
      ...over,
    }),
    { job: { yearBuilt: 2015 } },
  );
const CREW = { crew: 2, hoursPerDay: 7.5 };

// By hand: the slow hours of all that stands before the first coat, by the crew's day, with the drying beside it.
test('the day of the first coat: hours by the crew’s day, and what dries meanwhile', () => {
  const p = wall();
  const first = p.work.steps.findIndex((st) => st.kind === 'prime' || st.kind === 'coat');
  const to = p.work.steps.slice(0, first);
  const hands = to.reduce((h, st) => h + st.handsOnH.high, 0);
  const waits = to.reduce((h, st) => h + st.waitH.high, 0);
  expect(hands).toBeGreaterThan(0);
  expect(readyOnDay([p], CREW)).toBe(1 + Math.floor(hands / 15 + waits / 24));
  expect(readyOnDay([p], { crew: 1, hoursPerDay: 1 })).toBeGreaterThan(readyOnDay([p], CREW));
  expect(readyOnDay([], CREW)).toBe(1);
});
test('salts that are waited for put it off by the two weeks that they may take; what was done is not done again', () => {
  expect(readyOnDay([wall({ conditions: ['salty'] })], CREW) - readyOnDay([wall()], CREW)).toBeGreaterThanOrEqual(14);
  const gates = wall().work.steps.flatMap((st) => st.gates.map((g) => g.id));
  const at = gates.indexOf('dew-point');
  const done = wall({ checks: gates.slice(0, at).map((g) => aCheck(g)) });
  expect(readyOnDay([done], CREW)).toBeLessThanOrEqual(readyOnDay([wall()], CREW));
});
