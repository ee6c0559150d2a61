import { RULES } from '../choose';
import { PRIMERS_DATA } from '../catalogue';
import { HAZARD_STATES } from '../probe';
import { RULEBOOKS } from '../rulebook';
import { measure } from '../units/units';
import { remedy, RULE_WORDS, sentence, SOURCES } from '../words';
import { valueText, why, WORDS } from '.';

test('a sentence is made of the facts, in the reader’s units, and begins with a capital', () => {
  const r = why('protect.screen', 'cfr40-745.85a2ii', { boundary: [measure(2, 'm'), measure(10, 'ft')] });
  expect(sentence(r, 'ft')).toBe('The boundary is 6\' 6 3/4" away, nearer than 10 ft: an upright screen on a frame.');
  expect(sentence(r, 'm')).toBe('The boundary is 2 m away, nearer than 3.05 m (10 ft): an upright screen on a frame.');
  expect(sentence(why('choice.bestForAim', 'trade-aim', { method: 'wetSand' }), 'm')).toMatch(
    /^Nobody has chosen yet: wet-sand ranks first/,
  );
  expect(sentence(why('step.remove', 'trade-aim', { part: 'flat', method: 'infrared', area: measure(1, 'm2') }), 'm')).toBe(
    'Flat: infrared, then scrape, 1 m²',
  );
});

test('values read as words, numbers with their unit, or a list', () => {
  expect([
    valueText('notFound', 'm'),
    valueText(1234, 'm'),
    valueText(true, 'm'),
    valueText(['flat', 'turned'], 'm'),
    valueText('Hollis Street', 'm'),
  ]).toEqual(['not found', '1,234', 'yes', 'flat; turned', 'Hollis Street']);
});

test('what would lift an obstacle is told where something would', () => {
  expect(remedy(why('lead.powerNoHepa', 'cfr40-745.85a3', { leadInReach: 'assumed' }), 'ft')).toBe(
    'A HEPA shroud, or a clear test through all coats.',
  );
  expect(remedy(why('lead.openFlame', 'cfr40-745.85a3', { leadInReach: 'assumed', limit: measure(1100, 'F') }), 'ft')).toBeUndefined();
});

test('what a check asks for is a line of a list: the paper sets the stop, or the blank for its number, behind it', () => {
  expect(
    Object.entries(RULE_WORDS)
      .filter(([id, w]) => id.startsWith('gate.') && w.says.endsWith('.'))
      .map(([id]) => id),
  ).toEqual([]);
});

test('every rule that blocks because of doubt says what would clear it, unless nothing would', () => {
  // An open flame on old joinery is never cleared: practice forbids it even without lead.
  const never = [
    'lead.openFlame',
    'lead.openFlameUk',
    'heat.flameNever',
    'heat.veneer',
    'caustic.metal',
    'fit.material',
    'blast.inside',
    'blast.hardTimber',
    'cover.noFace',
  ];
  for (const r of RULES.filter((x) => x.effect === 'block' && !never.includes(x.id))) {
    expect([r.id, (RULE_WORDS[r.id] as { lifts?: string }).lifts]).toEqual([r.id, expect.any(String)]);
  }
});

test('every code of what is derived has its word; those of what is recorded do not compile without', () => {
  const codes = [HAZARD_STATES, Object.keys(PRIMERS_DATA), Object.values(RULEBOOKS).flatMap((b) => b.respirators.map((r) => r.id))].flat();
  // Some codes are their own word: brick, alkali. Those with a capital inside never are.
  expect(codes.filter((code) => /[A-Z]/.test(code) && WORDS[code] === undefined)).toEqual([]);
});

test('a reason without facts is one and the same object; one with facts is not', () => {
  expect(why('next.labSettles', 'job-record')).toBe(why('next.labSettles', 'job-record'));
  expect(why('lead.anyAmount', 'uk-lead-any', { result: measure(1, 'ppm') })).not.toBe(
    why('lead.anyAmount', 'uk-lead-any', { result: measure(1, 'ppm') }),
  );
});

test('no source is a stranger: each has a title, a place and a country', () => {
  for (const [key, s] of Object.entries(SOURCES)) {
    expect([key, s.title.length > 3, s.at.length > 3, ['US', 'UK', 'any'].includes(s.where)]).toEqual([key, true, true, true]);
  }
});
