import fc from 'fast-check';
import { largeJob, quillPoint } from '@roughsill/demo';
import { aFacts, aSurface, AT, THIS_YEAR } from '../testing';
import { CONDITIONS, MATERIALS, type JobFacts, type Surface } from '../facts';
import { createDeriver } from './derive';
import { digestOf } from './digest';
import { jobMarkdown, jobReport } from '../report';
import type { Reason } from '../reasons';
import { RULE_WORDS, sentence, SOURCES } from '../words';
import { DEFAULT_SETTINGS } from '../rulebook';

const derive = (facts: JobFacts) => createDeriver().derive(facts, DEFAULT_SETTINGS, THIS_YEAR);

function everyReason(value: unknown, out: Reason[] = []): Reason[] {
  if (Array.isArray(value)) value.forEach((v) => everyReason(v, out));
  else if (value && typeof value === 'object') {
    if ('rule' in value && 'weighed' in value) out.push(value as Reason);
    else Object.values(value).forEach((v) => everyReason(v, out));
  }
  return out;
}

test('remembering changes nothing: any run of edits derives the same as from nothing', () => {
  const edit = fc.record({
    at: fc.integer({ min: 0, max: 12 }),
    lengthM: fc.double({ min: 0.2, max: 8, noNaN: true }),
    material: fc.constantFrom(...MATERIALS),
    conditions: fc.subarray([...CONDITIONS]),
    gone: fc.boolean(),
  });
  fc.assert(
    fc.property(fc.array(edit, { minLength: 1, maxLength: 6 }), (edits) => {
      const deriver = createDeriver();
      let facts = quillPoint();
      deriver.derive(facts, DEFAULT_SETTINGS, THIS_YEAR);
      for (const e of edits) {
        facts = {
          ...facts,
          surfaces: facts.surfaces.map((s, i): Surface =>
            i === e.at
              ? {
                  ...s,
                  lengthM: e.lengthM,
                  material: e.material,
                  conditions: e.conditions,
                  removedAt: e.gone ? '2026-05-05T00:00:00.000Z' : null,
                }
              : s,
          ),
        };
        expect(deriver.derive(facts, DEFAULT_SETTINGS, THIS_YEAR)).toEqual(derive(facts));
      }
    }),
    { numRuns: 6 },
  );
});

test('an edit leaves the plans of other zones, and their digests, as the same objects', () => {
  const deriver = createDeriver();
  const facts = quillPoint();
  const before = deriver.derive(facts, DEFAULT_SETTINGS, THIS_YEAR);
  const after = deriver.derive(
    { ...facts, surfaces: facts.surfaces.map((s, i) => (i === 2 ? { ...s, conditions: ['runs'] } : s)) },
    DEFAULT_SETTINGS,
    THIS_YEAR,
  );
  const zone = after.surfaces[2]!.zoneId;
  const changed = after.surfaces.filter((p, i) => p !== before.surfaces[i]);
  expect([...new Set(changed.map((p) => p.zoneId))]).toEqual([zone]);
  expect(digestOf(facts, after).surfaces.filter((d, i) => d !== digestOf(facts, before).surfaces[i])).toHaveLength(changed.length);
  // What hangs on nobody else is not even looked at again.
  expect(changed.filter((p) => p.choice !== before.surfaces.find((b) => b.surfaceId === p.surfaceId)!.choice)).toHaveLength(1);
});

test('every reason in a whole house has words with nothing left blank, in both unit systems, and a source', () => {
  const uk = largeJob(60);
  const reasons = [quillPoint(), largeJob(60), { ...uk, job: { ...uk.job, rulebook: 'uk' as const, units: 'm' as const } }].flatMap((f) =>
    everyReason(derive(f)),
  );
  expect(reasons.length).toBeGreaterThan(1000);
  // The same reason said twice is looked at once; what is wrong is gathered, for there are hundreds of thousands.
  const distinct = new Map(reasons.map((r) => [JSON.stringify([r.rule, r.weighed, r.source]), r]));
  const wrong = [...distinct.values()].flatMap((r) => [
    ...(['ft', 'm'] as const).map((units) => sentence(r, units)).filter((says) => /[{}]|undefined|NaN/.test(says)),
    ...(r.source in SOURCES ? [] : [`${r.rule}: no source ${r.source}`]),
  ]);
  expect(wrong).toEqual([]);
});

test('a plan under UK rules leans on no US rule, but for the planning figure of exposure, which says so; and the other way round', () => {
  const facts = largeJob(60);
  const countries = (rulebook: 'us' | 'uk') =>
    everyReason(derive({ ...facts, job: { ...facts.job, rulebook } }))
      .filter((r) => r.rule !== 'exposure.presumedUk')
      .map((r) => `${SOURCES[r.source].where} ${r.rule}`);
  expect(countries('uk').filter((c) => c.startsWith('US'))).toEqual([]);
  expect(countries('us').filter((c) => c.startsWith('UK'))).toEqual([]);
});

test('no sentence of the table is blank or ends without its stop; checks and steps are headings', () => {
  for (const [id, words] of Object.entries(RULE_WORDS)) {
    expect(words.says.length).toBeGreaterThan(3);
    if (!/^(gate|step)\./.test(id)) expect(`${id} ${words.says}`).toMatch(/[.}?]$/);
    expect(words.says).not.toMatch(/!/);
  }
});

test('the report holds every surface with its methods, and the Markdown its steps', () => {
  const facts = quillPoint();
  const report = jobReport(facts, derive(facts), DEFAULT_SETTINGS, AT, { detail: 'all' });
  expect(report.spaces.flatMap((s) => s.surfaces)).toHaveLength(20);
  expect(report.spaces[0]!.surfaces[0]!.parts[0]!.verdicts!.methods.length).toBeGreaterThanOrEqual(10);
  const md = jobMarkdown(report);
  expect(md).toMatch(/## Ticket hall[\s\S]+### Sashes[\s\S]+\*\*Steps\*\*/);
  expect(md).not.toMatch(/undefined|NaN|\[object/);
});

// Law W4. CommonMark 2.4: a backslash before ASCII punctuation makes it stand for itself.
test('what a person typed stands in Markdown as typed, and is no markup', () => {
  const name = 'Sash | <b>left</b> *new* [x](y) `z`\n# Over';
  const facts = aFacts(aSurface({ name }), { job: { name, note: 'a_b_c' }, space: { name } });
  const md = jobMarkdown(jobReport(facts, derive(facts), DEFAULT_SETTINGS, AT));
  const typed = 'Sash \\| \\<b\\>left\\</b\\> \\*new\\* \\[x\\](y) \\`z\\` \\# Over';
  expect(md.split(typed).length).toBeGreaterThan(4);
  expect(md).toContain('Note: “a\\_b\\_c”');
  expect(md).not.toMatch(/[^\\]<b>|^# Over/m);
});

test('a job without rooms, and a room without sizes, derive without complaint', () => {
  expect(derive({ ...aFacts(aSurface()), spaces: [], surfaces: [] }).next.act).toBe('addSpace');
  expect(derive(aFacts(aSurface())).surfaces).toHaveLength(1);
});
