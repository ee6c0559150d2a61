import { createDeriver } from './derive';
import type { Check, JobFacts, Surface } from '../facts';
import { DEFAULT_SETTINGS } from '../rulebook';
import { aCheck, aFacts, aJob, aPart, aSpace, aSurface, AT, rulesOf, THIS_YEAR } from '../testing';
import { measure } from '../units/units';
import { sentence } from '../words';
import { digestOf } from './digest';
import { jobSteps } from './steps';
import { toBuy } from './to-buy';

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

test('the list of the job is what its zones lay and fill, each once', () => {
  const { spaces, ...rest } = aFacts(named('wall', 'wall', { material: 'limePlaster' }), {
    others: [named('door', 'door'), named('outside', 'door', { spaceId: 'front' })],
  });
  const facts = { ...rest, spaces: [...spaces, aSpace({ id: 'front', kind: 'elevation' })] };
  const plan = planned(facts);
  expect(plan.zones.filter((z) => z.protection.needed.value)).toHaveLength(2);
  const list = jobSteps(facts, plan).find((s) => s.id === 'buy')!.amounts;
  const amountOf = (what: string) => list.filter((a) => a.what === what).map((a) => a.amount.value);
  expect(amountOf('sheet')).toEqual([plan.zones.reduce((sum, z) => sum + z.protection.sheetBoughtM2, 0)]);
  expect(amountOf('wasteBags')).toEqual([plan.zones.reduce((sum, z) => sum + z.protection.bags.value, 0)]);
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
  expect(
    stepsOf({
      job: aJob(),
      spaces: [],
      surfaces: [],
      zones: [],
      checks: [],
      photos: [],
      instrumentChecks: [],
      airSamples: [],
      stints: [],
      hauls: [],
      bags: [],
    }),
  ).toEqual([]);
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

test('the digest of a zone counts its checks', () => {
  const facts = aFacts(named('door', 'door'), { zoneChecks: [aCheck('containment-up')] });
  const { zones } = digestOf(facts, planned(facts));
  expect(zones).toHaveLength(1);
  expect(zones[0]).toMatchObject({ care: 'lead', passed: 1, order: ['s-door'] });
  expect(zones[0]!.checks).toBeGreaterThan(5);
});

const at = (minute: number): string => new Date(Date.parse(AT) + minute * 60_000).toISOString();

/** Every check that is open is passed, a minute later each, until none is. */
function workedThrough(facts: JobFacts): JobFacts {
  for (let minute = 0, f = facts; minute < 100; minute += 1) {
    const { zones, surfaces } = planned(f);
    const open = [...zones.flatMap((z) => z.steps), ...surfaces.flatMap((p) => p.work.steps)]
      .flatMap((st) => st.gates)
      .find((g) => g.state === 'open');
    if (!open) return f;
    const check = aCheck(open.id, { id: `check-${minute}`, zoneId: open.zoneId, takenAt: at(minute) });
    f =
      open.zoneId !== null
        ? { ...f, checks: [...f.checks, check] }
        : { ...f, surfaces: f.surfaces.map((s) => ({ ...s, checks: [...s.checks, check] })) };
  }
  throw new Error('a check stays open');
}

// Law O3: a pass counts only when it is later than what sends the work back.
test('what was handed over before the last look at any place is handed over again', () => {
  const worked = workedThrough(aFacts(named('door', 'door')));
  const handed = (...checks: readonly Check[]) =>
    stepsOf({ ...worked, checks: [...worked.checks, ...checks] }).find((st) => st.id === 'handOver')!.gates[0]!.state;
  const over = aCheck('handed-over', { id: 'handed', takenAt: at(100) });
  const torn = worked.checks.filter((c) => c.gate === 'containment-up' || c.gate === 'cleaned' || c.gate === 'verified');
  const again = (outcome: Check['outcome'], minute: number) =>
    torn.map((c, i) => ({ ...c, id: `${c.id}-${minute}`, outcome, takenAt: at(minute + i) }));
  expect(torn).toHaveLength(3);
  expect(handed()).toBe('locked');
  const papers = aCheck('papers', { takenAt: at(0) });
  expect(handed(papers)).toBe('open');
  expect(handed(papers, aCheck('handed-over', { id: 'early', takenAt: at(0) }))).toBe('open');
  expect(handed(papers, over)).toBe('passed');
  expect(handed(papers, over, ...again('fail', 110))).toBe('locked');
  expect(handed(papers, over, { ...over, id: 'failed', outcome: 'fail' })).toBe('failed');
});
