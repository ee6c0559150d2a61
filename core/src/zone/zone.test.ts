import { createDeriver } from '../job/derive';
import { BLANK_SETUP, type Check, type JobFacts, type MethodId, type NearbyKind, type Space, type Surface, type UsedOn } from '../facts';
import type { HazardKind } from '../surface/needs';
import { DEFAULT_SETTINGS } from '../rulebook';
import { aCheck, aFacts, aLayer, aMachine, aPart, aReading, aSpace, aSurface, aZone, COATS, THIS_YEAR } from '../testing';
import { convert } from '../units/units';
import { sentence } from '../words';
import { drawnIn, tagsOf } from './machines';
import { zonesOf } from './zones';

const ft = (n: number) => convert(n, 'ft', 'm');
const ft2 = (m2: number) => convert(m2, 'm2', 'ft2');
const found = aReading({ spot: 'changed', reachedLayerIds: COATS, toSubstrate: true });
/** A piece with lead that fails: it is scraped wet. */
const piece = (id: string, over: Partial<Surface> = {}): Surface =>
  aSurface({
    id,
    name: id,
    parts: [aPart('flat', 'wetScrapeLoose', { id: `${id}-part` })],
    readings: [{ ...found, id: `${id}-found` }],
    layers: [aLayer(0, { soundness: 'failing' }), aLayer(1), aLayer(2)],
    ...over,
  });
const plan = (facts: JobFacts) => createDeriver().derive(facts, DEFAULT_SETTINGS, THIS_YEAR);
const house = (surfaces: readonly Surface[], over: Partial<JobFacts> = {}): JobFacts => ({
  ...aFacts(surfaces[0]!, { others: surfaces.slice(1), space: { lengthM: 7.3, widthM: 5.2, heightM: 3.4 } }),
  ...over,
});

describe('which zones there are', () => {
  const rooms = ['a', 'b', 'c'].map((id, position) => aSpace({ id, name: id, position }));
  const at = (id: string, over: Partial<Surface> = {}) => ({ id, spaceId: 'a', zoneId: null, bench: false, removedAt: null, ...over });
  const names = (spaces = rooms, surfaces = [at('1'), at('2', { spaceId: 'b' })], parts = [aZone({ id: 'bay', spaceId: 'a' })]) => {
    const map = zonesOf({ id: 'job' }, spaces, parts, surfaces);
    return map.zones.map((z) => [z.name, surfaces.filter((s) => map.of.get(s.id) === z.id).map((s) => s.id)]);
  };
  test('a room, a side and the bench have theirs without asking; one without surfaces has none', () => {
    expect(names()).toEqual([
      ['a', ['1']],
      ['b', ['2']],
    ]);
    expect(names(rooms, [at('1'), at('2', { bench: true })])).toEqual([
      ['a', ['1']],
      ['Bench', ['2']],
    ]);
  });
  test('a sealed screen divides a room; a part of another room, or one that was removed, divides nothing', () => {
    const two = [at('1'), at('2', { zoneId: 'bay' })];
    expect(names(rooms, two)).toEqual([
      ['a', ['1']],
      ['a: Bay', ['2']],
    ]);
    expect(names(rooms, two, [aZone({ id: 'bay', spaceId: 'b' })])).toEqual([['a', ['1', '2']]]);
    expect(names(rooms, two, [aZone({ id: 'bay', spaceId: 'a', removedAt: '2026-05-04T13:20:00.000Z' })])).toEqual([['a', ['1', '2']]]);
  });
  test('joined rooms are one, also when two phones joined each to the other; a chain that leads to a side joins nothing', () => {
    const joined = (ids: readonly (string | null)[]) => rooms.map((r, i) => ({ ...r, joinedToId: ids[i] ?? null }));
    const three = ['a', 'b', 'c'].map((spaceId) => at(spaceId, { spaceId }));
    expect(names(joined([null, 'a', 'b']), three)).toEqual([['a + b + c', ['a', 'b', 'c']]]);
    expect(names(joined(['b', 'a']), three).map(([n]) => n)).toEqual(['a + b', 'c']);
    expect(names(joined([null, 'c', 'b']), three).map(([n]) => n)).toEqual(['a', 'b + c']);
    expect(names(joined(['b', 'c', 'b']), three).map(([n]) => n)).toEqual(['a + b + c']);
    const side = joined([null, 'a']).map((r) => (r.id === 'a' ? { ...r, kind: 'elevation' as const } : r));
    expect(names(side, three).map(([n]) => n)).toEqual(['a', 'b', 'c']);
  });
});

describe('one of everything', () => {
  const doors = (n: number) => Array.from({ length: n }, (_, i) => piece(`door-${i}`, { element: 'door', lengthM: 2, widthM: 0.8 }));
  // Law P1: a room of 7.3 x 5.2 m holds 38 m2 of sheet, however many pieces stand in it.
  test('a room is sheeted once, never with more than it holds', () => {
    const [zone] = plan(house(doors(10))).zones;
    expect(zone!.protection.sheetLaidM2.value).toBeCloseTo(7.3 * 5.2, 6);
    expect(zone!.steps.map((s) => s.id).filter((id) => id === 'protect')).toHaveLength(1);
  });
  test('ten doors listed one by one take no more than one entry of ten', () => {
    const ten = plan(house([piece('doors', { element: 'door', lengthM: 2, widthM: 0.8, count: 10 })])).totals;
    const single = plan(house(doors(10))).totals;
    expect(single.personHours.high / ten.personHours.high).toBeCloseTo(1, 1);
    expect(single.money.high / ten.money.high).toBeCloseTo(1, 1);
  });
  test('the job is the sum of its zones and of what each surface does by itself', () => {
    const { zones, surfaces, totals } = plan(house([...doors(3), piece('sash', { element: 'doubleHungSash' })]));
    const own = surfaces.reduce((sum, s) => sum + s.work.handsOnH.high - s.work.sharedH.high, 0);
    expect(zones.reduce((sum, z) => sum + z.handsOnH.high, own)).toBeCloseTo(totals.personHours.high, 9);
    expect(surfaces.reduce((sum, s) => sum + s.money.low, totals.lines.tests.low + totals.lines.packs.low)).toBeCloseTo(
      totals.money.low,
      9,
    );
  });
  test('saying where pieces stand lays less: sheets that meet are one', () => {
    const two = (over: (i: number) => Partial<Surface>) =>
      plan(house([0, 1].map((i) => piece(`p${i}`, { element: 'door', lengthM: 2, widthM: 0.8, ...over(i) })))).zones[0]!.protection;
    const unsaid = two(() => ({}));
    const said = two((i) => ({ wall: 'C', alongM: 2 + i }));
    // (1.8 + 12 ft) x 6 ft against twice (0.8 m + 12 ft) x 6 ft.
    expect(said.sheetLaidM2.value).toBeCloseTo((1.8 + ft(12)) * ft(6), 6);
    expect(unsaid.sheetLaidM2.value).toBeCloseTo(2 * (0.8 + ft(12)) * ft(6), 6);
    expect(unsaid.sheetLaidM2.because.map((r) => r.rule)).toContain('protect.sheetGuessed');
  });
  // 40 CFR 745.85(a)(2)(ii): 10 ft beyond the work on the ground.
  test('four sides of 24 x 36 ft joined take 1,600 ft2 of ground sheet; apart, each its own corners', () => {
    const sides = (['A', 'B', 'C', 'D'] as const).map((side, i) =>
      aSpace({
        id: side,
        name: side,
        kind: 'elevation',
        position: i,
        side,
        boundaryM: 30,
        lengthM: ft(side === 'A' || side === 'C' ? 36 : 24),
        joinedToId: side === 'A' ? null : 'A',
      }),
    );
    const siding = sides.map((s) =>
      piece(`siding-${s.id}`, { element: 'siding', spaceId: s.id, lengthM: s.lengthM!, widthM: 3, alongM: 0 }),
    );
    const laid = (spaces: typeof sides) =>
      plan(house(siding, { spaces })).zones.reduce((sum, z) => sum + ft2(z.protection.sheetLaidM2.value), 0);
    expect(laid(sides)).toBeCloseTo(1600, 6);
    expect(laid(sides.map((s) => ({ ...s, joinedToId: null })))).toBeCloseTo(2000, 6);
    // Law P1: never past a boundary.
    expect(laid(sides.map((s) => ({ ...s, boundaryM: ft(5) })))).toBeLessThan(1600);
  });
  test('whichever side of the house it is, its sheet is drawn on the ground in front of it', () => {
    const sheetOn = (side: 'A' | 'C' | null) => {
      const space = aSpace({ id: 'side', kind: 'elevation', lengthM: 10, boundaryM: 30, side });
      const s = piece('siding', { element: 'siding', spaceId: 'side', lengthM: 2, widthM: 3, alongM: 1 });
      return plan(house([s], { spaces: [space] })).zones[0]!.protection.sheet;
    };
    expect(sheetOn(null)).toEqual([{ x0: 1 - ft(10), x1: 3 + ft(10), y0: -ft(10), y1: 0 }]);
    expect(sheetOn('C')).toEqual(sheetOn(null));
  });
  // Law H1: the whole list, from the strokes of all its surfaces.
  test('a zone has every hazard that a stroke in it reaches or makes', () => {
    const gel = piece('counter', { parts: [aPart('flat', 'solventGel', { id: 'gel' })], aim: 'bareClear' });
    const [zone] = plan(house([piece('sash'), gel])).zones;
    const of = Object.fromEntries(zone!.hazards.map((h) => [h.kind, h.surfaceIds]));
    expect(of['lead']).toEqual(['sash', 'counter']);
    expect(of['vapour']).toEqual(['counter']);
    expect(zone!.protection.kit.map((k) => k.value)).toEqual(expect.arrayContaining(['coverall', 'solventGloves', 'mister']));
    expect(zone!.protection.cartridges).toEqual(['organicVapour']);
  });
});

// Law H10: what stands beside the work counts, before the first stroke and after the last.
test('an alarm is covered and uncovered, a circuit dead, a heater cold, a gas pipe tight, and heat is watched', () => {
  const beside = (methodId: 'infrared' | 'wetScrapeLoose' | 'hepaSand' | 'overcoat', services: Space['services']) => {
    const s = piece('p', {
      parts: [aPart('flat', methodId, { id: 'p-part' })],
      readings: [],
      layers: [aLayer(0, { yearApplied: 2015 })],
      yearMade: 2015,
    });
    const facts = house([s]);
    const [zone] = plan({ ...facts, spaces: facts.spaces.map((x) => ({ ...x, services })) }).zones;
    return zone!.steps.flatMap((st) => st.gates.map((g) => `${st.id}: ${g.id}`)).filter((g) => !/kit-on/.test(g));
  };
  expect(beside('infrared', ['alarm'])).toEqual([
    'protect: alarm-covered',
    'protect: hot-clear',
    'cleanUp: alarm-uncovered',
    'cleanUp: fire-watch',
  ]);
  expect(beside('wetScrapeLoose', ['wiring', 'liveHeater'])).toEqual(['protect: wiring-dead', 'protect: heater-cold']);
  expect(beside('hepaSand', ['gasPipe'])).toEqual(['protect: gas-tight']);
  expect(beside('overcoat', ['gasPipe', 'alarm'])).toEqual([]);
});

// 40 CFR 745.85(a)(2)(ii): windows within 20 ft; the others common practice, no published source.
test('what lies near a side is covered, closed or cleared before the first stroke; farther out it asks for nothing', () => {
  const near = (nearby: Space['nearby'], over: Partial<Surface> = {}) => {
    const facts = house([piece('a', over)]);
    const spaces = facts.spaces.map((s) => ({ ...s, kind: 'elevation' as const, nearby }));
    const zone = plan({ ...facts, spaces }).zones[0]!;
    return zone.steps.flatMap((st) => st.gates.filter((g) => g.id.startsWith('near.')).map((g) => `${st.kind} ${g.id}`));
  };
  const it = (what: NearbyKind, outM: number | null) => ({ what, outM, alongM: null, lengthM: null });
  expect(near([it('neighbourWindow', ft(20)), it('neighbourWindow', ft(5)), it('pond', ft(20.1))])).toEqual([
    'protect near.neighbourWindow',
  ]);
  // A distance that nobody measured counts as near.
  expect(near([it('drain', null)])).toEqual(['protect near.drain']);
  // What is poured follows the ground, grit bounces, and what falls from a third storey drifts: the law's distance is the least.
  const far = [it('pond', ft(35)), it('path', ft(35)), it('neighbourWindow', ft(28))];
  expect(near(far)).toEqual([]);
  expect(near(far, { parts: [aPart('flat', 'causticPoultice')] })).toEqual(['protect near.pond']);
  const rail: Partial<Surface> = { element: 'railing', material: 'mildSteel', rustGrade: 4, yearMade: 2016, readings: [] };
  const grit = (methodId: MethodId) => near(far, { ...rail, parts: [aPart('flat', methodId)] });
  expect([grit('hardBlast'), grit('vacuumBlast')]).toEqual([
    ['protect near.pond', 'protect near.path', 'protect near.neighbourWindow'],
    [],
  ]);
  const third = house([piece('a')]);
  const high = third.spaces.map((s) => ({ ...s, kind: 'elevation' as const, accessM: 8, nearby: far }));
  expect(plan({ ...third, spaces: high }).zones[0]!.steps.flatMap((st) => st.gates.map((g) => g.id))).toContain('near.neighbourWindow');
  // A scaffold says that the work is at height, though nobody said how high.
  const hazards = (nearby: Space['nearby']) => {
    const facts = house([piece('a')]);
    const spaces = facts.spaces.map((s) => ({ ...s, kind: 'elevation' as const, accessM: null, nearby }));
    return plan({ ...facts, spaces }).zones[0]!.hazards.map((h) => h.kind);
  };
  expect(hazards([it('scaffold', 0)])).toContain('height');
  expect(hazards([it('path', 0)])).not.toContain('height');
  const modern = { yearMade: 2016, readings: [], parts: [aPart('flat', 'overcoat')] };
  // Wash water runs off, whatever is in the coat.
  expect(near([it('path', 1), it('scaffold', 0)], modern)).toEqual(['protect near.path', 'protect near.scaffold']);
  expect(near([it('path', 9), it('scaffold', 0)], modern)).toEqual(['protect near.scaffold']);
});

test('the way in and the air machine’s window are named where the room is sealed', () => {
  const door = (name: string, opening: Surface['opening']) => piece(name, { element: 'door', name, opening });
  const facts = house([door('Street door', 'wayIn'), door('Yard door', 'wayIn'), door('Loft hatch', 'sealed')]);
  const says = plan(facts).zones[0]!.steps.flatMap((st) => (st.kind === 'protect' ? st.because.map((r) => sentence(r, 'm')) : []));
  expect(says).toContainEqual(expect.stringMatching(/^In and out, under a double flap: “Street door”; “Yard door”. Every other/));
});

// Common practice, no published source: a vacuum is as dirty as the worst it was used on.
test('a machine that was used on what is not here is cleaned before it stands here; what draws in lead leaves tagged', () => {
  const machine = (lastOn: UsedOn) => aMachine({ id: 'vac-1', lastOn });
  const zoneWith = (lastOn: UsedOn) => {
    const facts = house([piece('a')]);
    const spaces = facts.spaces.map((s) => ({ ...s, machineIds: ['vac-1'] }));
    const made = createDeriver().derive({ ...facts, spaces }, { ...DEFAULT_SETTINGS, machines: [machine(lastOn)] }, THIS_YEAR).zones[0]!;
    return {
      gates: made.steps.flatMap((s) => s.gates.map((g) => g.id)),
      cleanUp: made.steps.filter((s) => s.id === 'cleanUp').flatMap((s) => s.because.map((r) => sentence(r, 'm'))),
    };
  };
  expect(zoneWith('asbestos').gates).toContain('machine.vac-1');
  // Lead is here anyway.
  expect(zoneWith('lead').gates).not.toContain('machine.vac-1');
  expect(zoneWith('nothing').gates).not.toContain('machine.vac-1');
  expect(zoneWith('nothing').cleanUp).toContainEqual(
    expect.stringMatching(/^“Vacuum 1”: sealed at the inlet before it is moved, and tagged “used on lead”/),
  );
  const zone = (kinds: readonly HazardKind[], machineIds: string[]) => ({
    hazards: kinds.map((kind) => ({ kind, surfaceIds: ['a'] })),
    setup: { ...BLANK_SETUP, machineIds },
  });
  const tagged = (lastOn: UsedOn, ids = ['vac-1']) => tagsOf(zone(['lead', 'dust'], ids), [machine(lastOn)]).map((t) => t.lastOn);
  expect(tagged('nothing')).toEqual(['lead']);
  // The worse tag stays, and what stands elsewhere takes none.
  expect(tagged('asbestos')).toEqual([]);
  expect(tagged('nothing', [])).toEqual([]);
  expect([drawnIn(['mold', 'lead', 'dust']), drawnIn(['asbestos', 'lead']), drawnIn(['dust'])]).toEqual(['lead', 'asbestos', 'nothing']);
});

describe('checks of a zone', () => {
  const minute = (n: number) => `2026-05-04T13:${String(20 + n)}:00.000Z`;
  const zoneCheck = (gate: string, n: number, outcome: 'pass' | 'fail' = 'pass') =>
    aCheck(gate, { id: `${gate}-${n}`, zoneId: 'room-1', takenAt: minute(n), outcome });
  const ownChecks = (s: Surface, upTo: string[], from: number): Surface => ({
    ...s,
    checks: upTo.map((gate, i) => aCheck(gate, { id: `${s.id}-${gate}`, takenAt: minute(from + i) })),
  });
  const gatesOf = (facts: JobFacts) => Object.fromEntries(plan(facts).zones[0]!.steps.flatMap((s) => s.gates.map((g) => [g.id, g.state])));
  const setUp = [zoneCheck('containment-up', 1), zoneCheck('kit-on.halfMask', 2)];
  const own = (s: Surface, from = 5) => {
    const gates = plan(house([s]))
      .surfaces[0]!.work.steps.filter((st) => !st.shared)
      .flatMap((st) => st.gates.map((g) => g.id));
    return ownChecks(
      s,
      gates.filter((g) => !/^(dew-point|rags)/.test(g)),
      from,
    );
  };
  test('it is verified when every surface in it has come to its last stroke, not before', () => {
    const [a, b] = [piece('a'), piece('b')];
    const half = house([own(a), b], { checks: [...setUp, zoneCheck('cleaned', 19), zoneCheck('verified', 20)] });
    expect(gatesOf(half)['verified']).toBe('locked');
    const after = (...more: readonly Check[]) =>
      gatesOf(house([own(a), own(b, 12)], { checks: [...setUp, zoneCheck('cleaned', 29), ...more] }));
    const set = { 'containment-up': 'passed', 'kit-on.halfMask': 'passed', cleaned: 'passed' };
    // Given back last: while it is not verified the seals and the sign stay.
    expect(after()).toEqual({ ...set, verified: 'open', released: 'locked' });
    expect(after(zoneCheck('verified', 30))).toEqual({ ...set, verified: 'passed', released: 'open' });
    expect(after(zoneCheck('verified', 30), zoneCheck('released', 31))).toEqual({ ...set, verified: 'passed', released: 'passed' });
  });
  test('a breakthrough on one surface opens the verification of all, and takes back the strokes of that one only', () => {
    const broken = own(piece('a'));
    const facts = house(
      [
        { ...broken, checks: [...broken.checks, aCheck('event.breakThrough', { id: 'broke', outcome: 'fail', takenAt: minute(35) })] },
        own(piece('b'), 12),
      ],
      { checks: [...setUp, zoneCheck('cleaned', 29), zoneCheck('verified', 30)] },
    );
    expect(gatesOf(facts)['verified']).toBe('locked');
    const [a, b] = plan(facts).surfaces;
    const stroke = (p: typeof a) => p!.work.steps.find((s) => s.kind === 'remove')!.gates[0]!.state;
    expect([stroke(a), stroke(b)]).toEqual(['locked', 'passed']);
    // It was cleaned up already: sheet and dress are looked at again first.
    expect(gatesOf(facts)['containment-up']).toBe('open');
  });
  test('what is left as it is waits for no sheet, and nothing waits for it', () => {
    const left = piece('left', {
      parts: [aPart('flat', 'leave', { id: 'left-part' })],
      layers: [aLayer(0, { yearApplied: 2020 })],
      readings: [],
      yearMade: 2020,
    });
    const facts = house([own(piece('a')), left], { checks: [...setUp, zoneCheck('cleaned', 29), zoneCheck('verified', 30)] });
    expect(gatesOf(facts)['verified']).toBe('passed');
    const alone = plan(facts).surfaces[1]!.work.steps.flatMap((s) => s.gates);
    expect(alone.map((g) => [g.id, g.state])).toEqual([['still-sound', 'open']]);
  });
  test('passes once given to a single surface for sheet and dress stay as history and count for nothing', () => {
    const s = piece('a', { checks: [aCheck('containment-up'), aCheck('kit-on', { id: 'k' })] });
    expect(plan(house([s])).surfaces[0]!.work.standsAt).toBe('protect');
  });
});

describe('suction while growth is cleaned', () => {
  const growth = (m2: number | null, over: Partial<Space> = {}) =>
    aFacts(aSurface({ conditions: ['moldy'], moldM2: m2, parts: [aPart('flat', 'moldWash', { id: 'p' })], readings: [], yearMade: 2015 }), {
      space: { kind: 'room', lengthM: 5, widthM: 4, heightM: 2.5, ...over },
    });
  const zoneOf = (facts: JobFacts, settings = DEFAULT_SETTINGS) => createDeriver().derive(facts, settings, THIS_YEAR).zones[0]!;
  const gates = (z: ReturnType<typeof zoneOf>) => z.steps.flatMap((st) => st.gates.map((g) => g.id));

  // EPA 402-K-01-001, table 2: under 10 ft2 no containment; from 10 ft2 limited, over 100 ft2 full. Four changes an hour: sizing practice.
  test.each([
    [0.5, false],
    [convert(9.9, 'ft2', 'm2'), false],
    [convert(10, 'ft2', 'm2'), true],
    [20, true],
    [null, true],
  ] as const)('growth of %s m2: %s', (m2, asked) => {
    const zone = zoneOf(growth(m2));
    expect(zone.air !== null).toBe(asked);
    expect(gates(zone).includes('air-runs')).toBe(asked);
    if (asked) expect(zone.air!.value).toMatchObject({ volumeM3: 50, flowM3h: 200, machines: 1 });
  });
  test('a room that nobody measured says so; a machine that is too small asks for another; outdoors nothing is asked for', () => {
    expect(zoneOf(growth(20, { heightM: null })).air!.because.map((r) => r.rule)).toContain('air.unmeasured');
    const small = aMachine({ id: 'small', kind: 'airMachine', flowM3h: 100 });
    const facts = growth(20);
    const set = { ...facts, spaces: facts.spaces.map((s) => ({ ...s, machineIds: ['small'] })) };
    const zone = zoneOf(set, { ...DEFAULT_SETTINGS, machines: [small] } as typeof DEFAULT_SETTINGS);
    expect(zone.air!.value).toMatchObject({ bringsM3h: 80, machines: 3 });
    expect(zone.air!.because.map((r) => r.rule)).toContain('air.tooLittle');
    expect(zone.steps[0]!.amounts.find((a) => a.what === 'airMachines')?.amount.value).toBe(3);
    expect(zoneOf(growth(20, { kind: 'elevation' })).air).toBeNull();
  });
});
