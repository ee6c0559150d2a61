/** Trial squares: bracket, halve, stop; what may be said of so few; whether the film holds. */
import fc from 'fast-check';
import { aFacts, aLayer, aReading, aSquare, aSurface, planOf, rulesOf, aPart } from '../testing';
import { GOODS, methodById } from '../catalogue';
import type { Square, Surface } from '../facts';
import { AS_CATALOGUED } from '../rulebook';
import { carriedSquare, carryable } from './carry';
import { conclusionsOf, upperBoundOfNone, type Conclusion } from './conclude';
import { firstSquares } from './first';
import { fromReference, toReference } from './dwell';
import { holdOf } from './hold';
import { minutesLeft, outcomeOf, stoodMin } from './square';

// eslint-disable-next-line @typescript-eslint/no-require-imports
const { jStat } = require('jstat') as { jStat: { beta: { inv(p: number, a: number, b: number): number } } };

let n = 0;
const gel = (dwellMin: number, lifted: Square['lifted'], over: Partial<Square> = {}): Square =>
  aSquare({ id: `sq-${(n += 1)}`, methodId: 'solventGel', dwellMin, lifted, surfaceC: 20, ...over });
const on = (squares: readonly Square[], over: Partial<Surface> = {}): Surface =>
  aSurface({ aim: 'bareClear', squares: [...squares], ...over });
const only = (s: Surface): Conclusion => conclusionsOf(s, 20, {}, 'us')[0]!;

describe('dwell and temperature', () => {
  // Rule of thumb: the rate doubles for each 10 C.
  test('an hour at 10 C does what half an hour does at 20 C, and the way back is exact', () => {
    expect(toReference(60, 10)).toBe(30);
    expect(fromReference(30, 10)).toBe(60);
    fc.assert(
      fc.property(fc.double({ min: 1, max: 9999, noNaN: true }), fc.double({ min: -10, max: 45, noNaN: true }), (min, c) => {
        expect(fromReference(toReference(min, c), c)).toBeCloseTo(min, 6);
      }),
    );
  });
  test('a cold morning and a warm noon are one answer: the cold square that took twice as long does not widen the bracket', () => {
    const c = only(on([gel(30, 'some'), gel(60, 'bare'), gel(120, 'bare', { surfaceC: 10 })]));
    expect(c.bracketMin.notClean).toBe(30);
    expect(c.bracketMin.clean).toBeCloseTo(60, 9);
  });
});

// Common practice, no published source: short, middle, long side by side; then between; stop when it no longer matters.
describe('which square next', () => {
  test('first three, from the method’s own range, longer on a cold face', () => {
    const warm = firstSquares(methodById('solventGel'), '', 20).map((p) => p.dwellMin);
    expect(warm).toEqual([60, 75, 90]);
    expect(firstSquares(methodById('solventGel'), '', 10).map((p) => p.dwellMin)).toEqual([120, 150, 180]);
    expect(firstSquares(methodById('infrared'), '', 20)).toHaveLength(1);
  });
  test.each([
    ['nothing came off: twice as long', [gel(60, 'nothing')], 120, 'trial.longer'],
    ['all came off: half as long', [gel(90, 'bare')], 45, 'trial.shorter'],
    ['one of each: between, so that twice as long is as far as half', [gel(40, 'some'), gel(90, 'bare')], 60, 'trial.between'],
  ] as const)('%s', (_what, squares, dwell, rule) => {
    const [next] = only(on([...squares])).next;
    expect(next!.dwellMin).toBe(dwell);
    expect(rulesOf(next!.because)).toEqual([rule]);
  });
  test('it stops when the bracket is within a tenth, and while a square is still standing', () => {
    expect(only(on([gel(82, 'some'), gel(90, 'bare')])).next).toEqual([]);
    expect(only(on([gel(40, 'some'), gel(90, 'bare'), gel(60, null, { startedAt: '2026-05-04T09:00:00.000Z' })])).next).toEqual([]);
  });
  test('whatever the true dwell, halving ends within ten squares and never plans with less than it takes', () => {
    fc.assert(
      fc.property(fc.double({ min: 8, max: 340, noNaN: true }), (truth) => {
        const squares: Square[] = [];
        for (let i = 0; i < 10; i += 1) {
          const c = squares.length === 0 ? undefined : only(on(squares));
          const next = c ? c.next[0]?.dwellMin : firstSquares(methodById('solventGel'), '', 20)[0]!.dwellMin;
          if (next === undefined || next === null) break;
          squares.push(gel(next, next >= truth ? 'bare' : 'some'));
        }
        const end = only(on(squares));
        expect(end.next).toEqual([]);
        if (end.state.value === 'works') {
          expect(end.dwellH!.low * 60).toBeGreaterThanOrEqual(truth);
          expect(end.dwellH!.low * 60).toBeLessThanOrEqual(Math.max(truth * 2, truth + 12) + 15);
        } else expect(truth).toBeGreaterThan(240);
      }),
      { numRuns: 60 },
    );
  });
});

describe('what may be concluded', () => {
  test('one coating each: a different result on another coat is another recommendation, never one verdict', () => {
    const s = on([gel(90, 'bare'), gel(90, 'nothing', { coating: 'Tar' }), gel(400, 'nothing', { coating: 'tar ' })]);
    expect(conclusionsOf(s, 20, {}, 'us').map((c) => [c.coating, c.state.value])).toEqual([
      ['', 'works'],
      ['Tar', 'failed'],
    ]);
    const option = planOf(s).choice.parts[0]!.options.find((o) => o.methodId === 'solventGel')!;
    expect(option.verdict).not.toBe('blocked');
    expect(rulesOf(option.because)).toContain('trial.differs');
  });
  // Clopper and Pearson 1934: none of n failed, one-sided 95 % bound; jstat's beta quantile is the outside judge.
  test('few squares leave much open: the exact bound on the share that could still fail', () => {
    for (const k of [1, 2, 3, 5, 10, 30]) expect(upperBoundOfNone(k)).toBeCloseTo(jStat.beta.inv(0.95, 1, k), 9);
    const one = only(on([gel(90, 'bare')]));
    const three = only(on([gel(90, 'bare'), gel(90, 'bare'), gel(90, 'bare')]));
    expect(one.couldStillFail).toBeCloseTo(0.95, 9);
    expect(three.couldStillFail).toBeCloseTo(1 - 0.05 ** (1 / 3), 9);
    const spread = (c: Conclusion) => c.dwellH!.high / c.dwellH!.low;
    expect(spread(three)).toBeLessThan(spread(one));
  });
  test('a shorter square that came clean beside a longer that did not: the longer is planned with, and it says so', () => {
    const c = only(on([gel(45, 'bare'), gel(60, 'some'), gel(90, 'bare')]));
    expect(c.bracketMin).toEqual({ notClean: 60, clean: 90 });
    expect(rulesOf(c.state.because)).toContain('trial.uneven');
  });
  test('clean only below a dwell that failed proves nothing: the stricter holds, and a longer square is asked for', () => {
    const c = only(on([gel(45, 'bare'), gel(90, 'some')]));
    expect([c.state.value, c.dwellH, c.next[0]!.dwellMin]).toEqual(['open', null, 180]);
    expect(rulesOf(c.state.because)).toContain('trial.uneven');
  });
  test('a method of two stages stays one: a bare square spares the further passes, not the usual two', () => {
    const brick = aSquare({ id: 'sq-brick', methodId: 'masonryStripper', dwellMin: 60, lifted: 'bare', surfaceC: 20 });
    expect(only(on([brick], { element: 'plinth', material: 'brick' })).passes).toEqual({ low: 2, high: 2 });
    expect(only(on([gel(60, 'bare')])).passes).toEqual({ low: 1, high: 1 });
  });
  test('patches that disagree, where nothing soaks, say so', () => {
    const heat = (id: string, lifted: Square['lifted']) => aSquare({ id, methodId: 'infrared', lifted, surfaceC: 20 });
    expect(rulesOf(only(on([heat('sq-h1', 'bare'), heat('sq-h2', 'some')])).state.because)).toContain('trial.mixed');
  });
  test('etching ends it at any aim; a dark stain ends it where the wood is to be seen', () => {
    expect(only(on([gel(60, 'bare', { harms: ['etched'] })], { aim: 'keepSound', topcoat: null })).state.value).toBe('failed');
    expect(only(on([gel(60, 'bare', { harms: ['darkened'] })])).state.value).toBe('failed');
    expect(only(on([gel(60, 'bare', { harms: ['darkened'] })], { aim: 'keepSound', topcoat: null })).state.value).toBe('works');
  });
  test('down to a coat that holds is enough for paint, not for stain; a tenth left is wiped off, more is not clean', () => {
    const q = gel(60, 'toCoat', { stoppedOnLayerId: 'coat-2', stayedPct: 10 });
    expect(outcomeOf(q, { aim: 'keepSound', topcoat: null })).toBe('clean');
    expect(outcomeOf(q, { aim: 'bareClear', topcoat: null })).toBe('notClean');
    expect(outcomeOf({ ...q, stayedPct: 11 }, { aim: 'keepSound', topcoat: null })).toBe('notClean');
  });
  test('the clock counts, not what was meant', () => {
    const q = gel(60, 'bare', { startedAt: '2026-05-04T09:00:00.000Z', stoppedAt: '2026-05-04T10:20:00.000Z' });
    expect(stoodMin(q)).toBe(80);
    expect(minutesLeft({ ...q, stoppedAt: null }, '2026-05-04T10:20:00.000Z')).toBe(-20);
  });
});

describe('from trial to plan', () => {
  const caustic = (lifted: Square['lifted'], over: Partial<Square> = {}) =>
    aSquare({ id: `sq-${(n += 1)}`, methodId: 'causticPoultice', dwellMin: 2880, lifted, surfaceC: 20, ...over });
  const board = (squares: Square[]): Surface =>
    aSurface({
      aim: 'bareClear',
      squares,
      parts: [aPart('flat', 'causticPoultice')],
    });
  const outside = { space: { kind: 'elevation' as const } };
  test('a caustic plan stays a draft without a square, and with one that was only carried; a square here lets it out', () => {
    expect(rulesOf(planOf(board([]), outside).issue.because)).toEqual(['issue.trialMissing']);
    expect(planOf(board([]), outside).next.act).toBe('test');
    expect(rulesOf(planOf(board([caustic('bare', { carriedFrom: 'The shed' })]), outside).issue.because)).toEqual(['issue.trialCarried']);
    expect(planOf(board([caustic('bare')]), outside).issue.value).toBe(true);
  });
  test('so does a full plan for historic masonry; new concrete does not ask', () => {
    const wall = (material: 'brick' | 'concrete', yearMade: number) =>
      aSurface({
        element: 'wall',
        material,
        yearMade,
        aim: 'bareClear',
        parts: [aPart('flat', 'masonryStripper')],
      });
    expect(planOf(wall('brick', 1904), outside).issue.value).toBe(false);
    expect(planOf(wall('concrete', 1985), outside).issue.value).toBe(true);
  });
  test('dwell on the day follows the face; hours narrow and are no longer a guess', () => {
    const option = (s: Surface) => planOf(s).choice.parts[0]!.options.find((o) => o.methodId === 'solventGel')!.perM2;
    const cold = [aReading({ kind: 'surfaceTemp', value: 10, unit: 'C' })];
    const before = option(on([]));
    const after = option(on([gel(60, 'bare', { ease: 4 })], { readings: cold }));
    expect(before.proof).toBe('none');
    expect(after.proof).toBe('trial');
    expect(after.dwellHours!.low).toBeCloseTo(2, 9);
    expect(after.personHours.high / after.personHours.low).toBeLessThan(before.personHours.high / before.personHours.low);
  });
  // By hand: 44 mL on 20 x 20 cm are 1.1 L for a square metre; 9 minutes on it are 3.75 hours. One square leaves 15 % below and 30 % above open.
  test('a measured square gives coverage and pace: materials, litres to buy and hours follow it, not the catalogue', () => {
    const measuredSquare = gel(60, 'bare', { sizeCm2: 400, usedMl: 44, workMin: 9 });
    const c = only(on([measuredSquare]));
    expect(c.coverageLPerM2).toEqual({ low: expect.closeTo(1.1 * 0.85, 9), high: expect.closeTo(1.1 * 1.3, 9) });
    expect(c.workHPerM2).toEqual({ low: expect.closeTo(3.75 * 0.85, 9), high: expect.closeTo(3.75 * 1.3, 9) });
    const s = on([measuredSquare], {
      parts: [aPart('flat', 'solventGel')],
    });
    const { perM2 } = planOf(s).choice.parts[0]!.options.find((o) => o.methodId === 'solventGel')!;
    expect(perM2.personHours.low).toBeCloseTo(3.75 * 0.85, 9);
    // Film and white spirit stand beside the gel.
    expect(perM2.materials.high).toBeCloseTo(
      GOODS.stripperGel.price! * 1.1 * 1.3 + 1.2 * GOODS.coverFilm.price! + 0.25 * GOODS.whiteSpirit.price!,
      9,
    );
    const bought = planOf(s)
      .work.steps.find((st) => st.id === 'remove.flat')!
      .amounts.find((a) => a.what === 'stripperGel')!;
    expect(bought.amount.value).toBeCloseTo(1.1 * 1.3 * planOf(s).area.totalM2, 9);
    // The firm's own price stands before what a square used.
    const own = planOf(s, { settings: { rates: { solventGel: { ...AS_CATALOGUED, materialsPerM2: 5 } } } }).choice.parts[0]!.options.find(
      (o) => o.methodId === 'solventGel',
    )!;
    expect(own.perM2.materials).toEqual({ low: 5, high: 5 });
  });
  test('what failed here is blocked by practice: a person may still insist', () => {
    const o = planOf(on([gel(400, 'nothing')])).choice.parts[0]!.options.find((x) => x.methodId === 'solventGel')!;
    expect([o.verdict, rulesOf(o.because).includes('trial.didNotWork'), o.canInsist]).toEqual(['blocked', true, true]);
  });
  test('a trial is carried to the same coating only, marked, and not carried on from there', () => {
    const from = aSurface({ id: 'surface-2', name: 'Door', squares: [gel(75, 'bare', { place: 'lock rail' })] });
    const to = aSurface({});
    const [c, ...rest] = carryable(to, [aFacts(to, { others: [from] })]);
    expect(rest).toEqual([]);
    const made = carriedSquare(c!, true);
    expect([made.carriedFrom, made.dwellMin, made.place, made.startedAt]).toEqual(['Door', 75, '', null]);
    const other = aSurface({ layers: [aLayer(0, { binder: 'acrylic' })] });
    expect(carryable(other, [aFacts(other, { others: [from] })])).toEqual([]);
    const second = { ...from, squares: from.squares.map((q) => ({ ...q, carriedFrom: 'Elsewhere' })) };
    expect(carryable(to, [aFacts(to, { others: [second] })])).toEqual([]);
  });
});

// A trial decides over a guess, in both directions. Common practice, no published source.
describe('a trial decides', () => {
  const part = (methodId: 'solventGel' | 'infrared' | 'causticPoultice', kind: 'flat' | 'moulded' = 'flat') => [aPart(kind, methodId)];
  const heat = (id: string, lifted: Square['lifted'], over: Partial<Square> = {}) =>
    aSquare({ id, methodId: 'infrared', lifted, surfaceC: 20, ...over });
  const issue = (s: Surface) => planOf(s).issue;
  test.each([
    ['a ghost in the grain under a clear finish', { leftBehind: ['ghost'] }, { aim: 'bareClear' }, 'notClean'],
    ['a ghost under paint', { leftBehind: ['ghost'] }, { aim: 'bareClear', topcoat: 'alkydGloss' }, 'clean'],
    ['a soft film, whatever comes over it', { leftBehind: ['softFilm'] }, { aim: 'keepSound' }, 'notClean'],
    ['raised grain that is to be seen', { harms: ['grainRaised'] }, { aim: 'bareClear' }, 'harmed'],
    ['raised grain under paint', { harms: ['grainRaised'] }, { aim: 'keepSound' }, 'clean'],
    ['softened wood under paint', { harms: ['softened'] }, { aim: 'keepSound' }, 'harmed'],
    ['a burn under paint', { harms: ['scorched'] }, { aim: 'keepSound' }, 'harmed'],
  ] as const)('%s: %s', (_what, square, surface, want) => {
    expect(outcomeOf(gel(60, 'bare', square as never), { topcoat: null, ...surface } as never)).toBe(want);
  });
  test('one good square among four holds nothing up but the plan', () => {
    const mixed = on([heat('a', 'bare'), heat('b', 'some'), heat('c', 'some'), heat('d', 'nothing')], {
      topcoat: 'alkydGloss',
      parts: part('infrared'),
    });
    expect(only(mixed).state.value).toBe('open');
    expect([issue(mixed).value, rulesOf(issue(mixed).because)]).toEqual([false, ['issue.trialShort']]);
  });
  test('a harmed square, and one that failed for as long as is planned, hold the plan; a shorter failure only brackets', () => {
    const after = (q: Square) => rulesOf(issue(on([q], { parts: part('solventGel'), topcoat: 'alkydGloss' })).because);
    const harmed = planOf(on([gel(60, 'bare', { harms: ['softened'] })], { parts: part('solventGel'), topcoat: 'alkydGloss' })).choice
      .parts[0]!;
    expect([harmed.selected.value === 'solventGel', rulesOf(harmed.selected.because)]).toEqual([
      false,
      expect.arrayContaining(['choice.refused']),
    ]);
    expect(after(gel(90, 'some'))).toEqual(['issue.trialShort']);
    expect(after(gel(30, 'some'))).toEqual(['issue.ready']);
  });
  test('a square that worked lifts a rule of thumb against it', () => {
    const verdict = (squares: Square[]) =>
      planOf(on(squares, { layers: [aLayer(0, { binder: 'casein' })], topcoat: 'alkydGloss' })).choice.parts[0]!.options.find(
        (o) => o.methodId === 'solventGel',
      )!;
    expect(rulesOf(verdict([]).because)).toContain('solvent.casein');
    expect(rulesOf(verdict([gel(60, 'bare')]).because)).not.toContain('solvent.casein');
  });
  test('two products are two answers, and the one that works is the one to plan with', () => {
    const s = on([gel(90, 'nothing', { product: 'A' }), gel(60, 'bare', { product: 'B' })], {
      topcoat: 'alkydGloss',
      parts: part('solventGel'),
    });
    expect(conclusionsOf(s, 20, {}, 'us').map((c) => [c.product, c.state.value])).toEqual([
      ['A', 'open'],
      ['B', 'works'],
    ]);
    expect(issue(s).value).toBe(true);
  });
  test('the firm’s own mix that failed asks whether the mix or the coat is at fault', () => {
    const s = on([aSquare({ id: 'm', methodId: 'causticPoultice', dwellMin: 1440, lifted: 'nothing', surfaceC: 20 })]);
    expect(rulesOf(only(s).state.because)).toContain('trial.mixOrCoat');
  });
  test('no dwell is proposed that no square could hold', () => {
    const long = aSquare({ id: 'm', methodId: 'causticPoultice', dwellMin: 20_160, lifted: 'nothing', surfaceC: 20 });
    expect([only(on([long])).next, only(on([long])).state.value]).toEqual([[], 'failed']);
  });
  test('a square that was timed on the moulding holds what mouldings and height ask: neither is put on top again', () => {
    const timed = gel(60, 'bare', { partId: 'part-moulded', sizeCm2: 400, workMin: 9 });
    const s = on([timed], { parts: part('solventGel', 'moulded') });
    const hours = (accessM: number) =>
      planOf(s, { space: { accessM } }).choice.parts[0]!.options.find((o) => o.methodId === 'solventGel')!.perM2.personHours.low;
    expect(hours(1)).toBeCloseTo(3.75 * 0.85, 9);
    expect(hours(6)).toBeCloseTo(hours(1), 9);
  });
});

// Classes: ASTM D3359 method B and D6677. Where keep ends and strip begins: common practice, no published source.
describe('whether the film holds', () => {
  const cut = (kind: 'crossCut' | 'knife', value: number) => aReading({ id: `r-${kind}${value}`, kind, value, unit: 'class' } as never);
  test.each([
    ['crossCut', 5, 'keep'],
    ['crossCut', 4, 'keep'],
    ['crossCut', 3, 'feather'],
    ['crossCut', 2, 'strip'],
    ['crossCut', 0, 'strip'],
    ['knife', 10, 'keep'],
    ['knife', 8, 'keep'],
    ['knife', 6, 'feather'],
    ['knife', 4, 'strip'],
    ['knife', 0, 'strip'],
  ] as const)('%s %d: %s', (kind, value, hold) => {
    expect(holdOf(aSurface({ readings: [cut(kind, value)] })).value).toBe(hold);
  });
  test('the worst of several counts; water that dissolves a coat takes it off whatever the knife says', () => {
    expect(holdOf(aSurface({ readings: [cut('crossCut', 5), cut('knife', 2)] })).value).toBe('strip');
    const s = aSurface({ layers: [aLayer(0, { binder: 'distemper', water: 'dissolves' })], readings: [cut('crossCut', 5)] });
    expect(holdOf(s).value).toBe('strip');
    expect(rulesOf(holdOf(s).because)).toContain('hold.waterSoluble');
  });
  test('it decides the depth: feather asks for a sound layer, strip for bare, unless the old surface is to be kept', () => {
    const depth = (value: number, over: Partial<Surface> = {}) =>
      planOf(aSurface({ readings: [cut('crossCut', value)], ...over })).choice.required.value;
    expect([depth(5), depth(3), depth(1), depth(1, { aim: 'patina' })]).toEqual(['none', 'loose', 'bare', 'none']);
  });
});
