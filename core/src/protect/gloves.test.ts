/** Gloves enumerated over what hands meet; coats and their vapour in a zone. */
import { CHEMISTRIES, type Surface } from '../facts';
import { createDeriver } from '../job/derive';
import { sentence } from '../words';
import { DEFAULT_SETTINGS } from '../rulebook';
import { aFacts, aPart, aSurface, THIS_YEAR } from '../testing';
import { BREAKTHROUGH_MIN, gloveFor, type HandChemical } from './gloves';

const CHEMICALS = Object.keys(BREAKTHROUGH_MIN) as HandChemical[];

// Makers' permeation charts (EN ISO 374-1, ASTM F739), from memory: nitrile fails in NMP, acetone and methylene chloride, butyl in limonene and xylene.
test.each([
  ['benzylAlcohol', 'butyl'],
  ['nmp', 'butyl'],
  ['limonene', 'nitrile'],
  ['mineralSpirits', 'nitrile'],
  ['methyleneChloride', 'laminate'],
  ['acetone', 'butyl'],
  ['isopropanol', 'nitrile'],
  ['xylene', 'laminate'],
] as const)('%s: %s', (chemical, material) => {
  expect(gloveFor([chemical]).material).toBe(material);
});

test('enumerated: two at once never get a glove that either alone comes through, and are changed no later than for either', () => {
  for (const a of CHEMICALS)
    for (const b of CHEMICALS) {
      const both = gloveFor([a, b]);
      for (const c of [a, b]) {
        expect([a, b, both.changeMin <= BREAKTHROUGH_MIN[c][both.material] / 2]).toEqual([a, b, true]);
        expect(both.changeMin).toBeLessThanOrEqual(gloveFor([c]).changeMin);
      }
    }
});

test('what nobody said is held as the worst that is sold', () => {
  const unsaid = gloveFor(['unsaid']);
  for (const c of CHEMISTRIES) expect(unsaid.changeMin).toBeLessThanOrEqual(gloveFor([c]).changeMin);
  expect(unsaid.material).toBe('laminate');
});

describe('coats and what evaporates', () => {
  const zoneOf = (over: object, space: object = {}) => {
    const s = aSurface({
      element: 'wall',
      material: 'softwood',
      lengthM: 5,
      widthM: 2.4,
      readings: [],
      yearMade: 2016,
      topcoat: 'alkydGloss',
      parts: [aPart('flat', 'overcoat')],
      ...over,
    });
    return createDeriver().derive(
      aFacts(s, { job: { yearBuilt: 2016 }, space: { lengthM: 4, widthM: 3, heightM: 2.4, ...space } }),
      DEFAULT_SETTINGS,
      THIS_YEAR,
    ).zones[0]!;
  };
  test('a solvent gloss in a room has its cartridge, gloves and vapour; in the open air it needs no mask; a waterborne one needs none of it', () => {
    const room = zoneOf({});
    expect(room.protection.coat).toMatchObject({
      products: expect.arrayContaining(['alkydGloss']),
      respirator: { value: 'halfMask' },
      cartridges: ['organicVapour'],
    });
    expect(room.hazards.map((h) => h.kind)).toContain('vapour');
    expect(zoneOf({}, { kind: 'elevation' }).protection.coat).toMatchObject({ respirator: { value: null }, cartridges: [] });
    expect(zoneOf({ topcoat: 'waterborneEggshell' }).protection.coat).toBeNull();
  });
  // Worked by hand: 0.25 L/m2, of which 0.3 are in the air within the hour, against 100 ppm mixed by 3.
  test('the spirit that wipes a residue off counts as much as the gel, and a sealed room has no window for it', () => {
    const s = aSurface({
      element: 'wall',
      material: 'softwood',
      lengthM: 5,
      widthM: 2.4,
      aim: 'bareClear',
      parts: [aPart('flat', 'solventGel')],
    });
    const facts = aFacts(s, { space: { lengthM: 4, widthM: 3, heightM: 2.4 } });
    const wiped = createDeriver()
      .derive(facts, DEFAULT_SETTINGS, THIS_YEAR)
      .zones[0]!.vapour.find((v) => v.value.what === 'whiteSpirit')!;
    const airPerM2 = (((0.25 * 0.3 * 780) / 142) * 0.02406 * 3) / 100e-6;
    expect(wiped.value.shutM2!).toBeCloseTo((28.8 * (0.5 + 1)) / airPerM2, 6);
    expect([wiped.value.openM2, wiped.because[0]!.rule]).toEqual([wiped.value.shutM2, 'vapour.sealed']);
  });
  // Worked by hand: 40 um dry at 52 % solids are 85 mL/m2 wet with a tenth lost; 0.8 of its 48 % thinner over 4 h against 100 ppm, mixed by 3.
  test('how much at once: by the room, and more with two windows open', () => {
    const of = (zone: ReturnType<typeof zoneOf>) => zone.vapour.find((v) => v.value.what === 'alkydGloss')!;
    const small = of(zoneOf({}));
    const litres = (40 / 520) * 1.1 * 0.48 * 0.8;
    const airPerM2 = (((litres * 780) / 4 / 142) * 0.02406 * 3) / 100e-6;
    expect(small.value.shutM2!).toBeCloseTo((28.8 * (0.5 + 1 / 4)) / airPerM2, 1);
    expect(small.value.openM2!).toBeCloseTo((28.8 * (4 + 1 / 4)) / airPerM2, 1);
    const large = of(zoneOf({}, { lengthM: 8 }));
    expect(large.value.shutM2!).toBeCloseTo(2 * small.value.shutM2!, 6);
    expect(sentence(small.because[0]!, 'm')).toMatch(/too much at once/);
    const unknown = of(zoneOf({}, { heightM: null }));
    expect([unknown.value.shutM2, unknown.because[0]!.rule]).toEqual([null, 'vapour.unmeasured']);
    expect(zoneOf({}, { kind: 'elevation' }).vapour).toEqual([]);
  });
  // ACGIH, appendix on mixtures: C1/T1 + C2/T2 > 1 is over, though neither is.
  test('two that each fit are not laid at the same time where together they are over; the coats of one piece wait anyway', () => {
    const room = { lengthM: 8, widthM: 4, heightM: 2.4 };
    const piece = (id: string, over: Partial<Surface>) =>
      aSurface({ id, element: 'wall', lengthM: 3, yearMade: 2016, parts: [aPart('flat', 'overcoat', { id: `${id}-part` })], ...over });
    const told = (widthM: number) => {
      const facts = aFacts(piece('one', { material: 'softwood', topcoat: 'alkydGloss', widthM }), {
        job: { yearBuilt: 2016 },
        space: room,
        others: [piece('two', { material: 'mildSteel', topcoat: 'metalEnamel', widthM: 0.3 })],
      });
      const vapour = createDeriver().derive(facts, DEFAULT_SETTINGS, THIS_YEAR).zones[0]!.vapour;
      const share = vapour.reduce((sum, v) => sum + v.value.pieceM2 / v.value.openM2!, 0);
      return { share, rules: vapour.map((v) => v.because.some((r) => r.rule === 'vapour.together')) };
    };
    const [small, large] = [told(0.2), told(2)];
    expect([small.share < 1, small.rules.includes(true)]).toEqual([true, false]);
    expect([large.share > 1, large.rules]).toEqual([true, [true, true]]);
    expect(zoneOf({ lengthM: 3 }, room).vapour.flatMap((v) => v.because.map((r) => r.rule))).not.toContain('vapour.together');
  });
});
