import fc from 'fast-check';
import { AT, aFacts, aLayer, aPart, aReading, aSurface, planOf, THIS_YEAR, type Setup } from '../testing';
import { AIMS, ELEMENT_IDS, MATERIALS, METHOD_IDS, type Surface } from '../facts';
import { isHelper, methodById, METHODS } from '../catalogue';
import { createDeriver } from '../job/derive';
import { DEFAULT_SETTINGS } from '../rulebook';
import { sentence } from '../words';
import type { Step } from '../step';

/** Any piece, of any stuff, worked by anything: what the rules do not bear is refused or asked about, and that is a plan too. */
const anySurface: fc.Arbitrary<Surface> = fc
  .record({
    element: fc.constantFrom(...ELEMENT_IDS),
    material: fc.constantFrom(...MATERIALS),
    main: fc.constantFrom(null, ...METHOD_IDS),
    also: fc.subarray(METHODS.filter(isHelper), { maxLength: 2 }),
    conditions: fc.subarray(['flaking', 'powdery', 'moldy', 'wet', 'salty', 'oilSoaked', 'openJoints'] as const, { maxLength: 3 }),
    counted: fc.boolean(),
    lead: fc.constantFrom('nobody looked', 'found', 'none'),
    coats: fc.integer({ min: 0, max: 4 }),
    knots: fc.constantFrom('yes', 'no', 'unknown'),
    aim: fc.constantFrom(...AIMS),
  })
  .map((g) => {
    const bare = aSurface({ element: g.element, material: g.material });
    const layers = Array.from({ length: g.coats }, (_, i) => aLayer(i, { soundness: i === 0 ? 'failing' : 'sound' }));
    return {
      ...bare,
      aim: g.aim,
      conditions: [...g.conditions] as Surface['conditions'],
      knots: g.knots as Surface['knots'],
      coatsCounted: g.counted,
      layers,
      parts: bare.parts.map((p) => ({ ...p, methodId: g.main, alsoIds: g.also.map((m) => m.id) })),
      readings:
        g.lead === 'nobody looked'
          ? []
          : [
              aReading({
                kind: 'lab',
                value: g.lead === 'found' ? 4 : 0,
                unit: 'mass%',
                reachedLayerIds: layers.map((l) => l.id),
                toSubstrate: true,
              }),
            ],
    };
  });
const anySetup: fc.Arbitrary<Setup> = fc.record({
  job: fc.record({ rulebook: fc.constantFrom('us', 'uk'), yearBuilt: fc.constantFrom(1904, 1995, null) }),
  space: fc.constantFrom({}, { kind: 'elevation' as const, boundaryM: 6 }),
}) as fc.Arbitrary<Setup>;

const holds = (law: (steps: readonly Step[], s: Surface, setup: Setup) => void): void =>
  fc.assert(
    fc.property(anySurface, anySetup, (s, setup) => law(planOf(s, setup).work.steps, s, setup)),
    { numRuns: 250 },
  );
const at = (steps: readonly Step[], ...kinds: Step['kind'][]): number[] => steps.flatMap((x, i) => (kinds.includes(x.kind) ? [i] : []));
const litresOf = (steps: readonly Step[], what: string): number =>
  steps.flatMap((x) => x.amounts).reduce((sum, a) => sum + (a.what === what && a.amount.unit === 'L' ? a.amount.value : 0), 0);

describe('whatever is planned', () => {
  test('every step and every check is named once, so that a tick means one thing', () =>
    holds((steps) => {
      const [ids, gates] = [steps.map((x) => x.id), steps.flatMap((x) => x.gates.map((g) => `${g.zoneId ?? ''}/${g.id}`))];
      expect(new Set(ids).size).toBe(ids.length);
      expect(new Set(gates).size).toBe(gates.length);
    }));

  test('hours are of this world, the low end first, and the surface has those of its steps with its share of the zone', () =>
    holds((steps, s, setup) => {
      const { work } = planOf(s, setup);
      for (const { handsOnH, waitH } of steps)
        for (const r of [handsOnH, waitH]) {
          expect(Number.isFinite(r.low) && r.low >= 0).toBe(true);
          expect(r.high).toBeGreaterThanOrEqual(r.low);
        }
      const own = steps.filter((x) => !x.shared).reduce((sum, x) => sum + x.handsOnH.high, 0);
      expect(work.handsOnH.high).toBeCloseTo(own + work.sharedH.high, 6);
    }));

  test('nothing is disturbed before it is set up, and nothing is coated that was not looked at after the last stroke', () =>
    holds((steps) => {
      const [setUp] = at(steps, 'protect');
      const strokes = at(steps, 'remove', 'rinse');
      const looks = at(steps, 'check');
      if (setUp !== undefined) for (const i of strokes) expect(i).toBeGreaterThan(setUp);
      for (const coat of at(steps, 'prime', 'coat')) {
        const last = strokes.filter((i) => i < coat).at(-1);
        if (last !== undefined) expect(looks.some((i) => i > last && i < coat)).toBe(true);
      }
    }));

  test('what water got into dries, and is proved dry, before anything is laid on it', () =>
    holds((steps, s) => {
      const coats = at(steps, 'prime', 'coat');
      const wet = steps.flatMap((x, i) => (x.at && 'stroke' in x.at && methodById(x.at.stroke).wet ? [i] : []));
      const soaked = wet.at(-1) ?? (s.conditions.includes('wet') ? 0 : undefined);
      if (coats.length === 0 || soaked === undefined) return;
      const dried = at(steps, 'dry').filter((i) => i > soaked && i < coats[0]!);
      expect(dried.some((i) => steps[i]!.gates.some((g) => g.asks.length > 0))).toBe(true);
    }));

  test('the coats of the steps are the coats of the plan, litre for litre', () =>
    holds((steps, s, setup) => {
      // Nothing is laid while something is asked; what it would take is in the price all the same.
      if (steps[0]?.id === 'ask') return expect(steps).toHaveLength(1);
      const { lines } = planOf(s, setup).coating;
      for (const product of new Set(lines.map((l) => l.product)))
        expect(
          litresOf(
            steps.filter((x) => x.kind === 'prime' || x.kind === 'coat'),
            product,
          ),
        ).toBeCloseTo(
          lines.reduce((sum, l) => sum + (l.product === product ? l.litres : 0), 0),
          6,
        );
    }));

  test('tape that goes on for strokes or coats comes off after them, and what was unscrewed goes back', () =>
    holds((steps) => {
      const idAt = (id: string) => steps.findIndex((x) => x.id === id);
      const last = Math.max(-1, ...at(steps, 'remove', 'rinse'), ...at(steps, 'prime', 'coat'));
      if (idAt('mask.coats') >= 0) expect(idAt('unmask')).toBeGreaterThan(last);
      else if (idAt('mask.strokes') >= 0) expect(idAt('unmask.strokes')).toBeGreaterThan(at(steps, 'remove').at(-1)!);
      if (steps.some((x) => x.title.rule === 'step.fittingsOff') && idAt('coat.ask') < 0) expect(idAt('unmask')).toBeGreaterThan(last);
    }));

  test('every step and check says itself in words, with nothing left open in them', () =>
    holds((steps, _s, { job }) => {
      for (const r of steps.flatMap((x) => [x.title, ...x.because, ...x.gates.map((g) => g.because)]))
        for (const units of job?.rulebook === 'uk' ? (['m'] as const) : (['ft', 'm'] as const))
          expect(sentence(r, units)).not.toMatch(/[{}]|undefined|null|NaN|\[object/);
    }));
});

test('a piece that is taken off the list takes its steps along, and leaves the others theirs', () => {
  const [one, other] = [aSurface(), aSurface({ id: 'surface-2', name: 'Other', parts: [{ ...aPart('flat'), id: 'part-2' }] })];
  const facts = aFacts(one, { others: [other] });
  const before = createDeriver().derive(facts, DEFAULT_SETTINGS, THIS_YEAR);
  const without = { ...facts, surfaces: [{ ...one, removedAt: AT }, other] };
  const after = createDeriver().derive(without, DEFAULT_SETTINGS, THIS_YEAR);
  const own = (plan: typeof before) =>
    plan.surfaces
      .find((p) => p.surfaceId === 'surface-2')!
      .work.steps.filter((x) => !x.shared)
      .map((x) => x.id);
  expect(after.surfaces.map((p) => p.surfaceId)).toEqual(['surface-2']);
  expect(own(after)).toEqual(own(before));
});
