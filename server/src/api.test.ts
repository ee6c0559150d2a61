import { randomUUID } from 'node:crypto';
import http from 'node:http';
import type { AddressInfo } from 'node:net';
import pg from 'pg';
import pino from 'pino';
import { getTableName, sql } from 'drizzle-orm';
import { CHANGE_VERSION, changesFor, JOB_FILE_VERSION, scopeParent, withNewIds, writeJobFile, type Change } from '@roughsill/core';
import { largeJob, quillPoint } from '@roughsill/demo';
import { createApp } from './app';
import { connect } from './db/client';
import { Epoch } from './db/database-epoch';
import { FirmStore } from './db/firm-store';
import { EVIDENCE } from './db/rights';
import { firms } from './db/schema';
import { PROBLEMS } from './problem';
import { NOW, startTestServer, type TestServer } from './testing';

let s: TestServer;
beforeAll(async () => {
  s = await startTestServer();
}, 60_000);
afterAll(() => s.stop());

/** The sample job under an id of choice, its records under fresh ones. */
const file = (id: string) => {
  const facts = withNewIds(quillPoint(), randomUUID);
  // Checks of the bench name the job too.
  return JSON.parse(writeJobFile(facts).replaceAll(facts.job.id, id)) as ReturnType<typeof quillPoint>;
};
const change = (jobId: string, over: Partial<Change>): Change => ({
  v: CHANGE_VERSION,
  id: randomUUID(),
  jobId,
  entity: 'surface',
  entityId: `${jobId}-x`,
  parent: scopeParent(over.entity ?? 'surface', over.jobId === undefined ? jobId : over.jobId),
  op: 'set',
  fields: {},
  at: NOW.toISOString(),
  by: 'Tester',
  personId: null,
  device: 'desk',
  act: null,
  ...over,
});
const send = (...changes: Change[]) => s.call('POST', '/api/changes', { changes });
/** Not with fetch: Node's adds "no-cache" to a conditional request. */
const statusIf = (url: string, tag: string) =>
  new Promise<number | undefined>((resolve) =>
    http.get(url, { headers: { 'if-none-match': tag }, agent: false }, (r) => resolve(r.resume().statusCode)),
  );
/** A job under new ids, so that tests do not meet. */
async function freshJob(): Promise<{ jobId: string; facts: ReturnType<typeof quillPoint> }> {
  const made = await s.call('POST', '/api/jobs/import', file(`seed-${randomUUID()}`));
  expect(made.status).toBe(201);
  const got = await s.call('GET', `/api/jobs/${made.body.jobId}`);
  return { jobId: made.body.jobId, facts: got.body.facts };
}

describe('the job file over HTTP', () => {
  test('goes in and comes out byte for byte, and is planned', async () => {
    const text = `${JSON.stringify(file('round-trip'), null, 2)}\n`;
    expect((await s.call('POST', '/api/jobs/import', undefined, text)).status).toBe(201);
    const res = await fetch(`${s.address}/api/jobs/round-trip/file`);
    expect(await res.text()).toBe(text);
    const plan = await s.call('GET', '/api/jobs/round-trip/plan');
    expect(plan.body.spaces[0].surfaces[0].lead.overall.value).toBe('found');
    expect((await s.call('POST', '/api/plan', file('not-stored'))).body.job.id).toBe('not-stored');
    expect((await s.call('GET', '/api/jobs/not-stored')).status).toBe(404);
  });
  test('the plan is told anew only when the job, the firm or the year moved; every verdict is there when asked for', async () => {
    const { jobId, facts } = await freshJob();
    const at = `${s.address}/api/jobs/${jobId}/plan`;
    const get = async () => {
      const r = await fetch(at);
      return { status: r.status, tag: r.headers.get('etag')!, text: await r.text() };
    };
    const first = await get();
    expect((await get()).text).toBe(first.text);
    expect([await statusIf(at, first.tag), await statusIf(at, '"other"')]).toEqual([304, 200]);
    const sash = facts.surfaces[0]!;
    await send(change(jobId, { entityId: sash.id, fields: { count: sash.count + 1 } }));
    const later = await get();
    expect([later.status, later.tag === first.tag, later.text === first.text]).toEqual([200, false, false]);
    const slim = JSON.parse(later.text) as any;
    const all = (await s.call('GET', `/api/jobs/${jobId}/plan?detail=all`)).body;
    const part = (r: any) => r.spaces.flatMap((x: any) => x.surfaces).find((x: any) => x.id === sash.id).parts[0];
    const { body } = await s.call('GET', `/api/jobs/${jobId}/surfaces/${sash.id}/methods`);
    expect([part(slim).verdicts, slim.survey]).toEqual([null, null]);
    const told = (r: any) =>
      part(r).verdicts.methods.map((m: any) => [m.method, m.verdict, m.because.map((i: number) => r.reasons[i].says)]);
    expect(
      body.parts[0].verdicts.methods.map((m: any) => [m.method, m.verdict, m.because.map((i: number) => body.reasons[i].says)]),
    ).toEqual(told(all));
    expect((await s.call('GET', `/api/jobs/${jobId}/surfaces/nobody/methods`)).status).toBe(404);
    expect((await s.call('GET', `/api/jobs/${jobId}/plan?detail=some`)).status).toBe(400);
  });
  test('a second time it is refused, and offered as a copy', async () => {
    const f = file('brought-twice');
    await s.call('POST', '/api/jobs/import', f);
    expect((await s.call('POST', '/api/jobs/import', f)).body.type).toBe('/problems/already-here');
    // Another job that holds the same records is refused as well, and nothing of it stays.
    expect(
      (await s.call('POST', '/api/jobs/import', undefined, JSON.stringify(f).replaceAll('"brought-twice"', '"brought-too"'))).status,
    ).toBe(409);
    expect((await s.call('GET', '/api/jobs/brought-too')).status).toBe(404);
    expect((await s.call('POST', '/api/jobs/import?copy=true', f)).status).toBe(201);
  });
  test('a broken one changes nothing and names every path', async () => {
    const bad = file('bad-file');
    bad.surfaces[0]!.widthM = -1;
    bad.surfaces[1]!.parts[0]!.sharePct = 90;
    const r = await s.call('POST', '/api/jobs/import', bad);
    expect([r.status, r.type]).toEqual([422, 'application/problem+json; charset=utf-8']);
    expect(r.body.errors).toEqual(expect.arrayContaining([{ path: 'surfaces[0].widthM', message: 'width must be more than 0' }]));
    expect((await s.call('GET', '/api/jobs/bad-file')).status).toBe(404);
  });
  test('names with SQL, emoji and right-to-left letters are just names', async () => {
    for (const name of ["x'); DROP TABLE jobs;--", '🪟 بيت الميناء']) {
      const f = file(`names-${randomUUID()}`);
      f.job.name = name;
      await s.call('POST', '/api/jobs/import', f);
      expect((await s.call('GET', `/api/jobs/${f.job.id}`)).body.facts.job.name).toBe(name);
    }
    expect((await s.call('GET', '/api/jobs')).body.jobs.length).toBeGreaterThan(1);
  });
});

describe('changes', () => {
  test('sent twice, change once; an id used for another change is refused', async () => {
    const { jobId, facts } = await freshJob();
    const c = change(jobId, { entityId: facts.surfaces[0]!.id, fields: { count: 7 }, personId: 'p-mara' });
    const first = await send(c);
    const again = await send(c);
    expect([first.status, again.status, again.body.accepted]).toEqual([200, 200, [c.id]]);
    const log = await s.call('GET', `/api/jobs/${jobId}?since=0`);
    // Who made it stands in the log beside the name.
    expect(log.body.changes.filter((x: Change) => x.id === c.id)).toMatchObject([{ by: 'Tester', personId: 'p-mara', device: 'desk' }]);
    expect((await send({ ...c, op: 'remove', fields: {} })).body.type).toBe('/problems/change-id-reused');
  });
  test('a refused one takes no other with it: not of its batch, not of another job, not an unreadable one', async () => {
    const { jobId, facts } = await freshJob();
    const id = facts.surfaces[0]!.id;
    const [good, bad, later, elsewhere] = [
      change(jobId, { entityId: id, fields: { name: 'Changed' } }),
      change(jobId, { entityId: id, fields: { lengthM: -3 } }),
      change(jobId, { entityId: id, fields: { count: 4 } }),
      change('no-such-job', { entityId: id }),
    ];
    const r = await s.call('POST', '/api/changes', { changes: [good, bad, { id: 7 }, later, elsewhere] });
    expect([r.status, r.body.accepted, r.body.refused.map((x: { id: string }) => x.id)]).toEqual([
      422,
      [good!.id, later!.id],
      ['#2', bad!.id, elsewhere!.id],
    ]);
    expect(r.body.errors).toContainEqual({ path: 'changes[1].fields.lengthM', message: 'length must be more than 0' });
    expect((await s.call('GET', `/api/jobs/${jobId}`)).body.facts.surfaces[0]).toMatchObject({ name: 'Changed', count: 4 });
  });
  test('an id that another job uses is refused by itself', async () => {
    const one = await freshJob();
    const two = await freshJob();
    const { id: taken, removedAt: _r, ...fields } = one.facts.spaces[0]!;
    const add = (entityId: string) => change(two.jobId, { entity: 'space', entityId, op: 'add', fields });
    const r = await send(add(taken), add(`${two.jobId}-new`));
    expect([r.status, r.body.accepted.length, r.body.errors]).toEqual([
      422,
      1,
      [{ path: 'changes[0].entityId', message: 'this id is used on another job' }],
    ]);
  });
  test('one change sent twice at once answers well both times, and stands once', async () => {
    const { jobId, facts } = await freshJob();
    for (let i = 0; i < 20; i += 1) {
      const c = change(jobId, { entityId: facts.surfaces[0]!.id, fields: { count: i + 1 } });
      const pair = await Promise.all([send(c), send(c)]);
      expect(pair.map((p) => [p.status, p.body.accepted])).toEqual([
        [200, [c.id]],
        [200, [c.id]],
      ]);
    }
    const log = (await s.call('GET', `/api/jobs/${jobId}?since=0`)).body.changes as Change[];
    expect(log.filter((c) => c.op === 'set')).toHaveLength(20);
  });
  test('the same id with other content is never accepted, at once or later, on the same job or another', async () => {
    const one = await freshJob();
    const two = await freshJob();
    const c = change(one.jobId, { entityId: one.facts.surfaces[0]!.id, fields: { count: 2, name: 'A' } });
    const other = { ...change(two.jobId, { entityId: two.facts.surfaces[0]!.id, fields: { count: 3 } }), id: c.id };
    const replies = await Promise.all([send(c), send(other)]);
    expect(replies.map((r) => r.status).sort()).toEqual([200, 409]);
    const first = replies[0]!.status === 200 ? c : other;
    // Another order of keys is no other content.
    const turned = { ...first, fields: Object.fromEntries(Object.entries(first.fields).reverse()) };
    expect((await send(turned)).status).toBe(200);
    expect((await send({ ...first, fields: { count: 9 } })).body.type).toBe('/problems/change-id-reused');
  });
  test('batches over two jobs, both ways round, do not stop each other', async () => {
    const jobs = [await freshJob(), await freshJob()];
    const edit = (j: (typeof jobs)[number], n: number) => change(j.jobId, { entityId: j.facts.surfaces[0]!.id, fields: { count: n } });
    const batches = Array.from({ length: 30 }, (_, i) => {
      const both = jobs.map((j) => edit(j, (i % 90) + 1));
      return i % 2 ? both : both.reverse();
    });
    const replies = await Promise.all(batches.map((b) => send(...b)));
    expect(new Set(replies.map((r) => r.status))).toEqual(new Set([200]));
  });
  test('the log comes in pages, each entry with its place and when it came', async () => {
    const facts = withNewIds(largeJob(200), randomUUID);
    const made = await s.call('POST', '/api/jobs/import', undefined, writeJobFile(facts).replaceAll(facts.job.id, 'paged'));
    expect(made.status).toBe(201);
    let cursor = 0;
    const seen: (Change & { seq: number; receivedAt: string })[] = [];
    for (let more = true; more;) {
      const page = (await s.call('GET', `/api/jobs/paged?since=${cursor}`)).body;
      expect(page.changes.length).toBeLessThanOrEqual(1000);
      seen.push(...page.changes);
      ({ cursor, more } = page);
    }
    expect(seen.length).toBeGreaterThan(1000);
    expect(cursor).toBe(made.body.cursor);
    expect(seen.every((c, i) => i === 0 || c.seq > seen[i - 1]!.seq)).toBe(true);
    expect(seen[0]!.receivedAt).toBe(NOW.toISOString());
  }, 60_000);
  test('two to the same field at once: both are logged, one stands, the later is told', async () => {
    const { jobId, facts } = await freshJob();
    const id = facts.surfaces[0]!.id;
    const saw = { name: facts.surfaces[0]!.name };
    const replies = await Promise.all(['A', 'B'].map((name) => send(change(jobId, { entityId: id, fields: { name }, saw }))));
    expect(replies.map((r) => r.status)).toEqual([200, 200]);
    expect(replies.flatMap((r) => r.body.clashes)).toHaveLength(1);
    const log = (await s.call('GET', `/api/jobs/${jobId}?since=0`)).body.changes.filter((c: Change) => c.op === 'set');
    expect(log.map((c: Change) => c.fields['name']).sort()).toEqual(['A', 'B']);
    expect((await s.call('GET', `/api/jobs/${jobId}`)).body.facts.surfaces[0].name).toBe(log.at(-1).fields.name);
  });
  test('the list of jobs counts what stands on each', async () => {
    const { jobId, facts } = await freshJob();
    const counted = async () =>
      ((await s.call('GET', '/api/jobs')).body.jobs as { id: string; surfaces: number }[]).find((j) => j.id === jobId)!.surfaces;
    expect(await counted()).toBe(facts.surfaces.length);
    await send(change(jobId, { entityId: facts.surfaces[0]!.id, op: 'remove' }));
    expect(await counted()).toBe(facts.surfaces.length - 1);
  });
  test('undo: what is removed is restored with all that was found on it', async () => {
    const { jobId, facts } = await freshJob();
    const id = facts.surfaces[0]!.id;
    await send(change(jobId, { entityId: id, op: 'remove' }));
    expect((await s.call('GET', `/api/jobs/${jobId}`)).body.facts.surfaces[0].removedAt).toBe(NOW.toISOString());
    await send(change(jobId, { entityId: id, op: 'restore' }));
    expect((await s.call('GET', `/api/jobs/${jobId}`)).body.facts).toEqual(facts);
  });
  test('the firm’s settings go the same road, and are checked', async () => {
    expect(
      (
        await send(
          change('x', {
            jobId: null,
            entity: 'firm',
            entityId: 'firm',
            fields: { labourPerHour: 71, rates: { wetSand: { lowM2PerH: 4, highM2PerH: 9 } } },
          }),
        )
      ).status,
    ).toBe(200);
    expect((await s.call('GET', '/api/session')).body.settings).toMatchObject({
      labourPerHour: 71,
      rates: { wetSand: { lowM2PerH: 4, highM2PerH: 9 } },
    });
    expect(
      (await send(change('x', { jobId: null, entity: 'firm', entityId: 'firm', fields: { labourPerHour: -1 } }))).body.errors[0],
    ).toEqual({ path: 'changes[0].fields.labourPerHour', message: 'a price cannot be negative' });
  });
  test('the firm’s own records go the same road, outside every job', async () => {
    const id = randomUUID();
    const person = (over: Partial<Change>) => change('x', { jobId: null, entity: 'person', entityId: id, ...over });
    const added = person({ op: 'add', fields: { name: 'Odo Quarrie' } });
    expect((await send(added, person({ fields: { name: 'Odo Quarry' } }))).status).toBe(200);
    const firm = (await s.call('GET', '/api/firm')).body;
    expect(firm.people).toContainEqual({ id, name: 'Odo Quarry', certificates: [], fitTests: [], training: [], removedAt: null });
    // A machine is kept the same way, and a plan made after it knows what it was used on.
    const machine = (over: Partial<Change>) => change('x', { jobId: null, entity: 'machine', entityId: 'vac-1', ...over });
    expect((await send(machine({ op: 'add', fields: { name: 'Vacuum', kind: 'vacuum', filter: 'hepa' } }))).status).toBe(200);
    const { jobId, facts } = await freshJob();
    const spaceId = facts.spaces[0]!.id;
    await send(change(jobId, { entity: 'space', entityId: spaceId, fields: { machineIds: ['vac-1'] } }));
    const gates = async () =>
      (await s.call('GET', `/api/jobs/${jobId}/plan`)).body.zones
        .find((z: any) => z.id === spaceId)
        .steps.flatMap((st: any) => st.checks.map((c: any) => c.id));
    expect(await gates()).not.toContain('machine.vac-1');
    await send(machine({ op: 'set', fields: { lastOn: 'mold' } }));
    expect(await gates()).toContain('machine.vac-1');
    const log = (await s.call('GET', `/api/firm?since=0`)).body.changes as Change[];
    expect(log.find((c) => c.id === added.id)).toMatchObject({ jobId: null, parent: { kind: 'firm', id: 'firm' }, device: 'desk' });
    expect((await send(person({ op: 'add', fields: { name: ' ' } }))).status).toBe(422);
    expect((await send(person({ jobId: 'some-job', fields: { name: 'x' } }))).body.errors[0].message).toBe(
      'a person belongs to the firm, not to a job',
    );
  });
});

describe('the database keeps its own promises', () => {
  test('what the registry calls append-only is guarded', () => {
    expect(EVIDENCE.map((t) => getTableName(t))).toEqual(
      expect.arrayContaining(['change_log', 'readings', 'reading_layers', 'checks', 'instrument_checks', 'signs', 'laid']),
    );
  });
  test.each(EVIDENCE.map((t) => getTableName(t)))('%s is append-only', async (table) => {
    const { jobId, facts } = await freshJob();
    await send(
      change(jobId, {
        entity: 'check',
        entityId: randomUUID(),
        parent: { kind: 'surface', id: facts.surfaces[0]!.id },
        op: 'add',
        fields: { gate: 'wind', outcome: 'pass', note: '', takenAt: NOW.toISOString(), supersedesId: null, supersedesWhy: null },
      }),
    );
    // The serving role may not; and the owner, who may, is stopped by the table itself.
    const owner = new pg.Client({ connectionString: s.ownerUrl });
    await owner.connect();
    for (const text of [`delete from ${table}`, `update ${table} set firm_id = 'x'`, `truncate ${table} cascade`]) {
      await expect(s.db.execute(sql.raw(text))).rejects.toMatchObject({ cause: { code: '42501' } });
      // A table without rows has nothing to guard row by row.
      const empty = (await owner.query(`select 1 from ${table} limit 1`)).rowCount === 0 && !text.startsWith('truncate');
      if (!empty) await expect(owner.query(text)).rejects.toMatchObject({ code: '23001' });
    }
    const guards = await owner.query(`select tgname from pg_trigger where tgrelid = '${table}'::regclass and not tgisinternal order by 1`);
    expect(guards.rows.map((r) => r.tgname)).toEqual([`${table}_append_only`, `${table}_no_truncate`]);
    await owner.end();
  });
  test('another firm sees nothing of this one, under any id', async () => {
    const { jobId, facts } = await freshJob();
    const [mine] = await s.db.select().from(firms);
    const owner = connect(s.ownerUrl, pino({ level: 'silent' }));
    await owner.db
      .insert(firms)
      .values({ ...mine!, id: 'other-firm', firmName: 'Other' })
      .onConflictDoNothing();
    await owner.close();
    const other = new FirmStore(s.store.database, 'other-firm', new Epoch(s.store.database, `${s.photosDir}/other-mark`));
    expect(await other.list()).toEqual([]);
    expect(await other.load(jobId)).toBeNull();
    expect(await other.since(jobId, 0)).toBeUndefined();
    const theft = await other.apply([change(jobId, { entityId: facts.surfaces[0]!.id, fields: { name: 'stolen' } })], NOW);
    expect([theft.accepted, theft.refused[0]?.problems[0]?.message]).toEqual([[], 'there is no such job']);
    // The same ids in two firms are two jobs.
    await other.apply(changesFor(facts, randomUUID, 'Other'), NOW);
    expect((await other.load(jobId))?.surfaces).toHaveLength(facts.surfaces.length);
    expect((await s.call('GET', `/api/jobs/${jobId}`)).body.facts.surfaces[0].name).toBe(facts.surfaces[0]!.name);
  });
  test('whoever serves makes no firm, and moves no row to another', async () => {
    const forbidden = [
      `insert into firms select * from firms limit 1`,
      `update firms set id = 'mine'`,
      `delete from firms`,
      `update surfaces set firm_id = 'other-firm'`,
      `update people set firm_id = 'other-firm'`,
      `update jobs set id = 'another'`,
    ];
    for (const text of forbidden) await expect(s.db.execute(sql.raw(text))).rejects.toMatchObject({ cause: { code: '42501' } });
  });
  test('a job of 400 surfaces goes in and comes out the same, and is not sent again when it has not changed', async () => {
    const facts = largeJob(400);
    expect((await s.call('POST', '/api/jobs/import', undefined, writeJobFile(facts))).status).toBe(201);
    const got = await s.call('GET', '/api/jobs/large-400');
    expect(got.body.facts.surfaces).toHaveLength(400);
    expect(await statusIf(`${s.address}/api/jobs/large-400`, got.headers.get('etag')!)).toBe(304);
  }, 60_000);
});

describe('wrong requests', () => {
  test.each([
    ['broken JSON', () => s.call('POST', '/api/changes', undefined, '{"changes": ['), 400, 'bad-json'],
    ['no changes', () => s.call('POST', '/api/changes', { changes: [] }), 400, 'bad-request'],
    ['an unknown query', () => s.call('GET', '/api/jobs/abc?sinse=4'), 400, 'bad-request'],
    [
      'a body of 20 MB',
      () => s.call('POST', '/api/changes', undefined, JSON.stringify({ changes: 'x'.repeat(20 * 1024 * 1024) })),
      413,
      'too-large',
    ],
    ['a strange id', () => s.call('GET', '/api/jobs/%27%3B--'), 400, 'bad-request'],
    ['an address that cannot be read', () => s.call('GET', '/api/jobs/%E0%A4%A'), 400, 'bad-request'],
    ['a cursor that is no number', () => s.call('GET', '/api/jobs/abc?since=soon'), 400, 'bad-request'],
    ['an unknown address', () => s.call('GET', '/api/nothing'), 404, 'not-found'],
    [
      'a truncated job file',
      () => s.call('POST', '/api/jobs/import', undefined, writeJobFile(quillPoint()).slice(0, 500)),
      400,
      'bad-json',
    ],
    [
      'a newer job file',
      () => s.call('POST', '/api/jobs/import', { ...file('newer'), version: JOB_FILE_VERSION + 1 }),
      422,
      'does-not-fit',
    ],
  ] as const)('%s', async (_what, call, status, code) => {
    const r = await call();
    expect([r.status, r.body.type, r.type]).toEqual([status, `/problems/${code}`, 'application/problem+json; charset=utf-8']);
    expect(Object.keys(r.body).sort()).toEqual(['detail', 'errors', 'status', 'title', 'type']);
  });
  test('a database that is away is told as such, and nothing crashes', async () => {
    const lost = await startTestServer({ on: { url: 'postgres://app@127.0.0.1:1/none', ownerUrl: '' }, prepared: false });
    try {
      const r = await lost.call('GET', '/api/jobs');
      expect([r.status, r.body.type, r.headers.get('retry-after')]).toEqual([503, '/problems/database-away', '2']);
      expect((await lost.call('GET', '/api/health')).body).toMatchObject({ server: 'up', database: 'away' });
    } finally {
      await lost.stop();
    }
  });
});

test('the log tells address and answer, and no cookie, token or query', async () => {
  const lines: string[] = [];
  const log = pino({ level: 'info' }, { write: (line: string) => void lines.push(line) });
  const app = createApp({ store: s.store, crew: undefined as never, media: s.media, log, clock: () => NOW });
  const server = app.listen(0, '127.0.0.1');
  await new Promise((resolve) => server.once('listening', resolve));
  const { port } = server.address() as AddressInfo;
  await fetch(`http://127.0.0.1:${port}/api/jobs?key=secret-query`, {
    headers: { cookie: 'session=secret-cookie', authorization: 'Bearer secret-token' },
  });
  await new Promise((resolve) => server.close(resolve));
  const text = lines.join('');
  expect(text).toContain('"url":"/api/jobs"');
  expect(text).toContain('"statusCode":200');
  expect(text).not.toContain('secret');
});

test('headers: no sniffing, no frames, a content policy; the OpenAPI description names every problem it uses', async () => {
  const r = await s.call('GET', '/api/openapi.json');
  expect(r.headers.get('content-security-policy')).toMatch(/script-src 'self'/);
  expect([r.headers.get('x-content-type-options'), r.headers.get('x-powered-by')]).toEqual(['nosniff', null]);
  const used = Object.values(
    r.body.paths as Record<string, Record<string, { responses: Record<string, { description: string }> }>>,
  ).flatMap((p) => Object.values(p).flatMap((m) => Object.entries(m.responses)));
  const titles = Object.values(PROBLEMS).map((p) => p.title as string);
  for (const [status, { description }] of used) if (Number(status) >= 400) expect(titles).toContain(description);
  expect(Object.keys(r.body.paths)).toContain('/api/changes');
});
