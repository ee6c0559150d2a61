import { createDeriver } from './derive';
import type { JobFacts, Surface } from '../facts';
import { DEFAULT_SETTINGS } from '../rulebook';
import { aCheck, aFacts, aJob, aPart, aSurface, rulesOf, THIS_YEAR } from '../testing';
import { measure } from '../units/units';
import { sentence } from '../words';
import { digestOf } from './digest';
import { jobSteps, toBuy } from './steps';

const planned = (facts: JobFacts) => createDeriver().derive(facts, DEFAULT_SETTINGS, THIS_YEAR);
const stepsOf = (facts: JobFacts) => jobSteps(facts, planned(facts));
const named = (name: string, element: Surface['element'], over: Partial<Surface> = {}): Surface =>
  aSurface({ id: `s-${name}`, name, element, parts: [aPart('flat', 'wetScrapeLoose', { id: `p-${name}` })], ...over });

test('what any step asks for is one list: pieces, litres and metres each summed, two kinds of a thing apart', () => {
  const of = (what: string, value: number, unit: 'L' | 'mL' | 'pieces' | 'm2') => ({ amounts: [{ what, amount: measure(value, unit) }] });
  const list = toBuy([of('gel', 1, 'L'), of('bags', 2, 'pieces'), of('gel', 500, 'mL'), of('bags', 3, 'pieces'), of('gel', 1, 'pieces')]);
  expect(list).toEqual([
    { what: 'gel', amount: measure(1.5, 'L') },
    { what: 'bags', amount: measure(5, 'pieces') },
    { what: 'gel', amount: measure(1, 'pieces') },
  ]);
});

test('the list of the job is the sum of what its surfaces and zones say, so that nothing is bought twice', () => {
  const facts = aFacts(named('wall', 'wall', { material: 'limePlaster' }), { others: [named('door', 'door')] });
  const plan = planned(facts);
  const sheets = plan.zones.flatMap((z) => z.steps.flatMap((s) => s.amounts)).filter((a) => a.what === 'sheet');
  expect(
    jobSteps(facts, plan)
      .find((s) => s.id === 'buy')!
      .amounts.filter((a) => a.what === 'sheet'),
  ).toEqual(sheets);
});

test('papers come first, with each duty and its source; the handing over last, and only when every check has passed', () => {
  const facts = aFacts(named('door', 'door'), { job: { tenure: 'rented', livedIn: 'yes' } });
  const [papers, , handOver] = stepsOf(facts);
  // 40 CFR 745.84: the pamphlet, before renovation begins.
  expect(rulesOf(papers!.because)).toEqual(expect.arrayContaining(['duty.pamphlet', 'duty.tenant']));
  expect(rulesOf(handOver!.because)).toContain('handOver.lead');
  expect(handOver!.gates[0]).toMatchObject({ id: 'handed-over', state: 'locked' });
  expect(sentence(handOver!.gates[0]!.waitsFor!, 'm')).toMatch(/Every check of “.+” has passed/);
  const checks = [aCheck('papers'), aCheck('papers', { id: 'again', outcome: 'fail' })];
  expect(stepsOf({ ...facts, checks: checks.slice(0, 1) })[0]!.gates[0]!.state).toBe('passed');
  // In the same second the failure holds.
  expect(stepsOf({ ...facts, checks })[0]!.gates[0]!.state).toBe('failed');
  expect(stepsOf({ job: aJob(), spaces: [], surfaces: [], zones: [], checks: [], photos: [], instrumentChecks: [] })).toEqual([]);
});

// Common practice, no published source: from above down, the floor last.
test('a zone is worked from above down, whatever order was entered; what that changed is said', () => {
  const entered = [
    named('floor', 'floorBoards'),
    named('door', 'door'),
    named('ceiling', 'ceiling', { material: 'limePlaster' }),
    named('base', 'baseboard'),
    named('wall', 'wall', { material: 'limePlaster' }),
  ];
  const zone = (surfaces: readonly Surface[]) => planned(aFacts(surfaces[0]!, { others: surfaces.slice(1) })).zones[0]!;
  const z = zone(entered);
  expect(z.order).toEqual(['s-ceiling', 's-wall', 's-door', 's-base', 's-floor']);
  expect(z.moved.map((r) => sentence(r, 'm'))).toEqual([expect.stringMatching(/^From above down: “door” is worked before “floor”/)]);
  expect(zone([entered[2]!, entered[4]!, entered[0]!]).moved).toEqual([]);
});

test('the digest of a zone counts its checks, and is the same object of the same plan', () => {
  const facts = aFacts(named('door', 'door'), { zoneChecks: [aCheck('containment-up')] });
  const { zones } = digestOf(facts, planned(facts));
  expect(zones).toHaveLength(1);
  expect(zones[0]).toMatchObject({ care: 'lead', passed: 1, order: ['s-door'] });
  expect(zones[0]!.checks).toBeGreaterThan(5);
});
