import { clock, minutesOf } from './clock';

test.each([
  ['8', 480],
  ['8:30', 510],
  ['0830', 510],
  ['8h30', 510],
  ['1.30 pm', 810],
  ['12 am', 0],
  ['12 p.m.', 720],
  ['23:59', 1439],
  ['24:00', null],
  ['8:60', null],
  ['13 pm', null],
  ['0 am', null],
  ['early', null],
  ['', null],
] as const)('%j is %s minutes after midnight, and reads back as itself', (text, min) => {
  expect(minutesOf(text)).toBe(min);
  if (min !== null) expect(minutesOf(clock(min))).toBe(min);
});
