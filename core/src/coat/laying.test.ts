/** Ways of laying a coat: what refuses each where, what it costs, what it asks of those who lay it and of those around. */
import { aLayer, aSpace, aSurface, planOf, rulesOf, aPart } from '../testing';
import { LAYINGS, type LayingId, type Space, type Surface, type TopcoatId } from '../facts';
import { convert } from '../units/units';
import { LAYING, layH, lossOf } from './laying';

const plan = (
  way: LayingId | null,
  { topcoat = 'waterborneEggshell', ...over }: Partial<Surface> & { topcoat?: TopcoatId } = {},
  space: Partial<Space> = {},
  job: Parameters<typeof planOf>[1] extends infer S ? NonNullable<S> : never = {},
) =>
  planOf(
    aSurface({
      element: 'door',
      lengthM: 2,
      widthM: 0.9,
      yearMade: 2010,
      topcoat,
      layings: way === null ? {} : { topcoat: way },
      parts: [aPart('flat', 'overcoat')],
      ...over,
    }),
    { ...job, space: aSpace({ kind: 'room', lengthM: 5, widthM: 4, heightM: 2.5, ...space }) },
  );
const outside = { kind: 'elevation', heightM: null, widthM: null } as const;
const fitting = (p: ReturnType<typeof plan>, use = 'topcoat') =>
  p.coating.layings.find((l) => l.use === use)!.options.flatMap((o) => (o.fits ? [o.way] : []));

// Common practice, no published source: what fits what.
test.each<[string, Partial<Surface> & { topcoat?: TopcoatId }, Partial<Space>, readonly LayingId[]]>([
  ['waterborne in a room', {}, {}, ['brush', 'roller', 'pad', 'lowPressure', 'airless']],
  ['solvent in a room', { topcoat: 'alkydGloss' }, {}, ['brush', 'roller', 'pad']],
  ['and a small piece: a can at most', { topcoat: 'alkydGloss', lengthM: 0.6, widthM: 0.4 }, {}, ['brush', 'roller', 'pad', 'can']],
  [
    'solvent outdoors, 7 m from the boundary',
    { topcoat: 'alkydGloss' },
    { ...outside, boundaryM: 7 },
    ['brush', 'roller', 'pad', 'can', 'lowPressure', 'airless'],
  ],
  ['3 m from it', { topcoat: 'exteriorAcrylic' }, { ...outside, boundaryM: 3 }, ['brush', 'roller', 'pad', 'lowPressure']],
  ['1 m from it', { topcoat: 'alkydGloss' }, { ...outside, boundaryM: 1 }, ['brush', 'roller', 'pad']],
  ['nobody measured it', { topcoat: 'alkydGloss' }, { ...outside, boundaryM: null }, ['brush', 'roller', 'pad']],
  ['a sash', { element: 'doubleHungSash' }, {}, ['brush', 'lowPressure', 'airless']],
])('%s', (_what, surface, space, ways) => {
  expect(fitting(plan(null, surface, space))).toEqual(ways);
});

test('limewash is brushed', () => {
  const wall = { element: 'wall', material: 'limePlaster', topcoat: 'limewash' } as const;
  expect(fitting(plan(null, { ...wall, layers: [] }))).toEqual(['brush']);
});

test('what was chosen and does not fit holds the coats back, and the next step is the coat', () => {
  const p = plan('airless', { topcoat: 'alkydGloss' });
  expect([rulesOf(p.coating.refused), p.coating.lines, p.issue.value]).toEqual([['lay.solventMist'], [], false]);
  expect(p.work.steps.map((st) => st.id)).toContain('coat.ask');
  expect(p.protection.coat).toBeNull();
});

// Estimating handbooks, from memory: brush 100 to 200 ft2/h, roller 200 to 400, airless 400 to 900; losses 5 to 10 %, sprayed 15 to 30 %.
test('speeds and losses stay within what estimators reckon with', () => {
  const ft2 = (id: LayingId) => [LAYING[id].m2PerH.low, LAYING[id].m2PerH.high].map((v) => convert(v, 'm2', 'ft2'));
  for (const [id, low, high] of [
    ['brush', 95, 200],
    ['roller', 190, 400],
    ['airless', 380, 900],
  ] as const) {
    const [from, to] = ft2(id) as [number, number];
    expect([from >= low, to <= high]).toEqual([true, true]);
  }
  expect(LAYINGS.filter((id) => LAYING[id].lossPct > (LAYING[id].sprays ? 30 : 10))).toEqual(['can']);
});

test('the litres and hours of a way are those of its option, of the step, and of the shopping', () => {
  for (const way of ['brush', 'roller', 'airless'] as const) {
    const p = plan(way);
    const line = p.coating.lines.find((l) => l.use === 'topcoat')!;
    const option = p.coating.layings.find((l) => l.use === 'topcoat')!.options.find((o) => o.way === way)!;
    expect(option.litres).toBeCloseTo(line.litres, 9);
    const coat = p.work.steps.find((st) => st.kind === 'coat')!;
    expect(coat.handsOnH.high).toBeGreaterThanOrEqual(layH(line, way).high);
    expect(coat.amounts.find((a) => a.what === line.product)!.amount.value).toBe(line.litres);
  }
  const litres = (way: LayingId) => plan(way).coating.lines.find((l) => l.use === 'topcoat')!.litres;
  // 10 % lost with a brush, 30 % airless: 0.9 / 0.7.
  expect(litres('airless') / litres('brush')).toBeCloseTo(9 / 7, 9);
  expect(lossOf('airless', { lengthM: 3, widthM: 0.1 }, false)).toBe(45);
  // A long pile on brick keeps more than a middle one on plaster.
  const on = (material: 'brick' | 'gypsumPlaster' | 'softwood') => lossOf('roller', { lengthM: 3, widthM: 2, material, layers: [] }, false);
  expect([on('softwood'), on('gypsumPlaster'), on('brick')]).toEqual([10, 10, 15]);
});

describe('a mist', () => {
  test('of waterborne paint: a particle mask, a suit, ears, the room closed before it, tools washed after', () => {
    const p = plan('airless');
    expect(p.protection.coat).toMatchObject({ products: ['waterborneEggshell'], respirator: { value: 'halfMask' }, cartridges: [] });
    expect(p.protection.coat!.kit.map((k) => k.value)).toEqual(['nitrileGloves', 'goggles', 'coverall', 'hearing']);
    expect(p.work.steps.flatMap((st) => st.gates.map((g) => g.id))).toContain('mist-kept.waterborneEggshell');
    expect(p.work.steps.find((st) => st.kind === 'coat')!.amounts.map((a) => a.what)).toContain('toolWater');
    expect(plan('brush').protection.coat).toBeNull();
  });
  test('with solvent outdoors: the cartridge there too, which a brush does not ask for', () => {
    const far = { ...outside, boundaryM: 20 };
    const of = (way: LayingId) => plan(way, { topcoat: 'alkydGloss' }, far).protection.coat!;
    expect([of('brush').cartridges, of('airless').cartridges]).toEqual([[], ['organicVapour']]);
    expect(of('brush').respirator.value).toBeNull();
    expect(of('airless').respirator.value).not.toBeNull();
  });
  test('waits for the wind outdoors, and looks to what lies within its reach', () => {
    const gates = (way: LayingId, outM = 5.5) =>
      plan(
        way,
        { topcoat: 'exteriorAcrylic' },
        { ...outside, boundaryM: 20, nearby: [{ what: 'pond', outM, alongM: 0, lengthM: 2 }] },
      ).work.steps.flatMap((st) => st.gates);
    const mist = gates('airless').find((g) => g.id === 'mist-wind.exteriorAcrylic')!;
    expect(mist.asks).toMatchObject([{ what: 'windMs', below: { value: 10, unit: 'mph' } }]);
    expect(gates('airless').map((g) => g.id)).toContain('near.pond');
    // The wash before it runs off whatever lays the coat; far enough away neither arrives.
    expect(gates('lowPressure').map((g) => g.id)).toContain('near.pond');
    expect(gates('airless', 30).map((g) => g.id)).not.toContain('near.pond');
  });
});

test('a way that is refused makes nothing cheaper: its hours and money stand with the question', () => {
  // Twice the length of what may be sprayed indoors from a can is refused; it is still twice the work.
  const frame = (lengthM: number) =>
    planOf(
      aSurface({
        element: 'casing',
        lengthM,
        widthM: 0.14,
        topcoat: 'alkydGloss',
        layings: { topcoat: 'can' },
        yearMade: 2016,
        layers: [aLayer(0, { binder: 'alkyd' })],
        parts: [aPart('flat', 'overcoat', { sharePct: 100 })],
      }),
      { job: { yearBuilt: 2015 } },
    );
  const [may, mayNot] = [frame(8), frame(16)];
  expect([may.coating.refused.length, mayNot.coating.refused.length > 0]).toEqual([0, true]);
  expect(mayNot.coating.lines).toEqual([]);
  for (const end of ['low', 'high'] as const) {
    expect(mayNot.work.handsOnH[end]).toBeGreaterThan(may.work.handsOnH[end]);
    expect(mayNot.money[end]).toBeGreaterThan(may.money[end]);
  }
});
