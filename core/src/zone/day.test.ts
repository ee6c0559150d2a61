/** A person's day in a zone, its signs, and what an exposure sets going. */
import { airDuties, dayOfLead } from '../air';
import { createDeriver } from '../job/derive';
import { DEFAULT_SETTINGS, RULEBOOKS } from '../rulebook';
import { aFacts, aLayer, aPart, aReading, aSpace, aSurface, COATS, THIS_YEAR } from '../testing';
import { sentence } from '../words';
import { fittedOn, licensedNeeds, needsFit, zoneDay, zoneSigns } from '../zone-day';

const found = aReading({ spot: 'changed', reachedLayerIds: COATS, toSubstrate: true });
const scraped = (over = {}) =>
  aSurface({
    parts: [aPart('flat', 'wetScrapeLoose')],
    readings: [found],
    layers: [aLayer(0, { soundness: 'failing' }), aLayer(1), aLayer(2)],
    ...over,
  });
const dayFor = (s = scraped(), settings = DEFAULT_SETTINGS) => {
  const plan = createDeriver().derive(aFacts(s), settings, THIS_YEAR);
  return { day: zoneDay(plan.zones[0]!, plan.surfaces, settings, 'osha'), plan };
};

test('the day holds all hours of the zone, shared by the crew and the days', () => {
  const { day, plan } = dayFor(scraped({ lengthM: 20, widthM: 3, element: 'wall' }));
  const hours = day!.parts.reduce((sum, p) => sum + p.hours, 0) * day!.people * day!.days;
  const own = plan.surfaces[0]!.work.steps.filter((st) => !st.shared && st.kind === 'remove').reduce(
    (sum, st) => sum + st.handsOnH.high,
    0,
  );
  expect(hours).toBeCloseTo(own + plan.zones[0]!.handsOnH.high, 6);
  expect(day!.parts.reduce((sum, p) => sum + p.hours, 0)).toBeLessThanOrEqual(day!.shiftH + 1e-9);
  expect(day!.days).toBeGreaterThan(1);
});

// 29 CFR 1926.62(c): over eight hours, worked by hand from the parts that are shown.
test('the average of the day is that of its parts', () => {
  const { day } = dayFor();
  const byHand = day!.parts.reduce((sum, p) => sum + p.hours * p.ugM3!, 0) / 8;
  expect(day!.lead!.twa8).toBeCloseTo(byHand, 9);
  expect(day!.parts.find((p) => p.what === 'setUp')!.ugM3).toBe(0);
  expect(day!.parts.find((p) => p.what === 'cleanUp')!.ugM3).toBe(500);
});

test('where nothing is disturbed there is no day; what has no upper end makes no sum', () => {
  expect(dayFor(scraped({ parts: [aPart('flat', 'leave')], layers: [aLayer(0), aLayer(1), aLayer(2)] })).day).toBeNull();
});

// 29 CFR 1926.62(m) fixes the English words.
test('signs: the law’s own words stay, every sign speaks two languages, and each hazard that is reached has one', () => {
  const { plan } = dayFor(scraped({ conditions: ['moldy', 'flaking'], moldM2: 2 }));
  const signs = zoneSigns(plan.zones[0]!, RULEBOOKS.us);
  expect(signs.find((s) => s.about === 'lead')).toMatchObject({ fixed: true, en: RULEBOOKS.us.signLines });
  expect(signs.map((s) => s.about)).toEqual(expect.arrayContaining(['lead', 'mold']));
  for (const s of signs) expect([s.es.length, s.en.length].every((n) => n > 1)).toBe(true);
  const plain = createDeriver().derive(
    aFacts(aSurface({ readings: [], yearMade: 2016 }), { job: { yearBuilt: 2016 } }),
    DEFAULT_SETTINGS,
    THIS_YEAR,
  );
  expect(zoneSigns(plain.zones[0]!, RULEBOOKS.us).map((s) => s.about)).not.toContain('lead');
});

// 29 CFR 1926.62(d), (f), (g), (i), (j), (l), (n).
describe('what an exposure sets going', () => {
  const duties = (ugM3: number, over: object = {}) =>
    airDuties({
      day: dayOfLead([{ ugM3, hours: 8 }], 'osha'),
      set: 'osha',
      presumed: false,
      masked: ugM3 > 50,
      startOn: '2026-05-04',
      lastSampleOn: null,
      ...over,
    });
  const has = (ugM3: number, rule: string) => duties(ugM3).some((d) => d.because.rule === rule);
  test.each([
    [29.9, [false, false, false]],
    [30, [true, false, false]],
    [50, [true, false, false]],
    [50.1, [true, true, false]],
    [199.9, [true, true, false]],
    [200, [true, true, true]],
  ] as const)('%s ug/m3 over eight hours', (ugM3, want) => {
    expect([has(ugM3, 'airDuty.firstBlood'), has(ugM3, 'airDuty.shower'), has(ugM3, 'airDuty.clothesDaily')]).toEqual([...want]);
  });
  test('a mask for growth or vapour sets nothing of lead going', () => {
    for (const set of ['osha', 'uk'] as const)
      expect(duties(0, { set, presumed: true, masked: true }).map((d) => d.because.rule)).toEqual(['airDuty.mask']);
  });
  test('sampled again in six months from the action level on, in three above the limit, to the day', () => {
    const again = (ugM3: number, lastSampleOn: string) =>
      duties(ugM3, { lastSampleOn }).find((d) => d.because.rule === 'airDuty.sampleAgain')!.by;
    expect(again(40, '2026-05-04')).toBe('2026-11-04');
    expect(again(60, '2026-11-30')).toBe('2027-02-28');
  });
});

// 40 CFR 61.145(b): 10 working days; CAR 2012, ASB5: 14 days.
test('where asbestos may have to come off, what a licensed firm needs is said, and what can go on meanwhile', () => {
  const told = (over: object, job: object = {}) => {
    const ceiling = aSurface({
      id: 'ceiling',
      element: 'ceiling',
      layers: [aLayer(0, { binder: 'textured' })],
      lengthM: 4,
      widthM: 3,
      ...over,
    });
    const facts = aFacts(ceiling, { job, others: [{ ...scraped(), spaceId: 'room-2' }] });
    const plan = createDeriver().derive(
      { ...facts, spaces: [...facts.spaces, aSpace({ id: 'room-2', name: 'Hall', position: 1 })] },
      DEFAULT_SETTINGS,
      THIS_YEAR,
    );
    const surfaces = plan.surfaces.map((p) => ({ surfaceId: p.surfaceId, asbestos: p.asbestos.overall.value, areaM2: p.area.totalM2 }));
    return licensedNeeds(plan.zones[0]!, plan.zones, surfaces, facts).map((r) => sentence(r, 'm'));
  };
  const us = told({});
  expect(us).toHaveLength(5);
  expect(us[0]).toMatch(/^Should it come off: 12 m² in all/);
  expect([us[1], us[4]]).toEqual([expect.stringContaining('10 working days'), expect.stringContaining('away from it: “Hall”')]);
  expect(told({}, { rulebook: 'uk' })[1]).toContain('14 days');
  expect(told({ yearMade: 2015 })).toEqual([]);
});

// 29 CFR 1910.134(f)(2): each year.
test('a fit test stands for a year to the day; a loose hood needs none; nobody who left the firm is counted', () => {
  const person = (name: string, on: string, removedAt: string | null = null) => ({
    id: name,
    name,
    certificates: [],
    training: [],
    fitTests: [{ mask: 'half mask, medium', on }],
    removedAt,
  });
  const people = [
    person('A', '2025-05-04'),
    person('B', '2025-05-03'),
    person('C', '2026-05-05'),
    person('D', '2026-05-01', '2026-05-02T00:00:00.000Z'),
  ];
  expect(fittedOn(people, '2026-05-04')).toEqual({ fitted: [{ name: 'A', masks: ['half mask, medium'] }], not: ['B', 'C'] });
  expect(RULEBOOKS.us.respirators.filter((r) => !needsFit(r)).map((r) => r.id)).toEqual(['poweredHood']);
});
