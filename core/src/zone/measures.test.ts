import { createDeriver } from '../job/derive';
import type { MethodId, Surface } from '../facts';
import { lookEvery } from '../protect/heat';
import { minutesAt, UNDER_ONE } from '../protect/noise';
import { gapsAt, pressureOver } from '../air/flow';
import { DEFAULT_SETTINGS } from '../rulebook';
import { aFacts, aPart, aSurface, THIS_YEAR } from '../testing';
import { convert } from '../units/units';

const ft2 = (n: number) => convert(n, 'ft2', 'm2');
/** A new piece in a measured room: neither lead nor asbestos is in it. */
function zoneFor(method: MethodId, over: Partial<Surface>, rulebook: 'us' | 'uk' = 'us', kind: 'room' | 'elevation' = 'room') {
  const piece = aSurface({ yearMade: 2016, readings: [], parts: [aPart('flat', method)], ...over });
  const facts = aFacts(piece, { job: { yearBuilt: 2016, rulebook }, space: { kind, lengthM: 5, widthM: 4, heightM: 2.5 } });
  return createDeriver().derive(facts, DEFAULT_SETTINGS, THIS_YEAR).zones[0]!;
}
const gatesOf = (z: ReturnType<typeof zoneFor>) => z.steps.flatMap((st) => st.gates.map((g) => g.id));

const wood = { element: 'door', material: 'softwood', aim: 'bareClear' } as const;
const grown = (m2: number | null) => ({ conditions: ['moldy'], moldM2: m2 }) satisfies Partial<Surface>;
// EPA 402-K-01-001 table 2; 29 CFR 1926.1153(d), (f); NFPA 51B (2019); ordinary dust by common practice, no published source.
test.each([
  ['ordinary dust', 'wetScrapeLoose', { ...wood, aim: 'keepSound' }, 'ordinary', 'none', []],
  ['small growth', 'moldWash', grown(ft2(9.9)), 'ordinary', 'none', []],
  [
    'medium growth',
    'moldWash',
    grown(ft2(10)),
    'growth',
    'closeAndSeal',
    ['containment-up', 'growth-sheet', 'air-runs', 'cleaned', 'released'],
  ],
  ['large growth', 'moldWash', grown(ft2(101)), 'growth', 'closeAndSeal', ['growth-sheet.two', 'air-runs', 'released']],
  ['growth that nobody measured', 'moldWash', grown(null), 'growth', 'closeAndSeal', ['growth-sheet', 'air-runs']],
  [
    'stone',
    'drySand',
    { element: 'wall', material: 'limePlaster', aim: 'keepSound' },
    'silica',
    'closeAndSeal',
    ['dust-kept', 'dust-gone', 'released'],
  ],
  ['vapour', 'solventGel', wood, 'ordinary', 'none', ['flames-out']],
  ['hot work', 'heatGun', { ...wood, aim: 'keepSound' }, 'ordinary', 'none', ['hot-clear', 'fire-watch']],
] as const)('%s is kept in by its own measures', (_what, method, over, care, openings, gates) => {
  for (const rulebook of ['us', 'uk'] as const) {
    const zone = zoneFor(method, over as Partial<Surface>, rulebook);
    expect([zone.protection.care, zone.protection.openings.value, zone.protection.needed.value]).toEqual([
      care,
      openings,
      openings !== 'none',
    ]);
    const all = gatesOf(zone);
    const measures = [
      'containment-up',
      'growth-sheet',
      'growth-sheet.two',
      'air-runs',
      'dust-kept',
      'dust-gone',
      'flames-out',
      'hot-clear',
      'released',
    ];
    expect(all).toEqual(expect.arrayContaining([...gates]));
    if (care === 'ordinary') expect(all.filter((g) => measures.includes(g) && !(gates as readonly string[]).includes(g))).toEqual([]);
  }
});

// Law H9.
test('heat and solvent on two pieces of a room have days of their own', () => {
  const piece = (id: string, method: MethodId, over: Partial<Surface>) =>
    aSurface({ id, name: id, ...wood, yearMade: 2016, readings: [], parts: [aPart('flat', method, { id: `${id}-part` })], ...over });
  const facts = aFacts(piece('hot', 'heatGun', { aim: 'keepSound' }), {
    others: [piece('gel', 'solventGel', {})],
    job: { yearBuilt: 2016 },
  });
  const [zone] = createDeriver().derive(facts, DEFAULT_SETTINGS, THIS_YEAR).zones;
  expect(gatesOf(zone!)).toEqual(expect.arrayContaining(['heat-apart', 'flames-out', 'hot-clear']));
});

test('outdoors growth and stone dust need no closed room; what sparks or burns is looked to all the same', () => {
  const stone = zoneFor('drySand', { element: 'wall', material: 'limePlaster', aim: 'keepSound' }, 'us', 'elevation');
  expect([stone.protection.care, stone.protection.needed.value, gatesOf(stone).includes('dust-kept')]).toEqual(['ordinary', false, true]);
  expect(gatesOf(zoneFor('heatGun', { ...wood, aim: 'keepSound' }, 'us', 'elevation'))).toContain('hot-clear');
});

// NIOSH 98-126: 85 dB(A) 8 h, 88 4 h, 100 15 min, 105 4.7 min. OSHA Technical Manual: (25 - 7) / 2 = 9 dB, so 105 leaves 96.
test.each([
  [85, 480],
  [88, 240],
  [100, 15],
  [105, 4.72],
  [80, 480],
] as const)('%s dB(A) is borne for %s min a day', (db, min) => {
  expect(minutesAt(db)).toBeCloseTo(min, 1);
});
test('what one protector does not hold asks for two', () => {
  expect(105 - UNDER_ONE).toBe(96);
  const kit = (method: MethodId, over: Partial<Surface>) => zoneFor(method, over).protection.kit.map((k) => k.value);
  expect(
    kit('needleGun', {
      element: 'railing',
      material: 'mildSteel',
      aim: 'bareClear',
    }),
  ).toContain('hearingTwice');
  expect(kit('hepaSand', wood)).toContain('hearing');
});

// NIOSH/OSHA/USCG/EPA 85-115, table 8-10, impermeable ensembles.
test.each([
  [72.4, null],
  [72.5, 120],
  [77.5, 90],
  [82.5, 60],
  [87.5, 30],
  [90, 15],
  [104, 15],
] as const)('in a suit at %s F everybody is looked at every %s min', (f, min) => {
  expect(lookEvery(f)).toBe(min);
});

test('the gaps that a flow still holds are those over which it holds that pressure', () => {
  expect(pressureOver(850, gapsAt(850, 5))).toBeCloseTo(5, 9);
});

// Law P5: what is worn while coating is paid for.
test('the mask of whoever coats with solvent indoors is in the price, and outdoors none is', () => {
  const wear = (topcoat: Surface['topcoat'], kind: 'room' | 'elevation') =>
    zoneFor('overcoat', { element: 'wall', material: 'softwood', topcoat }, 'us', kind).bought.wear.high;
  expect(wear('alkydGloss', 'room')).toBeGreaterThan(wear('matEmulsion', 'room'));
  expect(wear('alkydGloss', 'elevation')).toBe(wear('exteriorAcrylic', 'elevation'));
});
