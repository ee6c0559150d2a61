import fc from 'fast-check';
import { aChange, aCheck, aFacts, aLayer, aReading, aSurface, aZone, COATS, THIS_YEAR } from '../testing';
import { BLANK_LAYER } from './blank';
import { applyChange, applyChanges, changesFor, clashes, inverse } from './change';
import type { JobChange } from './envelope';
import { canonical, JOB_FILE_VERSION, readJobFile, withNewIds, writeJobFile } from './job-file';
import type { JobFacts } from './registry';

const ON_SURFACE = { kind: 'surface', id: 'surface-1' } as const;
const facts: JobFacts = {
  ...aFacts(aSurface({ readings: [aReading({ spot: 'changed', reachedLayerIds: COATS, toSubstrate: true })], zoneId: 'zone-1' })),
  zones: [aZone()],
  // Of a part of the room, and of the bench, which has the job's own id.
  checks: [aCheck('bay', { zoneId: 'zone-1' }), aCheck('bench', { zoneId: 'job-1' })],
};
const refused = (...changes: JobChange[]) => {
  const r = applyChanges(facts, changes, THIS_YEAR);
  return r.ok ? [] : r.problems.map((p) => `${p.path}: ${p.message}`);
};

describe('a change', () => {
  test('leaves every record that it does not touch as the same object', () => {
    const r = applyChange(facts, aChange({ entity: 'layer', entityId: 'coat-1', parent: ON_SURFACE, fields: { colour: 'green' } }));
    if (!r.ok) throw new Error('refused');
    expect(r.value.spaces).toBe(facts.spaces);
    expect(r.value.surfaces[0]!.parts).toBe(facts.surfaces[0]!.parts);
    expect(r.value.surfaces[0]!.layers[0]).toBe(facts.surfaces[0]!.layers[0]);
  });
  test.each([
    ['a negative size', { fields: { lengthM: -2 } }, 'changes[0].fields.lengthM: length must be more than 0'],
    ['an absurd size', { fields: { widthM: 4000 } }, 'changes[0].fields.widthM: width is over 100 m: check the unit'],
    ['a made-up field', { fields: { smell: 'bad' } }, 'changes[0].fields.smell: is not a known field'],
    ['a control character', { fields: { name: 'a\u0000b' } }, 'changes[0].fields.name: holds a control character: type it again'],
    ['a surface that is not there', { entityId: 'surface-9' }, 'changes[0].entityId: this surface is not on the job'],
    [
      'an edit of a reading',
      { entity: 'reading', entityId: 'reading-spot', parent: ON_SURFACE },
      'changes[0].op: a reading is never edited or removed: add one that replaces it and says why',
    ],
    [
      'an unknown method',
      { entity: 'part', entityId: 'part-flat', parent: ON_SURFACE, fields: { methodId: 'chisel' } },
      'changes[0].fields.methodId: no such method',
    ],
    [
      'a year in the future',
      { entity: 'job', entityId: 'job-1', fields: { yearBuilt: THIS_YEAR + 1 } },
      `job.yearBuilt: ${THIS_YEAR + 1} is in the future: check the year`,
    ],
    [
      'shares that do not add up',
      { entity: 'part', entityId: 'part-flat', parent: ON_SURFACE, fields: { sharePct: 50 } },
      'surfaces[0].parts: the shares add to 90 %, not 100 %',
    ],
  ] as const)('refuses %s and says where', (_what, over, message) => {
    expect(refused(aChange(over as Partial<JobChange>))).toContain(message);
  });
  test('a reading needs its unit, its depth and, when it replaces another, a why', () => {
    const add = (over: object) =>
      refused(
        aChange({
          entity: 'reading',
          entityId: 'new-reading',
          parent: ON_SURFACE,
          op: 'add',
          fields: (({ id: _i, by: _b, ...f }) => f)({ ...aReading({ kind: 'lab', reachedLayerIds: COATS, toSubstrate: true }), ...over }),
        }),
      );
    expect(add({ value: 0.7, unit: null })).toContain('surfaces[0].readings[1].unit: state the unit: %, ppm or mg/cm2');
    expect(add({ reachedLayerIds: [], toSubstrate: false }).join()).toMatch(/how deep/);
    expect(add({ value: 5000, unit: 'mass%' }).join()).toMatch(/check the unit/);
    expect(add({ supersedesId: 'reading-spot', supersedesWhy: ' ' }).join()).toMatch(/say why/);
    expect(add({})).toEqual([]);
  });
  test('a batch goes in whole or not at all', () => {
    const r = applyChanges(facts, [aChange({ fields: { name: 'New name' } }), aChange({ fields: { count: 0 } })], THIS_YEAR);
    expect(r.ok).toBe(false);
    expect(facts.surfaces[0]!.name).toBe('Piece');
  });
  test('two people in one field: the later is told what it overwrote; other fields merge in silence', () => {
    expect(clashes(facts, aChange({ fields: { name: 'Mine' }, saw: { name: 'Older' } }))).toEqual([
      expect.objectContaining({ field: 'name', theirs: 'Piece', yours: 'Mine' }),
    ]);
    expect(clashes(facts, aChange({ fields: { name: 'Mine' }, saw: { name: 'Piece' } }))).toEqual([]);
  });
  test('what is done can be taken back; an observation cannot', () => {
    for (const c of [
      aChange({ fields: { name: 'X', count: 3 } }),
      aChange({ op: 'remove' }),
      aChange({
        entity: 'layer',
        entityId: 'coat-7',
        parent: ON_SURFACE,
        op: 'add',
        fields: (({ id: _i, removedAt: _r, ...f }) => f)(aLayer(7)),
      }),
    ]) {
      const after = applyChange(facts, c);
      const back = inverse(facts, c)!;
      const restored = after.ok && applyChange(after.value, { ...c, id: 'back-1', op: back.op, fields: back.fields });
      const live = (f: JobFacts) =>
        JSON.stringify({ ...f, surfaces: f.surfaces.map((s) => ({ ...s, layers: s.layers.filter((l) => l.removedAt === null) })) });
      expect(restored && restored.ok && live(restored.value)).toBe(live(facts));
    }
    expect(inverse(facts, aChange({ entity: 'reading', op: 'add', parent: ON_SURFACE }))).toBeNull();
  });
});

describe('the job file', () => {
  const names = fc
    .string({ unit: 'grapheme', minLength: 1, maxLength: 60 })
    .filter((s) => s.trim().length > 0 && !/[\u0000-\u001f\u007f]/.test(s));
  test('reads back to the same bytes, whatever the names: emoji, right to left, SQL', () => {
    fc.assert(
      fc.property(fc.oneof(names, fc.constantFrom("Robert'); DROP TABLE jobs;--", 'دفتر الميناء', '🪟 sash')), names, (jobName, colour) => {
        const text = writeJobFile(aFacts(aSurface({ layers: [aLayer(0, { colour })] }), { job: { name: jobName } }));
        const read = readJobFile(text, THIS_YEAR);
        expect(read.ok && writeJobFile(read.value)).toBe(text);
      }),
      { numRuns: 60 },
    );
  });
  test('is rebuilt by its own changes, and by a copy under new ids', () => {
    let i = 0;
    const made = applyChanges(
      null,
      changesFor(facts, () => `id-${(i += 1)}`, 'Tester'),
      THIS_YEAR,
    );
    expect(made.ok && canonical(made.value)).toEqual(canonical(facts));
    const copy = withNewIds(facts, () => `copy-${(i += 1)}`);
    expect(readJobFile(writeJobFile(copy), THIS_YEAR).ok).toBe(true);
    expect(copy.surfaces[0]!.readings[0]!.reachedLayerIds).toEqual(copy.surfaces[0]!.layers.map((l) => l.id));
  });
  const whole = writeJobFile(facts);
  const edit = (f: (o: Record<string, any>) => void) => {
    const o = JSON.parse(whole) as Record<string, any>;
    f(o);
    return JSON.stringify(o);
  };
  test.each([
    ['cut short', whole.slice(0, 200), /^\(file\): is not whole JSON/],
    [
      'of a newer version',
      edit((o) => (o['version'] = JOB_FILE_VERSION + 1)),
      new RegExp(`^version: is ${JOB_FILE_VERSION + 1}; this Rough Sill reads up to ${JOB_FILE_VERSION}`),
    ],
    ['of another kind', '{"format":"x"}', /^format: is not "roughsill.job"/],
    ['not an object', '[]', /not a Rough Sill job file/],
    ['with a negative width', edit((o) => (o['surfaces'][0].widthM = -1)), /^surfaces\[0\]\.widthM: width must be more than 0/],
    ['without a material', edit((o) => delete o['surfaces'][0].material), /^surfaces\[0\]\.material: is missing/],
    [
      'with an unknown binder',
      edit((o) => (o['surfaces'][0].layers[1].binder = 'magic')),
      /^surfaces\[0\]\.layers\[1\]\.binder: is not one of: unknown, oil/,
    ],
    [
      'with an id twice',
      edit((o) => (o['surfaces'][0].layers[1].id = 'coat-0')),
      /^surfaces\[0\]\.layers\[1\]\.id: is the same id as surfaces\[0\]\.layers\[0\]/,
    ],
    ['with shares of 120 %', edit((o) => (o['surfaces'][0].parts[0].sharePct = 80)), /^surfaces\[0\]\.parts: the shares add to 120 %/],
    [
      'joined to no room',
      edit((o) => (o['spaces'][0].joinedToId = 'nowhere')),
      /^spaces\[0\]\.joinedToId: the room or side it is joined to/,
    ],
    ['on rules that are not known', edit((o) => (o['job'].edition = 'us-2040')), /^job\.edition: stands on rules “us-2040”/],
    ['worked in no zone', edit((o) => (o['surfaces'][0].zoneId = 'nowhere')), /^surfaces\[0\]\.zoneId: the zone it is worked in/],
    [
      'with a check of no zone',
      edit((o) => (o['checks'][0].zoneId = 'nowhere')),
      /^checks\[0\]\.zoneId: the zone it is about is not on this job/,
    ],
    ['pointing at no room', edit((o) => (o['surfaces'][0].spaceId = 'nowhere')), /^surfaces\[0\]\.spaceId: the room or elevation/],
  ])('%s is refused with its path', (_what, text, message) => {
    const r = readJobFile(text, THIS_YEAR);
    expect(r.ok ? '' : r.problems.map((p) => `${p.path}: ${p.message}`).join('\n')).toMatch(message);
  });
});

test('two windows on one cell of coats: the second is told, and nothing doubles', () => {
  const coat = (id: string, position: number): JobChange =>
    aChange({ op: 'add', entity: 'layer', entityId: id, parent: ON_SURFACE, fields: { ...BLANK_LAYER, position } });
  const one = applyChanges(facts, [coat('a', 3), coat('b', 4)], THIS_YEAR);
  if (!one.ok) throw new Error('the first window is refused');
  const two = applyChanges(one.value, [coat('c', 3)], THIS_YEAR);
  expect(two.ok ? [] : two.problems.map((p) => `${p.path}: ${p.message}`)).toEqual([
    'changes[0].fields.position: another one was entered in its place meanwhile: look at it again',
  ]);
});
