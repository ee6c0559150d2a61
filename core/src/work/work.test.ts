import { AT, aFacts, aLayer, aReading, aSurface, COATS, planOf, rulesOf, THIS_YEAR, aPart } from '../testing';
import type { Check, MethodId, PartKind, Surface } from '../facts';
import { createDeriver } from '../job/derive';
import { DEFAULT_SETTINGS, RULEBOOKS } from '../rulebook';
import { sentence } from '../words';
import { convert } from '../units/units';
import { clothsForFloor } from './cloths';

const part = (kind: PartKind, sharePct: number, methodId: MethodId) => aPart(kind, methodId, { sharePct });
const found = aReading({ spot: 'changed', reachedLayerIds: COATS, toSubstrate: true });
const railing = (over: Partial<Surface> = {}) =>
  aSurface({
    element: 'railing',
    aim: 'bareClear',
    topcoat: 'alkydGloss',
    parts: [part('flat', 40, 'hepaSand'), part('turned', 40, 'solventGel'), part('moulded', 20, 'infrared')],
    readings: [found],
    ...over,
  });
const kinds = (s: Surface) => planOf(s).work.steps.map((x) => x.kind);
const check = (gate: string, outcome: 'pass' | 'fail', n: number, supersedesId: string | null = null): Check => ({
  id: `check-${n}`,
  gate,
  outcome,
  note: '',
  zoneId: null,
  takenAt: AT.replace('13:20', `13:${20 + n}`),
  supersedesId,
  supersedesWhy: supersedesId ? 'looked at again' : null,
  by: 'Tester',
});

describe('the order of work', () => {
  // What the zone does once stands around what is the surface's own: clean and verified before anything is primed.
  test('prepare, protect, remove, rinse, dry, check, repair, clean up, verify, prime, coat', () => {
    const order = ['prepare', 'protect', 'remove', 'rinse', 'dry', 'check', 'repair', 'cleanUp', 'verify', 'prime', 'coat'];
    const seen = kinds(railing());
    expect([...new Set(seen)]).toEqual(order);
    // Between two removals that must not meet stands a rinse of its own.
    const main = planOf(railing())
      .work.steps.filter((x) => !x.id.startsWith('between.'))
      .map((x) => order.indexOf(x.kind));
    expect(main).toEqual([...main].sort((a, b) => a - b));
  });
  // Common practice: coarse flats, strip the turned parts, final flats: stripper drips onto the flats and is sanded away.
  test('coarse flats, turned parts with stripper, then heat, then the final sanding; no heat on solvent', () => {
    const removal = planOf(railing()).work.steps.filter((s) => s.kind === 'remove');
    expect(removal.map((s) => s.id)).toEqual(['remove.flat.coarse', 'remove.turned', 'remove.moulded', 'remove.flat']);
    expect(rulesOf(removal[1]!.because)).toEqual(expect.arrayContaining(['order.messyFirst', 'order.noHeatOnSolvent']));
  });
  // Common practice: stop when an edge has held two passes from two angles; scuff 220 to 320, never coarser than 220.
  test('scraping carries the two-pass stop rule as a check, scuffing its grit', () => {
    const scraped = planOf(aSurface({ layers: [aLayer(0, { soundness: 'failing' }), aLayer(1)] })).work.steps.find(
      (s) => s.kind === 'remove',
    )!;
    expect(rulesOf(scraped.because)).toContain('order.twoPassRule');
    expect(scraped.gates.map((g) => sentence(g.because, 'm'))).toEqual(['Every edge has held two passes from two angles']);
    const scuffed = planOf(aSurface({ parts: [part('flat', 100, 'wetSand')] })).work.steps.find((s) => s.kind === 'remove')!;
    expect(
      sentence(
        scuffed.because.find((r) => r.rule === 'order.scuffGrit')!,
        'm',
      ),
    ).toMatch(/220 to 320, never coarser than 220/);
  });
  test('bare for stain: 36, then 60, rails to 100', () => {
    const flat = planOf(railing()).work.steps.find((s) => s.id === 'remove.flat')!;
    expect(
      sentence(
        flat.because.find((r) => r.rule === 'order.bareGrit')!,
        'm',
      ),
    ).toMatch(/36 then 60 .* 100/);
  });
  // The rate is one person's, whether one works or two beside each other: infrared and hot air alike.
  test('heat is priced by the person-hour, alone or in a pair', () => {
    const option = planOf(railing()).choice.parts[0]!.options.find((o) => o.methodId === 'infrared')!;
    expect(option.perM2.personHours.low).toBeCloseTo(1 / (30 * 0.09290304), 6);
  });
  test('where everything is blocked there is one step: stop and ask', () => {
    const s = aSurface({
      material: 'aluminium',
      conditions: ['oilSoaked'],
      parts: [part('flat', 100, 'leave')].map((p) => ({ ...p, methodId: null })),
    });
    const work = planOf(s).work;
    expect(work.steps.map((x) => x.kind)).toEqual(['ask']);
  });
  // 40 CFR 745.85(b): floor parts of less than 40 ft2; worked examples of the count.
  test.each([
    [12, 1],
    [40, 1],
    [40.1, 2],
    [79, 2],
    [80, 3],
    [130, 4],
  ])('verification of %d ft2 of floor takes %d cloths', (ft2, cloths) => {
    expect(clothsForFloor(convert(ft2, 'ft2', 'm2'), RULEBOOKS.us.floorSectionBelow)).toBe(cloths);
  });
});

/** A plan with its checks, each entered where it belongs: of the zone or of the surface. */
const withChecks = (checks: readonly Check[], over: Partial<Surface> = {}) => {
  const shared = new Set(planOf(railing(over)).work.steps.flatMap((st) => st.gates.flatMap((g) => (g.zoneId === null ? [] : [g.id]))));
  const ofZone = (c: Check) => shared.has(c.gate);
  return planOf(railing({ ...over, checks: checks.filter((c) => !ofZone(c)) }), { zoneChecks: checks.filter(ofZone) }).work;
};
describe('checks', () => {
  const standsAt = (checks: Check[]) => withChecks(checks).standsAt;
  const gates = planOf(railing()).work.steps.flatMap((s) => s.gates.map((g) => g.id));
  const allPassed = gates.map((g, i) => check(g, 'pass', i));
  const states = (checks: readonly Check[], over?: Partial<Surface>) =>
    Object.fromEntries(withChecks(checks, over).steps.flatMap((s) => s.gates.map((g) => [g.id, g.state])));
  test('the work stands at the first open check, and moves on as they pass', () => {
    expect(standsAt([])).toBe('protect');
    expect(standsAt([check('containment-up', 'pass', 1), check('kit-on', 'pass', 2)])).toBe('remove.turned');
    expect(standsAt(allPassed)).toBeNull();
  });
  test('a failed check sends the work back to the step that failed', () => {
    expect(standsAt([...allPassed, check('moisture', 'fail', 38)])).toBe('dry');
    expect(standsAt([...allPassed, check('verified', 'fail', 38)])).toBe('cleanUp');
  });
  // Law O3.
  test('a pass from before a failure counts no more from the step on to which the work is sent', () => {
    const after = states([...allPassed, check('moisture', 'fail', 38)]);
    expect([after['bare.flat'], after['moisture'], after['adhesion'], after['verified'], after['dew-point']]).toEqual([
      'passed',
      'failed',
      'locked',
      'locked',
      'locked',
    ]);
    const later = states([...allPassed, check('moisture', 'fail', 38), check('moisture', 'pass', 39)]);
    expect([later['moisture'], later['adhesion'], later['dew-point']]).toEqual(['passed', 'open', 'locked']);
  });
  test('in the same second the failure holds', () => {
    expect(states([...allPassed, check('moisture', 'pass', 38), check('moisture', 'fail', 38, null)])['moisture']).toBe('failed');
  });
  test('a check is not passed out of turn, and says what opens it', () => {
    const early = withChecks([
      check('adhesion', 'pass', 1),
      ...allPassed.slice(0, 2).map((c, i) => ({ ...c, takenAt: check('', 'pass', 5 + i).takenAt })),
    ]);
    const adhesion = early.steps.flatMap((s) => s.gates).find((g) => g.id === 'adhesion')!;
    expect(adhesion.state).toBe('locked');
    expect(sentence(adhesion.waitsFor!, 'm')).toMatch(/corners and quirks/);
  });
  test('a later check that replaces a failed one lets the work go on; both are kept', () => {
    const work = withChecks([check('containment-up', 'fail', 1), check('containment-up', 'pass', 2, 'check-1')]);
    expect(work.steps.find((x) => x.id === 'protect')!.gates[0]!.state).toBe('passed');
  });
  // Law O6.
  test('a breakthrough brings its place back to its strokes, and opens again what was verified', () => {
    const after = states([...allPassed, { ...check('event.breakThrough', 'fail', 38) }]);
    expect(Object.entries(after).filter(([, state]) => state === 'passed')).toEqual([]);
    // While the sheet still lies it need not be laid again.
    const strokes = allPassed.filter((c) => ['containment-up', 'kit-on', 'bare.turned'].includes(c.gate));
    const during = states([...strokes, check('event.breakThrough', 'fail', 38)]);
    expect([during['containment-up'], during['bare.turned']]).toEqual(['passed', 'open']);
  });
});

test('the next act of a job follows the order of work', () => {
  const act = (s: Surface) => createDeriver().derive(aFacts(s), DEFAULT_SETTINGS, THIS_YEAR).next.act;
  expect(act(aSurface({ coatsCounted: false, layers: [] }))).toBe('addCoats');
  expect(act(aSurface())).toBe('test');
  expect(
    act(aSurface({ readings: [aReading({ spot: 'changed', reachedLayerIds: COATS, toSubstrate: true, changedLayerIds: ['coat-2'] })] })),
  ).toBe('choose');
  expect(act(railing())).toBe('protect');
  expect(act(aSurface({ parts: [part('flat', 60, 'overcoat')] }))).toBe('fixProblem');
});
