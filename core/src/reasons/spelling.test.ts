/** Spellings: a dictionary's business (Oxford, Merriam-Webster; from memory). */
import { say } from './index';
import { why } from './reason';
import { sentence } from './sentence';
import { spell, spellAs } from './spelling';

afterAll(() => spellAs('us'));

test.each([
  ['uk', 'Mold and molded parts', 'Mould and moulded parts'],
  ['us', 'A moulded colour, vapour of the labour, Grey fibres', 'A molded color, vapor of the labor, Gray fibers'],
  // A laboratory, a moisture meter and a smouldering ember are what they were.
  ['us', 'The laboratory’s meter', 'The laboratory’s meter'],
  ['uk', 'The laboratory’s meter, licensed', 'The laboratory’s meter, licensed'],
  ['uk', 'What smoulders', 'What smoulders'],
] as const)('%s: %s', (as, text, wanted) => {
  spellAs(as);
  expect(spell(text)).toBe(wanted);
});

test('words and sentences follow; what a person typed stands in them as it was typed', () => {
  spellAs('uk');
  expect(say('mold')).toBe('mould');
  expect(say('moulded')).toBe('moulded');
  expect(sentence(why('trial.differs', 'job-record', { coating: 'mold-gray color' }, 'care'), 'm')).toContain('mold-gray color');
  spellAs('us');
  expect(say('moulded')).toBe('molded');
});
