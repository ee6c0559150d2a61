/** What goes wrong around the server: dying connections, held locks, a restored database, an older one. */
import { execFileSync } from 'node:child_process';
import type { IncomingMessage } from 'node:http';
import { randomUUID } from 'node:crypto';
import { readFileSync, writeFileSync } from 'node:fs';
import path from 'node:path';
import pg from 'pg';
import { CHANGE_VERSION, canonical, emptyLists, readChange, scopeParent, writeJobFile, type Change, type JobFacts } from '@roughsill/core';
import { examples, largeJob, quillPoint } from '@roughsill/demo';
import { bringSample, seed } from './db/seed';
import { freshDatabase, NOW, prepare, startTestServer, type TestServer } from './testing';

const FIXTURES = path.resolve(__dirname, '../../tests/fixtures/2026-11');
const kept = (name: string) => JSON.parse(readFileSync(path.join(FIXTURES, name), 'utf8')) as never;
const servers: TestServer[] = [];
const start = async (options?: Parameters<typeof startTestServer>[0]) => {
  const s = await startTestServer(options);
  servers.push(s);
  return s;
};
afterAll(async () => {
  for (const s of servers) await s.stop();
});

const change = (jobId: string, entityId: string, fields: object, over: Partial<Change> = {}): Change => ({
  v: CHANGE_VERSION,
  id: randomUUID(),
  jobId,
  entity: 'surface',
  entityId,
  parent: scopeParent('surface', jobId),
  op: 'set',
  fields: { ...fields },
  at: NOW.toISOString(),
  by: 'Tester',
  personId: null,
  device: null,
  act: null,
  ...over,
});
const oneWindow = (id: string): JobFacts => {
  const facts = examples()['one-window']!;
  return JSON.parse(JSON.stringify(facts).replaceAll('"ow-', `"${id}-`).replace('"one-window"', `"${id}"`)) as JobFacts;
};
const bring = async (s: TestServer, id: string) => {
  expect((await s.call('POST', '/api/jobs/import', undefined, writeJobFile(oneWindow(id)))).status).toBe(201);
  return oneWindow(id).surfaces[0]!.id;
};
const admin = async (url: string) => {
  const client = new pg.Client({ connectionString: url });
  client.on('error', () => undefined);
  await client.connect();
  return client;
};

test('connections that die in the middle of a write are answered, and the next write goes through', async () => {
  const s = await start();
  const sash = await bring(s, 'dying');
  // The serving role may end its own kind.
  const killer = await admin(s.url);
  const written: string[] = [];
  for (let i = 1; i <= 15; i += 1) {
    const changes = Array.from({ length: 8 }, (_, k) => change('dying', sash, { count: ((i * 8 + k) % 90) + 1 }));
    const replies = changes.map((c) => s.call('POST', '/api/changes', { changes: [c] }));
    await killer.query('select pg_terminate_backend(pid) from pg_stat_activity where usename = current_user and pid <> pg_backend_pid()');
    for (const [k, r] of (await Promise.all(replies)).entries()) {
      expect([200, 503]).toContain(r.status);
      if (r.status === 200) written.push(changes[k]!.id);
    }
  }
  await killer.end();
  const last = change('dying', sash, { name: 'After all that' });
  expect((await s.call('POST', '/api/changes', { changes: [last] })).status).toBe(200);
  const log = (await s.call('GET', '/api/jobs/dying?since=0')).body.changes as Change[];
  const ids = log.map((c) => c.id);
  expect(new Set(ids).size).toBe(ids.length);
  expect(ids).toEqual(expect.arrayContaining([...written, last.id]));
  expect((await s.call('GET', '/api/jobs/dying')).body.facts.surfaces[0].name).toBe('After all that');
}, 60_000);

test('a job that somebody holds is told as busy; all others, and health, are answered meanwhile', async () => {
  const s = await start({ limits: { lockMs: 1500 } });
  const [held, free] = [await bring(s, 'held'), await bring(s, 'free')];
  const holder = await admin(s.ownerUrl);
  await holder.query('begin');
  await holder.query('select 1 from jobs where id = $1 for update', ['held']);
  const stuck = Array.from({ length: 14 }, () => s.call('POST', '/api/changes', { changes: [change('held', held, { count: 3 })] }));
  for (let i = 0; i < 20; i += 1) {
    const [write, read, health] = await Promise.all([
      s.call('POST', '/api/changes', { changes: [change('free', free, { count: i + 1 })] }),
      s.call('GET', '/api/jobs/free'),
      s.call('GET', '/api/health'),
    ]);
    expect([write.status, read.status, health.status]).toEqual([200, 200, 200]);
  }
  // In one batch, the held job is sent again later; the free one goes in.
  const mixed = [change('held', held, { count: 5 }), change('free', free, { count: 77 })];
  const r = await s.call('POST', '/api/changes', { changes: mixed });
  expect([r.status, r.body.accepted, r.body.later]).toEqual([200, [mixed[1]!.id], [mixed[0]!.id]]);
  for (const x of await Promise.all(stuck)) expect([x.status, x.body.type]).toEqual([503, '/problems/busy']);
  await holder.query('rollback');
  await holder.end();
  expect((await s.call('POST', '/api/changes', { changes: [mixed[0]!] })).status).toBe(200);
}, 60_000);

test('a table that is gone is a fault of ours, told and counted; not a database that is away', async () => {
  const s = await start();
  const before = (await s.call('GET', '/api/health')).body.faults.count;
  const owner = await admin(s.ownerUrl);
  await owner.query('drop table surfaces cascade');
  await owner.end();
  const made = await s.call('POST', '/api/jobs/import', undefined, writeJobFile(oneWindow('gone')));
  expect([made.status, made.body.type]).toEqual([500, '/problems/our-fault']);
  expect((await s.call('GET', '/api/health')).body.faults.count).toBeGreaterThan(before);
}, 60_000);

describe('a restored database', () => {
  test('is another life: its epoch is new in cursor and tag, and what was lost can be sent again', async () => {
    const first = await start();
    const sash = await bring(first, 'restored');
    const before = (await first.call('GET', '/api/jobs/restored')).body;
    const name = `t_${randomUUID().replaceAll('-', '')}`;
    const client = await admin(first.ownerUrl.replace(/\/[^/]*$/, '/rough_sill'));
    const dump = execFileSync('pg_dump', ['--no-owner', '--no-privileges', first.ownerUrl], { encoding: 'utf8' });
    const lost = change('restored', sash, { name: 'Typed after the backup' });
    expect((await first.call('POST', '/api/changes', { changes: [lost] })).status).toBe(200);
    await client.query(`create database ${name}`);
    await client.end();
    const place = { url: first.url.replace(/[^/]*$/, name), ownerUrl: first.ownerUrl.replace(/[^/]*$/, name) };
    execFileSync('psql', ['-X', '-q', '-v', 'ON_ERROR_STOP=1', place.ownerUrl], { input: dump, stdio: ['pipe', 'ignore', 'pipe'] });
    const second = await start({ on: place });
    const after = await second.call('GET', '/api/jobs/restored');
    expect(after.body.facts).toEqual(before.facts);
    expect(after.body.epoch).not.toBe(before.epoch);
    expect(after.headers.get('etag')).toContain(after.body.epoch);
    expect((await second.call('GET', '/api/jobs/restored?since=0')).body.epoch).toBe(after.body.epoch);
    expect((await second.call('POST', '/api/changes', { changes: [lost] })).body.epoch).toBe(after.body.epoch);
    expect((await second.call('GET', '/api/jobs/restored')).body.facts.surfaces[0].name).toBe('Typed after the backup');
    // The same database again, with another server, is the same life.
    const third = await start({ on: place, photosDir: second.photosDir });
    expect((await third.call('GET', '/api/session')).body.epoch).toBe(after.body.epoch);
    // Its files put back to an older day: the log is behind the mark beside the pictures.
    writeFileSync(path.join(second.photosDir, 'log-mark.json'), JSON.stringify({ epoch: after.body.epoch, seq: 10_000_000 }));
    const fourth = await start({ on: place, photosDir: second.photosDir });
    expect((await fourth.call('GET', '/api/session')).body.epoch).not.toBe(after.body.epoch);
  }, 60_000);
});

describe('a database of November 2026', () => {
  let s: TestServer;
  beforeAll(async () => {
    const place = await freshDatabase();
    execFileSync('psql', ['-X', '-q', '-v', 'ON_ERROR_STOP=1', '-f', path.join(FIXTURES, 'database.sql'), place.ownerUrl], {
      stdio: 'pipe',
    });
    await prepare(place);
    // Its phones wrote in November.
    s = await start({ on: place, prepared: false, now: new Date('2026-11-30T12:00:00.000Z') });
  }, 60_000);

  test('opens with the same facts and the same log', async () => {
    const old = kept('facts.json') as JobFacts;
    // Lists that came later are empty.
    const surfaces = old.surfaces.map((x) => ({ ...emptyLists('surface'), ...x }));
    expect((await s.call('GET', '/api/jobs/one-window')).body.facts).toMatchObject(canonical({ ...emptyLists('job'), ...old, surfaces }));
    const log = (await s.call('GET', '/api/jobs/one-window?since=0')).body.changes as Record<string, unknown>[];
    const then = (kept('log.json') as unknown[]).map((raw) => {
      const read = readChange(raw);
      return read.ok ? read.value : read.problems;
    });
    expect(log.map(({ seq: _s, receivedAt: _r, saw: _w, ...c }) => c)).toEqual(then);
    expect((await s.call('GET', '/api/session')).body.settings.labourPerHour).toBe(61);
  });
  test('takes what a phone of that day still had to send', async () => {
    const outbox = kept('phone-outbox.json') as { id: string }[];
    const r = await s.call('POST', '/api/changes', { changes: outbox });
    expect([r.status, r.body.accepted.sort()]).toEqual([200, outbox.map((c) => c.id).sort()]);
    expect((await s.call('POST', '/api/changes', { changes: outbox })).status).toBe(200);
    const { surfaces } = (await s.call('GET', '/api/jobs/one-window')).body.facts as JobFacts;
    expect(surfaces.find((x) => x.id === 'ow-sash')!.name).toBe('Typed in the cellar');
  });
  test('its untouched sample job gives its place to today’s, once; a touched one stays', async () => {
    const samples = async () =>
      ((await s.call('GET', '/api/jobs')).body.jobs as { id: string; sample: boolean }[]).filter((j) => j.sample).map((j) => j.id);
    expect(await samples()).toEqual(['quill-point']);
    await seed(s.store, true);
    const [fresh, ...more] = await samples();
    expect([fresh, more]).toEqual([expect.stringMatching(/^quill-point-[0-9a-f]{8}$/), []]);
    await seed(s.store, true);
    expect(await samples()).toEqual([fresh]);
    const { facts } = (await s.call('GET', `/api/jobs/${fresh}`)).body as { facts: JobFacts };
    await s.call('POST', '/api/changes', { changes: [change(fresh!, facts.surfaces[0]!.id, { name: 'Mine' })] });
    const newer = { ...quillPoint(), job: { ...quillPoint().job, name: 'A later sample' } };
    await bringSample(s.store, newer, NOW);
    expect(await samples()).toEqual([fresh]);
  }, 30_000);
});

describe('the door', () => {
  let s: TestServer;
  beforeAll(async () => {
    s = await start();
    await bring(s, 'door');
  });
  const post = (body: Uint8Array | string, headers: Record<string, string> = {}) =>
    fetch(`${s.address}/api/changes`, {
      method: 'POST',
      body: body as BodyInit,
      headers: { 'content-type': 'application/json', ...headers },
    });
  const named = (name: string) => JSON.stringify({ changes: [change('door', 'door-sash', { name })] });
  test.each([
    ['NUL in a name', () => post(named('a\u0000b')), 400],
    ['half a letter', () => post(named('x').replace('"x"', '"\\ud800"')), 400],
    ['NUL in what was seen', () => post(JSON.stringify({ changes: [{ ...change('door', 'door-sash', {}), saw: { 'a\u0000': 1 } }] })), 400],
    ['nesting without end', () => post(`{"changes":${'['.repeat(100_000)}${']'.repeat(100_000)}}`), 413],
    ['a body of nothing, 800,000 times', () => post(`{"changes":[${'null,'.repeat(800_000)}null]}`), 413],
    [
      'a change of ten thousand fields',
      () => post(named('x').replace('"fields":{', `"fields":{${Array.from({ length: 10_000 }, (_, i) => `"f${i}":0,`).join('')}`)),
      422,
    ],
    ['a clock that is days ahead', () => post(named('x').replaceAll(NOW.toISOString(), '2026-05-07T00:00:00.000Z')), 422],
    ['a name of a prototype', () => post('{"changes":[{"__proto__":{"x":1}}]}'), 400],
    ['bytes that are no UTF-8', () => post(new Uint8Array([0x7b, 0xff, 0xfe, 0x7d])), 400],
    ['UTF-16', () => post(Buffer.from(named('x'), 'utf16le'), { 'content-type': 'application/json; charset=utf-16' }), 415],
    ['a broken archive', () => post('not gzip', { 'content-encoding': 'gzip' }), 400],
    ['an unknown packing', () => post('x', { 'content-encoding': 'rot13' }), 415],
    ['another type', () => post('x=1', { 'content-type': 'application/x-www-form-urlencoded' }), 415],
    ['the year 0', () => post(named('x').replaceAll(NOW.toISOString(), '0000-01-01T00:00:00.000Z')), 422],
    ['a blank person', () => post(named('x').replace('"Tester"', '"   "')), 422],
    ['a percent sign that breaks off', () => fetch(`${s.address}/api/jobs/%`), 400],
    ['NUL in an address', () => fetch(`${s.address}/api/jobs/a%00b`), 400],
  ])('%s is answered, not kept', async (_what, call, status) => {
    const r = await call();
    expect([r.status, r.headers.get('content-type')]).toEqual([status, 'application/problem+json; charset=utf-8']);
    expect((await s.call('GET', '/api/health')).status).toBe(200);
  });
  test('a byte order mark is no harm', async () => {
    expect(
      (await post(`\ufeff${JSON.stringify({ changes: [change('door', oneWindow('door').surfaces[0]!.id, { count: 2 })] })}`)).status,
    ).toBe(200);
  });
  test('it answers to its own names only', async () => {
    const call = (host: string) => s.call('GET', '/api/jobs').then(() => fetchWithHost(s.address, host));
    expect(await call('evil.example')).toBe(421);
    expect(await call('office.test:8100')).toBe(200);
    expect(await call('localhost')).toBe(200);
    // A refusal carries what every answer carries.
    const { get } = await import('node:http');
    const refused = await new Promise<IncomingMessage>((resolve) =>
      get(`${s.address}/`, { headers: { host: 'evil.example' }, agent: false }, (r) => resolve(r.resume())),
    );
    expect(Object.keys(refused.headers)).toEqual(
      expect.arrayContaining(['content-security-policy', 'permissions-policy', 'x-content-type-options']),
    );
  });
  test('records are not left in a browser; a job is asked for again with its tag', async () => {
    expect((await s.call('GET', '/api/jobs')).headers.get('cache-control')).toBe('no-store');
    expect((await s.call('GET', '/api/jobs/door')).headers.get('cache-control')).toBe('private, no-cache');
  });
});

/** Not with fetch, which sets the name itself. */
async function fetchWithHost(address: string, host: string): Promise<number | undefined> {
  const { get } = await import('node:http');
  return new Promise((resolve) => get(`${address}/api/jobs`, { headers: { host }, agent: false }, (r) => resolve(r.resume().statusCode)));
}

describe('work beside the requests', () => {
  test('can be asked after and stopped by its name, and leaves nothing behind', async () => {
    const s = await start();
    // Large enough that the first two are still at it while the last is asked after.
    const large = largeJob(150);
    expect(
      (await s.call('POST', '/api/jobs/import', undefined, writeJobFile({ ...large, job: { ...large.job, id: 'beside' } }))).status,
    ).toBe(201);
    const plans = ['a', 'b', 'c', 'd'].map((x) => s.call('GET', `/api/jobs/beside/plan?task=task-${x}`));
    let asked = await s.call('GET', '/api/tasks/task-d');
    for (const until = Date.now() + 20_000; asked.status === 404 && Date.now() < until;) asked = await s.call('GET', '/api/tasks/task-d');
    const stopped = await s.call('DELETE', '/api/tasks/task-d');
    const replies = await Promise.all(plans);
    expect([asked.body.state, stopped.body]).toEqual(['waiting', { stopped: true }]);
    expect(replies.map((r) => r.status)).toEqual([200, 200, 200, 409]);
    expect((await s.call('GET', '/api/tasks/task-d')).status).toBe(404);
    const text = writeJobFile(oneWindow('stopped'));
    const bringing = s.call('POST', '/api/jobs/import?task=task-e', undefined, text);
    await s.call('DELETE', '/api/tasks/task-e');
    const r = await bringing;
    expect([201, 409]).toContain(r.status);
    expect((await s.call('GET', '/api/jobs/stopped')).status).toBe(r.status === 201 ? 200 : 404);
  }, 60_000);
});
