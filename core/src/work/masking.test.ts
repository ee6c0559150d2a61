/** Masking as a take-off: lines of the drawn piece by hand calculation; what stands what, how long a tape may stay. */
import { aPart, aSurface, aLayer, planOf, rulesOf } from '../testing';
import type { Surface } from '../facts';
import { sentence } from '../words';
import { LAYINGS } from '../facts';
import { openMin } from './stroke-on';
import { TAPE } from './masking';

const young = { job: { yearBuilt: 2015 } };
const casement = (over: Partial<Surface> = {}) =>
  aSurface({
    element: 'casementSash',
    lengthM: 1.2,
    widthM: 0.55,
    layers: [aLayer(0, { binder: 'alkyd' })],
    topcoat: 'alkydGloss',
    yearMade: 2016,
    parts: [aPart('flat', 'overcoat', { sharePct: 70 }), aPart('besideGlass', 'overcoat', { sharePct: 30 })],
    ...over,
  });
const stepsOf = (s: Surface, over: Parameters<typeof planOf>[1] = young) => planOf(s, over).work.steps;
const maskOf = (s: Surface, over?: Parameters<typeof planOf>[1]) => stepsOf(s, over).find((x) => x.id === 'mask.coats')!;
const amounts = (s: Surface, id = 'mask.coats', over?: Parameters<typeof planOf>[1]) =>
  Object.fromEntries((stepsOf(s, over).find((x) => x.id === id)?.amounts ?? []).map((a) => [a.what, a.amount.value]));

/** Three panes of (1.2 - 0.1 - 0.044) / 3 = 0.352 by 0.45 m: 4.812 m about them. By hand. */
const LINE = 3 * 2 * (0.352 + 0.45);
const PANES = 3 * 0.352 * 0.45;

test('the line about three panes in metres, a tenth more for corners; twice for two sashes, and for both faces', () => {
  expect(amounts(casement()).longLifeTape).toBeCloseTo(LINE * 1.1, 9);
  expect(amounts(casement({ count: 2, faces: 2 })).longLifeTape).toBeCloseTo(4 * LINE * 1.1, 9);
  expect(sentence(maskOf(casement()).because[1]!, 'm')).toMatch(/^Long-life tape against a brush: 4\.81 m of line/);
});

test('a brush asks for a line; a can for the panes covered whole, and the room closed with film', () => {
  const can = casement({ layings: { topcoat: 'can' } });
  expect(amounts(casement())).not.toHaveProperty('maskPaper');
  // The panes whole, and 0.6 m of the wall about the sash: 2 x (1.2 + 0.55) m.
  expect(amounts(can).maskPaper).toBeCloseTo((PANES + 3.5 * 0.6) * 1.1, 9);
  expect(amounts(can, 'mist.alkydGloss').maskFilm).toBeGreaterThan(0);
  const money = (s: Surface) => planOf(s, young).materials.high;
  expect(money(can)).toBeGreaterThan(money(casement()));
});

// What is refused is not masked for either: outdoors, far from any boundary, every way of this coat but two may be used.
test.each(LAYINGS.filter((way) => way !== 'roller' && way !== 'pad' && way !== 'wipe'))('%s: masked for no less than a brush is', (way) => {
  const side = { ...young, space: { kind: 'elevation' as const, boundaryM: 30 } };
  const of = (s: Surface) => Object.values(amounts(s, 'mask.coats', side)).reduce((a, b) => a + b, 0);
  expect(of(casement())).toBeGreaterThan(0);
  expect(of(casement({ layings: { topcoat: way } }))).toBeGreaterThanOrEqual(of(casement()));
});

test('tape by how long the coats take: a day under crepe, a week of sun under the long-life one, then again', () => {
  const quick = casement({ topcoat: 'waterborneGloss', material: 'softwood' });
  expect(Object.keys(amounts(quick))).toEqual(['crepeTape']);
  const outside = { ...young, space: { kind: 'elevation' as const, boundaryM: 30 } };
  const slow = casement({
    topcoat: 'clearVarnish',
    finish: 'museum',
    aim: 'bareClear',
    parts: [aPart('flat', 'solventGel'), aPart('besideGlass', 'solventGel')],
  });
  const metres = (over: typeof young) => amounts(slow, 'mask.coats', over).longLifeTape! / (LINE * 1.1);
  const days = planOf(slow, young).coating.lines.reduce((h, l) => h + l.recoatH.high * l.coats, 0) / 24;
  expect(metres(young)).toBeCloseTo(Math.ceil(days / TAPE.longLifeTape.days.inside), 9);
  expect(rulesOf(maskOf(slow).because)).toContain('mask.tapeLasts');
  // Outdoors there is raw masonry beside it as well, so that only whole turns are looked at.
  expect(metres(outside)).toBeGreaterThan(metres(young));
});

test('each kind of stroke has the tape that stands it: film for stripper, foil and a shield for heat, cloth for grit', () => {
  const side = { ...young, space: { kind: 'elevation' as const, boundaryM: 30 } };
  const by = (methodId: Parameters<typeof aPart>[1]) =>
    Object.keys(
      amounts(
        casement({
          aim: 'bareClear',
          parts: [aPart('flat', methodId, { sharePct: 70 }), aPart('besideGlass', 'solventGel', { sharePct: 30 })],
        }),
        'mask.strokes',
        side,
      ),
    );
  expect(by('solventGel')).toEqual(['filmTape', 'maskFilm']);
  expect(by('infrared')).toEqual(['filmTape', 'maskFilm', 'foilTape', 'heatCard']);
  expect(by('softBlast')[0]).toBe('clothTape');
});

test('the school that cuts in tapes no glass, says its line and takes the time; a mist is masked all the same', () => {
  const cutIn = { ...young, settings: { glassLine: 'cutIn' as const } };
  expect(maskOf(casement(), cutIn)).toBeUndefined();
  const coat = (over: Parameters<typeof planOf>[1]) => stepsOf(casement(), over).find((x) => x.kind === 'coat')!;
  expect(rulesOf(coat(cutIn).because)).toContain('coat.cutIn');
  expect(coat(cutIn).handsOnH.low).toBeGreaterThan(coat(young).handsOnH.low);
  expect(amounts(casement({ layings: { topcoat: 'can' } }), 'mask.coats', cutIn).maskPaper).toBeGreaterThan(0);
});

test('an edge stays open half as long for each 10 C more; what is larger is laid in stretches', () => {
  // The rule of thumb of the source: halved and doubled exactly, by hand.
  expect([openMin('water', 10), openMin('water', 20), openMin('water', 30)]).toEqual([20, 10, 5]);
  const wall = (widthM: number) =>
    aSurface({
      element: 'wall',
      material: 'gypsumPlaster',
      topcoat: 'matEmulsion',
      lengthM: 8,
      widthM,
      layers: [aLayer(0, { binder: 'acrylic' })],
      yearMade: 2016,
      parts: [aPart('flat', 'overcoat', { sharePct: 100 })],
    });
  const said = (s: Surface) => rulesOf(stepsOf(s).find((x) => x.kind === 'coat')!.because);
  expect(said(wall(4))).toContain('coat.stretches');
  expect(said(wall(0.5))).not.toContain('coat.stretches');
});

test('an arris of steel is rounded and striped, one of wood is broken', () => {
  const said = (s: Surface) => stepsOf(s).flatMap((x) => rulesOf(x.because));
  const parts = [aPart('flat', 'overcoat', { sharePct: 90 }), aPart('arris', 'overcoat', { sharePct: 10 })];
  expect(said(casement({ parts }))).toContain('coat.arris');
  const steel = { element: 'door', material: 'mildSteel', topcoat: 'metalEnamel' } as const;
  expect(said(casement({ parts, ...steel }))).toContain('coat.stripe');
  // One stripe more of a tenth of the face, before each of two coats: a tenth more paint, by hand.
  const litres = (x: typeof parts) => planOf(casement({ parts: x, ...steel }), young).coating.lines.at(-1)!.litres;
  expect(litres(parts) / litres([aPart('flat', 'overcoat', { sharePct: 100 })])).toBeCloseTo(1.1, 9);
});
