import { DEFECTS, FINISHES, MATERIALS, REPAIRS, type Defect, type Material, type RepairId, type Surface } from '../facts';
import { methodById } from '../catalogue';
import { aDefect, aPart, aReading, aSurface, COATS, planOf, rulesOf, type Setup } from '../testing';
import { sentence } from '../words';
import { cuts, DEFECT, groundOf, repairsFor } from './index';
import { FILLER, FILLERS, layersFor } from '../catalogue';

const clear = aReading({ kind: 'lab', value: 0, unit: 'ppm', reachedLayerIds: COATS, toSubstrate: true });
const lead = aReading({ spot: 'changed', reachedLayerIds: COATS, toSubstrate: true });
const NEW: Setup = { job: { yearBuilt: 2005 } };
/** A sill that is scuffed and coated over. */
const sill = (defects: readonly Defect[], over: Partial<Surface> = {}) =>
  aSurface({
    element: 'sill',
    material: 'softwood',
    yearMade: 2005,
    aim: 'keepSound',
    topcoat: 'alkydGloss',
    lengthM: 2,
    widthM: 0.2,
    count: 1,
    parts: [aPart('flat', 'overcoat')],
    readings: [clear],
    defects: [...defects],
    ...over,
  });
const answerOf = (s: Surface, setup: Setup = NEW) => planOf(s, setup).repairs.map((r) => r.repair.value);

// Common practice, no published source: what a joiner, a plasterer and a mason would do first.
describe('golden cases', () => {
  const on = (material: Material): Partial<Surface> => ({
    material,
    element: material === 'brick' || material === 'limePlaster' ? 'wall' : 'sill',
    topcoat: null,
  });
  test.each<[string, Defect, Partial<Surface>, RepairId]>([
    ['a shallow dent in wood is skimmed', aDefect('dent', { areaM2: 0.004, depthMm: 2 }), {}, 'skim'],
    ['a dent that may stay is left', aDefect('dent', { areaM2: 0.004, depthMm: 2 }), { finish: 'utility' }, 'leave'],
    ['a deep dent is filled', aDefect('dent', { areaM2: 0.004, depthMm: 6 }), {}, 'fill'],
    ['a palm-sized hole is pieced in', aDefect('hole', { areaM2: 0.02, depthMm: 20 }), {}, 'splice'],
    ['a hole in lime plaster is patched', aDefect('hole', { areaM2: 0.2, depthMm: 15 }), on('limePlaster'), 'patch'],
    ['a hole in steel is asked about', aDefect('hole', { areaM2: 0.001, depthMm: 20 }), on('mildSteel'), 'ask'],
    ['a crack that moves is sealed flexibly', aDefect('crack', { lengthM: 1, moving: 'yes' }), on('limePlaster'), 'flexible'],
    ['a crack of which nobody knows is taken as moving', aDefect('crack', { lengthM: 1 }), on('limePlaster'), 'flexible'],
    ['a dead crack is filled', aDefect('crack', { lengthM: 1, moving: 'no', depthMm: 4 }), on('limePlaster'), 'fill'],
    ['loose lime plaster is fixed back', aDefect('loosePlaster', { areaM2: 0.3 }), on('limePlaster'), 'refix'],
    [
      'loose gypsum plaster is patched',
      aDefect('loosePlaster', { areaM2: 0.3 }),
      { ...on('limePlaster'), material: 'gypsumPlaster' },
      'patch',
    ],
    ['a brick joint is raked and pointed', aDefect('openJoint', { lengthM: 3 }), on('brick'), 'rakeAndPoint'],
    ['a wood joint is glued', aDefect('openJoint', { lengthM: 0.2 }), {}, 'refix'],
    ['shallow rot is consolidated', aDefect('rot', { areaM2: 0.01, depthMm: 8 }), {}, 'consolidate'],
    ['a rotten board goes', aDefect('pastSaving'), {}, 'replacePiece'],
    ['of a board with one sound end the other goes', aDefect('badEnd'), {}, 'replacePiece'],
    ['deep rot is cut out', aDefect('rot', { areaM2: 0.02, depthMm: 25 }), {}, 'splice'],
    ['a piece that is mostly rotten is renewed', aDefect('rot', { areaM2: 0.3, depthMm: 8 }), {}, 'replacePiece'],
    ['silicone comes off', aDefect('silicone', { lengthM: 1 }), {}, 'siliconeOff'],
    ['rust that lifts is opened', aDefect('rustJacking', { lengthM: 0.4 }), on('mildSteel'), 'treatRust'],
    ['a long run of it is asked about', aDefect('rustJacking', { lengthM: 2 }), on('mildSteel'), 'ask'],
    ['rot in plaster is a slip', aDefect('rot', { areaM2: 0.1 }), on('limePlaster'), 'ask'],
    ['damage larger than its piece is a slip', aDefect('hole', { areaM2: 40, depthMm: 3 }), {}, 'ask'],
    ['in a museum nothing is filled unasked', aDefect('dent', { areaM2: 0.004, depthMm: 6 }), { finish: 'museum' }, 'ask'],
  ])('%s', (_says, defect, over, value) => {
    expect(answerOf(sill([defect], over), { ...NEW, space: { kind: 'room' } })).toEqual([value]);
  });
});

describe('every defect on every ground', () => {
  test('has an answer that can be made there, within what its filler holds, or a question', () => {
    for (const material of MATERIALS)
      for (const kind of DEFECTS) {
        const s = sill([], { material });
        if (!DEFECT[kind].on.includes(groundOf(s))) continue;
        for (const depthMm of [0.2, 2, 7, 30, 120]) {
          const [r] = planOf(sill([aDefect(kind, { areaM2: 0.01, lengthM: 0.3, depthMm })], { material, topcoat: null }), NEW).repairs;
          const at = `${kind} in ${material}, ${depthMm} mm`;
          const value = r!.repair.value;
          expect([at, value === 'ask' || value === 'leave' || repairsFor(kind, s).includes(value)]).toEqual([at, true]);
          const most = r!.filler === null || !DEFECT[kind].depth ? null : FILLER[r!.filler].mostMm;
          if (most !== null && value !== 'leave') expect([at, depthMm <= most]).toEqual([at, true]);
          if (r!.amount) expect(r!.amount.value).toBeGreaterThan(0);
          expect(sentence(r!.repair.because[0]!, 'ft')).not.toMatch(/[{}]|undefined/);
        }
      }
  });
  test('hours, stuff and money grow with the extent, the depth and the number', () => {
    for (const kind of DEFECTS) {
      const material: Material = DEFECT[kind].on.includes('timber')
        ? 'softwood'
        : DEFECT[kind].on.includes('plaster')
          ? 'limePlaster'
          : 'brick';
      const of = (over: Partial<Defect>) =>
        planOf(sill([aDefect(kind, { areaM2: 0.06, lengthM: 0.2, depthMm: 3, moving: 'no', ...over })], { material, topcoat: null }), NEW)
          .repairs[0]!;
      const [one, two] = [of({}), of({ pieces: 2 })];
      if (one.repair.value === 'ask' || one.repair.value === 'leave' || two.repair.value !== one.repair.value) continue;
      expect([kind, two.handsOnH.high > one.handsOnH.high, two.money > one.money]).toEqual([kind, true, true]);
    }
  });
});

// By hand: two-part filler bears 15 mm a layer, so 22 mm are two; gypsum 8 mm, so 17 are three.
test('layers by depth', () => {
  expect([layersFor('woodFiller', 15), layersFor('woodFiller', 22), layersFor('gypsumFiller', 17)]).toEqual([1, 2, 3]);
  for (const id of FILLERS) expect([id, FILLER[id].dryH.low <= FILLER[id].dryH.high]).toEqual([id, true]);
  const [r] = planOf(sill([aDefect('hole', { areaM2: 0.003, depthMm: 22 })]), NEW).repairs;
  // 0.003 m2 x 22 mm = 0.066 L, and a fifth is lost.
  expect(r).toMatchObject({ layers: 2, filler: 'woodFiller', waitH: { low: 1, high: 2 } });
  expect(r!.amount!.value).toBeCloseTo(0.0792, 9);
});

describe('what a repair may not do', () => {
  const filled = aDefect('dent', { areaM2: 0.004, depthMm: 6 });
  test('a filler is not laid deeper than it bears, whoever chose it', () => {
    const plan = planOf(sill([aDefect('hole', { areaM2: 0.02, depthMm: 80, repair: 'fill' })]), NEW);
    expect(plan.repairs[0]!.repair.value).toBe('splice');
    expect(plan.repairs[0]!.repair.because.map((b) => sentence(b, 'm'))).toContain(
      'Two-part wood filler holds 50 mm at the most, in all its layers, and this is 80 mm deep.',
    );
  });
  test('nothing is filled, cut or rubbed where asbestos may be, in any kind of repair', () => {
    const ceiling = (x: Defect) =>
      aSurface({
        element: 'ceiling',
        material: 'gypsumPlaster',
        layers: [{ ...aSurface().layers[0]!, binder: 'textured' }],
        parts: [aPart('flat', 'overcoat')],
        defects: [x],
      });
    for (const kind of DEFECTS.filter((k) => DEFECT[k].on.includes('plaster'))) {
      const [value] = answerOf(ceiling(aDefect(kind, { areaM2: 0.05, lengthM: 0.5, depthMm: 9 })), { job: { yearBuilt: 1966 } });
      expect([kind, value === 'ask' || value === 'leave']).toEqual([kind, true]);
    }
  });
  test('what cuts into the coats waits until its zone stands', () => {
    const left = sill([aDefect('rot', { areaM2: 0.02, depthMm: 25 })], {
      parts: [aPart('flat', 'thickPrimer')],
      readings: [lead],
      yearMade: 1904,
    });
    expect(methodById('thickPrimer').disturbs).toBe(false);
    expect(rulesOf(planOf(left).repairs[0]!.repair.because)).toContain('repair.noStroke');
    expect(REPAIRS.filter(cuts)).toContain('splice');
  });
  test('filler is rubbed wet where old lead paint lies beside it, else with a vacuum', () => {
    const rub = (s: Surface) => rulesOf(planOf(s).work.steps.find((st) => st.id === 'repair.fill')!.because);
    expect(rub(sill([filled], { yearMade: 1904, readings: [lead] }))).toContain('repair.rubWet');
    expect(rub(sill([filled]))).toContain('repair.rubDry');
  });
});

describe('on the way to the coat', () => {
  test('a repaired sill: cut out, filled, hard, primed, coated; each kind of repair is a step with its proof', () => {
    const s = sill([
      aDefect('rot', { areaM2: 0.02, depthMm: 25 }),
      aDefect('silicone', { lengthM: 0.8 }),
      aDefect('dent', { areaM2: 0.004, depthMm: 6 }),
    ]);
    const { steps } = planOf(s, NEW).work;
    const ids = steps.filter((st) => !st.shared).map((st) => st.id);
    const at = (id: string) => ids.indexOf(id);
    expect(at('repair.splice')).toBeGreaterThan(at('check'));
    expect(at('coat.alkydGloss')).toBeGreaterThan(at('repair.splice'));
    expect(steps.find((st) => st.id === 'repair.siliconeOff')!.gates.map((g) => g.id)).toEqual(['silicone-gone']);
    // The coat waits for the proof.
    expect(steps.find((st) => st.id === 'coat.alkydGloss')!.gates[0]!.state).toBe('locked');
    const [bare, repaired] = [planOf(sill([]), NEW), planOf(s, NEW)];
    expect(repaired.money.low).toBeGreaterThan(bare.money.low);
    expect(repaired.work.waitH.high).toBeGreaterThan(bare.work.waitH.high);
  });
  test('a face that was blasted before drinks a coat more there, and only there', () => {
    const first = (s: Surface) => planOf(s, NEW).coating.lines[0]!;
    const [bare, torn] = [first(sill([])), first(sill([aDefect('blastDamage', { areaM2: 0.1 })]))];
    expect(torn.litres / bare.litres).toBeCloseTo(1 + 0.1 / (bare.areaM2 * bare.coats), 9);
  });
  test('a better finish never takes less work, and says how it is judged', () => {
    const [utility, tidy, smooth, restored] = FINISHES.map((finish) =>
      planOf(sill([], { finish, conditions: ['flaking'], parts: [aPart('flat', 'wetScrapeLoose')] }), NEW),
    );
    const h = (p: typeof utility) => p!.work.handsOnH.low;
    expect(h(utility)).toBeLessThan(h(tidy));
    expect(h(tidy)).toBeLessThan(h(smooth));
    expect(h(smooth)).toBeLessThanOrEqual(h(restored));
    expect(smooth!.coating.lines.at(-1)!.coats).toBe(tidy!.coating.lines.at(-1)!.coats + 1);
    const repair = smooth!.work.steps.find((st) => st.id === 'repair')!;
    expect(repair.because.map((b) => sentence(b, 'ft'))).toContain(
      'Finish: smooth. It is looked at in daylight from 3 ft; dents up to 1/64 in deep may stay.',
    );
    // Where nobody said, it is tidy, and nothing is reckoned otherwise.
    expect(planOf(sill([]), NEW).money).toEqual(planOf(sill([], { finish: 'tidy' }), NEW).money);
  });
});
