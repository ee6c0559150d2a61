/** A person's shift over several zones, and the masks that the firm owns. */
import { jobProblems, type JobFacts, type Stint } from '../facts';
import { createDeriver } from '../job/derive';
import { DEFAULT_SETTINGS } from '../rulebook';
import { aFacts, aLayer, aPart, aReading, aSpace, aSurface, COATS, THIS_YEAR } from '../testing';
import { shiftsOf, zoneDay } from '../zone-day';

const found = aReading({ spot: 'changed', reachedLayerIds: COATS, toSubstrate: true });
const scraped = (id: string, spaceId: string) =>
  aSurface({
    id,
    spaceId,
    parts: [aPart('flat', 'wetScrapeLoose', { id: `${id}-part` })],
    readings: [{ ...found, id: `${id}-found` }],
    layers: [aLayer(0, { soundness: 'failing' }), aLayer(1), aLayer(2)],
  });
const aStint = (over: Partial<Stint> = {}): Stint => ({
  id: 'stint-1',
  person: 'Ada',
  zoneId: 'room-1',
  on: '2026-05-04',
  fromMin: 480,
  hours: 4,
  removedAt: null,
  ...over,
});
const twoRooms = (stints: readonly Stint[]): JobFacts => {
  const facts = aFacts(scraped('one', 'room-1'), { others: [scraped('two', 'room-2')] });
  return { ...facts, spaces: [...facts.spaces, aSpace({ id: 'room-2', name: 'Hall', position: 1 })], stints: [...stints] };
};
const shifts = (stints: readonly Stint[], settings = DEFAULT_SETTINGS) => {
  const facts = twoRooms(stints);
  const plan = createDeriver().derive(facts, settings, THIS_YEAR);
  return { plan, shifts: shiftsOf(facts, plan, settings) };
};

// 29 CFR 1926.62(c): sum(C T) / 8, worked by hand from what each zone's own day gives an hour.
test('two rooms in one day add up, and a day of ten hours is held against 400 / 10', () => {
  const { plan, shifts: one } = shifts([aStint(), aStint({ id: 'stint-2', zoneId: 'room-2', fromMin: 12 * 60, hours: 3 })]);
  const perHour = (zone: number): number => {
    const { parts } = zoneDay(plan.zones[zone]!, plan.surfaces, DEFAULT_SETTINGS, 'osha')!;
    return parts.reduce((sum, p) => sum + p.hours * p.ugM3!, 0) / parts.reduce((sum, p) => sum + p.hours, 0);
  };
  expect(one).toHaveLength(1);
  expect(one[0]!.lead!.twa8).toBeCloseTo((4 * perHour(0) + 3 * perHour(1)) / 8, 9);
  expect([one[0]!.hours, one[0]!.lead!.limit, one[0]!.mask]).toEqual([7, 50, 'halfMask']);
  expect(one[0]!.maskH).toBeLessThan(7);
  const { plan: longPlan, shifts: long } = shifts([aStint({ hours: 6 }), aStint({ id: 'stint-2', zoneId: 'room-2', fromMin: 14 * 60 })]);
  // 500 ug/m3 presumed: a half mask holds 10 x 50, on a day of ten hours only 10 x 40.
  expect([long[0]!.hours, long[0]!.lead!.limit, long[0]!.mask]).toEqual([10, 40, 'poweredHood']);
  // Protect says the same of both rooms, and why; nobody is in a third one that long.
  for (const { protection } of longPlan.zones)
    expect([protection.respirator.value, protection.respirator.because.map((r) => r.rule).includes('ppe.longShift')]).toEqual([
      'poweredHood',
      true,
    ]);
});

test('a name is one person however it is written; a place where nothing is disturbed gives nothing', () => {
  const { shifts: all } = shifts([
    aStint(),
    aStint({ id: 'stint-2', person: ' ada ', fromMin: 720 }),
    aStint({ id: 'stint-3', person: 'Bo', zoneId: 'job-1' }),
  ]);
  expect(all.map((s) => [s.person, s.hours])).toEqual([
    ['Ada', 8],
    ['Bo', 4],
  ]);
  expect(all[1]!.parts).toEqual([expect.objectContaining({ what: 'otherWork', hours: 4, ugM3: 0 })]);
  expect(all[1]!.mask).toBeNull();
});

// Law H1: the coating strokes too.
test('who only coats with solvent in a room wears what Protect says of it', () => {
  const coated = aSurface({
    element: 'wall',
    material: 'softwood',
    yearMade: 2016,
    topcoat: 'alkydGloss',
    parts: [aPart('flat', 'overcoat')],
  });
  const facts = { ...aFacts(coated, { job: { yearBuilt: 2016 } }), stints: [aStint()] };
  const plan = createDeriver().derive(facts, DEFAULT_SETTINGS, THIS_YEAR);
  const [shift] = shiftsOf(facts, plan, DEFAULT_SETTINGS);
  expect([shift!.mask, shift!.cartridges, shift!.agents.includes('vapour'), shift!.maskH > 0]).toEqual([
    plan.zones[0]!.protection.coat!.respirator.value,
    ['organicVapour'],
    true,
    true,
  ]);
});

test.each([
  ['at the same time', { zoneId: 'room-2', fromMin: 600 }, ['nobody works in two at once']],
  ['one after the other', { zoneId: 'room-2', fromMin: 720 }, []],
  ['on another day', { zoneId: 'room-2', on: '2026-05-05' }, []],
  ['somebody else', { person: 'Bo', zoneId: 'room-2' }, []],
  ['taken out again', { zoneId: 'room-2', removedAt: '2026-05-04T13:20:00.000Z' }, []],
  ['past midnight', { fromMin: 22 * 60 }, ['past midnight']],
] as const)('two stints of a person, %s', (_how, over, want) => {
  const said = jobProblems(twoRooms([aStint(), aStint({ id: 'stint-2', ...over })]), THIS_YEAR).map((p) => p.message);
  expect([...new Set(said.flatMap((m) => want.find((w) => m.includes(w)) ?? m))]).toEqual([...want]);
});

describe('the masks that the firm owns', () => {
  const worn = (masks: (typeof DEFAULT_SETTINGS)['masks']) => {
    const { plan } = shifts([], { ...DEFAULT_SETTINGS, masks });
    const { value, because } = plan.zones[0]!.protection.respirator;
    return [value, because.map((r) => r.rule).filter((r) => r.startsWith('ppe.owns'))];
  };
  test.each([
    [null, 'halfMask', []],
    [['halfMask', 'fullFace'], 'halfMask', []],
    [['fullFace', 'airline'], 'fullFace', ['ppe.ownsOther']],
    // A mask of the other rulebook's list holds nothing here.
    [['ffp3'], 'halfMask', ['ppe.ownsNone']],
    [[], 'halfMask', ['ppe.ownsNone']],
  ] as const)('%j', (masks, mask, rules) => {
    expect(worn(masks === null ? null : [...masks])).toEqual([mask, [...rules]]);
  });
});
