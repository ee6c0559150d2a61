/** What is taken in, what is set aside, and that whatever is taken in can be read, exported and brought in again. */
import { readFileSync } from 'node:fs';
import path from 'node:path';
import fc from 'fast-check';
import { z } from 'zod';
import { arbitraryOf } from '../arbitrary';
import { aChange, aFacts, aLayer, aSurface, AT, THIS_YEAR } from '../testing';
import { applyChange, changesFor } from './change';
import { CHANGE_VERSION, readChange, saysTheSame, scopeParent, type Change, type JobChange } from './envelope';
import { takeInAll } from './intake';
import { canonical, JOB_FILE_VERSION, readJobFile, writeJobFile } from './job-file';
import { asParent, eachRecord, emptyLists, ENTITIES, recordSchema, specOf, type JobFacts, type Row } from './registry';

const kept = (name: string) => readFileSync(path.resolve(__dirname, '../../../tests/fixtures/2026-11', name), 'utf8');
const ON = { kind: 'surface', id: 'surface-1' } as const;
const share = (part: string, sharePct: number) => aChange({ entity: 'part', entityId: part, parent: ON, fields: { sharePct } });

describe('a batch with something wrong in it', () => {
  const facts = aFacts(aSurface());
  const [first, second] = facts.surfaces[0]!.parts;
  const move = (by: number) => [share(first!.id, first!.sharePct - by), share(second!.id, second!.sharePct + by)];
  const ids = (changes: readonly Change[]) => changes.map((c) => c.id);

  test('loses only what is wrong: what came before and after stands', () => {
    const [good, bad, later] = [
      aChange({ fields: { name: 'Good' } }),
      aChange({ fields: { lengthM: -1 } }),
      aChange({ fields: { count: 3 } }),
    ];
    const r = takeInAll(facts, [good, bad, later], THIS_YEAR);
    expect(ids(r.accepted)).toEqual(ids([good, later]));
    expect(r.refused.map((x) => [x.change.id, x.problems])).toEqual([
      [bad.id, [{ path: 'fields.lengthM', message: 'length must be more than 0' }]],
    ]);
    expect(r.facts!.surfaces[0]).toMatchObject({ name: 'Good', count: 3, lengthM: facts.surfaces[0]!.lengthM });
  });
  test('two halves that only fit together both stand, whatever is wrong between and after them', () => {
    const [a, b] = move(5);
    const bad = share(first!.id, 3);
    const rename = aChange({ fields: { name: 'After' } });
    const r = takeInAll(facts, [a!, rename, b!, bad, aChange({ entityId: 'nowhere' })], THIS_YEAR);
    expect(ids(r.accepted)).toEqual(ids([rename, a!, b!]));
    expect(r.refused.map((x) => x.problems[0]!.message)).toEqual([
      expect.stringMatching(/^the shares add to/),
      'this surface is not on the job',
    ]);
  });
  test('what hangs on something refused is refused with it, each with its own reason', () => {
    const r = takeInAll(
      facts,
      [
        aChange({ entity: 'layer', entityId: 'new-coat', parent: ON, op: 'add', fields: { binder: 'cheese' } }),
        aChange({ entity: 'layer', entityId: 'new-coat', parent: ON, fields: { colour: 'red' } }),
      ],
      THIS_YEAR,
    );
    expect(r.accepted).toEqual([]);
    expect(r.refused).toHaveLength(2);
    expect(r.facts).toBe(facts);
  });
  test('two own edits of one field in a batch are no clash; another’s write between is', () => {
    const mine = [aChange({ fields: { name: 'B' }, saw: { name: 'Piece' } }), aChange({ fields: { name: 'C' }, saw: { name: 'B' } })];
    expect(takeInAll(facts, mine, THIS_YEAR).clashes).toEqual([]);
    const stale = aChange({ fields: { measures: { b: 2, a: 1 } }, saw: { measures: {}, name: 'x' } });
    const seen = { ...facts, surfaces: [{ ...facts.surfaces[0]!, measures: { a: 1, b: 2 } as never }] };
    expect(takeInAll(seen, [stale], THIS_YEAR).clashes).toEqual([]);
  });
  test('a list takes no more than can be read again', () => {
    const full = aFacts(aSurface({ layers: Array.from({ length: 60 }, (_, i) => aLayer(i)) }));
    const { id: _i, removedAt: _r, ...fields } = aLayer(61);
    const r = takeInAll(full, [aChange({ entity: 'layer', entityId: 'coat-61', parent: ON, op: 'add', fields })], THIS_YEAR);
    expect(r.refused[0]!.problems[0]!.message).toBe('at most 60 layers can stand here');
  });
  test('taking in says the same as applying one by one, when all of it fits', () => {
    fc.assert(
      fc.property(
        fc.array(fc.tuple(fc.constantFrom('name', 'count', 'species'), fc.integer({ min: 1, max: 99 })), { maxLength: 8 }),
        (edits) => {
          const batch = edits.map(([f, v]) => aChange({ fields: { [f]: f === 'count' ? v : `x${v}` } }));
          const one = batch.reduce<JobFacts>((f, c) => {
            const next = applyChange(f, c);
            return next.ok ? next.value : f;
          }, facts);
          const all = takeInAll(facts, batch, THIS_YEAR);
          expect([all.refused, all.facts]).toEqual([[], one]);
        },
      ),
      { numRuns: 40 },
    );
  });
});

/** Lists that came later are empty. */
const oldFacts = (): JobFacts => {
  const old = JSON.parse(kept('facts.json')) as JobFacts;
  return { ...emptyLists('job'), ...old, surfaces: old.surfaces.map((s) => ({ ...emptyLists('surface'), ...s })) };
};

describe('what was written before', () => {
  const log = JSON.parse(kept('log.json')) as unknown[];
  test.each(['log.json', 'phone-outbox.json'])('every change of %s is read as it was meant', (file) => {
    for (const raw of JSON.parse(kept(file)) as Record<string, unknown>[]) {
      const read = readChange(raw);
      if (!read.ok) throw new Error(JSON.stringify(read.problems));
      const { surfaceId, ...same } = raw;
      const parent = surfaceId ? { kind: 'surface', id: surfaceId } : scopeParent(read.value.entity, read.value.jobId);
      expect(read.value).toEqual({ v: 3, ...same, parent, personId: null, device: null, act: null });
    }
  });
  test('the second form named nobody of the firm’s people: it is read as it was meant, and a newer one is not guessed at', () => {
    const { personId: _none, ...second } = { ...aChange({}), v: 2 };
    expect(readChange(second)).toEqual({ ok: true, value: { ...second, v: 3, personId: null } });
    expect(readChange({ ...second, v: 4 }).ok).toBe(false);
  });
  test('the old log rebuilds the facts of its day', () => {
    const facts = log.reduce<JobFacts | null>((f, raw) => {
      const c = readChange(raw);
      const next = c.ok ? applyChange(f, c.value) : c;
      if (!next.ok) throw new Error(JSON.stringify(next.problems));
      return next.value;
    }, null);
    // What came later is filled in as not known.
    expect(canonical(facts!)).toMatchObject(canonical(oldFacts()));
  });
  test.each([1, 2, 3, 4, 5, 6])('a job file of version %i is read, and written as today’s', (version) => {
    const read = readJobFile(kept(`job-v${version}.roughsill.json`), THIS_YEAR);
    if (!read.ok) throw new Error(JSON.stringify(read.problems));
    const text = writeJobFile(read.value);
    expect(JSON.parse(text)).toMatchObject({ version: JOB_FILE_VERSION });
    const again = readJobFile(text, THIS_YEAR);
    expect(again.ok && writeJobFile(again.value)).toBe(text);
    const held = JSON.parse(kept(`job-v${version}.roughsill.json`)) as object;
    if (version >= 3) expect(JSON.parse(text)).toMatchObject({ ...held, version: JOB_FILE_VERSION });
  });
  test('a change of a later form is told apart from a broken one', () => {
    const c = aChange({});
    expect(readChange({ ...c, v: CHANGE_VERSION + 1, surprise: 1 })).toEqual({
      ok: false,
      problems: [{ path: 'v', message: 'was written by a newer Rough Sill: update this one' }],
    });
    expect(readChange({ ...c, jobId: null })).toMatchObject({ ok: false, problems: [{ path: 'jobId' }] });
    expect(readChange({ ...c, parent: { kind: 'surface', id: 'abc' } })).toMatchObject({ ok: false, problems: [{ path: 'parent' }] });
  });
  test('the same id says the same only with the same content, whatever the order of its keys', () => {
    const c = aChange({ fields: { name: 'x', count: 2 } });
    expect(saysTheSame(c, { ...c, fields: { count: 2, name: 'x' }, saw: { name: 'y' }, device: 'd' })).toBe(true);
    expect(saysTheSame(c, { ...c, fields: { count: 3, name: 'x' } })).toBe(false);
    expect(saysTheSame(c, { ...c, by: 'Another' })).toBe(false);
  });
});

describe('the registry', () => {
  test('every entity: what its schema takes goes in as a change and stands as a record of the file', () => {
    for (const entity of ENTITIES.filter((e) => specOf(e).scope === 'job')) {
      const schema = z.toJSONSchema(specOf(entity).fields, { io: 'output', unrepresentable: 'any' }) as object;
      const fits = (arbitraryOf(schema) as fc.Arbitrary<Record<string, unknown>>).filter((f) => specOf(entity).fields.safeParse(f).success);
      fc.assert(
        fc.property(fits, (fields) => {
          const parent = asParent(entity);
          const lists = parent && parent !== 'job' ? { parts: [], layers: [], readings: [], checks: [] } : {};
          const life = specOf(entity).appendOnly ? { by: 'Tester' } : { removedAt: null };
          const row = {
            id: 'abc',
            ...specOf(entity).fields.parse(fields),
            ...(entity === 'job' ? { createdAt: AT } : {}),
            ...life,
            ...lists,
          };
          const stands = recordSchema(entity).safeParse(JSON.parse(JSON.stringify(row)));
          expect(stands.success ? [] : stands.error.issues).toEqual([]);
        }),
        { numRuns: 30 },
      );
    }
  });
  test('whatever is accepted is read, exported and shown again', () => {
    const schemas = Object.fromEntries(
      ENTITIES.filter((e) => specOf(e).scope === 'job' && e !== 'job').map((e) => [
        e,
        arbitraryOf(z.toJSONSchema(specOf(e).fields, { io: 'output', unrepresentable: 'any' }) as object),
      ]),
    );
    const oneOf = fc.constantFrom(...Object.keys(schemas)).chain((e) => fc.tuple(fc.constant(e), schemas[e]!, fc.string({ maxLength: 4 })));
    let accepted = 0;
    fc.assert(
      fc.property(fc.array(oneOf, { minLength: 1, maxLength: 12 }), (made) => {
        const start = aFacts(aSurface());
        const batch = made.map(([entity, fields, by], i) =>
          readChange({
            ...aChange({
              entity: entity as never,
              entityId: `made-${i}`,
              op: 'add',
              parent: specOf(entity as never).parents.includes('surface') ? ON : scopeParent(entity as never, 'job-1'),
            }),
            fields: entity === 'surface' ? { ...(fields as object), spaceId: 'room-1' } : fields,
            by,
          }),
        );
        const readable = batch.flatMap((c) => (c.ok ? [c.value as JobChange] : []));
        const r = takeInAll(start, readable, THIS_YEAR);
        accepted += r.accepted.length;
        const text = writeJobFile(r.facts!);
        const again = readJobFile(text, THIS_YEAR);
        expect(again.ok ? writeJobFile(again.value) : again.problems).toBe(text);
      }),
      { numRuns: 150 },
    );
    expect(accepted).toBeGreaterThan(20);
  });
  test('a job is the sum of its changes, whichever entities it holds', () => {
    const facts = oldFacts();
    const seen = new Set<string>();
    eachRecord(facts, (_row: Row, place) => seen.add(place.entity));
    let n = 0;
    const made = changesFor(facts, () => `m-${(n += 1)}`, 'x').reduce<JobFacts | null>((f, c) => {
      const next = applyChange(f, c);
      return next.ok ? next.value : f;
    }, null);
    expect(canonical(made!)).toMatchObject(canonical(facts));
    expect([...seen].sort()).toEqual(['job', 'layer', 'part', 'reading', 'space', 'surface']);
  });
});

test('only what hangs under a surface has a surfaceId: its table is read back by that name', () => {
  for (const entity of ENTITIES)
    if (!specOf(entity).parents.includes('surface')) expect([entity, 'surfaceId' in specOf(entity).fields.shape]).toEqual([entity, false]);
});
