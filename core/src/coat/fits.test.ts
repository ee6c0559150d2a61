/** A coat that does not fit what it lies on is refused with its reason, or asked about. Common practice, no published source, unless named. */
import { aLayer, aReading, aSurface, planOf, rulesOf, type Setup, aPart } from '../testing';
import type { Binder, MethodId, Surface } from '../facts';

const coated = (binder: Binder) => [aLayer(0, { binder })];
const bareBy = (methodId: MethodId) => [aPart('flat', methodId)];
const outside: Setup = { space: { kind: 'elevation', boundaryM: 30 } };
const face = (value: number) => aReading({ id: 'face', kind: 'surfaceTemp', value, unit: 'C' });
const NEW = { job: { yearBuilt: 2005 } } as const;

type Row = readonly [what: string, over: Partial<Surface>, setup: Setup, rule: string];
const REFUSED: readonly Row[] = [
  [
    'varnish over paint that stays',
    { topcoat: 'clearVarnish', layers: coated('oil'), parts: [{ ...bareBy('overcoat')[0]!, insistedWhy: 'the owner wants it so' }] },
    NEW,
    'coat.clearOverFilm',
  ],
  ['indoor emulsion outdoors', { topcoat: 'matEmulsion', layers: coated('acrylic') }, { ...NEW, ...outside }, 'coat.insideOnly'],
  [
    'limewash over acrylic',
    { element: 'wall', material: 'limePlaster', topcoat: 'limewash', layers: coated('acrylic') },
    NEW,
    'coat.limewashOverFilm',
  ],
  ['limewash on concrete', { element: 'wall', material: 'concrete', topcoat: 'limewash', layers: [] }, NEW, 'coat.limewashGround'],
  [
    'gloss over limewash',
    { element: 'wall', material: 'brick', topcoat: 'waterborneGloss', layers: coated('limewash') },
    NEW,
    'coat.overLimewash',
  ],
  [
    'emulsion over soft distemper',
    { element: 'wall', material: 'gypsumPlaster', aim: 'patina', topcoat: 'matEmulsion', layers: coated('distemper') },
    NEW,
    'coat.overDistemper',
  ],
  [
    'gloss on lime plaster',
    { element: 'wall', material: 'limePlaster', topcoat: 'alkydGloss', layers: coated('acrylic') },
    NEW,
    'coat.tightOnLime',
  ],
  [
    'alkyd on bare zinc',
    {
      element: 'gutter',
      material: 'galvanised',
      topcoat: 'metalEnamel',
      aim: 'bareClear',
      layers: coated('alkyd'),
      parts: bareBy('neutralStripper'),
    },
    { ...NEW, ...outside },
    'coat.alkydOnZinc',
  ],
  [
    'emulsion on a heater',
    { element: 'heater', material: 'mildSteel', topcoat: 'matEmulsion', layers: coated('alkyd') },
    NEW,
    'coat.heater',
  ],
  [
    'a film over damp stone',
    { element: 'wall', material: 'stone', conditions: ['wet'], topcoat: 'exteriorAcrylic', layers: coated('acrylic') },
    { ...NEW, ...outside },
    'coat.filmOverDamp',
  ],
  ['a face at -5 C', { readings: [face(-5)], layers: coated('acrylic') }, NEW, 'coat.faceNever'],
  ['a face at 45 C', { readings: [face(45)], layers: coated('acrylic') }, NEW, 'coat.faceNever'],
];
// Law C3: renewed is every part, not those on which something is decided.
test('oil-soaked wood takes no film while a part of it stays, though another is replaced', () => {
  const insisted = { sharePct: 50, insistedWhy: 'the client wants it so' };
  // No coat on it: there is nothing to take off, and only what a person insists on is planned.
  const of = (...flat: MethodId[]) =>
    planOf(
      aSurface({
        element: 'doubleHungSash',
        conditions: ['oilSoaked'],
        topcoat: 'waterborneEggshell',
        layers: [],
        parts: [aPart('flat', flat[0] ?? null, insisted), aPart('underside', 'replacePart', insisted)],
      }),
    ).coating;
  expect(rulesOf(of('leave').refused)).toContain('coat.oilSoaked');
  expect(of('replacePart').refused).toEqual([]);
});

test.each(REFUSED)('%s is refused, and no plan goes out', (_what, over, setup, rule) => {
  const p = planOf(aSurface(over), setup);
  expect(rulesOf(p.coating.refused)).toContain(rule);
  expect(p.coating.lines).toEqual([]);
  expect(p.issue.value).toBe(false);
  expect(p.work.steps.map((s) => s.id)).toContain('coat.ask');
});

const ASKED: readonly Row[] = [
  [
    'fresh plaster, its age and pH',
    { element: 'wall', material: 'gypsumPlaster', yearMade: 2026, topcoat: 'matEmulsion', layers: [] },
    NEW,
    'coat.freshMineral',
  ],
  ['over a film that nobody knows', { layers: coated('unknown') }, NEW, 'coat.overUnknown'],
  ['bitumen below', { element: 'gutter', material: 'mildSteel', layers: coated('bitumen') }, { ...NEW, ...outside }, 'coat.overBitumen'],
  ['a cool face', { readings: [face(8)], layers: coated('acrylic') }, NEW, 'coat.faceNotToday'],
];
test.each(ASKED)('%s is asked about, and the coat stands', (_what, over, setup, rule) => {
  const { coating } = planOf(aSurface(over), setup);
  expect([coating.refused, rulesOf(coating.asks)]).toEqual([[], expect.arrayContaining([rule])]);
  expect(coating.lines.length).toBeGreaterThan(0);
});

describe('what is usual fits', () => {
  const usual = (over: Partial<Surface>, setup: Setup = NEW) => planOf(aSurface(over), setup).coating;
  test('mill aluminium is left as it is and says so; painted aluminium is coated', () => {
    const mill = usual({ material: 'aluminium', layers: [] }, { ...NEW, ...outside });
    expect([mill.topcoat.value, mill.lines, rulesOf(mill.topcoat.because)]).toEqual([null, [], ['topcoat.leftBare']]);
    expect(usual({ material: 'aluminium', layers: coated('acrylic') }, { ...NEW, ...outside }).lines.map((l) => l.use)).toContain(
      'topcoat',
    );
  });
  test('a panel heater of steel is primed for heat as a cast one is', () => {
    for (const material of ['mildSteel', 'castIron'] as const) {
      const c = usual({
        element: 'heater',
        material,
        aim: 'bareClear',
        topcoat: 'metalEnamel',
        parts: bareBy('neutralStripper'),
        layers: coated('alkyd'),
      });
      expect(c.lines.map((l) => l.product)).toEqual(['heatResistant', 'metalEnamel']);
    }
  });
  test('waterborne over a hard old film goes on a bonding primer', () => {
    expect(usual({ layers: coated('alkyd') }).lines.map((l) => l.product)).toEqual(['bonding', 'waterborneEggshell']);
  });
  test('the extent of what is bare follows the degree that was read (ISO 4628-5), not a guess', () => {
    const share = (flakeGrade: number | null) => {
      const p = planOf(
        aSurface({ flakeGrade, conditions: ['flaking'], layers: [aLayer(0, { binder: 'acrylic', soundness: 'failing' }), aLayer(1)] }),
        NEW,
      );
      return p.coating.bareM2 / p.area.totalM2;
    };
    expect([share(3), share(4), share(null)]).toEqual([expect.closeTo(0.02, 6), expect.closeTo(0.06, 6), expect.closeTo(0.35, 6)]);
  });
  test('sealing asks for drying first, and the warning of a school stays when its product is planned already', () => {
    const sealed = planOf(
      aSurface({ element: 'wall', material: 'gypsumPlaster', layers: coated('acrylic'), parts: bareBy('encapsulate') }),
      NEW,
    );
    expect(sealed.work.steps.some((s) => s.kind === 'dry' && s.gates.length > 0)).toBe(true);
    const moldy = planOf(
      aSurface({
        element: 'ceiling',
        material: 'gypsumPlaster',
        conditions: ['moldy'],
        layers: [aLayer(0, { binder: 'acrylic', soundness: 'failing' })],
      }),
      { ...NEW, settings: { moldSeal: 'pva' } },
    );
    expect(moldy.coating.lines.flatMap((l) => rulesOf(l.because))).toContain('prime.moldPva');
  });
});
