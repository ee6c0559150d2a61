import { aReading, aSurface, COATS, planOf, rulesOf, type Setup, aPart } from '../testing';
import { createDeriver } from '../job/derive';
import type { MethodId, Surface } from '../facts';
import { DEFAULT_SETTINGS, RULEBOOKS } from '../rulebook';
import { taskWears } from './protect';
import { convert } from '../units/units';
import { sentence } from '../words';
import { aCheck, aFacts, aLayer, aSpace, THIS_YEAR } from '../testing';

const FT2 = convert(1, 'ft2', 'm2');
const ft = (n: number) => n * 0.3048;
const found = aReading({ spot: 'changed', reachedLayerIds: COATS, toSubstrate: true });
const onePart = (methodId: MethodId, over: Partial<Surface> = {}) =>
  aSurface({
    parts: [aPart('flat', methodId)],
    readings: [found],
    layers: [aLayer(0, { soundness: 'failing' }), aLayer(1), aLayer(2)],
    ...over,
  });
const protectionOf = (s: Surface, setup?: Setup) => planOf(s, setup).protection;

describe('minor work', () => {
  const minor = (areaFt2: number, kind: 'room' | 'elevation') => {
    const s = aSurface({ element: 'wall', lengthM: ft(areaFt2), widthM: ft(1), parts: aSurface({ element: 'wall' }).parts });
    return createDeriver().derive(aFacts(s, { space: { kind } }), DEFAULT_SETTINGS, THIS_YEAR).spaces[0]!;
  };
  // 40 CFR 745.83: up to and with 6 ft2 in a room, 20 ft2 outside.
  test.each([
    [5.99, 'room', true],
    [6, 'room', true],
    [6.01, 'room', false],
    [19.99, 'elevation', true],
    [20, 'elevation', true],
    [20.01, 'elevation', false],
  ] as const)('%d ft2 in a %s: %s', (area, kind, want) => {
    const sp = minor(area, kind);
    expect(sp.disturbedM2 / FT2).toBeCloseTo(area, 6);
    expect(sp.minorWork.value).toBe(want);
  });
  test('what one test has cleared through all coats does not count; a chip at the lab, or a swab on the face, clears nothing', () => {
    const disturbed = (...readings: Surface['readings']) =>
      createDeriver().derive(aFacts(aSurface({ readings })), DEFAULT_SETTINGS, THIS_YEAR).spaces[0]!.disturbedM2;
    const clear = aReading({ spot: 'unchanged', reachedLayerIds: COATS, toSubstrate: true });
    expect(disturbed(clear)).toBe(0);
    expect(disturbed({ ...clear, reachedLayerIds: ['coat-0'], toSubstrate: false })).toBeGreaterThan(0);
    expect(disturbed(clear, aReading({ kind: 'lab', reachedLayerIds: COATS, toSubstrate: true }))).toBeGreaterThan(0);
    expect(disturbed(clear, aReading({ kind: 'xrf', value: 3, unit: 'mg/cm2', toSubstrate: true }))).toBeGreaterThan(0);
  });
  // 40 CFR 745.83: all work in one room within 30 days is one job.
  test('rooms that are one add up, and so does what was begun and taken off the list, until 30 days lie between', () => {
    const begun = { ...aCheck('bare.flat.wetScrapeLoose'), takenAt: '2026-05-04T13:20:00.000Z' };
    const off = { ...onePart('wetScrapeLoose', { lengthM: ft(3), widthM: ft(1) }), id: 'surface-2', removedAt: '2026-05-05T08:00:00.000Z' };
    const four = onePart('wetScrapeLoose', { lengthM: ft(4), widthM: ft(1) });
    const feet = (other: Surface, startOn: string | null, spaces = [aSpace()]) =>
      createDeriver()
        .derive({ ...aFacts(four, { job: { startOn }, others: [other] }), spaces }, DEFAULT_SETTINGS, THIS_YEAR)
        .spaces.map((s) => [Math.round(s.disturbedM2 / FT2), s.minorWork.value, s.minorWork.because.length]);
    expect(feet(off, null)).toEqual([[4, true, 1]]);
    const worked = { ...off, checks: [begun] };
    expect([null, '2026-05-01', '2026-06-03', '2026-06-04'].map((day) => feet(worked, day)[0])).toEqual([
      [7, false, 2],
      [7, false, 2],
      [7, false, 2],
      [4, true, 1],
    ]);
    const rooms = (joinedToId: string | null) => [aSpace(), aSpace({ id: 'room-2', name: 'Hall', position: 1, joinedToId })];
    const there = { ...worked, removedAt: null, spaceId: 'room-2' };
    expect(feet(there, null, rooms(null)).map(([ft2]) => ft2)).toEqual([4, 3]);
    expect(feet(there, null, rooms('room-1'))).toEqual([
      [7, false, 1],
      [7, false, 1],
    ]);
  });
  test('all surfaces of a room add up, and a piece taken out counts whole', () => {
    const four = onePart('wetScrapeLoose', { lengthM: ft(4), widthM: ft(1) });
    const three = { ...onePart('wetScrapeLoose', { lengthM: ft(3), widthM: ft(1) }), id: 'surface-2' };
    // Worked example: 4 ft2 + 3 ft2 within 30 days = 7 ft2, over the limit.
    const room = createDeriver().derive(aFacts(four, { others: [three] }), DEFAULT_SETTINGS, THIS_YEAR).spaces[0]!;
    expect(room.disturbedM2 / FT2).toBeCloseTo(7, 6);
    expect(room.minorWork.value).toBe(false);
    const parts: Surface['parts'] = [
      aPart('flat', 'replacePart', { id: 'part-a', sharePct: 20 }),
      aPart('moulded', 'leave', { id: 'part-b', sharePct: 80 }),
    ];
    const whole = createDeriver().derive(aFacts(aSurface({ parts, lengthM: ft(10), widthM: ft(1) })), DEFAULT_SETTINGS, THIS_YEAR)
      .spaces[0]!;
    expect(whole.disturbedM2 / FT2).toBeCloseTo(10, 6);
  });
});

describe('containment', () => {
  // 40 CFR 745.85(a)(2)(ii): 10 ft beyond. Worked example: 30 ft wall -> (30 + 20) x 10 = 500 ft2.
  test('outside: 10 ft beyond the work', () => {
    const p = protectionOf(onePart('wetScrapeLoose', { element: 'siding', lengthM: ft(30), widthM: ft(8) }), {
      space: { kind: 'elevation', boundaryM: 30 },
    });
    expect(p.sheetLaidM2.value / FT2).toBeCloseTo(500, 6);
  });
  // 40 CFR 745.85(a)(2)(i): 6 ft beyond, or to the wall.
  test('inside: 6 ft beyond the work, stopped by the walls', () => {
    const s = onePart('wetScrapeLoose', { element: 'wainscot', lengthM: ft(8), widthM: ft(3) });
    expect(protectionOf(s).sheetLaidM2.value / FT2).toBeCloseTo((8 + 12) * 6, 6);
    const small = protectionOf(s, { space: { lengthM: ft(10), widthM: ft(5) } });
    expect(small.sheetLaidM2.value / FT2).toBeCloseTo(50, 6);
    expect(rulesOf(small.sheetLaidM2.because)).toContain('protect.sheetToWalls');
  });
  test.each([
    [9.99, true],
    [10, false],
    [null, true],
  ] as const)('a boundary %s ft away wants a screen: %s', (feet, want) => {
    const p = protectionOf(onePart('wetScrapeLoose', { element: 'siding' }), {
      space: { kind: 'elevation', boundaryM: feet === null ? null : ft(feet) },
    });
    expect(p.verticalScreen.value).toBe(want);
  });
  test('no lead, no nagging: a coat of 2019 gets no lead sheet, sign or respirator', () => {
    const p = protectionOf(onePart('drySand', { yearMade: 2019, readings: [] }));
    expect([p.needed.value, p.respirator.value, p.sign.value]).toEqual([false, null, []]);
  });
});

describe('presumed exposure and the respirator that covers it', () => {
  // 29 CFR 1926.62(d)(2): classes up to 500, up to 2,500, above. 29 CFR 1910.134 table 1: half mask 10, loose-fitting powered hood 25, full face 50.
  const outdoors: Setup = { space: { kind: 'elevation' }, settings: { allowHotAirOnLead: true } };
  test.each([
    ['wetScrapeLoose', 'keepSound', 'class1', 'halfMask'],
    ['heatGun', 'bareClear', 'class1', 'halfMask'],
    ['hepaSand', 'bareClear', 'class1', 'halfMask'],
    ['solventGel', 'bareClear', 'class1', 'halfMask'],
  ] as const)('%s: %s', (id, aim, exposure, respirator) => {
    const p = protectionOf(onePart(id, { aim }), outdoors);
    expect([p.exposure.value, p.respirator.value]).toEqual([exposure, respirator]);
  });
  test('factor times limit covers the top of the class: 10 x 50 = 500, 50 x 50 = 2,500', () => {
    const us = RULEBOOKS.us;
    const limit = us.leadAir.is.value;
    const apf = (id: string) => us.respirators.find((r) => r.id === id)!.apf;
    expect(apf('halfMask') * limit).toBe(500);
    expect(apf('poweredHood') * limit).toBe(1250);
    expect(apf('fullFace') * limit).toBe(2500);
  });
  // HSE HSG53: FFP3 20, full face with P3 40; the UK airborne limit is 0.15 mg/m3 (CLAW 2002).
  test('UK rules: FFP3 for dust, a half mask with cartridges where there is vapour', () => {
    expect(protectionOf(onePart('wetScrapeLoose'), { job: { rulebook: 'uk' } }).respirator.value).toBe('ffp3');
    const gel = protectionOf(onePart('solventGel', { aim: 'bareClear' }), { job: { rulebook: 'uk' } });
    expect([gel.respirator.value, gel.cartridges]).toEqual(['halfP3', ['organicVapour']]);
    expect(convert(RULEBOOKS.uk.leadAir.is.value, 'mg/m3', 'ug/m3')).toBe(150);
  });
  test('caustic brings gloves, shield and an eyewash of 15 minutes (ANSI Z358.1)', () => {
    const kit = protectionOf(onePart('causticPoultice', { aim: 'bareClear' }), outdoors).kit.map((k) => k.value);
    expect(kit).toEqual(expect.arrayContaining(['causticGloves', 'faceShield', 'eyewash']));
  });
  // 29 CFR 1926.62(m).
  test('the sign carries the words of the rule', () => {
    expect(protectionOf(onePart('wetScrapeLoose')).sign.value.join(' ')).toBe(
      'DANGER LEAD WORK AREA MAY DAMAGE FERTILITY OR THE UNBORN CHILD CAUSES DAMAGE TO THE CENTRAL NERVOUS SYSTEM DO NOT EAT, DRINK OR SMOKE IN THIS AREA',
    );
  });
});

// Law P2, for whoever does each task: 29 CFR 1926.62(f) by exposure, 42 CFR 84 by what is in the air.
test('each task has its own mask, cartridges and gloves; where they go on at once the strictest of them holds', () => {
  const both = onePart('solventGel', {
    parts: [aPart('flat', 'solventGel', { sharePct: 60 }), aPart('turned', 'wetScrapeLoose', { sharePct: 40, id: 'p2' })],
  });
  const p = protectionOf(both);
  const task = (id: MethodId) => p.tasks.find((t) => t.methodId === id)!;
  const kit = (of: { readonly kit: readonly { readonly value: string }[] }) => of.kit.map((k) => k.value);
  expect(task('solventGel').cartridges).toEqual(['organicVapour']);
  expect(task('wetScrapeLoose').cartridges).toEqual([]);
  expect(kit(task('solventGel'))).toContain('solventGloves');
  expect(kit(task('wetScrapeLoose'))).toContain('nitrileGloves');
  // Said of each beyond what both do, on every screen and paper.
  expect(taskWears(task('wetScrapeLoose'), p.tasks)).toMatch(/^Half mask with P100 filters, nitrile gloves$/);
  expect(p.cartridges).toEqual(['organicVapour']);
  expect(kit(p)).not.toContain('nitrileGloves');
  const rank = (id: string | null) => RULEBOOKS.us.respirators.findIndex((r) => r.id === id);
  expect(Math.max(...p.tasks.map((t) => rank(t.respirator.value)))).toBeLessThanOrEqual(rank(p.respirator.value));
});

// Law W2: what the zone reaches and what is said of it agree.
test('where growth is cleaned in a new house nobody says that no hazard is disturbed, nor that no seal is called for', () => {
  const moldy = onePart('wetScrapeLoose', { readings: [], yearMade: 2016, conditions: ['moldy'], moldM2: 4 });
  const plan = planOf(moldy, { job: { yearBuilt: 2016 } });
  const said = plan.work.steps.filter((st) => st.kind === 'protect').flatMap((st) => st.because.map((r) => sentence(r, 'm')));
  expect(plan.protection.care).toBe('growth');
  expect(said.length).toBeGreaterThan(1);
  expect(said.join(' ')).not.toMatch(/no hazard|no seal/i);
});

// Common practice, no published source: a square has the least way round for what it holds.
test('tape runs round the sheet, a sealed room has a zip door, an upright screen its poles; nothing of it where nothing is laid', () => {
  const room = protectionOf(onePart('wetScrapeLoose', { element: 'wainscot' }));
  expect(room.fixings.zipDoors).toBe(1);
  expect(room.fixings.tapeM).toBeGreaterThan(4 * Math.sqrt(room.sheetLaidM2.value));
  const near = protectionOf(onePart('wetScrapeLoose', { element: 'siding' }), { space: { kind: 'elevation', boundaryM: 1 } });
  expect([near.fixings.poles > 1, near.fixings.zipDoors]).toEqual([true, 0]);
  expect(protectionOf(onePart('leave')).fixings).toEqual({ tapeM: 0, poles: 0, zipDoors: 0 });
});
