/** What was measured decides, and stays: each class of wrong answer that was once given, with the source of the right one. */
import { aFacts, aLayer, aReading, aSample, aSpace, aSurface, AT, COATS, planOf, PROVEN, rulesOf, THIS_YEAR, type Setup } from '../testing';
import type { JobFacts, Reading, Surface } from '../facts';
import { createDeriver } from '../job/derive';
import { DEFAULT_SETTINGS } from '../rulebook';

const LATER = '2026-06-01T08:00:00.000Z';
const whole = { reachedLayerIds: COATS, toSubstrate: true } as const;
const swab: Partial<Reading> = { kind: 'spot', spot: 'changed', ...whole };
const clear: Partial<Reading> = { kind: 'lab', value: 0, unit: 'ppm', ...whole };
const lead = (value: number): Partial<Reading> => ({ kind: 'lab', value, unit: 'mass%', ...whole });
const withReadings = (...rs: Partial<Reading>[]) => aSurface({ readings: rs.map((r, i) => aReading({ id: `r-${i}`, ...r })) });
const stateOf = (s: Surface, setup?: Setup) => planOf(s, setup).lead.overall.value;
const young: Setup = { job: { yearBuilt: 1985 } };
const plansOf = (facts: JobFacts) => createDeriver().derive(facts, DEFAULT_SETTINGS, THIS_YEAR).surfaces;

describe('a reading outranks an age (40 CFR 745.82: a determination, not a date, takes a component out)', () => {
  test.each<[string, Partial<Reading>]>([
    ['a chip', lead(1.2)],
    ['a swab', swab],
    ['an XRF', { kind: 'xrf', value: 2.4, unit: 'mg/cm2', toSubstrate: true }],
    ['a report', { kind: 'report', finding: 'lead' }],
  ])('%s that found lead in a house of 1985', (_what, r) => {
    expect(stateOf(withReadings(r), young)).toBe('found');
    expect(rulesOf(planOf(withReadings(r), young).lead.asks)).toEqual(['ask.yearAgainstFind']);
  });
  test('on coats dated 1990', () => {
    const layers = [0, 1, 2].map((n) => aLayer(n, { yearApplied: 1990 }));
    expect(stateOf({ ...withReadings(lead(1.2)), layers })).toBe('found');
  });
  test('eight coats on a piece of fifteen years are asked about', () => {
    const layers = Array.from({ length: 8 }, (_, n) => aLayer(n));
    expect(rulesOf(planOf(aSurface({ layers }), { job: { yearBuilt: 2011 } }).lead.asks)).toEqual(['ask.manyCoats']);
  });
  // 16 CFR 1303 covers consumer paint; that steel was coated with lead into the 1990s is recalled from memory.
  test.each([
    ['softwood', 1985, 'notFound'],
    ['mildSteel', 1985, 'unknown'],
    ['mildSteel', 1977, 'assumed'],
    ['galvanised', 2000, 'notFound'],
  ] as const)('%s of %d is %s by age', (material, yearBuilt, want) => {
    expect(stateOf(aSurface({ material }), { job: { yearBuilt } })).toBe(want);
  });
  test('stock of the years after the ban is said, not held against anybody', () => {
    expect(rulesOf(planOf(aSurface(), { job: { yearBuilt: 1979 } }).lead.overall.because)).toEqual(['lead.oldStock']);
  });
});

describe('what takes a reading out', () => {
  const second = (over: Partial<Reading>): Partial<Reading> => ({
    ...clear,
    takenAt: LATER,
    supersedesId: 'r-0',
    supersedesWhy: 'cut again beside the first',
    ...over,
  });
  test.each<[string, Partial<Reading>, string]>([
    ['a later lab chip as deep, with a reason', second({}), 'notFound'],
    ['a reason that says nothing', second({ supersedesWhy: '.' }), 'found'],
    ['a shallower one', second({ reachedLayerIds: ['coat-0'], toSubstrate: false }), 'found'],
    ['an earlier one', second({ takenAt: '2026-04-01T08:00:00.000Z' }), 'found'],
    ['a swab against a lab', second({ kind: 'spot', spot: 'unchanged', value: null, unit: null }), 'found'],
    ['a moisture reading', second({ kind: 'moisture', value: 12, unit: '%MC' }), 'found'],
    ['a chip from another place', second({ atX: 0.9, atY: 0.9 }), 'found'],
    ['an unsigned report', second({ kind: 'report', finding: 'noLead', certificate: '', value: null, unit: null }), 'assumed'],
    ['nothing: it was only taken back', second({ kind: 'withdrawn', value: null, unit: null }), 'assumed'],
  ])('%s', (_what, by, want) => {
    expect(stateOf(withReadings({ ...lead(1.2), atX: 0.1, atY: 0.1 }, { atX: 0.1, atY: 0.1, ...by }), young)).toBe(want);
  });
  test('a chip of the top coat against a signed report of the whole: the report stands', () => {
    const report: Partial<Reading> = {
      ...lead(1.2),
      kind: 'report',
      finding: 'lead',
      value: null,
      unit: null,
      reachedLayerIds: ['coat-0'],
      toSubstrate: false,
    };
    expect(stateOf(withReadings(report, second({ reachedLayerIds: ['coat-0'], toSubstrate: false })), young)).toBe('found');
    expect(stateOf(withReadings(report, second({})), young)).toBe('notFound');
  });
  test.each([
    ['before the later of two doubts', '2026-05-10T08:00:00.000Z', 'assumed'],
    ['after both', '2026-05-14T08:00:00.000Z', 'notFound'],
  ])('a clear test %s explains them: %s', (_what, takenAt, want) => {
    const s = withReadings(
      lead(1.2),
      { kind: 'withdrawn', takenAt: LATER, supersedesId: 'r-0', supersedesWhy: 'the wrong window' },
      { ...lead(1.2), takenAt: '2026-05-12T08:00:00.000Z', reachedLayerIds: ['coat-0'], toSubstrate: false },
      { ...clear, takenAt },
    );
    const layers = s.layers.map((l) => (l.id === 'coat-0' ? { ...l, removedAt: '2026-05-13T08:00:00.000Z' } : l));
    expect(stateOf({ ...s, layers })).toBe(want);
  });
  test('two records never take out each other', () => {
    const pair = [lead(1.2), { ...lead(3), supersedesId: 'r-0', supersedesWhy: 'again' }].map((r, i) => aReading({ id: `r-${i}`, ...r }));
    expect(stateOf(aSurface({ readings: [{ ...pair[0]!, supersedesId: 'r-1', supersedesWhy: 'the other' }, pair[1]!] }), young)).toBe(
      'found',
    );
  });
  test('a whole-stack positive is not undone by coats cleared one by one', () => {
    const each = COATS.map((id) => ({ ...clear, reachedLayerIds: [id], toSubstrate: false }));
    expect(stateOf(withReadings(lead(1.2), ...each), young)).toBe('found');
  });
  test.each([
    ['positive', lead(1.2), 'found'],
    ['waiting', { kind: 'lab' }, 'waiting'],
  ] as const)('a %s chip whose reach nobody recorded counts for every coat', (_what, r, want) => {
    const plan = planOf(withReadings({ ...r, reachedLayerIds: [], toSubstrate: false }), young);
    expect(plan.lead.coats.map((c) => c.state)).toEqual([want, want, want]);
  });
});

describe('a negative clears only where the test is valid', () => {
  const unchanged: Partial<Reading> = { kind: 'spot', spot: 'unchanged', ...whole };
  // EPA recognition notices, from memory: wood, ferrous metal, drywall, plaster.
  test.each(['brick', 'stone', 'concrete', 'aluminium', 'galvanised'] as const)('no kit clears %s', (material) => {
    expect(stateOf({ ...withReadings(unchanged), material })).not.toBe('notFound');
  });
  test.each([
    ['its control worked', { control: 'worked' }, 'notFound'],
    ['nobody wrote down the control', { control: 'unsaid' }, 'assumed'],
    ['the control was dead', { control: 'dead' }, 'assumed'],
  ] as const)('a swab of which %s', (_what, over, want) => expect(stateOf(withReadings({ ...unchanged, ...over }))).toBe(want));
  // 40 CFR 745.82(a), 745.86: a renovator clears by kit or lab; XRF decides in the hands of an inspector (reference N28). HUD ch. 7: checks.
  const xrf: Partial<Reading> = { kind: 'xrf', value: 0.2, unit: 'mg/cm2', toSubstrate: true };
  test.each([
    ['an inspector, an instrument checked on both sides', {}, 'us', 'notFound'],
    ['a renovator', { decidedBy: 'renovator' }, 'us', 'assumed'],
    ['no certificate', { certificate: '' }, 'us', 'assumed'],
    ['no instrument', { device: '' }, 'us', 'assumed'],
    ['an instrument without checks', { device: 'X-9' }, 'us', 'assumed'],
    ['before the closing check', { takenAt: '2026-05-04T15:30:00.000Z' }, 'us', 'waiting'],
    ['UK rules', { value: 0 }, 'uk', 'assumed'],
  ] as const)('XRF: %s', (_what, over, rulebook, want) => {
    const stands = stateOf(withReadings({ ...xrf, ...over }), { job: { rulebook } });
    expect(PROVEN).toHaveLength(2);
    expect(stands).toBe(want);
  });
  test.each([
    ['with certificate and file', { certificate: 'RA-104', file: 'survey.pdf' }, 'notFound'],
    ['unsigned', { certificate: '', file: 'survey.pdf' }, 'assumed'],
    ['without the paper', { certificate: 'RA-104', file: '' }, 'assumed'],
  ] as const)('an inspection report %s', (_what, over, want) => {
    expect(stateOf(withReadings({ kind: 'report', finding: 'noLead', ...over }))).toBe(want);
  });
  // Law H3: a reading that waits for its closing check is no find; what a report cleared stays clear, and is in doubt without the report.
  test('a low XRF reading before its closing check adds no doubt to a signed report', () => {
    const late: Partial<Reading> = { ...xrf, id: 'late', takenAt: '2026-05-04T15:30:00.000Z' };
    const report: Partial<Reading> = { kind: 'report', finding: 'noLead', certificate: 'RA-104', file: 'survey.pdf' };
    expect(stateOf(withReadings(report, late))).toBe('notFound');
    expect(stateOf(withReadings(late))).toBe('waiting');
  });
  test.each([
    ['us', 50, 'ppm', 'notFound'],
    ['us', 1, 'mass%', 'assumed'],
    ['uk', 50, 'ppm', 'notFound'],
    ['uk', 700, 'ppm', 'assumed'],
  ] as const)('%s: "<%d %s" is %s', (rulebook, value, unit, want) => {
    expect(stateOf(withReadings({ ...clear, value, unit, below: true }), { job: { rulebook } })).toEqual(want);
  });
});

describe('what was found belongs to the place', () => {
  const old = { ...withReadings(lead(1.2)), id: 'old', removedAt: AT };
  const again = (over: Partial<Surface> = {}) => aSurface({ id: 'new', name: 'Other', ...over });
  test.each<[string, Partial<Surface>]>([
    ['as it was', {}],
    ['as another element', { element: 'door' }],
    ['of another material', { material: 'limePlaster', element: 'wall' }],
    ['as a piece of 2019', { yearMade: 2019 }],
  ])('removed and entered again %s', (_what, over) => {
    expect(plansOf(aFacts(again(over), { ...young, others: [old] }))[0]!.lead.overall.value).toBe('assumed');
  });
  test.each([
    ['a later test of all coats', { readings: [aReading({ ...clear, takenAt: LATER })] }, 'notFound'],
    ['a test from before the find', { readings: [aReading({ ...clear, takenAt: '2026-05-01T08:00:00.000Z' })] }, 'assumed'],
    ['a new piece, and how that is known', { past: 'replaced', pastWhy: 'joiner’s bill of 2 June' }, 'notFound'],
    ['a new piece, without a word', { past: 'replaced', pastWhy: '.' }, 'assumed'],
  ] as const)('what explains it: %s', (_what, over, want) => {
    expect(plansOf(aFacts(again(over as Partial<Surface>), { ...young, others: [old] }))[0]!.lead.overall.value).toBe(want);
  });
  test('its coats, or its room, taken off the list', () => {
    const s = withReadings(lead(1.2));
    const bare = { ...s, layers: s.layers.map((l) => ({ ...l, removedAt: AT })) };
    expect(stateOf(bare, young)).not.toBe('notFound');
    const facts = aFacts(again({ spaceId: 'room-2' }), { ...young, others: [{ ...s, id: 'old' }] });
    const gone = { ...facts, spaces: [{ ...facts.spaces[0]!, removedAt: AT }, aSpace({ id: 'room-2', name: 'Room' })] };
    expect(plansOf(gone)[0]!.lead.overall.value).toBe('assumed');
  });
  test('a like piece in another room is not tainted', () => {
    const facts = aFacts(again({ spaceId: 'room-2' }), { ...young, others: [old] });
    expect(plansOf({ ...facts, spaces: [...facts.spaces, aSpace({ id: 'room-2' })] })[0]!.lead.overall.value).toBe('notFound');
  });

  const texture = (over: Partial<Surface> = {}) =>
    aSurface({ element: 'ceiling', material: 'gypsumPlaster', name: 'Ceiling', layers: [aLayer(0, { binder: 'textured' })], ...over });
  const bulk = aSample({ id: 'b', hazard: 'asbestos', kind: 'bulk', suspect: 'texturedCoat', takenAt: AT, sentAt: AT });
  const says = (value: number) => aReading({ id: 'says', kind: 'bulk', sampleId: 'b', value, unit: 'mass%', device: '' });
  test.each<[string, Partial<Surface>]>([
    ['its texture called paint', { layers: [aLayer(0, { binder: 'acrylic' })] }],
    ['its coats taken off', { layers: [aLayer(0, { binder: 'textured', removedAt: AT })] }],
    ['its year put later', { yearMade: 2015 }],
  ])('asbestos: %s', (_what, over) => {
    expect(planOf(texture({ ...over, samples: [bulk], readings: [says(4)] })).asbestos.coat.value).toBe('found');
    expect(planOf(texture({ ...over, samples: [bulk] })).asbestos.coat.value).toBe('waiting');
  });
  test('asbestos: the ceiling removed and entered again as plain paint', () => {
    const gone = texture({ id: 'gone', removedAt: AT, samples: [bulk], readings: [says(4)] });
    const plain = texture({ layers: [aLayer(0, { id: 'plain', binder: 'acrylic' })] });
    expect(plansOf(aFacts(plain, { others: [gone] }))[0]!.asbestos.coat.value).toBe('found');
  });
  test('growth on a like piece that was taken off the list', () => {
    const gone = aSurface({ id: 'gone', removedAt: AT, conditions: ['moldy'] });
    expect(plansOf(aFacts(aSurface(), { others: [gone] }))[0]!.mold.value).toBe('assumed');
  });
});

describe('a homogeneous area (40 CFR 763.86, 763.87)', () => {
  const ceiling = (id: string, n: number, over: Partial<Surface> = {}) =>
    aSurface({
      id,
      name: id,
      element: 'ceiling',
      material: 'aluminium',
      layers: [aLayer(0, { id: `${id}-coat`, binder: 'textured', look: 'stippled' })],
      samples: Array.from({ length: n }, (_, i) =>
        aSample({
          id: `${id}-s${i}`,
          number: `${id}-${i}`,
          hazard: 'asbestos',
          kind: 'bulk',
          suspect: 'texturedCoat',
          takenAt: AT,
          atX: 0.1 + 0.3 * i,
          atY: 0.5,
        }),
      ),
      readings: Array.from({ length: n }, (_, i) =>
        aReading({ id: `${id}-r${i}`, kind: 'bulk', sampleId: `${id}-s${i}`, value: 0, unit: 'mass%', device: '' }),
      ),
      ...over,
    });
  const states = (...surfaces: Surface[]) => {
    const facts = aFacts(surfaces[0]!, { others: surfaces.slice(1), job: { yearBuilt: 1966 } });
    return plansOf({ ...facts, spaces: [...facts.spaces, aSpace({ id: 'room-2', name: 'Other' })] }).map((p) => p.asbestos.coat.value);
  };
  test('duplicates and samples from one spot are one sample', () => {
    const s = ceiling('c', 3);
    expect(states(s)).toEqual(['notFound']);
    expect(states({ ...s, samples: s.samples.map((x) => ({ ...x, kind: x.id === 'c-s0' ? 'bulk' : 'duplicate' })) })).toEqual(['assumed']);
    expect(states({ ...s, samples: s.samples.map((x) => ({ ...x, atX: 0.5 })) })).toEqual(['assumed']);
  });
  test('samples from one room do not clear another', () => {
    const far = ceiling('d', 0, { spaceId: 'room-2' });
    expect(states(ceiling('c', 3), far)).toEqual(['assumed', 'assumed']);
    expect(states(ceiling('c', 2), ceiling('d', 1, { spaceId: 'room-2' }))).toEqual(['notFound', 'notFound']);
  });
  test('paint in another colour is over the same texture; another texture is another area', () => {
    const green = ceiling('d', 0, { layers: [aLayer(0, { id: 'd-coat', binder: 'textured', look: 'stippled', colour: 'green' })] });
    expect(states(ceiling('c', 3), green)).toEqual(['notFound', 'notFound']);
    const combed = ceiling('d', 0, { layers: [aLayer(0, { id: 'd-coat', binder: 'textured', look: 'combed' })] });
    expect(states(ceiling('c', 3), combed)).toEqual(['notFound', 'assumed']);
  });
  // 40 CFR 763.87: negative only when every sample is. A record of another kind answers no sample, and gives no clear one back.
  test('a clear sample that somebody took back is out again, whatever the record is; a positive is not', () => {
    const back = (over: Partial<Reading>) =>
      aReading({
        id: 'back',
        kind: 'moisture',
        value: 12,
        unit: '%MC',
        supersedesId: 'c-r0',
        supersedesWhy: 'the bags were mixed up',
        takenAt: LATER,
        ...over,
      });
    const with_ = (s: Surface, ...more: Reading[]) => states({ ...s, readings: [...s.readings, ...more] });
    expect(with_(ceiling('c', 3))).toEqual(['notFound']);
    expect(with_(ceiling('c', 3), back({}))).toEqual(['waiting']);
    const found = ceiling('c', 3);
    const positive = { ...found, readings: found.readings.map((r, i) => (i === 0 ? { ...r, value: 3 } : r)) };
    expect(with_(positive, back({}))).toEqual(['found']);
    // "Less than" clears as none does, and is taken back alike; so is a little that a fine count had cleared.
    const as = (over: Partial<Reading>) => ({ ...found, readings: found.readings.map((r, i) => (i === 0 ? { ...r, ...over } : r)) });
    expect(with_(as({ below: true }), back({}))).toEqual(['waiting']);
    expect([with_(as({ value: 0.4, analysis: 'pointCount' })), with_(as({ value: 0.4, analysis: 'pointCount' }), back({}))]).toEqual([
      ['notFound'],
      ['waiting'],
    ]);
  });
  test('what has no year belongs to the stricter area', () => {
    const facts = aFacts(ceiling('c', 1, { yearMade: 1966 }), { others: [ceiling('d', 0)], job: { yearBuilt: null } });
    const bad = { ...facts, surfaces: facts.surfaces.map((s) => ({ ...s, readings: s.readings.map((r) => ({ ...r, value: 3 })) })) };
    expect(plansOf(bad).map((p) => p.asbestos.coat.value)).toEqual(['found', 'found']);
  });
});

test('another rulebook in the same session judges everything anew', () => {
  const s = aSurface({ element: 'ceiling', material: 'gypsumPlaster', layers: [aLayer(0, { binder: 'textured' })] });
  const us = aFacts(s, { job: { yearBuilt: 1994 } });
  const warm = createDeriver();
  warm.derive(us, DEFAULT_SETTINGS, THIS_YEAR);
  const uk: JobFacts = { ...us, job: { ...us.job, rulebook: 'uk' } };
  expect(warm.derive(uk, DEFAULT_SETTINGS, THIS_YEAR).surfaces[0]!.asbestos.coat.value).toBe('assumed');
});

test('a find in one coat is not explained by a find in another that it never reached', () => {
  const clearAll = aReading({ id: 'clear', spot: 'unchanged', ...whole, takenAt: LATER });
  const named = aReading({ id: 'named', spot: 'changed', changedLayerIds: ['coat-0'], ...whole });
  const xrf = (reachedLayerIds: string[]) => aReading({ kind: 'xrf', value: 2.4, unit: 'mg/cm2', reachedLayerIds, toSubstrate: false });
  const deepest = (...readings: Reading[]) => planOf(aSurface({ readings })).lead.coats[2]!.state;
  expect(deepest(named, clearAll)).toBe('notFound');
  expect(deepest(named, clearAll, xrf(COATS))).toBe('notFound');
  expect(deepest(named, clearAll, xrf(['coat-2']))).toBe('found');
});
