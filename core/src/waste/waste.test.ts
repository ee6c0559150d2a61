/** Classes, thresholds, months and the register of bags, at, below and above their limits. */
import {
  BLANK_BAG,
  BLANK_HAUL,
  jobProblems,
  numberAfter,
  WASTE_STREAMS,
  type Bag,
  type Haul,
  type WasteStreamId,
  type WasteTest,
} from '../facts';
import { DEFAULT_SETTINGS } from '../rulebook';
import { sentence } from '../words';
import { createDeriver } from '../job/derive';
import { aFacts, aLayer, aPart, aReading, aSquare, aSurface, THIS_YEAR, COATS } from '../testing';
import { classFor, classify, daysItMayStand, generatorOf, loadNotes, monthsOf, registerOf, wasteOf } from './index';

const test0 = (over: Partial<WasteTest> = {}): WasteTest => ({
  stream: 'sheetAndChips',
  leachMgL: null,
  totalMgKg: null,
  ph: null,
  flashC: null,
  lab: '',
  ...over,
});
const of = (stream: WasteStreamId, over: Partial<Parameters<typeof classify>[0]> = {}) =>
  classify({ stream, rulebook: 'us', dwelling: false, lead: true, lowMgKg: 0, test: null, chemistry: [], ...over }).value;

describe('classes, US', () => {
  // 40 CFR 261.24: 5.0 mg/L and more fails. Method 1311: a twentieth of the total is the most that can leach; 1,800 mg/kg gives at most 90.
  test.each([
    [{ leachMgL: 4.99 }, 'ordinary'],
    [{ leachMgL: 5 }, 'hazardous'],
    [{ leachMgL: 12 }, 'hazardous'],
    [{ totalMgKg: 99.9 }, 'ordinary'],
    [{ totalMgKg: 100 }, 'test'],
    [{ totalMgKg: 1800 }, 'test'],
    [{}, 'test'],
  ] as const)('lead chips outside a home, %j: %s', (over, want) => {
    const got = of('sheetAndChips', { test: test0(over) });
    expect(got).toEqual({ class: want, codes: want === 'hazardous' ? ['D008'] : [] });
  });
  // 40 CFR 261.22: pH 2 and below, 12.5 and above.
  test.each([
    [2, 'D002'],
    [2.01, null],
    [12.49, null],
    [12.5, 'D002'],
  ] as const)('a pail at pH %s: %s', (ph, code) => {
    expect(of('causticSludge', { lead: false, test: test0({ ph }) }).codes).toEqual(code === null ? [] : [code]);
  });
  // 40 CFR 261.21: below 60 C (140 F).
  test.each([
    [59.9, 'hazardous'],
    [60, 'ordinary'],
    [null, 'test'],
  ] as const)('rags that flash at %s C: %s', (flashC, want) => {
    expect(of('solventRags', { lead: false, test: test0({ flashC }) }).class).toBe(want);
  });
  // 40 CFR 261.24 and 261.22 bind each by itself: neutralised caustic with lead is still D008.
  test('a sludge that is no longer caustic is still what its lead makes it', () => {
    expect(of('causticSludge', { test: test0({ ph: 8, leachMgL: 40 }) }).codes).toEqual(['D008']);
    expect(of('causticSludge', { test: test0({ ph: 13, leachMgL: 40 }) }).codes).toEqual(['D008', 'D002']);
  });
  test('methylene chloride is listed, whatever else: 40 CFR 261.31', () => {
    expect(of('solventSludge', { lead: false, chemistry: ['methyleneChloride'], test: test0({ flashC: 90 }) })).toEqual({
      class: 'hazardous',
      codes: ['F002'],
    });
  });
  // 40 CFR 261.4(b)(1), EPA memorandum of 31 July 2000.
  test('the walls of a home are household waste; what the firm brought, and asbestos, are not', () => {
    const home = (s: WasteStreamId) => of(s, { dwelling: true }).class;
    expect(home('sheetAndChips')).toBe('household');
    expect(home('solventRags')).toBe('test');
    expect(home('acidRinse')).toBe('test');
    expect(home('suspectAsbestos')).toBe('asbestos');
    // What comes off a cot, a machine or a boat comes off no wall, wherever it stands.
    expect(of('sheetAndChips', { dwelling: true, goods: true }).class).toBe('test');
    const cot = aSurface({ element: 'cot', parts: [aPart('flat', 'wetScrapeBare')] });
    const facts = aFacts(cot, { job: { dwelling: true } });
    const lines = wasteOf(facts, createDeriver().derive(facts, DEFAULT_SETTINGS, THIS_YEAR), DEFAULT_SETTINGS);
    expect(lines.find((l) => l.stream === 'sheetAndChips')!.classed.value.class).toBe('test');
  });
  test('enumerated: stricter facts never make a class milder, and no class goes without a reason', () => {
    const rank = ['ordinary', 'household', 'test', 'hazardous', 'asbestos'];
    for (const stream of WASTE_STREAMS)
      for (const rulebook of ['us', 'uk'] as const)
        for (const dwelling of [true, false]) {
          const asked = { stream, rulebook, dwelling, test: null, chemistry: [] };
          const rungs = [0, 80, 100, 300, 5000, Infinity].map((lowMgKg) => classify({ ...asked, lead: false, lowMgKg }));
          const up = [...rungs, classify({ ...asked, lead: true, lowMgKg: 0 })];
          up.slice(1).forEach((x, i) => expect(rank.indexOf(x.value.class)).toBeGreaterThanOrEqual(rank.indexOf(up[i]!.value.class)));
          up.forEach((x) => expect(x.because.length).toBeGreaterThan(0));
        }
  });
});

// From memory: European list of waste; toxic for reproduction from 0.03 % of lead powder on.
test('UK: paint with lead, solvent and asbestos by their codes; untested is hazardous', () => {
  const uk = (s: WasteStreamId, over: Partial<WasteTest> = {}, lead = true) =>
    of(s, { rulebook: 'uk', dwelling: true, lead, test: test0(over) });
  expect(uk('sheetAndChips')).toEqual({ class: 'hazardous', codes: ['08 01 17*'] });
  expect(uk('sheetAndChips', { totalMgKg: 300 }).class).toBe('hazardous');
  expect(uk('sheetAndChips', { totalMgKg: 299 }).class).toBe('ordinary');
  expect(uk('solventSludge').codes).toEqual(['20 01 27*']);
  expect(uk('suspectAsbestos').codes).toEqual(['17 06 05*']);
  expect(uk('sheetAndChips', {}, false).class).toBe('ordinary');
  // Below the firm's threshold is not below the entry of the list.
  expect(of('sheetAndChips', { rulebook: 'uk', lead: false, lowMgKg: 400 }).class).toBe('hazardous');
  expect(of('sheetAndChips', { rulebook: 'uk', lead: false, lowMgKg: 299 }).class).toBe('ordinary');
});

// 40 CFR 260.10, 262.16, 262.17.
test.each([
  [100, 'verySmall', null],
  [100.01, 'small', 180],
  [999.99, 'small', 180],
  [1000, 'large', 90],
] as const)('%s kg in a month: %s, %s days', (kg, generator, days) => {
  expect([generatorOf(kg), daysItMayStand(generator)]).toEqual([generator, days]);
});

const job = aFacts(aSurface());
const bag = (number: string, over: Partial<Bag> = {}): Bag => ({
  ...BLANK_BAG,
  id: `bag-${number}`,
  number,
  stream: 'sheetAndChips',
  kg: 10,
  filledAt: '2026-05-31T22:00:00.000Z',
  removedAt: null,
  ...over,
});
const haul = (over: Partial<Haul> = {}): Haul => ({
  ...BLANK_HAUL,
  id: 'haul-1',
  number: 'T-1',
  leftAt: '2026-06-02T10:00:00.000Z',
  removedAt: null,
  ...over,
});

describe('the register', () => {
  const told = (bags: Bag[], hauls: Haul[] = []) => registerOf({ ...job, bags, hauls });
  test('what was filled is what stands and what left; a load that was taken off the list gives its bags back', () => {
    const bags = [
      bag('B-001', { haulId: 'haul-1' }),
      bag('B-002', { haulId: 'haul-1', kg: null }),
      bag('B-003'),
      bag('B-004', { removedAt: '2026-06-01T00:00:00.000Z' }),
    ];
    expect(told(bags, [haul({ bags: 2 })])).toMatchObject({ filled: 3, standing: 1, gone: 2, kg: 20, unweighed: 1, balances: true });
    expect(told(bags, [haul({ bags: 2, removedAt: '2026-06-03T00:00:00.000Z' })])).toMatchObject({ standing: 3, gone: 0 });
  });
  test('a ticket that has another count or another weight does not balance; scales may differ by a twentieth', () => {
    const two = [bag('B-001', { haulId: 'haul-1', kg: 50 }), bag('B-002', { haulId: 'haul-1', kg: 50 })];
    expect(told(two, [haul({ bags: 3 })])).toMatchObject({ balances: false, hauls: [{ says: ['the ticket says 3, the register 2'] }] });
    expect(told(two, [haul({ bags: 2, kg: 105.2 })]).balances).toBe(true);
    expect(told(two, [haul({ bags: 2, kg: 105.3 })]).balances).toBe(false);
    expect(
      told([bag('B-001', { haulId: 'haul-1', kg: 50 }), bag('B-002', { haulId: 'haul-1', kg: null })], [haul({ kg: 40 })]).balances,
    ).toBe(false);
    expect(told([], [haul()]).balances).toBe(false);
  });
  test('a number twice, and a bag that was filled after its load had left, are refused beside their fields', () => {
    const problems = (bags: Bag[], hauls: Haul[] = []) =>
      jobProblems({ ...job, bags, hauls }, THIS_YEAR).map((p) => `${p.path}: ${p.message}`);
    expect(problems([bag('B-001'), bag('b-001 ', { id: 'bag-x' })])).toEqual([
      'bags[0].number: there is a bag B-001 already',
      'bags[1].number: there is a bag b-001 already',
    ]);
    expect(problems([bag('B-001', { haulId: 'haul-1', filledAt: '2026-06-02T11:00:00.000Z' })], [haul()])).toEqual([
      'bags[0].haulId: bag B-001 was filled after load T-1 left',
    ]);
    expect(problems([bag('B-001', { haulId: 'haul-9' })])).toEqual([
      'bags[0].haulId: the load with which bag B-001 left is not on this job',
    ]);
  });
  test('months go by the clock of the job, and count what was made, not what left', () => {
    const bags = [
      bag('B-001', { kg: 60, haulId: 'haul-1' }),
      bag('B-002', { kg: 41, filledAt: '2026-05-02T10:00:00.000Z' }),
      bag('B-003', { stream: 'clean', kg: 500 }),
    ];
    const months = (timeZone: string) => monthsOf({ bags, job: { ...job.job, timeZone } }, new Set(['sheetAndChips']));
    expect(months('UTC')).toEqual([{ month: '2026-05', kg: 101, unweighed: 0, generator: 'small' }]);
    expect(months('Asia/Tokyo').map((m) => [m.month, m.generator])).toEqual([
      ['2026-05', 'verySmall'],
      ['2026-06', 'verySmall'],
    ]);
  });
  test('the next number is one more than the highest, also of those that were taken off', () => {
    expect(numberAfter('B', [])).toBe('B-001');
    expect(numberAfter('B', [bag('B-009', { removedAt: '2026-06-01T00:00:00.000Z' }), bag('B-002')])).toBe('B-010');
  });
});

describe('the paper of a load', () => {
  const of = (rulebook: 'us' | 'uk', streams: readonly WasteStreamId[], dwelling = true) => {
    const facts = {
      ...aFacts(aSurface(), { job: { rulebook, dwelling } }),
      hauls: [haul({ bags: streams.length })],
      bags: streams.map((stream, i) => bag(`B-00${i + 1}`, { stream, kg: i === 0 ? 10 : null, haulId: 'haul-1' })),
    };
    return loadNotes(facts, [])[0]!;
  };
  // 40 CFR 61.150, 262.20; UK: from memory of the hazardous waste rules and the European list of properties.
  test.each([
    ['uk', ['sheetAndChips'], 'consignment', ['HP 6', 'HP 10', 'HP 14'], 'note.consignment'],
    ['uk', ['clean', 'suspectAsbestos'], 'consignment', [], 'note.consignment'],
    ['uk', ['clean'], 'transfer', [], 'note.transfer'],
    ['us', ['suspectAsbestos'], 'shipment', [], 'note.shipment'],
    ['us', ['sheetAndChips'], 'ticket', [], 'note.ticket'],
  ] as const)('%s, %j: %s', (rulebook, streams, kind, hazards, rule) => {
    const note = of(rulebook, streams);
    expect([note.kind, note.lines[0]!.hazards, note.because[0]!.rule]).toEqual([kind, hazards, rule]);
    expect(note.lines.map((l) => [l.numbers.length, l.kg])).toEqual(streams.map((_s, i) => [1, i === 0 ? 10 : null]));
    expect(note.bags).toBe(streams.length);
  });
  test('what is hazardous and comes from no home does not travel by a ticket alone', () => {
    expect(of('us', ['solventSludge'], false).because.map((r) => r.rule)).toEqual(['note.ticket', 'note.manifest']);
    expect(of('us', ['clean'], false).because.map((r) => r.rule)).toEqual(['note.ticket']);
  });
});

describe('what leaves', () => {
  const found = aReading({ spot: 'changed', reachedLayerIds: COATS, toSubstrate: true });
  const wasteFrom = (methodId: 'wetScrapeLoose' | 'solventGel' | 'causticPoultice', over = {}, settings = DEFAULT_SETTINGS) => {
    const s = aSurface({
      parts: [aPart('flat', methodId)],
      readings: [found],
      layers: [aLayer(0, { soundness: 'failing' }), aLayer(1), aLayer(2)],
      aim: 'bareClear',
      ...over,
    });
    const facts = aFacts(s);
    return wasteOf(facts, createDeriver().derive(facts, settings, THIS_YEAR), settings);
  };
  const line = (lines: ReturnType<typeof wasteOf>, stream: WasteStreamId) => lines.find((l) => l.stream === stream);
  test('by what made it: gel gives sludge and rags, the sheet goes with the chips, suits with the filters', () => {
    const gel = wasteFrom('solventGel').map((l) => l.stream);
    expect(gel).toEqual(expect.arrayContaining(['sheetAndChips', 'solventSludge', 'solventRags', 'filters']));
    expect(gel).not.toContain('causticSludge');
  });
  // 500 um at 1.5 kg/L is 0.75 kg/m2, worked by hand.
  test('a gauged film weighs what it weighs, beside the gel that lifted it; more area, more of both', () => {
    const sludge = (lengthM: number) => {
      const s = aSurface({ parts: [aPart('flat', 'solventGel')], readings: [found], filmUm: 500, lengthM, aim: 'bareClear' });
      const plan = createDeriver().derive(aFacts(s), DEFAULT_SETTINGS, THIS_YEAR);
      const { kg, litres } = line(wasteOf(aFacts(s), plan, DEFAULT_SETTINGS), 'solventSludge')!;
      expect((kg.low - litres!.low * 1.1) / plan.surfaces[0]!.area.totalM2).toBeCloseTo(0.75, 6);
      return kg.high;
    };
    expect(sludge(4)).toBeGreaterThan(1.5 * sludge(2));
  });
  test('a bin says which other it must not meet, and what would come of it; one that nothing is wrong with says nothing', () => {
    const apart = (lines: ReturnType<typeof wasteOf>, stream: WasteStreamId) =>
      (line(lines, stream)?.because ?? []).filter((r) => r.effect === 'care').map((r) => sentence(r, 'm'));
    expect(apart(wasteFrom('solventGel'), 'solventSludge')).toEqual([]);
    const gutter = aSurface({
      element: 'gutter',
      material: 'mildSteel',
      rustGrade: 2,
      layers: [aLayer(0, { soundness: 'failing' }), aLayer(1), aLayer(2)],
      parts: [aPart('flat', 'causticReady', { alsoIds: ['rustGel'] })],
      squares: [aSquare({ id: 'sq', methodId: 'causticReady', dwellMin: 4000, lifted: 'bare' })],
    });
    const both = aFacts(gutter, { space: { kind: 'elevation', boundaryM: 20 } });
    const bins = wasteOf(both, createDeriver().derive(both, DEFAULT_SETTINGS, THIS_YEAR), DEFAULT_SETTINGS);
    expect(apart(bins, 'acidRinse').join()).toMatch(/Never together with caustic sludge.*boils and spits/);
    const moldy = wasteFrom('solventGel', { conditions: ['moldy'], parts: [aPart('flat', 'solventGel', { alsoIds: ['moldBleach'] })] });
    expect(apart(moldy, 'washWater').join()).toMatch(/Never together with stripper sludge.*poison vapor/);
  });
  test('a bag that nobody planned is held for the stricter', () => {
    const office = aFacts(aSurface(), { job: { dwelling: false } });
    expect(classFor('media', [], office).value.class).toBe('test');
    expect(classFor('suspectAsbestos', [], office).value.class).toBe('asbestos');
  });
  test('the test of a stream moves its class on the job', () => {
    const s = aSurface({ parts: [aPart('flat', 'wetScrapeLoose')], readings: [found], layers: [aLayer(0, { soundness: 'failing' })] });
    const classOf = (tests: WasteTest[]) => {
      const facts = aFacts(s, { job: { dwelling: false, wasteTests: tests } });
      return line(wasteOf(facts, createDeriver().derive(facts, DEFAULT_SETTINGS, THIS_YEAR), DEFAULT_SETTINGS), 'sheetAndChips')!.classed
        .value.class;
    };
    expect([classOf([]), classOf([test0({ leachMgL: 3 })]), classOf([test0({ leachMgL: 7 })])]).toEqual(['test', 'ordinary', 'hazardous']);
  });
});
