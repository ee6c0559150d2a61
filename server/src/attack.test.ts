/** One request must not stop the others: each of these once did. Told by the order of answers, never by time. */
import { randomUUID } from 'node:crypto';
import http from 'node:http';
import type { AddressInfo } from 'node:net';
import pg from 'pg';
import pino from 'pino';
import { examples, largeJob } from '@roughsill/demo';
import { CHANGE_VERSION, FIRM_ID, withNewIds, writeJobFile, type Change } from '@roughsill/core';
import { createApp } from './app';
import { NOW, startTestServer, type TestServer } from './testing';

let s: TestServer;
beforeAll(async () => {
  s = await startTestServer();
}, 60_000);
afterAll(() => s.stop());

const sleep = () => new Promise((r) => setTimeout(r, 20));
const oneWindow = () => withNewIds(examples()['one-window']!, randomUUID);
async function large(id: string): Promise<void> {
  const job = largeJob(120);
  const made = await s.call('POST', '/api/jobs/import', undefined, writeJobFile({ ...job, job: { ...job.job, id } }));
  expect(made.status).toBe(201);
}
/** Asks and hangs up as soon as it is sent. */
const hangUp = (at: string) =>
  new Promise<void>((resolve) => {
    const req = http.get(`${s.address}${at}`, { agent: false });
    req.on('error', () => undefined);
    req.on('finish', () => setTimeout(() => (req.destroy(), resolve()), 15));
  });
const isOver = async (task: string) => {
  while ((await s.call('GET', `/api/tasks/${task}`)).status !== 404) await sleep();
};

test('1,152 labels are made beside the requests: others are answered before them', async () => {
  const bottle = { content: 'caustic', pct: 17, madeOn: '2026-05-04', by: 'Ines Marlow', count: 48 };
  let over = false;
  const labels = s
    .call('POST', '/api/bench/labels.pdf', { bottles: Array.from({ length: 24 }, () => bottle) })
    .finally(() => (over = true));
  for (let i = 0; i < 20; i += 1) expect((await s.call('GET', '/api/jobs')).status).toBe(200);
  expect(over).toBe(false);
  expect([200, 422]).toContain((await labels).status);
}, 90_000);

test('a client that left leaves nothing running, whenever it left', async () => {
  await large('abandoned');
  const tasks = ['left-a', 'left-b', 'left-c'];
  await Promise.all(tasks.map((t) => hangUp(`/api/jobs/abandoned/plan?task=${t}`)));
  let whole = false;
  // The same work from somebody who stays takes its time: what was left is over long before.
  const stays = s.call('GET', '/api/jobs/abandoned/plan?detail=all').then((r) => ((whole = true), r));
  await Promise.all(tasks.map(isOver));
  expect(whole).toBe(false);
  expect((await stays).status).toBe(200);
}, 90_000);

test('what is being written cannot be stopped, and says so; what was stopped was not written', async () => {
  const job = oneWindow();
  const holder = new pg.Client({ connectionString: s.ownerUrl });
  await holder.connect();
  await holder.query('begin');
  await holder.query(`select pg_advisory_xact_lock(hashtextextended('demo-firm/${job.job.id}', 0))`);
  const bringing = s.call('POST', '/api/jobs/import?task=bringing', undefined, writeJobFile(job));
  let stop = { status: 0 };
  // Until it writes, it could still be stopped: that is waited for by what holds it up.
  for (;;) {
    const { rows } = await holder.query(`select count(*)::int as n from pg_locks where locktype = 'advisory' and not granted`);
    if (rows[0].n > 0) break;
    await sleep();
  }
  stop = await s.call('DELETE', '/api/tasks/bringing');
  await holder.query('rollback');
  await holder.end();
  expect([stop.status, (await bringing).status]).toEqual([409, 201]);
  expect((await s.call('GET', `/api/jobs/${job.job.id}`)).status).toBe(200);
}, 60_000);

const toSurface = (jobId: string, n: number): Change => ({
  v: CHANGE_VERSION,
  id: `c-${jobId}-${n}`,
  jobId,
  entity: 'surface',
  entityId: 'any',
  parent: { kind: 'job', id: jobId },
  op: 'set',
  fields: { count: 2 },
  at: NOW.toISOString(),
  by: 'Tester',
  personId: null,
  device: null,
  act: null,
});
test('changes to jobs that are not here are refused without a transaction for each', async () => {
  const began = async () => {
    const owner = new pg.Client({ connectionString: s.ownerUrl });
    await owner.connect();
    const { rows } = await owner.query('select pg_current_xact_id()::text::bigint as n');
    await owner.end();
    return Number(rows[0].n);
  };
  const before = await began();
  const r = await s.call('POST', '/api/changes', { changes: Array.from({ length: 4000 }, (_, i) => toSurface(`nowhere-${i}`, i)) });
  expect([r.status, r.body.refused.length, r.body.refused[0].problems[0].message]).toEqual([422, 4000, 'there is no such job']);
  expect((await began()) - before).toBeLessThan(100);
  expect((await s.call('POST', '/api/changes', { changes: Array.from({ length: 5001 }, (_, i) => toSurface('x', i)) })).status).toBe(400);
}, 60_000);

test('a shelf comes in whole or not at all, also when the last of it does not fit any more', async () => {
  const product = (i: number) => ({ id: `p-${i}`, name: `P ${i}`, good: 'clearVarnish', coats: 2, packs: [{ size: 5, price: 200 }] });
  const shelf = (from: number, n: number) => ({
    format: 'rough-sill-shelf',
    version: 1,
    products: Array.from({ length: n }, (_, i) => product(from + i)),
    tins: [],
  });
  expect((await s.call('POST', '/api/shelf', shelf(0, 499))).body).toEqual({ added: 499, set: 0 });
  const r = await s.call('POST', '/api/shelf', shelf(499, 2));
  expect([r.status, r.body.type]).toEqual([422, '/problems/does-not-fit']);
  expect((await s.call('GET', '/api/shelf.json')).body.products).toHaveLength(499);
}, 60_000);

test('the firm’s log is read from its place on; a change dated past tomorrow is refused, and so is what was seen then', async () => {
  const person = (over: Partial<Change> = {}): Change => ({
    ...toSurface('x', 0),
    id: randomUUID(),
    jobId: null,
    entity: 'person',
    entityId: randomUUID(),
    parent: { kind: 'firm', id: FIRM_ID },
    op: 'add',
    fields: { name: 'Tarn' },
    ...over,
  });
  const { cursor } = (await s.call('GET', '/api/firm')).body;
  const sent = person();
  expect((await s.call('POST', '/api/changes', { changes: [sent, person({ at: '2026-05-06T23:00:00.000Z' })] })).status).toBe(200);
  const later = (await s.call('GET', `/api/firm?since=${cursor}`)).body;
  expect([later.changes[0].id, later.changes.length, later.more]).toEqual([sent.id, 2, false]);
  const late = await s.call('POST', '/api/changes', { changes: [person({ at: '2026-05-07T00:00:00.000Z' })] });
  expect([late.status, late.body.errors[0].message]).toEqual([422, expect.stringMatching(/set the clock/)]);
  const job = oneWindow();
  await s.call('POST', '/api/jobs/import', undefined, writeJobFile(job));
  const check: Change = {
    ...toSurface(job.job.id, 1),
    id: randomUUID(),
    entity: 'check',
    entityId: randomUUID(),
    parent: { kind: 'surface', id: job.surfaces[0]!.id },
    op: 'add',
    fields: { gate: 'wind', outcome: 'pass', note: '', takenAt: '2031-01-01T00:00:00.000Z', supersedesId: null, supersedesWhy: null },
  };
  expect((await s.call('POST', '/api/changes', { changes: [check] })).status).toBe(422);
});

test('another build answers anew what this one was asked before', async () => {
  const job = oneWindow();
  await s.call('POST', '/api/jobs/import', undefined, writeJobFile(job));
  const next = createApp({
    store: s.store,
    crew: undefined as never,
    media: s.media,
    log: pino({ level: 'silent' }),
    clock: () => NOW,
    build: 'the next',
  }).listen(0, '127.0.0.1');
  await new Promise((r) => next.once('listening', r));
  const at = (port: number) => `http://127.0.0.1:${port}/api/jobs/${job.job.id}`;
  const status = (url: string, tag: string) =>
    new Promise<number | undefined>((resolve) =>
      http.get(url, { headers: { 'if-none-match': tag }, agent: false }, (r) => resolve(r.resume().statusCode)),
    );
  const tag = (await s.call('GET', `/api/jobs/${job.job.id}`)).headers.get('etag')!;
  const own = Number(new URL(s.address).port);
  expect([await status(at(own), tag), await status(at((next.address() as AddressInfo).port), tag)]).toEqual([304, 200]);
  await new Promise((r) => next.close(r));
});
