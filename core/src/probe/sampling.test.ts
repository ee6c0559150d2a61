import fc from 'fast-check';
import jstat from 'jstat';
import { convert } from '../units/units';
import { aFacts, aLayer, aReading, aSample, aSpace, aSurface, AT, planOf, rulesOf, THIS_YEAR } from '../testing';
import type { Reading, Sample, Surface } from '../facts';
import { createDeriver } from '../job/derive';
import { DEFAULT_SETTINGS, RULEBOOKS } from '../rulebook';
import { assessGroups } from '../job/assess';
import { judgeBulk, samplePoints } from './asbestos';
import { afterTest, KIT_ERRORS, testOrAssume } from './decide';
import { leadGroups } from './lead-groups';
import { drawDwellings, dwellingsToTest, missesAll } from './multifamily';
import { sameNumber } from '../facts/numbers';
import { nextNumber, sampleRegister } from './register';
import { draw, seeded } from '../graph/seeded';
import { dustLoading, loadingOfChip, loadingOfFilm, massOfFilm } from './film';

describe('several dwellings: HUD Guidelines ch. 7, table 7.3', () => {
  // Rows recalled from the printed table (the starred rows of the reference): first and last of each range.
  const BEFORE_1960: readonly (readonly [from: number, to: number, n: number | 'all'])[] = [
    [1, 20, 'all'],
    [21, 26, 20],
    [27, 27, 21],
    [28, 28, 22],
    [29, 30, 23],
    [31, 31, 24],
    [32, 32, 25],
    [33, 34, 26],
    [35, 35, 27],
    [36, 36, 28],
    [37, 37, 29],
    [38, 39, 30],
    [40, 50, 31],
    [51, 51, 32],
    [52, 53, 33],
    [54, 54, 34],
    [55, 56, 35],
    [57, 58, 36],
    [59, 59, 37],
    [60, 73, 38],
    [74, 75, 39],
    [76, 77, 40],
    [78, 79, 41],
    [80, 95, 42],
    [96, 97, 43],
    [98, 99, 44],
    [100, 117, 45],
    [118, 119, 46],
    [120, 138, 47],
    [139, 157, 48],
    [158, 177, 49],
    [178, 197, 50],
    [198, 218, 51],
    [219, 258, 52],
    [259, 299, 53],
    [300, 379, 54],
    [380, 499, 55],
  ];
  const FROM_1960: typeof BEFORE_1960 = [
    [1, 10, 'all'],
    [11, 13, 10],
    [14, 14, 11],
    [15, 15, 12],
    [16, 17, 13],
    [18, 18, 14],
    [19, 19, 15],
    [20, 26, 16],
    [27, 27, 17],
    [28, 29, 18],
    [30, 37, 19],
    [38, 39, 20],
    [40, 48, 21],
    [49, 58, 22],
    [59, 69, 23],
    [70, 88, 24],
    [89, 109, 25],
    [280, 939, 28],
  ];
  test.each([
    ['before1960', BEFORE_1960],
    ['1960to1977', FROM_1960],
  ] as const)('%s', (built, rows) => {
    for (const [from, to, n] of rows)
      for (const dwellings of [from, to])
        expect([dwellings, dwellingsToTest(dwellings, built)]).toEqual([dwellings, n === 'all' ? dwellings : n]);
  });

  test('from 1,040 dwellings on it is a share: 5.8 % and 2.9 %', () => {
    expect([dwellingsToTest(1500, 'before1960'), dwellingsToTest(1500, '1960to1977')]).toEqual([87, 44]);
  });

  test('the chance of missing all is the hypergeometric one, and the sample is the least that keeps it under 5 %', () => {
    fc.assert(
      fc.property(fc.integer({ min: 40, max: 1000 }), (of) => {
        const n = dwellingsToTest(of, 'before1960');
        const bad = Math.min(Math.ceil(0.05 * of), 50);
        expect(missesAll(of, bad, n)).toBeCloseTo(jstat.jStat.hypgeom.cdf(0, of, bad, n), 9);
        expect(missesAll(of, bad, n)).toBeLessThan(0.05);
      }),
      { numRuns: 60 },
    );
  });

  test('the same seed draws the same dwellings, another seed others; no seed, no draw', () => {
    const a = drawDwellings(120, 'before1960', 'quill');
    expect(a).toEqual(drawDwellings(120, 'before1960', 'quill'));
    expect(a).toHaveLength(47);
    expect(new Set(a).size).toBe(47);
    expect(a).not.toEqual(drawDwellings(120, 'before1960', 'other'));
    expect(() => drawDwellings(120, 'before1960', ' ')).toThrow(/seed/);
    expect(() => dwellingsToTest(0, 'before1960')).toThrow(RangeError);
  });

  test('a draw is fair: each of ten is drawn about as often', () => {
    const random = seeded('fair');
    const hits = new Array<number>(10).fill(0);
    for (let i = 0; i < 5000; i += 1) for (const k of draw(3, 10, random)) hits[k - 1]! += 1;
    for (const h of hits) expect(Math.abs(h - 1500)).toBeLessThan(150);
  });
});

describe('asbestos areas', () => {
  const ceiling = (id: string, over: Partial<Surface> = {}) =>
    aSurface({
      id,
      element: 'ceiling',
      material: 'aluminium',
      name: id,
      lengthM: 4,
      widthM: 4,
      layers: [aLayer(0, { id: `${id}-0`, binder: 'acrylic' }), aLayer(1, { id: `${id}-1`, binder: 'textured', look: 'stippled' })],
      ...over,
    });
  const bulk = (n: number, over: Partial<Sample> = {}) =>
    aSample({
      id: `bulk-${n}`,
      number: `S-${n}`,
      hazard: 'asbestos',
      kind: 'bulk',
      suspect: 'texturedCoat',
      takenAt: AT,
      sentAt: AT,
      atX: 0.1 + 0.2 * (n % 4),
      atY: 0.5,
      ...over,
    });
  const says = (n: number, value: number | null, over: Partial<Reading> = {}) =>
    aReading({
      id: `says-${n}`,
      kind: 'bulk',
      sampleId: `bulk-${n}`,
      value,
      unit: value === null ? null : 'mass%',
      trace: value === null,
      kitRecognised: false,
      ...over,
    });
  const areaOf = (s: Surface, setup = {}) => {
    const facts = aFacts(s, { job: { yearBuilt: 1966 }, ...setup });
    return createDeriver().derive(facts, DEFAULT_SETTINGS, THIS_YEAR).areas[0]!;
  };

  // 40 CFR 763.86(a): 3 up to 1,000 ft2, 5 up to 5,000, 7 above.
  test.each([
    [999, 3],
    [1000, 3],
    [1001, 5],
    [5000, 5],
    [5001, 7],
  ])('%d ft2 of a surfacing material takes %d samples', (ft2, n) => {
    expect(areaOf(ceiling('c', { lengthM: convert(ft2, 'ft2', 'm2') / 10, widthM: 10 })).needed.value).toBe(n);
  });

  // 40 CFR 763.86(b): three of lagging; a short run is no patch of repair. HSG264 from memory: one in 3 m, over 20 m one in 6 m.
  test.each([
    ['us', 5, 3],
    ['us', 40, 3],
    ['uk', 9, 1],
    ['uk', 30, 4],
    ['uk', 196.85, 10],
  ] as const)('%s: %d ft of lagging takes %d', (rulebook, ft, n) => {
    const lagging = aSurface({ id: 'lag', element: 'pipeLagging', lengthM: convert(ft, 'ft', 'm') });
    expect(areaOf(lagging, { job: { rulebook, yearBuilt: 1966 } }).needed.value).toBe(n);
  });

  test('one positive convicts the area in every room; a negative in this room does not help', () => {
    const a = ceiling('c-1', { samples: [bulk(1), bulk(2)], readings: [says(1, 0), says(2, 1.2)] });
    const b = ceiling('c-2', { spaceId: 'room-2' });
    const facts = { ...aFacts(a, { job: { yearBuilt: 1966 }, others: [b] }), spaces: [aSpace(), aSpace({ id: 'room-2', name: 'Other' })] };
    const plan = createDeriver().derive(facts, DEFAULT_SETTINGS, THIS_YEAR);
    expect(plan.surfaces.map((p) => p.asbestos.coat.value)).toEqual(['found', 'found']);
    expect(rulesOf(plan.surfaces[1]!.asbestos.coat.because)).toContain('asbestos.onePositive');
  });

  test('negative only when all that are needed are in', () => {
    const with_ = (samples: Sample[], readings: Reading[]) => areaOf(ceiling('c', { samples, readings })).state.value;
    expect(with_([], [])).toBe('assumed');
    expect(with_([bulk(1), bulk(2), bulk(3)], [says(1, 0), says(2, 0)])).toBe('waiting');
    expect(with_([bulk(1), bulk(2)], [says(1, 0), says(2, 0)])).toBe('assumed');
    expect(with_([bulk(1), bulk(2), bulk(3)], [says(1, 0), says(2, 0), says(3, 0)])).toBe('notFound');
    expect(with_([bulk(1), bulk(2), bulk(3)], [says(1, 0), says(2, 0), says(3, null)])).toBe('assumed');
  });

  test('what a removed ceiling’s sample found is not forgotten', () => {
    const gone = ceiling('c-1', { removedAt: AT, samples: [bulk(1)], readings: [says(1, 3)] });
    const plan = createDeriver().derive(aFacts(gone, { job: { yearBuilt: 1966 }, others: [ceiling('c-2')] }), DEFAULT_SETTINGS, THIS_YEAR);
    expect(plan.surfaces[0]!.asbestos.coat.value).toBe('found');
  });

  // 40 CFR 763.83: more than 1 %, so 1.0 itself is not; 61.141: by eye under 10 %, a point count may say otherwise. HSG264: any trace.
  test.each([
    ['us', 1.0, 'pointCount', 'none'],
    ['us', 1.01, 'pointCount', 'asbestos'],
    ['us', 0.6, 'plm', 'unsure'],
    ['us', 4, 'plm', 'asbestos'],
    ['us', null, 'plm', 'unsure'],
    ['us', 0, 'plm', 'none'],
    ['uk', 0.1, 'plm', 'asbestos'],
    ['uk', null, 'plm', 'asbestos'],
    ['uk', 0, 'plm', 'none'],
  ] as const)('%s: %s %% by %s says %s', (rules, value, analysis, want) => {
    expect(judgeBulk(says(1, value, { analysis }), RULEBOOKS[rules]).says).toBe(want);
  });

  // 29 CFR 1926.1101(k): 1980 ends a presumption, not the use; until about 1990 from memory (reference N27). UK: banned from 24 November 1999.
  test('after the year in which it left the shops nothing is suspected; between, and of an unknown year, it is possible', () => {
    expect(planOf(ceiling('c'), { job: { yearBuilt: 1981 } }).asbestos.overall.value).toBe('unknown');
    expect(planOf(ceiling('c'), { job: { yearBuilt: 1990 } }).asbestos.overall.value).toBe('notFound');
    expect(planOf(ceiling('c'), { job: { yearBuilt: null } }).asbestos.overall.value).toBe('unknown');
    expect(planOf(ceiling('c'), { job: { yearBuilt: 1990, rulebook: 'uk' } }).asbestos.overall.value).toBe('assumed');
  });

  test('old plaster is a suspect below the paint: nothing goes into it, what ends in a sound coat above it needs care', () => {
    const p = planOf(aSurface({ element: 'wall', material: 'gypsumPlaster' }), { job: { yearBuilt: 1955 } });
    expect([p.asbestos.coat.value, p.asbestos.below.value]).toEqual(['notFound', 'unknown']);
    const verdict = (id: string) => p.choice.parts[0]!.options.find((o) => o.methodId === id)!;
    for (const id of ['powerSand', 'neutralStripper', 'steam']) expect(rulesOf(verdict(id).because)).toContain('asbestos.belowInto');
    expect([verdict('overcoat').verdict, rulesOf(verdict('overcoat').because)]).toEqual([
      'care',
      expect.arrayContaining(['asbestos.belowCare']),
    ]);
  });

  test('places are drawn inside the area, larger faces more often, the same for the same seed', () => {
    const area = areaOf(ceiling('big', { lengthM: 20 }), { others: [ceiling('small', { lengthM: 1, widthM: 1 })] });
    const many = Array.from({ length: 300 }, (_, i) => samplePoints(area, `s${i}`)).flat();
    expect(many.every((p) => p.x > 0 && p.x < 1 && p.y > 0 && p.y < 1)).toBe(true);
    expect(many.filter((p) => p.surfaceId === 'small').length / many.length).toBeLessThan(0.05);
    expect(samplePoints(area, 'one')).toEqual(samplePoints(area, 'one'));
    expect(samplePoints(area, 'one')).not.toEqual(samplePoints(area, 'two'));
    expect(() => samplePoints(area, '')).toThrow(/seed/);
  });
});

describe('test, or treat as positive', () => {
  // Bayes' rule with the rates of 40 CFR 745.88(c): 24 % before, unchanged swab: 0.24 x 0.05 / (0.24 x 0.05 + 0.76 x 0.9) = 1.72 %.
  test('a swab moves the odds by the kit’s error rates', () => {
    expect(afterTest(0.24, false, KIT_ERRORS)).toBeCloseTo(0.01724, 5);
    expect(afterTest(0.24, true, KIT_ERRORS)).toBeCloseTo((0.24 * 0.95) / (0.24 * 0.95 + 0.76 * 0.1), 9);
  });

  test('several swabs in turn come to the binomial likelihood ratio', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 0.01, max: 0.99, noNaN: true }),
        fc.array(fc.boolean(), { minLength: 1, maxLength: 8 }),
        (prior, swabs) => {
          const k = swabs.filter(Boolean).length;
          const yes = prior * jstat.jStat.binomial.pdf(k, swabs.length, 0.95);
          const no = (1 - prior) * jstat.jStat.binomial.pdf(k, swabs.length, 0.1);
          expect(swabs.reduce((p, s) => afterTest(p, s, KIT_ERRORS), prior)).toBeCloseTo(yes / (yes + no), 9);
        },
      ),
    );
  });

  test('the break-even is where both courses cost the same, and the law stands above it', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 0.01, max: 0.99, noNaN: true }),
        fc.integer({ min: 1, max: 200 }),
        fc.integer({ min: 1, max: 3000 }),
        (chance, testMoney, positiveMoney) => {
          const d = testOrAssume({ chance, testMoney, positiveMoney, delayDays: 4 }).value;
          expect(d.choice === 'test').toBe(testMoney + chance * positiveMoney < positiveMoney);
          const atEven = testMoney + d.breakEven * positiveMoney;
          if (d.breakEven > 0) expect(atEven).toBeCloseTo(positiveMoney, 6);
        },
      ),
    );
    const law = { rule: 'decide.mustLab', effect: 'note', force: 'law', weighed: [], source: 'cfr24-35.1350' } as const;
    expect(testOrAssume({ chance: 0.99, testMoney: 500, positiveMoney: 100, delayDays: 4, mustTest: law }).value.choice).toBe('test');
  });

  test('a house from 1930 with one window: the group is weighed with its swab', () => {
    const peeling = { conditions: ['flaking' as const], layers: [aLayer(0, { soundness: 'failing' }), aLayer(1), aLayer(2)] };
    const swab = aReading({ spot: 'unchanged', reachedLayerIds: ['coat-0'] });
    const facts = aFacts(aSurface({ ...peeling, readings: [swab] }), { job: { yearBuilt: 1930 } });
    const plan = createDeriver().derive(facts, DEFAULT_SETTINGS, THIS_YEAR);
    const [g] = assessGroups(facts, plan, DEFAULT_SETTINGS, THIS_YEAR);
    expect(g!.state).toBe('assumed');
    expect(g!.decision!.value.positiveMoney).toBeGreaterThan(g!.decision!.value.testMoney);
  });
});

test('testing combinations: one history in one place is one group', () => {
  const twin = aSurface({ id: 'surface-2', name: 'Twin', layers: [0, 1, 2].map((n) => aLayer(n, { id: `t-${n}` })) });
  const other = aSurface({ id: 'surface-3', name: 'Other', layers: [aLayer(0, { id: 'o-0', binder: 'acrylic' })] });
  const gone = aSurface({ id: 'surface-4', name: 'Gone', removedAt: AT });
  const groups = leadGroups(aFacts(aSurface({ count: 4 }), { others: [twin, other, gone] }));
  expect(groups.map((g) => [g.surfaceIds, g.pieces])).toEqual([
    [['surface-1', 'surface-2'], 5],
    [['surface-3'], 1],
  ]);
});

describe('the sample register', () => {
  const chip = (over: Partial<Sample>) => aSample({ reachedLayerIds: ['coat-0', 'coat-1', 'coat-2'], toSubstrate: true, ...over });
  const answered = aReading({
    kind: 'lab',
    value: 0.2,
    unit: 'mass%',
    sampleId: 's-in',
    kitRecognised: false,
    takenAt: '2026-05-08T09:00:00.000Z',
  });
  const s = aSurface({
    samples: [
      chip({ id: 's-plan', number: 'QP-1' }),
      chip({ id: 's-taken', number: 'QP-2', takenAt: AT }),
      chip({ id: 's-sent', number: 'QP-03', takenAt: AT, sentAt: '2026-05-07T09:00:00.000Z' }),
      chip({ id: 's-due', number: 'QP-4', takenAt: AT, sentAt: AT }),
      chip({ id: 's-in', number: 'QP-5', takenAt: AT, sentAt: AT }),
      chip({ id: 's-twice', number: 'qp 3', takenAt: AT }),
    ],
    readings: [answered],
  });
  const register = sampleRegister(aFacts(s), DEFAULT_SETTINGS, '2026-05-09T09:00:00.000Z');

  test('states, due dates by the lab’s usual time, and what is overdue', () => {
    expect(register.lines.map((l) => [l.sample.number, l.state])).toEqual([
      ['QP-1', 'planned'],
      ['QP-2', 'taken'],
      ['QP-03', 'sent'],
      ['qp 3', 'taken'],
      ['QP-4', 'due'],
      ['QP-5', 'in'],
    ]);
    expect(register.lines.find((l) => l.sample.id === 's-sent')!.dueAt).toBe('2026-05-11T09:00:00.000Z');
  });

  test('two phones that used one number are told, and nothing is lost', () => {
    expect(
      register.lines
        .filter((l) => l.numberTwice)
        .map((l) => l.sample.id)
        .sort(),
    ).toEqual(['s-sent', 's-twice']);
    expect(sameNumber('QP-03')).toBe(sameNumber('qp 3'));
    expect(nextNumber(aFacts(s), 'QP')).toBe('QP-006');
  });

  test('two answers to one sample: the stricter holds until one is withdrawn', () => {
    const two = aSurface({ ...s, readings: [answered, { ...answered, id: 'second', value: 0.9 }] });
    expect(sampleRegister(aFacts(two), DEFAULT_SETTINGS, AT).lines.find((l) => l.sample.id === 's-in')!.answersDiffer).toBe(true);
    expect(planOf(two).lead.overall.value).toBe('found');
  });

  test('a blank that was not clean, and a duplicate more than a quarter apart, put the answer in doubt', () => {
    const out = { takenAt: AT, sentAt: AT, lab: 'L' };
    const says = (id: string, sampleId: string, value: number) => ({
      ...answered,
      id,
      sampleId,
      value,
      takenAt: '2026-05-09T00:00:00.000Z',
    });
    const doubts = (samples: Sample[], readings: Reading[]) =>
      sampleRegister(aFacts(aSurface({ samples, readings })), DEFAULT_SETTINGS, AT).lines.map((l) => l.doubt);
    const first = chip({ id: 'a', number: 'A-1', ...out });
    const twin = chip({ id: 'b', number: 'A-2', kind: 'duplicate', repeatsId: 'a', ...out });
    const blank = chip({ id: 'c', number: 'A-3', kind: 'blank', ...out });
    expect(doubts([first, twin], [says('r1', 'a', 0.4), says('r2', 'b', 0.5)])).toEqual([null, null]);
    expect(doubts([first, twin], [says('r1', 'a', 0.4), says('r2', 'b', 0.6)])).toEqual(['duplicateDiffers', 'duplicateDiffers']);
    expect(doubts([first, blank], [says('r1', 'a', 0.4), says('r2', 'c', 0.02)])).toEqual(['blankDirty', null]);
  });

  test('a chip that was taken is waited for; a blank’s answer does not speak of the paint', () => {
    const out = aSurface({ samples: [chip({ id: 'a', takenAt: AT, sentAt: AT })] });
    expect(planOf(out).lead.overall.value).toBe('waiting');
    const blank = aSurface({
      samples: [chip({ id: 'b', kind: 'blank', takenAt: AT, sentAt: AT })],
      readings: [{ ...answered, sampleId: 'b', value: 0 }],
    });
    expect(planOf(blank).lead.overall.value).toBe('assumed');
  });
});

describe('units of lead are kept apart', () => {
  // Mass balance: 5,000 ppm in a film of 2.0 g/cm3 and 10 mil is 0.254 mg/cm2; 1.0 mg/cm2 in 0.5 mm at 1.5 g/cm3 is 13,333 ppm on average.
  test('film data joins mass and loading, both ways', () => {
    expect(loadingOfFilm(5000, 2, 0.000254)).toBeCloseTo(0.254, 6);
    expect(massOfFilm(1, 1.5, 0.0005)).toBeCloseTo(13333.3, 0);
  });
  // HUD Guidelines app. 13: 26 mg from 25 cm2. ASTM E1728: 20 ug from a sill of 4 x 24 in.
  test('a chip and a wipe by their areas', () => {
    expect(loadingOfChip(26, 25)).toBeCloseTo(1.04, 9);
    expect(dustLoading(20, (4 * 24) / 144)).toBeCloseTo(30, 9);
    expect(convert(5, 'ug/ft2', 'ug/m2')).toBeCloseTo(53.8, 1);
  });
  test('0.8 "ppm" is no lab’s answer: it clears nothing', () => {
    const s = aSurface({
      readings: [aReading({ kind: 'lab', value: 0.8, unit: 'ppm', reachedLayerIds: ['coat-0', 'coat-1', 'coat-2'], toSubstrate: true })],
    });
    expect(planOf(s).lead.overall.value).toBe('assumed');
    expect(rulesOf(planOf(s).lead.overall.because)).toContain('lead.unitDoubt');
  });
});

describe('the XRF instrument proves itself: HUD Guidelines ch. 7', () => {
  const check = (id: string, takenAt: string, values: number[]) => ({
    id,
    device: 'X-1',
    what: 'calibration' as const,
    material: null,
    values,
    filmMgCm2: 1.02,
    tolerance: 0.1,
    takenAt,
    note: '',
    by: 'T',
  });
  const read = (value: number) => aSurface({ readings: [aReading({ kind: 'xrf', value, unit: 'mg/cm2', toSubstrate: true })] });
  const stateWith = (value: number, checks: ReturnType<typeof check>[], more: object[] = []) => {
    const facts = { ...aFacts(read(value)), instrumentChecks: [...checks, ...more] as never };
    return createDeriver().surface(facts, 'surface-1', DEFAULT_SETTINGS, THIS_YEAR)!.lead.overall;
  };
  test('without a check within four hours before, or with one that fails after, it convicts but does not clear', () => {
    expect(stateWith(0.2, []).value).toBe('assumed');
    const closing = check('z', '2026-05-04T16:00:00.000Z', [1, 1.05, 1.02]);
    expect(stateWith(0.2, [check('c', '2026-05-04T10:00:00.000Z', [1, 1.05, 1.02])]).value).toBe('waiting');
    expect(stateWith(0.2, [check('c', '2026-05-04T10:00:00.000Z', [1, 1.05, 1.02]), closing]).value).toBe('notFound');
    expect(stateWith(0.2, [check('c', '2026-05-04T09:00:00.000Z', [1, 1.05, 1.02])]).value).toBe('assumed');
    expect(
      stateWith(0.2, [check('c', '2026-05-04T10:00:00.000Z', [1, 1.05, 1.02]), check('d', '2026-05-04T15:00:00.000Z', [1.3, 1.4, 1.3])])
        .value,
    ).toBe('assumed');
    expect(stateWith(2.2, []).value).toBe('found');
  });
  // The guideline's own example: bare readings 1.12 ... 1.08, mean 1.07, film 1.02: 0.05 comes off, and 1.03 becomes 0.98.
  test('what bare material adds comes off', () => {
    const bare = {
      ...check('b', '2026-05-04T10:00:00.000Z', [1.12, 1.0, 1.08, 1.16, 0.98, 1.08]),
      what: 'substrate',
      material: 'softwood',
      filmMgCm2: 1.02,
    };
    const good = check('c', '2026-05-04T10:30:00.000Z', [1, 1.05, 1.02]);
    expect(stateWith(1.03, [good]).value).toBe('found');
    const closing = check('z', '2026-05-04T16:00:00.000Z', [1, 1.05, 1.02]);
    expect(stateWith(1.03, [good, closing], [bare]).value).toBe('notFound');
  });
});

// HUD Guidelines ch. 7 (reference N04): one reading on each of the four walls; 40 CFR 745.82(a)(2): a renovator tests each component.
test.each([
  ['a room of walls entered as one', 'us', { element: 'wall', material: 'limePlaster' }, 0, 4],
  ['three like doors, US', 'us', { element: 'door' }, 2, 3],
  ['three like doors, UK', 'uk', { element: 'door' }, 2, 1],
] as const)('%s: readings', (_what, rulebook, over, more, want) => {
  const one = aSurface(over);
  const others = Array.from({ length: more }, (_, i) => ({ ...one, id: `like-${i}` }));
  expect(leadGroups(aFacts(one, { job: { rulebook }, others })).map((g) => g.needed.value)).toEqual([want]);
});
