/** What certainty costs, and what a switch changed; both told against plans that are derived anew. */
import { createDeriver } from '../job/derive';
import { digestOf } from '../job/digest';
import { MONEY_LINES } from '../job/money';
import { DEFAULT_SETTINGS, type FirmSettings } from '../rulebook';
import { movedReading } from '../probe';
import type { JobFacts } from '../facts';
import { aFacts, aPart, aReading, aSurface, COATS, rulesOf } from '../testing';
import { certainties } from './certainty';
import { changedBetween } from './changed';
import { wearToTry } from './wear';

const YEAR = 2026;
const room = { lengthM: 5, widthM: 4, heightM: 2.6 };
const door = aSurface({
  id: 'door',
  name: 'Door',
  count: 6,
  parts: [aPart('flat', 'wetScrapeLoose', { id: 'd1' })],
  readings: [],
  squares: [],
});
const derive = (facts = aFacts(door, { space: room }), settings: FirmSettings = DEFAULT_SETTINGS) =>
  createDeriver().derive(facts, settings, YEAR);

test('the lines of a job’s money are its whole, and coats, masks, disposal and tests are in it', () => {
  const facts = aFacts(
    { ...door, readings: [aReading({ id: 'r', spot: 'changed', reachedLayerIds: COATS, toSubstrate: true })] },
    { space: room },
  );
  const { totals } = derive(facts);
  for (const end of ['low', 'high'] as const)
    expect(MONEY_LINES.reduce((sum, l) => sum + totals.lines[l][end], 0)).toBeCloseTo(totals.money[end], 6);
  for (const line of ['labour', 'coats', 'sheet', 'wear', 'disposal', 'tests'] as const) expect(totals.lines[line].high).toBeGreaterThan(0);
  // One swab, at its price; dearer coats cost their litres.
  expect(totals.lines.tests.high).toBe(DEFAULT_SETTINGS.testPrices.swab);
  const dear = derive(facts, { ...DEFAULT_SETTINGS, coatPerLitre: { water: 30, solvent: 38, mineral: 18 } }).totals;
  expect(dear.lines.coats.low).toBeCloseTo(2 * totals.lines.coats.low, 6);
  expect(dear.lines.packs.low).toBeCloseTo(2 * totals.lines.packs.low, 6);
  expect(dear.money.low - totals.money.low).toBeCloseTo(totals.lines.coats.low + totals.lines.packs.low, 6);
});

test('a swab moved to where it was made is paid for once; a withdrawn one was paid for', () => {
  const swab = aReading({ id: 'r', spot: 'changed', reachedLayerIds: COATS, toSubstrate: true });
  const takenAt = '2026-05-05T08:00:00.000Z';
  const back = aReading({ id: 'w', kind: 'withdrawn', spot: null, takenAt, supersedesId: 'r', supersedesWhy: 'it was made on the frame' });
  const frame = aSurface({ ...door, id: 'frame', name: 'Frame', parts: [aPart('flat', 'wetScrapeLoose', { id: 'f1' })] });
  const here = { ...door, readings: [swab, back] };
  const tests = (facts: JobFacts) => derive(facts).totals.lines.tests.high;
  expect(tests(aFacts(here, { others: [frame] }))).toBe(DEFAULT_SETTINGS.testPrices.swab);
  const there = { ...frame, readings: [{ ...movedReading(here, frame, swab)!, id: 'm', by: swab.by }] };
  expect(tests(aFacts(here, { others: [there] }))).toBe(DEFAULT_SETTINGS.testPrices.swab);
  // A second swab at another moment is a second swab.
  const again = aReading({ id: 'n', spot: 'unchanged', takenAt, reachedLayerIds: COATS, toSubstrate: true });
  expect(tests(aFacts({ ...here, readings: [swab, back, again] }, { others: [frame] }))).toBe(2 * DEFAULT_SETTINGS.testPrices.swab);
});

test('a test that a rule asks for stands first; what is settled is not offered; each closes more than it costs', () => {
  const offers = certainties(aFacts(door, { space: room }), DEFAULT_SETTINGS, YEAR);
  expect(offers.map((o) => o.kind)).toEqual(expect.arrayContaining(['lead', 'squares']));
  for (const o of offers.filter((x) => !x.asked)) expect(o.closes).toBeGreaterThan(o.costs);
  const squares = offers.find((o) => o.kind === 'squares')!;
  const money = derive().surfaces[0]!.money;
  expect(squares.closes).toBeLessThan(money.high - money.low);
  // A lab chip through all coats: nothing is left to test.
  const lab = aReading({ id: 'r', kind: 'lab', value: 0.01, unit: 'mass%', reachedLayerIds: COATS, toSubstrate: true });
  expect(certainties(aFacts({ ...door, readings: [lab] }, { space: room }), DEFAULT_SETTINGS, YEAR).map((o) => o.kind)).not.toContain(
    'lead',
  );
});

test('squares are asked for by the rule that wants them, of the method that it names, and never close less than nothing', () => {
  const board = aSurface({ id: 'board', aim: 'bareClear', count: 20, parts: [aPart('flat', 'causticPoultice', { id: 'b1' })] });
  const facts = aFacts(board, { space: { kind: 'elevation' } });
  const plan = derive(facts).surfaces[0]!;
  expect(rulesOf(plan.issue.because)).toContain('issue.trialMissing');
  const offers = certainties(facts, DEFAULT_SETTINGS, YEAR).filter((o) => o.kind === 'squares');
  expect(offers.filter((o) => o.asked).map((o) => o.methodId)).toEqual(['causticPoultice']);
  for (const o of offers) expect(o.closes).toBeGreaterThanOrEqual(0);
  // A topcoat that does not fit holds a plan back as well, and no square answers it.
  const coated = aFacts({ ...door, topcoat: 'limewash' }, { space: room });

  expect(rulesOf(derive(coated).surfaces[0]!.issue.because)).toEqual(['issue.coatRefused']);
  expect(certainties(coated, DEFAULT_SETTINGS, YEAR).filter((o) => o.kind === 'squares' && o.asked)).toEqual([]);
});

test('what a switch changed is told with both answers; nothing changed tells nothing', () => {
  const facts = aFacts(door, { space: room });
  const money = (n: number) => `$${Math.round(n)}`;
  const was = digestOf(facts, derive(facts));
  expect(changedBetween(was, digestOf(facts, derive(facts)), facts, 'ft', money)).toEqual({ whole: [], lines: [], priceOnly: 0 });
  const dear = changedBetween(was, digestOf(facts, derive(facts, { ...DEFAULT_SETTINGS, labourPerHour: 116 })), facts, 'ft', money);
  expect(dear).toMatchObject({ lines: [], priceOnly: 1 });
  expect(dear.whole[0]).toMatch(/^The job: \$\d+ to \$\d+ \(was \$\d+ to \$\d+\)$/);
  const uk = { ...facts, job: { ...facts.job, rulebook: 'uk' as const } };
  const rules = changedBetween(was, digestOf(uk, derive(uk)), uk, 'ft', money);
  expect(rules.lines.find((l) => l.says.startsWith('no class of minor work (was '))).toMatchObject({ names: [facts.spaces[0]!.name] });
  expect(rules.lines.find((l) => /P3.*\(was /.test(l.says))).toMatchObject({ names: ['Door'] });
});

test('before a square of gel on lead: mask with cartridges, and the gloves of what is in it; where nothing may be tried, nobody is dressed', () => {
  const facts = aFacts(door, { space: room });
  const wear = wearToTry(facts, 'door', 'solventGel', DEFAULT_SETTINGS, YEAR)!;
  expect(wear).toMatch(/half mask.*cartridges for organic vapour/i);
  expect(wear).toMatch(/glove/i);
  expect(wear).toMatch(/goggles/i);
  // Dry sanding by hand on what may be lead is forbidden: a square of it as well.
  expect(wearToTry(facts, 'door', 'drySand', DEFAULT_SETTINGS, YEAR)).toBeNull();
  // Beside it something that holds no lead is sanded so: that does not allow it on the door.
  const shelf = aSurface({
    id: 'shelf',
    name: 'Shelf',
    yearMade: 2015,
    readings: [aReading({ id: 'l', kind: 'lab', value: 0.001, unit: 'mass%', reachedLayerIds: COATS, toSubstrate: true })],
    parts: [aPart('flat', 'drySand', { id: 's1' })],
  });
  const both = aFacts(door, { space: room, others: [shelf] });
  expect(wearToTry(both, 'shelf', 'drySand', DEFAULT_SETTINGS, YEAR)).toMatch(/mask/);
  expect(wearToTry(both, 'door', 'drySand', DEFAULT_SETTINGS, YEAR)).toBeNull();
  // What only helps is tried beside the work.
  expect(wearToTry(facts, 'door', 'washDegrease', DEFAULT_SETTINGS, YEAR)).toMatch(/glove/i);
});
