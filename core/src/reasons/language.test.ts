import { LAID_LOOKS } from '../coat/laying';
import { LAYINGS } from '../facts';
import { HAZARD_KINDS } from '../surface/needs';
import { WORDS } from './en/vocabulary';
import type { Words } from './codes';
import { language } from './language';
import { RULE_WORDS } from './en';
import { typed, valueText, why } from '.';
import { measure } from '../units/units';

/** The compiler is the judge: each line that has to be refused says so, and an unused expectation fails the check of types. */
test('a language that forgets a rule or a fact, or names what is none, does not compile', () => {
  const whole = RULE_WORDS;
  // @ts-expect-error -- a rule has no words
  expect(() => language({ 'lead.noCoats': { says: 'No coats.' } })).not.toThrow();
  // @ts-expect-error -- the limit that the age is held against is not named
  expect(() => language({ ...(whole as Whole), 'lead.assumedByAge': { says: 'It is old.' } as const })).not.toThrow();
  // @ts-expect-error -- there is no such fact
  expect(() => language({ ...(whole as Whole), 'lead.noCoats': { says: 'No coats of {colour}.' } as const })).not.toThrow();
});
type Whole = typeof import('./en/probe').PROBE &
  typeof import('./en/trial').TRIAL &
  typeof import('./en/choose').CHOOSE &
  typeof import('./en/plan').PLAN;

test('a language that forgets the word of a code does not compile', () => {
  const { tanninWood: _, ...without } = WORDS;
  // @ts-expect-error -- a material has no word
  const words: Words = without;
  expect(words.tanninWood).toBeUndefined();
  const { 'stream.oilyRags': __, ...fewer } = WORDS;
  // @ts-expect-error -- nor has a bag
  const others: Words = fewer;
  expect(others['stream.oilyRags']).toBeUndefined();
});

test('a reason without a fact that its sentence names does not compile', () => {
  // @ts-expect-error -- built and its limit are missing
  expect(why('lead.assumedByAge', 'cfr40-745.80').weighed).toEqual([]);
  // @ts-expect-error -- a measure alone is held against nothing
  expect(why('lead.assumedByAge', 'cfr40-745.80', { built: measure(1904, 'year') }).weighed).toHaveLength(1);
  expect(why('lead.assumedByAge', 'cfr40-745.80', { built: [measure(1904, 'year'), measure(1978, 'year')] }).weighed).toHaveLength(1);
});

test('what a person typed is shown as typed, also where it happens to be a word of the vocabulary', () => {
  expect(valueText(typed('flat'), 'm')).toBe('“flat”');
  expect(valueText(typed('notFound'), 'm')).toBe('“notFound”');
  expect(valueText('notFound', 'm')).toBe('not found');
  expect(valueText([typed('notFound'), 'notFound'], 'm')).toBe('“notFound”; not found');
});

test('every hazard, way of laying and look of a coat has its word', () => {
  const codes = [...HAZARD_KINDS.map((k) => `reach.${k}`), ...LAYINGS, ...LAID_LOOKS, 'toolWater', 'toolThinner'];
  expect(codes.filter((c) => WORDS[c] === undefined)).toEqual([]);
});
