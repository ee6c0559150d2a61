// npm run load -- --attack: each of what once stopped the server, beside a client whose answers are counted (lib/attack.mjs).
// npm run load -- [--seconds 6] [--jobs 2000] [--restarts 100] [--pairs 1000]: GET, POST and the list of 2,000 jobs at 1, 10 and 50 clients,
// beside a bare Express + pg that does the same in the same run; then what must hold under it: changes sent twice at once, a held job, whole-job
// work beside the requests, a database that is restarted again and again, and how long stopping takes.
import { randomUUID } from 'node:crypto';
import { readFileSync } from 'node:fs';
import path from 'node:path';
import { argsOf } from './lib/args.mjs';
import { buildServer } from './lib/build.mjs';
import { commandIn } from './lib/bundle.mjs';
import { freePort, startPostgres, stopPostgres } from './lib/postgres.mjs';
import { DATA, ensurePackages, ROOT, say } from './lib/run.mjs';
import { startBare, startServer } from './lib/server.mjs';

const { seconds, jobs, restarts, pairs, attack } = argsOf({ seconds: 6, jobs: 2000, restarts: 100, pairs: 1000, attack: false });
ensurePackages();
const autocannon = (await import('autocannon')).default;
const pg = (await import('pg')).default;
if (attack) {
  const { attackServer } = await import('./lib/attack.mjs');
  process.exit(await attackServer());
}
const { changesFor, writeJobFile, largeJob } = await commandIn('load-core.ts');

const BARE = `
import express from 'express';
import pg from 'pg';
const pool = new pg.Pool({ connectionString: process.env.DATABASE_URL, max: 12 });
const app = express();
app.get('/jobs', async (_req, res) => {
  const { rows } = await pool.query('select body from bare_lines order by n');
  res.json({ jobs: rows.map((r) => r.body) });
});
app.get('/job/:id', async (req, res) => {
  const { rows } = await pool.query('select body from bare where id = $1', [req.params.id]);
  res.type('json').send(rows[0].body);
});
app.post('/changes', express.json({ limit: '4mb' }), async (req, res) => {
  const client = await pool.connect();
  try {
    await client.query('begin');
    for (const c of req.body.changes) {
      await client.query('update bare_surfaces set count = $2 where id = $1', [c.entityId, c.fields.count]);
      await client.query('insert into bare_log (id, body) values ($1, $2)', [c.id, c]);
    }
    await client.query('commit');
    res.json({ accepted: req.body.changes.map((c) => c.id) });
  } finally {
    client.release();
  }
});
app.listen(Number(process.env.PORT), '127.0.0.1', () => process.send('ready'));
`;

const CLUSTER = 'load-postgres';
const database = await startPostgres(CLUSTER, { port: 55970, throwaway: true, plugPulled: true });
const photosDir = path.join(DATA, 'load-photos');
const main = await buildServer();
let server = await startServer({
  main,
  database,
  port: await freePort(8800),
  sample: false,
  photosDir,
  logFile: path.join(DATA, 'load-server.log'),
});
const bare = await startBare('load-bare', BARE, { database, port: await freePort(8850) });
const bareAt = bare.address;

const client = new pg.Client({ connectionString: database.ownerUrl });
await client.connect();
const json = async (at, init) => (await fetch(server.address + at, init)).json();
const post = (at, body) =>
  json(at, {
    method: 'POST',
    headers: { 'content-type': 'application/json' },
    body: typeof body === 'string' ? body : JSON.stringify(body),
  });
try {
  const window = JSON.parse(readFileSync(path.join(ROOT, 'examples/one-window.roughsill.json'), 'utf8'));
  say(`bringing in ${jobs} jobs …`);
  const small = [];
  const bringOne = async () => small.push((await post('/api/jobs/import?copy=true', window)).jobId);
  for (let i = 0; i < jobs; i += 8) await Promise.all(Array.from({ length: 8 }, bringOne));
  await post('/api/jobs/import', writeJobFile(largeJob(400)));
  const whole = await (await fetch(`${server.address}/api/jobs/large-400`)).text();
  const lines = (await json('/api/jobs')).jobs;
  await client.query(
    'create table bare (id text primary key, body text); create table bare_lines (n serial, body jsonb); create table bare_surfaces (id text primary key, count int); create table bare_log (seq bigserial primary key, id text unique, body jsonb)',
  );
  await client.query('insert into bare values ($1, $2)', ['large-400', whole]);
  for (const l of lines) await client.query('insert into bare_lines (body) values ($1)', [l]);
  const surfaces = [];
  for (const id of small.slice(0, 200)) {
    const s = (await json(`/api/jobs/${id}`)).facts.surfaces[0].id;
    surfaces.push([id, s]);
    await client.query('insert into bare_surfaces values ($1, 1)', [s]);
  }
  const change = () => {
    const [jobId, entityId] = surfaces[Math.floor(Math.random() * surfaces.length)];
    return JSON.stringify({
      changes: [
        {
          v: 2,
          id: randomUUID(),
          jobId,
          entity: 'surface',
          entityId,
          parent: { kind: 'job', id: jobId },
          op: 'set',
          fields: { count: 1 + Math.floor(Math.random() * 90) },
          at: new Date().toISOString(),
          by: 'Load',
        },
      ],
    });
  };
  const run = async (url, connections, writes) => {
    const r = await autocannon({
      url,
      connections,
      duration: seconds,
      ...(writes
        ? {
            requests: [
              { method: 'POST', headers: { 'content-type': 'application/json' }, setupRequest: (q) => ({ ...q, body: change() }) },
            ],
          }
        : {}),
    });
    return { rate: r.requests.average, p50: r.latency.p50, p99: r.latency.p99, bad: r.non2xx + r.errors };
  };
  const rows = [
    ['GET a job of 400 surfaces', '/api/jobs/large-400', '/job/large-400', false],
    ['POST one change', '/api/changes', '/changes', true],
    [`list of ${lines.length} jobs`, '/api/jobs', '/jobs', false],
  ];
  for (const [what, own, base, writes] of rows) {
    for (const n of [1, 10, 50]) {
      const b = await run(bareAt + base, n, writes);
      const o = await run(server.address + own, n, writes);
      process.stdout.write(
        `${what}, ${n} ${n === 1 ? 'client' : 'clients'}: ${o.rate.toFixed(0)}/s, p50 ${o.p50} ms, p99 ${o.p99} ms` +
          ` (bare ${b.rate.toFixed(0)}/s, p50 ${b.p50} ms, p99 ${b.p99} ms); ratio ${(b.rate / o.rate).toFixed(2)}${o.bad > 0 ? `; ${o.bad} bad answers` : ''}\n`,
      );
    }
  }

  // A job of 10,000 readings takes a change.
  const reading = (n) => ({
    kind: 'moisture',
    takenAt: '2026-05-04T13:20:00.000Z',
    reachedLayerIds: [],
    toSubstrate: false,
    spot: null,
    changedLayerIds: [],
    kitRecognised: false,
    value: (n % 30) + 1,
    unit: '%rel',
    bandLow: null,
    bandHigh: null,
    note: '',
    supersedesId: null,
    supersedesWhy: null,
  });
  const many = largeJob(25);
  const whole25 = { ...many, job: { ...many.job, id: 'readings' } };
  await post('/api/jobs/import?copy=true', writeJobFile(whole25)).then(async ({ jobId }) => {
    const { facts } = await json(`/api/jobs/${jobId}`);
    for (const s of facts.surfaces) {
      const changes = Array.from({ length: 400 }, (_, k) => ({
        v: 2,
        id: randomUUID(),
        jobId,
        entity: 'reading',
        entityId: randomUUID(),
        parent: { kind: 'surface', id: s.id },
        op: 'add',
        fields: reading(k),
        at: '2026-05-04T13:20:00.000Z',
        by: 'Load',
      }));
      await post('/api/changes', { changes });
    }
    const times = [];
    for (let i = 0; i < 60; i += 1) {
      const s = facts.surfaces[i % facts.surfaces.length];
      const t = performance.now();
      await post('/api/changes', {
        changes: [
          {
            v: 2,
            id: randomUUID(),
            jobId,
            entity: 'surface',
            entityId: s.id,
            parent: { kind: 'job', id: jobId },
            op: 'set',
            fields: { count: i + 1 },
            at: '2026-05-04T13:20:00.000Z',
            by: 'Load',
          },
        ],
      });
      times.push(performance.now() - t);
    }
    times.sort((a, b) => a - b);
    process.stdout.write(
      `a change to a job of 10,000 readings: median ${times[30].toFixed(1)} ms, most ${times[59].toFixed(1)} ms (aim: under 100 ms)\n`,
    );
  });

  // One job is held by somebody: all others go on.
  const holder = new pg.Client({ connectionString: database.ownerUrl });
  await holder.connect();
  await holder.query('begin');
  await holder.query('select 1 from jobs where id = $1 for update', [surfaces[0][0]]);
  const stuck = Array.from({ length: 20 }, () =>
    post('/api/changes', change().replace(/"jobId":"[^"]+"/, `"jobId":"${surfaces[0][0]}"`)).catch(() => undefined),
  );
  surfaces.shift();
  const others = await run(`${server.address}/api/changes`, 10, true);
  process.stdout.write(
    `one job held, all others: p50 ${others.p50} ms, p99 ${others.p99} ms, ${others.bad} bad answers (aim: p99 under 500 ms)\n`,
  );
  await holder.query('rollback');
  await holder.end();
  await Promise.all(stuck);

  // One change sent twice at the same time: both are answered well, and it stands once.
  let twice = 0;
  const ids = new Set();
  for (let i = 0; i < pairs; i += 10) {
    await Promise.all(
      Array.from({ length: 10 }, async () => {
        const body = change();
        ids.add(JSON.parse(body).changes[0].id);
        const send = () =>
          fetch(`${server.address}/api/changes`, { method: 'POST', headers: { 'content-type': 'application/json' }, body });
        const both = await Promise.all([send(), send()]);
        if (both.every((r) => r.status === 200)) twice += 1;
      }),
    );
  }
  const { rows: stood } = await client.query('select count(*)::int as n from change_log where change_id = any($1)', [[...ids]]);
  process.stdout.write(
    `${twice} of ${pairs} pairs sent at once were answered well both times; ${stood[0].n} of ${ids.size} stand in the log\n`,
  );

  // Whole-job work beside the requests: how long anybody else waits meanwhile.
  const lag = async (what, work) => {
    let over = false;
    const done = work()
      .catch((e) => String(e))
      .finally(() => (over = true));
    const times = [];
    while (!over) {
      const t = performance.now();
      await fetch(`${server.address}/api/tasks/nobody`);
      times.push(performance.now() - t);
      await new Promise((r) => setTimeout(r, 5));
    }
    const said = await done;
    times.sort((a, b) => a - b);
    const at = (q) => times[Math.min(times.length - 1, Math.floor(q * times.length))].toFixed(0);
    process.stdout.write(`while ${what} (${said}): another request waits p50 ${at(0.5)}, p99 ${at(0.99)}, most ${at(1)} ms\n`);
  };
  const big = largeJob(4000);
  const bigText = writeJobFile(big);
  const timed = async (work) => {
    const t = performance.now();
    const r = await work();
    const bytes = (await r.arrayBuffer()).byteLength;
    return `${r.status}, ${(bytes / 1e6).toFixed(1)} MB, ${((performance.now() - t) / 1000).toFixed(1)} s`;
  };
  const get = (at) => () => timed(() => fetch(server.address + at));
  const postFile = (at) => () =>
    timed(() => fetch(server.address + at, { method: 'POST', headers: { 'content-type': 'application/json' }, body: bigText }));
  await lag(`a job file of 4,000 surfaces (${(bigText.length / 1e6).toFixed(1)} MB) is sent in`, postFile('/api/jobs/import'));
  // A file of 4,000 surfaces is over what the door takes: then the job is built by changes, as a phone would.
  if ((await fetch(`${server.address}/api/jobs/${big.job.id}`)).status !== 200) {
    await lag('4,000 surfaces come in as changes', async () => {
      const all = changesFor(big, randomUUID, 'Load');
      for (let i = 0; i < all.length; i += 300) await post('/api/changes', { changes: all.slice(i, i + 300) });
      return `${all.length} changes`;
    });
  }
  await lag('a job of 4,000 surfaces is read', get(`/api/jobs/${big.job.id}`));
  await lag('its plan is made', get(`/api/jobs/${big.job.id}/plan`));
  await lag('its survey is printed', get(`/api/jobs/${big.job.id}/survey.pdf`));
  await lag('the plan of 400 surfaces is made', get('/api/jobs/large-400/plan'));

  // The database is pulled away again and again under load.
  let exits = 0;
  server.child.on('exit', () => (exits += 1));
  let loading = true;
  const answers = { ok: 0, away: 0, other: 0 };
  const lost = [];
  const hammer = async () => {
    while (loading) {
      const body = change();
      const r = await fetch(`${server.address}/api/changes`, {
        method: 'POST',
        headers: { 'content-type': 'application/json' },
        body,
      }).catch(() => null);
      if (r?.status === 200) {
        answers.ok += 1;
        lost.push(JSON.parse(body).changes[0].id);
      } else if (r?.status === 503) {
        answers.away += 1;
        await new Promise((done) => setTimeout(done, 20));
      } else answers.other += 1;
    }
  };
  await client.end();
  const hands = Array.from({ length: 10 }, hammer);
  const back = [];
  for (let i = 0; i < restarts && exits === 0; i += 1) {
    await new Promise((r) => setTimeout(r, 200));
    database.stop(i % 2 ? 'immediate' : 'fast');
    database.start();
    const t = performance.now();
    for (;;) {
      const r = await fetch(`${server.address}/api/jobs/${surfaces[0][0]}`).catch(() => null);
      if (r?.status === 200) break;
      await new Promise((done) => setTimeout(done, 10));
    }
    back.push(performance.now() - t);
  }
  loading = false;
  await Promise.all(hands);
  const after = new pg.Client({ connectionString: database.ownerUrl });
  await after.connect();
  const { rows: kept } = await after.query('select count(*)::int as n from change_log where change_id = any($1)', [lost]);
  await after.end();
  back.sort((a, b) => a - b);
  process.stdout.write(
    `${back.length} restarts of the database under load: ${exits} exits; answers again after p50 ${back[Math.floor(back.length / 2)]?.toFixed(0)}, most ${back.at(-1)?.toFixed(0)} ms; ` +
      `${answers.ok} taken of which ${kept[0].n} stand, ${answers.away} told to try again, ${answers.other} otherwise\n`,
  );

  // Stopping while a write is held and a plan is made.
  const last = new pg.Client({ connectionString: database.ownerUrl });
  await last.connect();
  await last.query('begin');
  await last.query('lock table jobs in access exclusive mode');
  void post('/api/changes', change()).catch(() => undefined);
  void fetch(`${server.address}/api/jobs/${big.job.id}/plan`).catch(() => undefined);
  await new Promise((r) => setTimeout(r, 500));
  const t = performance.now();
  server.child.removeAllListeners('exit');
  await server.stop();
  process.stdout.write(
    `told to stop while a table is locked: stopped after ${((performance.now() - t) / 1000).toFixed(1)} s, code ${server.child.exitCode} (aim: 12 s)\n`,
  );
  await last.query('rollback');
  await last.end();
} finally {
  bare.child.kill();
  await client.end().catch(() => undefined);
  await server.stop();
  stopPostgres(CLUSTER);
}
process.exit(0);
