import {
  METHOD_IDS,
  SIGNS,
  type Extent,
  type Material,
  type MethodId,
  type PartKind,
  type Sign,
  type SignId,
  type Surface,
} from '../facts';
import { aPart, aReading, aSurface, AT, COATS, GOOD_NUMBERS, planOf, rulesOf, aLayer, type Setup } from '../testing';
import { sentence } from '../words';
import { GOODS, methodById } from '../catalogue';
import type { SeenAt, Step } from '../step';
import { AGAIN_MOST, offersAt, placeOf, seenTold, signsAt } from './index';
import { SIGN_DATA, SIGN_ROLES } from '../catalogue';

const later = (min: number): string => new Date(Date.parse(AT) + min * 60_000).toISOString();
const aSign = (sign: Sign['sign'], at: SeenAt, extent: Extent = 'whole', min = 0, over: Partial<Sign> = {}): Sign => ({
  id: `sign-${sign}-${min}`,
  sign,
  partId: 'stroke' in at ? at.partId : null,
  methodId: 'stroke' in at ? at.stroke : null,
  product: 'coat' in at ? at.coat : null,
  extent,
  note: '',
  takenAt: later(min),
  supersedesId: null,
  supersedesWhy: null,
  by: 'Tester',
  ...over,
});
const clear = aReading({ spot: 'unchanged', reachedLayerIds: COATS, toSubstrate: true, kitRecognised: true });
const lead = aReading({ spot: 'changed', reachedLayerIds: COATS, toSubstrate: true });
/** Pine with a gel planned on it, in a house that is too new for lead. */
const stripped = (over: Partial<Surface> = {}, method: MethodId = 'solventGel', kind: PartKind = 'flat') =>
  aSurface({
    material: 'softwood',
    aim: 'bareClear',
    topcoat: 'clearVarnish',
    yearMade: 2005,
    lengthM: 4,
    widthM: 0.5,
    parts: [aPart(kind, method)],
    ...over,
  });
const stepWith = (s: Surface, setup: Setup = {}, pick: (st: Step) => boolean = (st) => st.at !== undefined && 'stroke' in st.at) =>
  planOf(s, setup).work.steps.find(pick)!;
const litres = (st: Step, what: string): number => st.amounts.find((a) => a.what === what)?.amount.value ?? 0;

describe('what is on the list', () => {
  test('every method that is stroked has signs to go on, to stop and of harm', () => {
    const silent = METHOD_IDS.filter((id) => placeOf(id) === null);
    // What is left, boarded over or taken out whole is not stroked.
    expect(silent).toEqual(['leave', 'cover', 'replacePart']);
    for (const id of METHOD_IDS) {
      const place = placeOf(id);
      if (place === null) continue;
      const roles = new Set(
        Object.values(SIGN_DATA)
          .filter((x) => x.at.includes(place))
          .map((x) => x.role),
      );
      expect([id, SIGN_ROLES.filter((r) => roles.has(r))]).toEqual([id, [...SIGN_ROLES]]);
    }
  });
  test('no two are drawn alike where they can stand side by side', () => {
    for (const id of METHOD_IDS) {
      const place = placeOf(id);
      const looks = SIGNS.filter((x) => place !== null && SIGN_DATA[x].at.includes(place)).map((x) => JSON.stringify(SIGN_DATA[x].look));
      expect(new Set(looks).size).toBe(looks.length);
    }
  });
  test('what cannot be there is not offered: metal signs on wood, a dry tool misted', () => {
    const at: SeenAt = { stroke: 'hepaSand', partId: 'part-flat', areaM2: 2 };
    const some = signsAt(stripped({}, 'hepaSand'), at);
    expect(some).toContain('dustEscapes');
    expect(some).not.toContain('dustRises');
    expect(signsAt(stripped({ material: 'mildSteel' }), { ...at, stroke: 'solventGel' })).not.toContain('gelGrain');
  });
});

/** A surface on which each family of strokes is planned. */
const HOLDERS: readonly (readonly [MethodId, Material, Partial<Surface>?])[] = [
  ['solventGel', 'softwood'],
  ['causticReady', 'softwood'],
  ['milkPowder', 'softwood', { layers: [aLayer(0, { binder: 'casein' }), aLayer(1, { binder: 'casein' })] }],
  ['masonryKit', 'brick'],
  ['infrared', 'softwood'],
  ['steam', 'limePlaster', { layers: [aLayer(0, { binder: 'distemper' }), aLayer(1, { binder: 'distemper' })] }],
  ['wetScrapeLoose', 'limePlaster', { conditions: ['flaking'], aim: 'keepSound', topcoat: 'matEmulsion' }],
  ['wetScrapeLoose', 'softwood', { conditions: ['flaking'], aim: 'keepSound' }],
  ['wetSand', 'softwood'],
  ['hepaSand', 'softwood'],
  ['overcoat', 'softwood', { aim: 'keepSound', topcoat: 'waterborneEggshell' }],
  ['distemperWash', 'limePlaster', { layers: [aLayer(0, { binder: 'distemper' })], topcoat: 'matEmulsion' }],
  ['wireBrush', 'mildSteel', { conditions: ['flaking'], aim: 'keepSound', topcoat: 'metalEnamel' }],
  ['softBlast', 'softwood'],
  ['thickPrimer', 'softwood', { aim: 'keepSound', topcoat: 'waterborneEggshell' }],
];
const helper = (id: MethodId, material: Material, over: Partial<Surface> = {}) =>
  stripped({ material, aim: 'keepSound', topcoat: 'metalEnamel', ...over, parts: [aPart('flat', 'overcoat', { alsoIds: [id] })] });
const SURFACES: readonly Surface[] = [
  ...HOLDERS.map(([id, material, over]) =>
    stripped({ material, ...over, parts: [aPart('flat', id, { insistedWhy: 'a test asks for it' })] }),
  ),
  helper('washDegrease', 'softwood', { topcoat: 'waterborneEggshell' }),
  helper('moldWash', 'limePlaster', { topcoat: 'matEmulsion', conditions: ['moldy'], moldM2: 0.3 }),
  helper('rustGel', 'mildSteel', { rustGrade: 3 }),
  stripped({
    element: 'doubleHungSash',
    aim: 'keepSound',
    topcoat: 'waterborneEggshell',
    parts: [aPart('besideGlass', 'overcoat', { alsoIds: ['puttyCut'] })],
  }),
  stripped({ layings: { topcoat: 'lowPressure' }, aim: 'keepSound', topcoat: 'waterborneEggshell' }),
  stripped({ parts: [aPart('besideGlass', 'infrared', { insistedWhy: 'a test asks for it' })] }),
  stripped({ parts: [aPart('besideGlass', 'softBlast', { insistedWhy: 'a test asks for it' })] }),
];
const OPEN: Setup = { job: { yearBuilt: 2005, power: 'yes', water: 'yes' }, space: { causeKnown: true } as Setup['space'] };

test('each sign that can be told sets something going on its step', () => {
  const told = new Set<SignId>();
  for (const s of SURFACES)
    for (const st of planOf(s, OPEN).work.steps) {
      if (!st.at) continue;
      for (const sign of signsAt(s, st.at)) {
        if (told.has(sign)) continue;
        const seen = { ...s, signs: [aSign(sign, st.at)] };
        const after = planOf(seen, OPEN).work.steps.find((x) => x.id === st.id)!;
        const does = (x: Step) => JSON.stringify([x.handsOnH, x.waitH, x.amounts, x.gates.map((g) => g.id)]);

        // An end has nothing to add: it shuts what would add to it.
        const shut = offersAt(seen, st.at, { suspect: false, leadPresent: false }, new Date(later(1))).filter((o) => o.refused !== null);
        expect([sign, does(after) !== does(st) || shut.length > 0]).toEqual([sign, true]);
        expect(rulesOf(after.because)).toContain(`sign.${sign}`);
        told.add(sign);
      }
    }
  expect(SIGNS.filter((x) => !told.has(x))).toEqual([]);
});

describe('what follows from one', () => {
  const s = stripped();
  const at = stepWith(s).at! as SeenAt & { readonly stroke: MethodId };
  // By hand: 2 m2 of gel at 0.9 L/m2 a pass; a thirsty half takes 0.4 films of it more: 1 x 0.4 x 0.9 = 0.36 L.
  test('thirsty patches take their share of a film, and the minutes to lay it', () => {
    const before = stepWith(s);
    const after = stepWith({ ...s, signs: [aSign('gelThirsty', at, 'half')] });
    expect(litres(after, 'stripperGel') - litres(before, 'stripperGel')).toBeCloseTo((at.areaM2 / 2) * 0.4 * 0.9, 9);
    expect(after.handsOnH.high - before.handsOnH.high).toBeCloseTo(at.areaM2 / 2 / methodById('solventGel').laying!.layM2PerH, 9);
    const [a, b] = [planOf(s), planOf({ ...s, signs: [aSign('gelThirsty', at, 'half')] })];
    // 0.9 L of gel are a film on a square metre; the work beside it.
    expect(b.materials.high - a.materials.high).toBeCloseTo((at.areaM2 / 2) * 0.4 * 0.9 * GOODS.stripperGel.price!, 9);
    expect(b.money.high).toBeGreaterThan(a.money.high);
  });
  test('what is through is lifted: its half waits no more', () => {
    expect(stepWith({ ...s, signs: [aSign('gelBubbles', at, 'half')] }).waitH.high).toBeCloseTo(stepWith(s).waitH.high / 2, 9);
    expect(stepWith({ ...s, signs: [aSign('gelTacky', at)] }).waitH.high).toBeCloseTo(stepWith(s).waitH.high + 0.5, 9);
  });
  test('a thinner film is never thinner than the product asks for', () => {
    // 0.9 x 0.7 = 0.63 mm is held by nothing; milk powder at 0.19 x 0.7 = 0.133 neither; the stone kit 0.7 stays above 0.5.
    const runs = stepWith({ ...s, signs: [aSign('gelRuns', at)] });
    expect(litres(runs, 'stripperGel')).toBeCloseTo(litres(stepWith(s), 'stripperGel') - 0.27 * at.areaM2, 9);
    const neutral = stripped({}, 'neutralStripper');
    const twice = { ...neutral, signs: [aSign('gelRuns', stepWith(neutral).at!)] };
    expect(rulesOf(stepWith(twice).because)).not.toContain('seen.filmHeld');
  });
  test('an edge that held is not gone over again, and a method that changes nothing has an end', () => {
    const plaster = SURFACES[6]!;
    const scrape = stepWith(plaster, OPEN);
    const where = scrape.at!;
    const held = { ...plaster, signs: [aSign('edgeHeld', where)] };
    const told = seenTold(planOf(held, OPEN));
    const offer = (x: Surface, id: SignId) => offersAt(x, where, told, new Date(later(60))).find((o) => o.sign === id)!;
    expect(sentence(offer(held, 'edgeLifts').refused!, 'ft')).toBe(
      'Seen before: edge held from two sides. Another pass only takes from the material.',
    );
    // A spot that held leaves the rest open, and other spots are other places.
    const spot = { ...plaster, signs: [aSign('edgeHeld', where, 'spot'), ...[1, 2, 3].map((n) => aSign('edgeLifts', where, 'spot', n))] };
    expect(offer(spot, 'edgeLifts').refused).toBeNull();
    // What held is not gone over with the rest.
    const rest = { ...plaster, signs: [aSign('edgeHeld', where, 'half'), aSign('edgeLifts', where, 'whole', 1)] };
    const more = stepWith(rest, OPEN).handsOnH.high - stepWith(plaster, OPEN).handsOnH.high;
    const all =
      stepWith({ ...plaster, signs: [aSign('edgeLifts', where, 'whole', 1)] }, OPEN).handsOnH.high - stepWith(plaster, OPEN).handsOnH.high;
    expect(more).toBeCloseTo(all / 2, 6);
    const over = Array.from({ length: AGAIN_MOST }, (_, i) => aSign('edgeLifts', where, 'whole', i));
    expect(offer({ ...plaster, signs: over.slice(1) }, 'edgeLifts').refused).toBeNull();
    expect(offer({ ...plaster, signs: over }, 'edgeLifts').refused?.rule).toBe('seen.loop');
    // Written all the same, by another phone: it sets going no pass, and asks.
    const third = { ...plaster, signs: [...over, aSign('edgeLifts', where, 'whole', 9)] };
    expect(stepWith(third, OPEN).handsOnH).toEqual(stepWith({ ...plaster, signs: over }, OPEN).handsOnH);
    expect(stepWith(third, OPEN).gates.map((g) => g.id)).toContain('seen.edgeLifts.3');
  });
  test('a film is not seen where the record says bare', () => {
    const bare = stripped({ layers: [], coatsCounted: true }, 'solventGel');
    const none: SeenAt = { stroke: 'solventGel', partId: 'part-flat', areaM2: 2 };
    const refused = offersAt(bare, none, { suspect: false, leadPresent: false }, new Date(AT)).filter((o) => o.refused !== null);
    expect(refused.map((o) => o.sign)).toEqual(expect.arrayContaining(['gelBubbles', 'oldColour']));
    expect(refused.map((o) => o.sign)).not.toContain('gelThirsty');
  });
  test('nothing is rubbed down on what may hold asbestos', () => {
    const wet: SeenAt = { coat: 'matEmulsion', sprayed: false, areaM2: 4, recoatH: { low: 4, high: 6 } };
    const ceiling = aSurface({ element: 'ceiling' });
    const rules = (suspect: boolean) =>
      offersAt(ceiling, wet, { suspect, leadPresent: false }, new Date(AT))
        .filter((o) => o.refused)
        .map((o) => o.sign);
    expect(rules(false)).toEqual([]);
    expect(rules(true)).toEqual(expect.arrayContaining(['coatRun', 'coatRidge', 'coatLump', 'coatBloom']));
  });
  test('gel with lead in it stays on its piece', () => {
    const one = { ...stripped({ yearMade: 1904, readings: [lead] }), signs: [aSign('gelStillWet', at)] };
    const six = { ...one, count: 6 };
    expect(rulesOf(stepWith(one).because)).toEqual(expect.arrayContaining(['seen.relay', 'seen.relayLead']));
    expect(rulesOf(stepWith(six).because)).toContain('seen.relayApart');
    expect(litres(stepWith(one), 'stripperGel')).toBeLessThan(litres(stepWith({ ...one, signs: [] }), 'stripperGel'));
    // However often it is told, nothing comes back into the tin.
    const often = { ...one, signs: [0, 1, 2, 3, 4].map((n) => aSign('gelStillWet', at, 'whole', n)) };
    expect(litres(stepWith(often), 'stripperGel')).toBe(0);
    const spent = planOf({ ...one, signs: [] }).materials.high - planOf(often).materials.high;
    // No more is saved than the tin was to give.
    expect(spent).toBeCloseTo(litres(stepWith({ ...one, signs: [] }), 'stripperGel') * GOODS.stripperGel.price!, 6);
    expect(litres(stepWith(six), 'stripperGel')).toBe(litres(stepWith({ ...six, signs: [] }), 'stripperGel'));
  });
});

describe('where the work stands', () => {
  const passes = (s: Surface, min: number): Surface['checks'] =>
    planOf(s).work.steps.flatMap((st) =>
      st.shared
        ? []
        : st.gates.map((g, i) => ({
            id: `pass-${g.id}-${min}`,
            gate: g.id,
            zoneId: null,
            outcome: 'pass' as const,
            measured: GOOD_NUMBERS,
            pieceIds: null,
            spokeOf: null,
            note: '',
            takenAt: later(min + i / 100),
            supersedesId: null,
            supersedesWhy: null,
            by: 'Tester',
          })),
    );
  const zonePasses = (s: Surface, min: number) =>
    planOf(s).work.steps.flatMap((st) =>
      st.shared
        ? st.gates.map((g) => ({
            ...passes(s, min)[0]!,
            id: `zone-${g.id}-${min}`,
            gate: g.id,
            takenAt: later(st.kind === 'protect' ? -60 : min),
          }))
        : [],
    );
  const states = (s: Surface, zone: Surface['checks']) =>
    Object.fromEntries(planOf(s, { zoneChecks: zone }).work.steps.flatMap((st) => st.gates.map((g) => [g.id, g.state] as const)));

  test('an older colour sends that stroke back; a later pass mends it, an earlier one does not', () => {
    const base = stripped({ readings: [clear] });
    const zone = zonePasses(base, 0);
    const stroke = stepWith(base);
    const done = { ...base, checks: passes(base, 0) };
    const gateId = stroke.gates[0]!.id;
    expect(states(done, zone)[gateId]).toBe('passed');
    const broke = { ...done, signs: [aSign('oldColour', stroke.at!, 'spot', 30)] };
    expect(states(broke, zone)[gateId]).not.toBe('passed');
    expect(states(broke, zone)['seen.oldColour.1']).toBeDefined();
    const again = { ...broke, checks: [...broke.checks, ...passes(broke, 60)] };
    expect(states(again, zonePasses(base, 40))[gateId]).toBe('passed');
    expect(states(again, zonePasses(base, 40))['seen.oldColour.1']).toBe('passed');
    // One more of its kind has a check of its own; taking back the first leaves that one its name.
    const two = { ...done, signs: [aSign('oldColour', stroke.at!, 'spot', 30), aSign('oldColour', stroke.at!, 'spot', 31)] };
    const first = { ...two, signs: [...two.signs, aSign('withdrawn', stroke.at!, 'spot', 32, { supersedesId: two.signs[0]!.id })] };
    expect(Object.keys(states(first, zone)).filter((id) => id.startsWith('seen.'))).toEqual(['seen.oldColour.2']);
    // Taken back, it is as if it had not been told.
    const taken = { ...broke, signs: [...broke.signs, aSign('withdrawn', stroke.at!, 'spot', 31, { supersedesId: broke.signs[0]!.id })] };
    expect(states(taken, zone)).toEqual(states(done, zone));
  });
  test('a gouge is filled with the repairs, and no coat goes on before', () => {
    const base = stripped({ aim: 'keepSound', topcoat: 'alkydGloss', readings: [clear], conditions: ['flaking'] }, 'wetScrapeLoose');
    const plan = planOf({ ...base, signs: [aSign('gouge', stepWith(base).at!, 'spot', 30)] });
    const at = plan.work.steps.findIndex((st) => st.gates.some((g) => g.id === 'seen.gouge.1'));
    expect(plan.work.steps[at]!.kind).toBe('repair');
    expect(plan.work.steps.findIndex((st) => st.kind === 'prime' || st.kind === 'coat')).toBeGreaterThan(at);
  });
  test('what was broken into is primed again, there and only there', () => {
    const base = stripped({ aim: 'keepSound', topcoat: 'alkydGloss', readings: [clear] });
    const broke = { ...base, signs: [aSign('oldColour', stepWith(base).at!, 'spot', 30)] };
    const first = (s: Surface) => planOf(s).work.steps.find((st) => st.at && 'coat' in st.at)!;
    const product = first(base).amounts[0]!.what;
    const line = planOf(base).coating.lines[0]!;
    expect(litres(first(broke), product) - litres(first(base), product)).toBeCloseTo((line.litres / (line.areaM2 * line.coats)) * 0.1, 9);
  });
  test('a bleeding stain sends the coat back to priming', () => {
    const base = stripped({ aim: 'keepSound', topcoat: 'alkydGloss', readings: [clear] });
    const coat = planOf(base).work.steps.find((st) => st.kind === 'coat')!;
    const plan = planOf({ ...base, signs: [aSign('coatBleeds', coat.at!, 'spot', 30)] });
    const back = plan.work.steps.find((st) => st.kind === 'coat')!.gates.find((g) => g.id.startsWith('seen.'))!;
    expect(back.backTo).toBe('prime');
    expect(rulesOf(plan.work.steps.find((st) => st.kind === 'coat')!.because)).toContain('sign.coatBleeds');
  });
});
