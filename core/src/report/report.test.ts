import { quillPoint } from '@roughsill/demo';
import { AT, aDefect, aFacts, aPart, aReading, aSurface, COATS, THIS_YEAR } from '../testing';
import type { JobFacts } from '../facts';
import { createDeriver } from '../job/derive';
import { DEFAULT_SETTINGS } from '../rulebook';
import { SOURCES, sourceText, type SourceId } from '../words';
import { jobReport, methodsReport, type Detail } from './report';

/** A room in which something was found, something is damaged, something is asked and something was declined. */
const house: JobFacts = aFacts(
  aSurface({
    name: 'Hall casing',
    readings: [aReading({ spot: 'changed', reachedLayerIds: COATS, toSubstrate: true })],
    parts: [aPart('flat', 'wetScrapeBare', { sharePct: 60 }), aPart('moulded', null, { sharePct: 40 })],
    defects: [aDefect('rot')],
    topcoat: 'alkydGloss',
  }),
  {
    others: [
      aSurface({ id: 'wall', name: 'Wall', element: 'wall', material: 'limePlaster', conditions: ['moldy'], moldM2: 0.5 }),
      aSurface({ id: 'rail', name: 'Rail', element: 'railing', material: 'mildSteel', rustGrade: 3 }),
      aSurface({ id: 'left', name: 'Shutter', element: 'shutter', declinedOn: '2026-05-01', declinedNote: 'next year' }),
    ].map((s) => ({ ...s, parts: s.parts.map((p) => ({ ...p, id: `${s.id}-${p.kind}` })) })),
  },
);
const told = (facts: JobFacts = house, detail: Detail = 'picks') => {
  const plan = createDeriver().derive(facts, DEFAULT_SETTINGS, THIS_YEAR);
  return { plan, report: jobReport(facts, plan, DEFAULT_SETTINGS, AT, { detail }) };
};
const read = (detail: Detail = 'picks', facts: JobFacts = house) => JSON.parse(JSON.stringify(told(facts, detail).report));

/** Everything in it, with the name under which it stands. */
function* walk(x: unknown, key = ''): Generator<readonly [key: string, value: unknown]> {
  yield [key, x];
  if (Array.isArray(x)) for (const y of x) yield* walk(y, key);
  else if (x !== null && typeof x === 'object') for (const [k, y] of Object.entries(x)) yield* walk(y, k);
}

test.each<[Detail, string, JobFacts]>([
  ['picks', 'a house', house],
  ['all', 'a house', house],
  ['picks', 'Quill Point', quillPoint()],
])('with %s of %s: what many places say alike stands once in a table, and each place names its row', (detail, _of, facts) => {
  const { reasons, sources, numbers, signs, ...rest } = read(detail, facts);
  const rows = { reasons, sources, numbers, signs };
  const named = (keys: readonly string[], within: unknown) =>
    [...new Set([...walk(within)].flatMap(([k, v]) => (keys.includes(k) && typeof v === 'number' ? [v] : [])))].sort((a, b) => a - b);
  const all = (list: readonly unknown[]) => list.map((_, i) => i);
  expect(named(['because', 'mustBeTrue', 'opensAfter', 'refused', 'orderChanged', 'keptApart', 'duties', 'asks'], rest)).toEqual(
    all(reasons),
  );
  expect(named(['source'], reasons)).toEqual(all(sources));
  expect(named(['numbers'], rest)).toEqual(all(numbers));
  expect(named(['signs'], rest)).toEqual(all(signs));
  for (const table of Object.values(rows)) expect(new Set(table.map((r: unknown) => JSON.stringify(r))).size).toBe(table.length);
  expect(reasons.length).toBeGreaterThan(50);
  expect(Math.min(sources.length, numbers.length, signs.length)).toBeGreaterThan(0);
  for (const r of reasons) expect(r.says).toMatch(/^[^{}]{4,}$/);
  for (const s of sources) expect(s.title).toMatch(/: ./);
});

test('no word of it was left open, and a number is a number', () => {
  for (const [key, value] of walk(read('all'))) {
    if (typeof value === 'string') expect(`${key}: ${value}`).not.toMatch(/undefined|NaN|\[object|[{}]/);
    if (typeof value === 'number') expect(Number.isFinite(value)).toBe(true);
  }
});

test('its sums are those of its lines, of its surfaces and of the plan', () => {
  const { plan, report } = told();
  const surfaces = report.spaces.flatMap((s) => s.surfaces);
  const sum = (of: (s: (typeof surfaces)[number]) => number) => surfaces.reduce((a, s) => a + of(s), 0);
  expect(report.totals.lines.reduce((a, l) => a + l.money.high, 0)).toBeCloseTo(report.totals.money.high, 6);
  expect(sum((s) => s.hours.handsOn.high)).toBeCloseTo(report.totals.personHours.high, 6);
  expect(sum((s) => s.area.value)).toBeCloseTo(report.totals.area.value, 6);
  // What a tin holds beyond its coats, and the tests, are nobody's surface.
  const beside = plan.totals.lines.packs.high + plan.totals.lines.tests.high;
  expect(sum((s) => s.money.high) + beside).toBeCloseTo(report.totals.money.high, 6);
});

test('steps are counted from one, and a surface and its zone tell no step twice', () => {
  const { report } = told();
  for (const { steps } of [...report.zones, ...report.spaces.flatMap((s) => s.surfaces)]) {
    expect(steps.map((s) => s.number)).toEqual(steps.map((_s, i) => i + 1));
    const checks = steps.flatMap((s) => s.checks.map((c) => c.id));
    expect(new Set(checks).size).toBe(checks.length);
  }
});

test('every verdict is told only where it is asked for; the rest is word for word the same', () => {
  const [short, long] = [read('picks'), read('all')];
  const parts = (r: typeof short) => r.spaces.flatMap((s: any) => s.surfaces.flatMap((x: any) => x.parts));
  expect(parts(short).every((p: any) => p.verdicts === null)).toBe(true);
  const picked = (r: typeof short) => parts(r).map((p: any) => [p.counts, p.picks.map((m: any) => [m.method, m.personHours])]);
  expect(picked(short)).toEqual(picked(long));
  for (const p of parts(long)) {
    const { methods, notFor } = p.verdicts;
    const of = (v: string) => methods.filter((m: any) => m.verdict === v).length;
    expect([of('go'), of('care'), of('blocked')]).toEqual([p.counts.go, p.counts.care, p.counts.blocked]);
    expect(methods.some((m: any) => notFor.includes(m.method))).toBe(false);
  }
  const says = (r: typeof short, says: string) => r.reasons.some((x: any) => x.says === says);
  for (const r of short.reasons) expect(says(long, r.says)).toBe(true);
});

test('a source that the firm held against its document says so wherever it is named', () => {
  const { plan, report } = told();
  const published = report.sources.find((x) => x.kind === 'Published')!;
  const source = (Object.keys(SOURCES) as SourceId[]).find((id) => sourceText(id) === published.title)!;
  const check = { id: 'c', source, says: published.title, on: '2026-05-04', against: 'eCFR of that day', person: 'Ines', removedAt: null };
  const { sources } = jobReport(house, plan, { ...DEFAULT_SETTINGS, sourceChecks: [check] }, AT);
  expect(sources.map((x) => x.title)).toEqual(report.sources.map((x) => x.title));
  expect(sources.filter((x, at) => x.kind !== report.sources[at]!.kind)).toEqual([
    { title: published.title, kind: 'Checked by Ines on 2026-05-04: eCFR of that day' },
  ]);
});

test('one surface asked by itself gives the verdicts that the whole gives', () => {
  const { plan } = told();
  const alone = JSON.parse(JSON.stringify(methodsReport(plan.surfaces[0]!, 'ft', DEFAULT_SETTINGS)));
  const within = read('all').spaces[0].surfaces[0];
  expect(alone.reasons.every((r: any) => r.source in alone.sources)).toBe(true);
  const verdicts = (parts: any) => parts.map((p: any) => p.verdicts.methods.map((m: any) => [m.method, m.verdict, m.cost]));
  expect(verdicts(alone.parts)).toEqual(verdicts(within.parts));
});

test('in a metric house nobody reads feet, and in either the same things are found', () => {
  const metric = read('picks', { ...house, job: { ...house.job, rulebook: 'uk', units: 'm' } });
  // A limit that a rule gives in feet stands in brackets behind its metres.
  for (const [key, value] of walk(metric))
    if (typeof value === 'string') expect(`${key}: ${value.replace(/\([^)]*\)/g, '')}`).not.toMatch(/\d (ft|gal|lb|fl oz)\b/);
  expect(metric.states).toEqual(read().states);
});
