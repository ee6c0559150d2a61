/** What reaches a hazard is stopped, what ends above it is not, and what is stopped says what lifts it. */
import { aLayer, aReading, aSquare, aSurface, aTrained, COATS, looked, planOf, rulesOf, type Setup, aPart } from '../testing';
import type { MethodId, PartKind, Surface } from '../facts';
import { sentence } from '../words';

const part = (kind: PartKind, methodId: MethodId | null = null, alsoIds: MethodId[] = []) => aPart(kind, methodId, { alsoIds });
const clear = aReading({ spot: 'unchanged', reachedLayerIds: COATS, toSubstrate: true });
const face = (value: number) => aReading({ id: 'face', kind: 'surfaceTemp', value, unit: 'C' });
const outside: Setup = { space: { kind: 'elevation', boundaryM: 30 } };

type Row = readonly [
  what: string,
  id: MethodId,
  kind: PartKind,
  over: Partial<Surface>,
  setup: Setup,
  verdict: string,
  rule: string,
  insist: boolean,
];
// Sources stand with the rules; where the rule names common practice there is no published source.
const ROWS: readonly Row[] = [
  // 29 CFR 1926.1101; CAR 2012: nothing goes into a suspect material, wet or dry.
  [
    'wet scraping to bare beside suspect putty',
    'wetScrapeBare',
    'besideGlass',
    { aim: 'bareClear' },
    {},
    'blocked',
    'asbestos.puttyInto',
    false,
  ],
  ['gel to bare beside suspect putty', 'solventGel', 'besideGlass', { aim: 'bareClear' }, {}, 'blocked', 'asbestos.puttyInto', false],
  [
    'infrared beside suspect putty, UK',
    'infrared',
    'besideGlass',
    { aim: 'bareClear' },
    { job: { rulebook: 'uk' } },
    'blocked',
    'asbestos.puttyIntoUk',
    false,
  ],
  ['scuffing the coat over suspect putty', 'overcoat', 'besideGlass', {}, {}, 'care', 'asbestos.putty', false],
  [
    'stripper on paint over suspect plaster',
    'neutralStripper',
    'flat',
    { element: 'wall', material: 'limePlaster', aim: 'bareClear' },
    {},
    'blocked',
    'asbestos.belowInto',
    false,
  ],
  [
    'scuffing sound paint over suspect plaster',
    'overcoat',
    'flat',
    { element: 'wall', material: 'limePlaster' },
    {},
    'care',
    'asbestos.belowCare',
    false,
  ],
  [
    'scraping where no coat is known to hold',
    'wetScrapeLoose',
    'flat',
    { element: 'wall', material: 'limePlaster', layers: [aLayer(0, { soundness: 'failing' })] },
    {},
    'blocked',
    'asbestos.belowInto',
    false,
  ],
  [
    'washing bare suspect plaster',
    'washDegrease',
    'flat',
    { element: 'wall', material: 'limePlaster', layers: [] },
    {},
    'blocked',
    'asbestos.belowInto',
    false,
  ],
  ['old putty, cut: lead of its own', 'puttyCut', 'besideGlass', { yearMade: 1975 }, {}, 'blocked', 'lead.putty', false],
  // 40 CFR 745.85(a)(3)(ii): a shroud and HEPA exhaust make it lawful.
  [
    'shrouded blasting of steel with lead',
    'vacuumBlast',
    'flat',
    { element: 'gutter', material: 'mildSteel' },
    outside,
    'care',
    'lead.hepaShroud',
    false,
  ],
  [
    'open blasting of steel with lead',
    'hardBlast',
    'flat',
    { element: 'gutter', material: 'mildSteel' },
    outside,
    'blocked',
    'lead.blastOpen',
    false,
  ],
  [
    'gas beside it, hard blast',
    'hardBlast',
    'flat',
    { element: 'pipe', material: 'mildSteel', readings: [clear] },
    { space: { kind: 'elevation', services: ['gasPipe'] } },
    'blocked',
    'site.gasBlast',
    false,
  ],
  [
    'gas beside it, drill brush',
    'drillBrush',
    'flat',
    { element: 'pipe', material: 'mildSteel', layers: looked([aLayer(0)]), readings: [clear] },
    { space: { services: ['gasPipe'] } },
    'care',
    'site.gasSpark',
    false,
  ],
  ['a mains tool on a wet door', 'hepaSand', 'flat', { element: 'door', conditions: ['wet'] }, {}, 'blocked', 'site.mainsWet', false],
  ['a frozen face, wet', 'wetScrapeLoose', 'flat', { readings: [face(-5)] }, {}, 'blocked', 'fit.frozen', true],
  ['a hot face, gel', 'solventGel', 'flat', { readings: [face(45)] }, {}, 'blocked', 'fit.tooHot', true],
  ['thin lapped boards, infrared', 'infrared', 'flat', { element: 'siding' }, outside, 'blocked', 'heat.thinBoards', false],
  ['scorch under a clear finish', 'infrared', 'flat', { aim: 'bareClear' }, {}, 'blocked', 'heat.scorchClear', true],
  ['scorch under paint', 'infrared', 'flat', {}, {}, 'care', 'heat.scorch', true],
  [
    'growth known by its area only, sealed',
    'encapsulate',
    'flat',
    { element: 'ceiling', moldM2: 0.4, readings: [clear] },
    {},
    'blocked',
    'mold.noCover',
    false,
  ],
  [
    'growth on a leaded sash, cleaned',
    'moldWash',
    'flat',
    { element: 'doubleHungSash', conditions: ['moldy'] },
    { job: { childUnder6: 'yes' } },
    'care',
    'fit.damp',
    false,
  ],
  [
    'an old face that is kept, with a child',
    'wetScrapeBare',
    'flat',
    { element: 'doubleHungSash', aim: 'patina' },
    { job: { childUnder6: 'yes' } },
    'blocked',
    'fit.patina',
    true,
  ],
  // NPS Preservation Brief 6 and 10.
  ['a torch on old joinery', 'torch', 'flat', { readings: [clear] }, {}, 'blocked', 'heat.flameNever', false],
  ['hard grit on timber', 'hardBlast', 'flat', { readings: [clear] }, outside, 'blocked', 'blast.hardTimber', false],
  ['thrown out anyway', 'wetScrapeBare', 'flat', { scrapped: true }, {}, 'blocked', 'fit.scrapped', true],
];

test.each(ROWS)('%s', (_what, id, kind, over, setup, verdict, rule, insist) => {
  const plan = planOf(aSurface({ ...over, parts: [part(kind)] }), setup);
  const o = plan.choice.parts.flatMap((p) => [...p.options, ...p.helpers]).find((x) => x.methodId === id)!;
  expect(rulesOf(o.because)).toContain(rule);
  expect(o.verdict).toBe(verdict);
  if (verdict === 'blocked') expect(o.because.find((r) => r.rule === rule)!.force === 'trade').toBe(insist);
});

test('what blocks says what lifts it, wherever anything can', () => {
  for (const [, id, kind, over, setup, verdict, rule] of ROWS) {
    if (verdict !== 'blocked' || ['heat.flameNever', 'blast.hardTimber', 'lead.putty'].includes(rule)) continue;
    const o = planOf(aSurface({ ...over, parts: [part(kind)] }), setup).choice.parts.flatMap((p) => [...p.options, ...p.helpers]);
    const reason = o.find((x) => x.methodId === id)!.because.find((r) => r.rule === rule)!;
    expect(sentence(reason, 'm')).toMatch(/\S+.*(\.|\?)$/);
  }
});

// An ordinary room of the 1920s must still have a way to be washed, scuffed and painted.
test.each(['wall', 'ceiling', 'door', 'baseboard', 'casing', 'doubleHungSash', 'heater'] as const)(
  'a sound %s of 1925 has a way',
  (element) => {
    for (const rulebook of ['us', 'uk'] as const) {
      const plan = planOf(aSurface({ element, yearMade: 1925 }), { job: { rulebook } });
      for (const p of plan.choice.parts) expect([p.kind, p.selected.value]).toEqual([p.kind, 'overcoat']);
      expect(plan.coating.refused).toEqual([]);
      expect(plan.coating.lines.map((l) => l.use)).toContain('topcoat');
    }
  },
);

test('where only replacing is open, nobody has chosen it: the plan asks, and says what lifts it', () => {
  const { selected } = planOf(aSurface({ element: 'doubleHungSash', parts: [part('besideGlass')] }), { job: { childUnder6: 'yes' } }).choice
    .parts[0]!;
  expect(selected.value).toBeNull();
  expect(rulesOf(selected.because)).toEqual(expect.arrayContaining(['choice.allBlocked', 'asbestos.puttyInto']));
});

// CDC and labels on bleach; the rest common practice: rinse, proof and drying stand between what reacts.
test.each([
  ['bleach, then acid', ['moldBleach', 'rustGel'], 'mildSteel', 'clean.bleach'],
  ['alcohol, then bleach', ['washDegrease', 'moldBleach'], 'mildSteel', 'clean.alcohol'],
  ['solvent, then a power tool', ['solventGel', 'hepaSand'], 'mildSteel', 'clean.solvent'],
  ['caustic, then acid', ['causticReady', 'rustGel'], 'mildSteel', 'clean.alkali'],
] as const)('%s: never without a rinse, its proof and drying', (_what, [first, then], material, gate) => {
  const main = first === 'solventGel' || first === 'causticReady' ? first : 'wetScrapeLoose';
  const s = aSurface({
    element: 'gutter',
    material,
    rustGrade: 2,
    conditions: ['moldy'],
    readings: [clear],
    layers: [aLayer(0, { soundness: 'failing' }), aLayer(1), aLayer(2)],
    parts:
      then === 'hepaSand'
        ? [part('turned', first), part('flat', then)]
        : [
            part(
              'flat',
              main,
              [first, then].filter((m) => m !== main),
            ),
          ],
    squares: [aSquare({ id: 'sq', methodId: 'causticReady', dwellMin: 4000, lifted: 'bare' })],
  });
  const { steps } = planOf({ ...s, parts: s.parts.map((p) => ({ ...p, sharePct: 100 / s.parts.length })) }, outside).work;
  const at = (id: MethodId) => steps.findIndex((x) => x.title.weighed.some((w) => w.asked === 'method' && w.found === id));
  const between = steps.slice(at(first) + 1, at(then));
  expect([at(first) >= 0, at(then) > at(first)]).toEqual([true, true]);
  expect(between.flatMap((x) => x.gates.map((g) => g.id)).some((id) => id.startsWith(gate))).toBe(true);
  expect(between.some((x) => x.waitH.low > 0)).toBe(true);
});

test('no check of the plan cuts into a suspect, and no notch is asked for', () => {
  const plan = planOf(aSurface({ element: 'wall', material: 'limePlaster' }));
  expect(plan.lead.next.value).toBe('asbestosFirst');
  expect(plan.next.act).toBe('sampleAsbestos');
  const gates = plan.work.steps.flatMap((x) => x.gates.map((g) => g.because.rule));
  expect(gates).toContain('gate.adhesionNoCut');
  expect(gates).not.toContain('gate.adhesion');
});

// 29 CFR 1926.1101; CAR 2012: to seal what may hold asbestos is regulated work, and a person's decision.
test.each([
  ['us', { element: 'pipeLagging' }],
  ['uk', { element: 'pipeLagging' }],
  ['us', { element: 'ceiling', material: 'aluminium', layers: [aLayer(0, { binder: 'textured' })] }],
] as const)('what may hold asbestos is left by default, and never sealed (%s)', (rulebook, over) => {
  const s = aSurface({ ...(over as Partial<Surface>), parts: [part('flat')] });
  const plan = planOf(s, { job: { rulebook } });
  expect(plan.choice.parts[0]!.selected.value).toBe('leave');
  const trained = { job: { rulebook }, settings: { people: [aTrained] } };
  // Lagging needs a licence, whoever is trained.
  const best = s.element === 'pipeLagging' ? 'blocked' : 'care';
  for (const id of ['thickPrimer', 'encapsulate'] as const)
    for (const [setup, verdict] of [
      [{ job: { rulebook } }, 'blocked'],
      [trained, best],
    ] as const) {
      const o = planOf(s, setup).choice.parts[0]!.options.find((x) => x.methodId === id)!;
      expect([o.verdict, rulesOf(o.because).some((r) => r.startsWith('asbestos.sealing'))]).toEqual([verdict, true]);
    }
  if (best === 'blocked') return;
  const sealed = planOf({ ...s, parts: [part('flat', 'thickPrimer')] }, trained);
  const said = sealed.work.steps.flatMap((st) => [st.title, ...st.because, ...st.gates.map((g) => g.because)]);
  // Nothing is scuffed, cut or taped on it, by any step of the plan.
  expect(rulesOf(said)).toEqual(expect.arrayContaining(['gate.adhesionLook']));
  expect(rulesOf(said).filter((r) => /overHardFilm|adhesionNoCut|gate.adhesion$|scuffGrit/.test(r))).toEqual([]);
});

describe('steps that make sense on what they stand on', () => {
  const rustless: Partial<Surface> = { element: 'ironRailing', material: 'mildSteel', readings: [clear], yearMade: 2005 };
  const rulesIn = (s: Surface, setup: Setup = {}) =>
    planOf(s, setup).work.steps.flatMap((st) => rulesOf([st.title, ...st.because, ...st.gates.map((g) => g.because)]));
  // Common practice: metal wiped dry is ready in an hour; grain rises on wood only; there is no putty without glass.
  test('metal is wiped dry and not taped with a sheet; it has no grain, and nothing to re-putty', () => {
    const said = rulesIn(aSurface({ ...rustless, aim: 'bareClear', topcoat: 'metalEnamel', parts: [part('flat', 'wetScrapeBare')] }));
    expect(said).toEqual(expect.arrayContaining(['gate.metalDry', 'gate.adhesionBare']));
    expect(
      said.filter((r) => ['rinse.grain', 'gate.moistureMineral', 'step.repair', 'step.repairPlain', 'gate.adhesion'].includes(r)),
    ).toEqual([]);
    expect(rulesIn(aSurface({ element: 'casementSash', readings: [clear], yearMade: 2005 }))).toContain('step.repair');
    // Putty of 1904 that nobody sampled is not touched.
    expect(rulesIn(aSurface({ element: 'casementSash', readings: [clear] }))).toContain('step.repairPlain');
  });
  // ISO 4628-3: degree 4 is 8 % and more; spots are worked one by one. Common practice for the gel.
  test.each([
    [0, false, false],
    [1, true, false],
    [3, true, false],
    [4, false, true],
  ] as const)('rust of degree %d: spot by spot %s, gel over the face %s', (rustGrade, spots, face) => {
    const s = aSurface({ ...rustless, rustGrade, parts: [part('flat', 'wetScrapeBare')], aim: 'bareClear', topcoat: 'metalEnamel' });
    const plan = planOf(s);
    expect(rulesIn(s).includes('order.rustSpots')).toBe(spots);
    expect(plan.choice.parts[0]!.also.map((a) => a.value)).toEqual(face ? ['rustGel'] : []);
  });
  test('a helper that may not be used is told, with its reason, and not left out in silence', () => {
    const s = aSurface({
      element: 'gutter',
      material: 'galvanised',
      readings: [clear],
      parts: [part('flat', 'wetScrapeLoose', ['rustGel'])],
    });
    const { also, selected } = planOf(s).choice.parts[0]!;
    expect(also).toEqual([]);
    expect(rulesOf(selected.because)).toEqual(expect.arrayContaining(['also.refused', 'fit.material']));
  });
  test('down to bare there is no older coat to break into; what the person wants bare is not called a clear finish', () => {
    const bare = aSurface({ aim: 'bareClear', topcoat: 'alkydGloss', parts: [part('flat', 'wetScrapeBare')] });
    expect(rulesIn(bare)).not.toContain('order.breakThrough');
    expect(rulesOf(planOf(bare).choice.required.because)).toEqual(['depth.bareWanted']);
    const loose = aSurface({ layers: [aLayer(0, { soundness: 'failing' }), aLayer(1)], parts: [part('flat', 'wetScrapeLoose')] });
    expect(rulesIn(loose)).toContain('order.breakThrough');
  });
});

// BS 8201, MPI, from memory: plaster is dry at 1 % on the gypsum scale. The last reading counts.
test.each([
  [[3], true],
  [[3, 0.5], false],
  [[0.5, 3], true],
] as const)('plaster read at %j %% one after the other: damp %s', (values, damp) => {
  const readings = values.map((value, i) =>
    aReading({ id: `m-${i}`, kind: 'moisture', value, unit: '%gypsum', takenAt: `2026-05-0${i + 1}T10:00:00.000Z` }),
  );
  const plan = planOf(aSurface({ element: 'wall', material: 'gypsumPlaster', yearMade: 2005, readings }));
  expect(rulesOf(plan.coating.refused).includes('coat.filmOverDamp')).toBe(damp);
  expect(plan.work.steps.flatMap((st) => st.gates.map((g) => g.id)).includes('cause-cured')).toBe(damp);
});

test('lead that is found is not called a test that is open; what is not known is in which coat', () => {
  const said = (readings: Surface['readings']) =>
    rulesOf(planOf(aSurface({ readings, parts: [part('flat', 'wetScrapeLoose')] })).work.steps[0]!.because);
  expect(said([aReading({ spot: 'changed', reachedLayerIds: COATS, toSubstrate: true })])).toEqual(['prep.depthOpen']);
  expect(said([])).toEqual(['prep.testFirst']);
  expect(said([clear])).toEqual([]);
});
