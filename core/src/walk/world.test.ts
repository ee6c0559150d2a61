/** Pieces beside sashes and walls: what each asks for that no other does. */
import { aFacts, aLayer, aReading, aSurface, COATS, planOf, rulesOf } from '../testing';
import { ELEMENT_IDS, MATERIALS, TOPCOATS, type ElementId, type MethodId, type Surface } from '../facts';
import { createDeriver } from '../job/derive';
import { roundQuestion } from '../rounds';
import { DEFAULT_SETTINGS, RULEBOOKS } from '../rulebook';
import { sentence } from '../words';
import { wasteOf } from '../waste';
import { zoneSigns } from '../zone/signs';
import { unfold } from '../zone/unfold';
import { readElement } from './typed';
import { ELEMENTS, goodsOf, isHeater, isWindow } from './elements';
import { KIT_IDS, unfoldKit } from './kits';
import { takeOff } from './measure';
import { partDrafts, surfaceDraft } from './templates';
import { say } from '../reasons/en/vocabulary';

const of = (element: ElementId, over: Partial<Surface> = {}): Surface =>
  aSurface({
    ...surfaceDraft(element, 'room-1', 0, say(element), 'm'),
    parts: partDrafts(element).map((p, i) => ({ ...p, id: `part-${i}`, removedAt: null })),
    layers: [aLayer(0, { binder: 'alkyd' })],
    coatsCounted: true,
    ...over,
  });
const OUTSIDE = { space: { kind: 'elevation' as const, boundaryM: 30 } };
const where = (e: ElementId) => (ELEMENTS[e].inside ? {} : OUTSIDE);
const stepsOf = (s: Surface, over: Parameters<typeof planOf>[1] = where(s.element)) => planOf(s, over).work.steps;
const gates = (s: Surface, over?: Parameters<typeof planOf>[1]) => stepsOf(s, over).flatMap((x) => x.gates.map((g) => g.id));
const worked = (s: Surface, methodId: MethodId): Surface => ({
  ...s,
  parts: s.parts.map((p) => ({ ...p, methodId })),
});

test.each(ELEMENT_IDS)('%s: a template whose parts are a whole, an area, a drawing, a name that is understood, a plan', (id) => {
  const s = of(id);
  expect(s.parts.reduce((sum, p) => sum + p.sharePct, 0)).toBe(100);
  expect(takeOff(s).totalM2).toBeGreaterThan(0);
  expect(readElement(say(id))).toEqual({ ok: true, value: id });
  const room = {
    kind: ELEMENTS[id].inside ? ('room' as const) : ('elevation' as const),
    lengthM: 5,
    widthM: 4,
    heightM: 2.6,
    boundaryM: null,
  };
  expect(unfold(room, [s])!.pieces[0]!.rects.length).toBeGreaterThan(0);
  const plan = planOf(s, where(id));
  expect(plan.choice.parts.every((p) => p.options.length > 0)).toBe(true);
  expect(plan.work.steps.length).toBeGreaterThan(0);
});

test.each(KIT_IDS)('kit %s unfolds into pieces that may stand there', (id) => {
  const { space, surfaces } = unfoldKit(id, id, 0, say, 'm');
  const fits = (e: ElementId) => (space.kind === 'room' ? ELEMENTS[e].inside : ELEMENTS[e].outside);
  expect(surfaces.filter((s) => !fits(s.element)).map((s) => s.element)).toEqual([]);
});

test('every material takes some coat that is neither refused nor unusual, or asks', () => {
  for (const material of MATERIALS) {
    const fits = TOPCOATS.filter((topcoat) => planOf(of('door', { material, topcoat })).coating.refused.length === 0);
    expect([material, fits.length]).not.toEqual([material, 0]);
  }
});

describe('loose goods', () => {
  const found = [aReading({ spot: 'changed', reachedLayerIds: ['coat-0'], toSubstrate: true })];
  // 16 CFR 1303.1: 0.009 % by weight, 90 ppm.
  test.each(['us', 'uk'] as const)('a cot with lead, or that may hold it: every coat off, proved by a number (%s)', (rulebook) => {
    for (const readings of [found, []]) {
      const plan = planOf(of('cot', { readings }), { job: { rulebook } });
      const [part] = plan.choice.parts;
      expect(plan.choice.required.value).toBe('bare');
      expect(
        part!.options.filter((o) => o.verdict !== 'blocked' && ['leave', 'overcoat', 'encapsulate', 'wetScrapeLoose'].includes(o.methodId)),
      ).toEqual([]);
      const gate = stepsOf(of('cot', { readings }), { job: { rulebook } })
        .flatMap((x) => x.gates)
        .find((g) => g.id === 'goods-clear')!;
      expect(gate.asks).toEqual([{ what: 'leadPpm', atMost: { value: rulebook === 'us' ? 90 : 23, unit: 'ppm' } }]);
    }
  });
  test('no longer presumed once a result shows none; a chair may keep lead that its owner knows of', () => {
    const clear = [aReading({ kind: 'lab', value: 20, unit: 'ppm', below: true, reachedLayerIds: ['coat-0'], toSubstrate: true })];
    expect(gates(of('toy', { readings: clear }))).not.toContain('goods-clear');
    expect(gates(of('chair', { readings: found }))).toContain('goods-told');
  });
  test('are no part of a house: the rule for renovators does not bind an uncertified firm, that for workshops does', () => {
    const uncertified = { settings: { certified: false } };
    const rules = (e: ElementId) =>
      planOf(of(e, { readings: found, aim: 'bareClear', lengthM: 3, widthM: 3 }), uncertified).choice.parts[0]!.options.flatMap((o) =>
        rulesOf(o.because),
      );
    expect(rules('door')).toContain('lead.notCertified');
    expect(rules('furniture')).not.toContain('lead.notCertified');
    expect(rules('furniture')).toContain('lead.workshop');
  });
});

describe('a hull with old antifouling', () => {
  const hull = worked(of('hull', { layers: [aLayer(0, { binder: 'antifouling', soundness: 'failing' })] }), 'wetScrapeLoose');
  const job = createDeriver().derive(aFacts(hull, OUTSIDE), DEFAULT_SETTINGS, 2026);
  test('nothing dry, nothing hot; caught, worn against and looked for', () => {
    const [part] = planOf(hull, OUTSIDE).choice.parts;
    const block = (id: string) => rulesOf(part!.options.find((o) => o.methodId === id)!.because.filter((r) => r.effect === 'block'));
    expect(block('drySand')).toContain('antifoul.dry');
    expect(block('heatGun')).toContain('antifoul.heat');
    expect(job.zones[0]!.hazards.map((h) => h.kind)).toContain('antifoul');
    const zone = job.zones[0]!;
    expect(zone.steps.flatMap((x) => x.gates.map((g) => g.id))).toEqual(expect.arrayContaining(['biocide-ready', 'biocide-gone']));
    expect(zone.protection.kit.map((k) => k.value)).toEqual(expect.arrayContaining(['coverall', 'washStation']));
    expect(rulesOf(zone.protection.respirator.because)).toContain('ppe.biocide');
  });
  test('its debris is a waste of its own; only antifouling goes on it, and on nothing else', () => {
    const lines = wasteOf(aFacts(hull, OUTSIDE), job, DEFAULT_SETTINGS);
    expect(lines.map((w) => w.stream)).toContain('biocideDebris');
    // The sheet that caught it too: nothing of it is plain rubbish but what was up for the coats.
    expect(lines.filter((w) => w.stream === 'sheetAndChips' || w.stream === 'washWater')).toEqual([]);
    expect(zoneSigns(job.zones[0]!, RULEBOOKS.us).map((x) => x.about)).toContain('antifoul');
    expect(planOf(hull, OUTSIDE).coating.topcoat.value).toBe('antifoulingCoat');
    expect(
      rulesOf(
        planOf(worked({ ...hull, topcoat: 'alkydGloss', layers: [aLayer(0, { binder: 'antifouling' })] }, 'overcoat'), OUTSIDE).coating
          .refused,
      ),
    ).toContain('coat.overAntifouling');
    expect(rulesOf(planOf(of('door', { topcoat: 'antifoulingCoat' })).coating.refused)).toContain('coat.antifoulingElsewhere');
  });
});

test('a gas pipe: tested before the first stroke and after the last coat, its parts kept free, no heat and no blast', () => {
  const pipe = worked(of('gasPipe', { yearMade: 2016 }), 'wireBrush');
  const ids = stepsOf(pipe).map((x) => x.id);
  expect(ids.indexOf('service.before')).toBeLessThan(ids.findIndex((x) => x.startsWith('remove.')));
  expect(ids.at(-1)).toBe('service.after');
  expect(sentence(stepsOf(pipe).find((x) => x.id === 'mask.coats')!.title, 'm')).toMatch(/valve handle, dial and tag/);
  // Whatever else is worked in that room is worked beside gas.
  const beside = planOf(of('door', { aim: 'bareClear' }), { others: [of('gasPipe', { id: 'gas-1' })] });
  expect(rulesOf(beside.choice.parts[0]!.options.find((o) => o.methodId === 'heatGun')!.because)).toContain('site.gas');
  const blocked = planOf(of('gasPipe', { aim: 'bareClear' }), OUTSIDE).choice.parts[0]!.options.filter((o) =>
    rulesOf(o.because).some((r) => r.startsWith('site.gas')),
  );
  expect(blocked.map((o) => o.methodId)).toEqual(expect.arrayContaining(['sweepBlast']));
});

test('a machine is locked out, its fixed parts stay whatever the school; a radiator is cold', () => {
  const housing = worked(of('machineHousing', { yearMade: 2016 }), 'overcoat');
  expect(gates(housing)).toContain('locked-out');
  expect(stepsOf(housing).flatMap((x) => rulesOf(x.because))).toContain('fittings.fixed');
  expect(gates(worked(of('panelRadiator', { yearMade: 2016 }), 'overcoat'))).toContain('piece-cold');
  expect(planOf(of('panelRadiator', { topcoat: 'matEmulsion' })).coating.refused.map((r) => r.rule)).toContain('coat.heater');
});

test('fibreglass is not issued without its square; laminate and a factory finish are bonded; brass may stay in sight', () => {
  const glass = worked(of('door', { material: 'fibreglass', aim: 'bareClear', yearMade: 2016 }), 'neutralStripper');
  expect(rulesOf(planOf(glass).issue.because)).toContain('issue.trialMissing');
  const product = (s: Surface) => planOf(s).coating.lines.map((l) => l.product);
  expect(product(of('door', { material: 'laminate', layers: [], topcoat: 'waterborneEggshell' }))).toContain('bonding');
  expect(
    product(
      worked(
        of('door', { material: 'mildSteel', layers: [aLayer(0, { binder: 'factory' })], topcoat: 'metalEnamel', yearMade: 2016 }),
        'overcoat',
      ),
    ),
  ).toContain('bonding');
  expect(planOf(of('door', { material: 'laminate', layers: [], topcoat: 'waterborneEggshell' })).choice.parts[0]!.selected.value).toBe(
    'overcoat',
  );
  const rail = planOf(of('handrail', { material: 'brass', aim: 'bareClear', yearMade: 2005 })).choice.parts;
  for (const p of rail) expect(p.options.find((o) => o.methodId === 'vacuumBlast')!.verdict).toBe('blocked');
  const brass = of('door', { material: 'brass', layers: [], topcoat: 'clearVarnish' });
  expect(product(brass)).toEqual(['clearVarnish']);
});

test('like pieces inside one surface are counted by the rounds: spindles, corbels', () => {
  const corbels = of('corbel', {
    readings: [aReading({ spot: 'unchanged', reachedLayerIds: COATS, toSubstrate: true })],
    aim: 'bareClear',
    yearMade: 2016,
  });
  const plan = planOf(corbels, OUTSIDE);
  const q = roundQuestion(corbels, plan, 'part-0', DEFAULT_SETTINGS, 'masonryStripper')!;
  expect(q.pieces).toBe(8);
  expect(q.pieceM2 * 8).toBeCloseTo(plan.area.partM2['part-0']!, 9);
  // By hand: 6 x 0.3 m, and eight of 0.35 x 0.6 m.
  expect(plan.area.totalM2).toBeCloseTo(6 * 0.3 + 8 * 0.35 * 0.6, 9);
});

test('groups of elements say the same everywhere', () => {
  expect(ELEMENT_IDS.filter(isHeater)).toEqual(['heater', 'panelRadiator']);
  expect(ELEMENT_IDS.filter(isWindow)).toEqual(['doubleHungSash', 'casementSash', 'metalCasement']);
  expect(ELEMENT_IDS.filter((e) => goodsOf(e) === 'childs')).toEqual(['cot', 'toy']);
});
