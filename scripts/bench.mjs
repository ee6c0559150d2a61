// npm run bench: each figure as a ratio to a baseline measured in the same run. Nothing here fails: it prints, people judge.
import { existsSync, mkdirSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import http from 'node:http';
import path from 'node:path';
import { gzipSync } from 'node:zlib';
import { openBrowser } from './lib/browser.mjs';
import { buildServer, buildWeb } from './lib/build.mjs';
import { freePort, startPostgres, stopPostgres } from './lib/postgres.mjs';
import { DATA, ensureChromium, ensurePackages, nodeBin, ROOT, run, runBeside, say } from './lib/run.mjs';
import { startBare, startServer } from './lib/server.mjs';

ensurePackages();
ensureChromium();
// Measured as it runs in production: bundled, as the server and the worker are.
const { build } = await import('esbuild');
mkdirSync(DATA, { recursive: true });
const bundle = path.join(DATA, 'bench-core.mjs');
await build({
  stdin: {
    contents: `
      export * from '@roughsill/core';
      export * from '@roughsill/core/import';
      export * from '@roughsill/core/moist';
      export * from '@roughsill/core/compare';
      export * from '@roughsill/core/rounds';
      export * from '@roughsill/core/survey';
      export { jobReport, surveyReport } from '@roughsill/core/report';
      export { largeJob, quillPoint } from '@roughsill/demo';
      export { default as Papa } from 'papaparse';
    `,
    resolveDir: ROOT,
  },
  bundle: true,
  format: 'esm',
  platform: 'node',
  outfile: bundle,
  logLevel: 'error',
});
const core = await import(bundle);
const { createDeriver, DEFAULT_SETTINGS, writeJobFile, largeJob } = core;
const factsOf = (text) => {
  const { format: _f, version: _v, ...facts } = JSON.parse(text);
  return facts;
};

const median = (xs) => [...xs].sort((a, b) => a - b)[Math.floor(xs.length / 2)];
const time = (f) => {
  const t = performance.now();
  f();
  return performance.now() - t;
};
const rows = [];
const row = (what, own, base, unit, aim) =>
  rows.push({
    what,
    own: `${own.toFixed(own < 10 ? 2 : 0)} ${unit}`,
    baseline: `${base.toFixed(base < 10 ? 2 : 0)} ${unit}`,
    ratio: (own / base).toFixed(own / base < 0.1 ? 4 : 2),
    aim,
  });

function derivation() {
  const text = writeJobFile(largeJob(400));
  const whole = [];
  const parse = [];
  const edit = [];
  for (let i = 0; i < 40; i += 1) {
    parse.push(time(() => JSON.parse(text)));
    const facts = factsOf(text);
    whole.push(time(() => createDeriver().derive(facts, DEFAULT_SETTINGS, 2026)));
  }
  let facts = factsOf(text);
  const deriver = createDeriver();
  deriver.derive(facts, DEFAULT_SETTINGS, 2026);
  for (let i = 0; i < 200; i += 1) {
    facts = { ...facts, surfaces: facts.surfaces.map((s, k) => (k === i ? { ...s, conditions: ['runs'] } : s)) };
    edit.push(time(() => deriver.derive(facts, DEFAULT_SETTINGS, 2026)));
  }
  row('derive 400 surfaces, against JSON.parse of the file', median(whole.slice(10)), median(parse.slice(10)), 'ms', 'whole at most 50 ms');
  row('one edit of 400, against the whole', median(edit), median(whole.slice(10)), 'ms', 'at most 1/50 = 0.0200');
}

/** A change of how one zone is run, and of where a surface stands: its zone is derived again, and nothing else. */
function zoneEdit() {
  const base = largeJob(400);
  const deriver = createDeriver();
  const whole = [];
  for (let i = 0; i < 15; i += 1) whole.push(time(() => createDeriver().derive(base, DEFAULT_SETTINGS, 2026)));
  let facts = base;
  deriver.derive(facts, DEFAULT_SETTINGS, 2026);
  const edit = [];
  for (let i = 0; i < 60; i += 1) {
    facts = { ...facts, spaces: facts.spaces.map((s, k) => (k === i % facts.spaces.length ? { ...s, crew: (i % 5) + 1 } : s)) };
    edit.push(time(() => deriver.derive(facts, DEFAULT_SETTINGS, 2026)));
  }
  row('one zone run otherwise, of 400 surfaces, against the whole', median(edit), median(whole.slice(5)), 'ms', 'at most 1/50 = 0.0200');
}

/** The slim plan: its bytes against those of the job file, and what 4,000 surfaces take. */
function slimPlan() {
  const at = '2026-05-04T13:20:00.000Z';
  const made = (n) => {
    const facts = largeJob(n);
    let text = '';
    const ms = time(() => {
      text = JSON.stringify(core.jobReport(facts, createDeriver().derive(facts, { ...DEFAULT_SETTINGS }, 2026), DEFAULT_SETTINGS, at));
    });
    return { ms, mb: text.length / 1e6, file: writeJobFile(facts).length / 1e6 };
  };
  made(400);
  const small = made(400);
  row('plan of 400 surfaces as JSON, against their job file', small.mb, small.file, 'MB', 'at most 4 MB');
  const large = made(4000);
  row('plan of 4,000 surfaces derived and written, against 400', large.ms, small.ms, 'ms', 'at most 10 s, within 512 MB');
  row('memory of this run after it, against the 512 MB that it may take', process.memoryUsage().rss / 2 ** 20, 512, 'MB', 'below 1');
}

/** Every method on every part of 400 surfaces, with nothing remembered; then one surface planned with each method in turn. */
function choosing() {
  const text = writeJobFile(largeJob(400));
  const facts = factsOf(text);
  const fresh = [];
  const again = [];
  for (let i = 0; i < 20; i += 1) {
    // A settings object of its own has no verdicts kept for it.
    fresh.push(time(() => createDeriver().derive(facts, { ...DEFAULT_SETTINGS }, 2026)));
    again.push(time(() => createDeriver().derive(facts, DEFAULT_SETTINGS, 2026)));
  }
  row(
    `verdicts of 400 surfaces x ${core.METHODS.length} methods with none kept, against with those of like parts kept`,
    median(fresh.slice(5)),
    median(again.slice(5)),
    'ms',
    'no aim set',
  );
  const point = core.quillPoint();
  const compare = [];
  const once = [];
  for (let i = 0; i < 20; i += 1) {
    compare.push(time(() => core.compareMethods(point, 'qp-sash-river', DEFAULT_SETTINGS, 2026)));
    once.push(time(() => createDeriver().derive(point, DEFAULT_SETTINGS, 2026)));
  }
  row(
    'one surface planned with every method, against the whole job once',
    median(compare.slice(5)),
    median(once.slice(5)),
    'ms',
    'no aim set',
  );
}

/** The best round by the core, against trying every size by simulation. */
function roundsBench() {
  const q = {
    method: core.methodById('masonryStripper'),
    crew: { laying: 1, lifting: 1, shared: false },
    weather: { faceC: 18, sun: false, wind: false, covered: true },
    pieceM2: 0.25,
    speed: 1,
    soakH: 1,
    pieces: null,
    settings: DEFAULT_SETTINGS,
  };
  const input = core.roundInput(q);
  const brute = () => {
    let best = 0;
    let done = 0;
    for (let k = 1; k <= 400; k += 1) {
      if (core.simulate({ ...input, dayMin: Infinity }, k, k).spoilt) break;
      const day = core.simulate(input, k);
      if (day.done > done) [best, done] = [k, day.done];
    }
    return [best, done];
  };
  const own = [];
  const base = [];
  for (let i = 0; i < 40; i += 1) {
    own.push(time(() => core.rounds(q)));
    base.push(time(brute));
  }
  row('the best round, against every size played through', median(own.slice(10)), median(base.slice(10)), 'ms', 'no aim set');
}

/** From a tap on what is wanted to the new verdicts on the screen, on a browser slowed four times; against one painted word in the same page. */
async function editToVerdict(webDir) {
  const database = await startPostgres('bench-postgres', { port: 55732, throwaway: true });
  const server = await startServer({
    main: await buildServer(),
    database,
    port: await freePort(8400),
    webDir,
    sample: true,
    photosDir: path.join(DATA, 'bench-photos'),
  });
  const browser = await openBrowser();
  try {
    const page = await (await browser.newContext({ viewport: { width: 390, height: 844 }, serviceWorkers: 'block' })).newPage();
    await page.goto(`${server.address}/job/quill-point/choose/qp-sash-river`);
    await page.getByTestId('aim').waitFor();
    const cdp = await page.context().newCDPSession(page);
    await cdp.send('Emulation.setCPUThrottlingRate', { rate: 4 });
    const [own, base] = await page.evaluate(async () => {
      const painted = () => new Promise((r) => requestAnimationFrame(() => setTimeout(r)));
      const select = document.querySelector('[data-testid=aim]');
      const set = Object.getOwnPropertyDescriptor(HTMLSelectElement.prototype, 'value').set;
      const edits = [];
      const words = [];
      const word = document.body.appendChild(document.createElement('p'));
      for (let i = 0; i < 20; i += 1) {
        let t = performance.now();
        set.call(select, i % 2 === 0 ? 'bareClear' : 'keepSound');
        select.dispatchEvent(new Event('change', { bubbles: true }));
        await painted();
        edits.push(performance.now() - t);
        await new Promise((r) => setTimeout(r, 120));
        t = performance.now();
        word.textContent = String(i);
        await painted();
        words.push(performance.now() - t);
      }
      return [edits, words];
    });
    row(
      'edit to verdict on a browser slowed 4x, against one painted word',
      median(own.slice(5)),
      median(base.slice(5)),
      'ms',
      'no aim set',
    );
  } finally {
    await browser.close();
    await server.stop();
    stopPostgres('bench-postgres');
  }
}

/** A phone's processor and a slow line. */
async function slowed(page) {
  const cdp = await page.context().newCDPSession(page);
  await cdp.send('Network.enable');
  await cdp.send('Network.emulateNetworkConditions', {
    offline: false,
    latency: 150,
    downloadThroughput: 1.6e6 / 8,
    uploadThroughput: 750e3 / 8,
  });
  await cdp.send('Emulation.setCPUThrottlingRate', { rate: 4 });
}
const firstPaint = (page) =>
  page.evaluate(
    () =>
      new Promise((resolve) => {
        const told = performance.getEntriesByName('first-contentful-paint')[0];
        if (told) resolve(told.startTime);
        else
          new PerformanceObserver((l) => l.getEntriesByName('first-contentful-paint').forEach((e) => resolve(e.startTime))).observe({
            type: 'paint',
            buffered: true,
          });
      }),
  );

/** Cold: nothing kept, from the address to the first thing drawn. Warm: the app is kept, from the address to a job page that answers. */
async function opening(webDir) {
  const database = await startPostgres('bench-postgres', { port: 55732, throwaway: true });
  const server = await startServer({
    main: await buildServer(),
    database,
    port: await freePort(8400),
    webDir,
    sample: true,
    photosDir: path.join(DATA, 'bench-photos'),
  });
  const express = (await import('express')).default;
  const empty = express();
  const compression = (await import('compression')).default;
  empty.use(compression(), express.static(await emptyExport()));
  const bare = empty.listen(0, '127.0.0.1');
  await new Promise((resolve) => bare.once('listening', resolve));
  const bareAt = `http://127.0.0.1:${bare.address().port}/`;
  const browser = await openBrowser();
  const viewport = { width: 390, height: 844 };
  const cold = async (url) => {
    const page = await (await browser.newContext({ viewport, serviceWorkers: 'block' })).newPage();
    await slowed(page);
    await page.goto(url, { waitUntil: 'commit' });
    const ms = await firstPaint(page);
    await page.context().close();
    return ms;
  };
  try {
    const own = [];
    const base = [];
    for (let i = 0; i < 5; i += 1) {
      own.push(await cold(`${server.address}/job/quill-point/walk`));
      base.push(await cold(bareAt));
    }
    row('first paint, cold, 4x slowed at 1.6 Mbit/s, against an empty export', median(own), median(base), 'ms', 'at most 1500 ms');
    const context = await browser.newContext({ viewport });
    const page = await context.newPage();
    await page.goto(`${server.address}/job/quill-point/walk/qp-sash-river`);
    await page.getByTestId('name').waitFor();
    await page.evaluate(() => navigator.serviceWorker.ready);
    await page.waitForTimeout(3000);
    const warm = [];
    const again = [];
    for (let i = 0; i < 5; i += 1) {
      const tab = await context.newPage();
      await slowed(tab);
      const t = performance.now();
      await tab.goto(`${server.address}/job/quill-point/walk/qp-sash-river`, { waitUntil: 'commit' });
      await tab.getByTestId('name').waitFor();
      warm.push(performance.now() - t);
      again.push(await firstPaint(tab));
      await tab.close();
    }
    row('a job page that answers, warm, 4x slowed, against its own first paint', median(warm), median(again), 'ms', 'at most 2000 ms');
  } finally {
    await browser.close();
    bare.close();
    await server.stop();
    stopPostgres('bench-postgres');
  }
}

/** 400 surfaces with 600 readings, from facts to the whole survey: groups, areas, decisions, register, today. */
function assessment() {
  const base = largeJob(400);
  const extra = (s, n) => ({
    ...core.BLANK_READING,
    id: `${s.id}-m${n}`,
    kind: 'moisture',
    takenAt: base.job.createdAt,
    value: 12,
    unit: '%rel',
    by: 'bench',
  });
  let left = 600 - base.surfaces.reduce((a, s) => a + s.readings.length, 0);
  const surfaces = base.surfaces.map((s) => (left-- > 0 ? { ...s, readings: [...s.readings, extra(s, 1)] } : s));
  const text = writeJobFile({ ...base, surfaces });
  const own = [];
  const parse = [];
  for (let i = 0; i < 12; i += 1) {
    parse.push(time(() => JSON.parse(text)));
    const facts = factsOf(text);
    own.push(
      time(() =>
        core.surveyReport(facts, createDeriver().derive(facts, DEFAULT_SETTINGS, 2026), DEFAULT_SETTINGS, '2026-06-01T00:00:00.000Z'),
      ),
    );
  }
  row(
    'whole-house survey, 400 surfaces and 600 readings, against JSON.parse of the file',
    median(own.slice(4)),
    median(parse.slice(4)),
    'ms',
    'no aim set',
  );
}

/** The growth index as one would first write it: an object an hour. */
function plainGrowth(hours) {
  let m = 0;
  let dry = 0;
  return hours.map(({ c, rh }) => {
    const critical = c > 20 ? 80 : -0.00267 * c ** 3 + 0.16 * c ** 2 - 3.13 * c + 100;
    if (c > 0 && c <= 50 && rh >= critical) {
      dry = 0;
      const tm = Math.exp(-0.68 * Math.log(c) - 13.9 * Math.log(rh) + 66.02);
      const tv = Math.exp(-0.74 * Math.log(c) - 12.72 * Math.log(rh) + 61.5);
      const x = (critical - rh) / (critical - 100);
      const k2 = Math.max(0, 1 - Math.exp(2.3 * (m - (1 + 7 * x - 2 * x * x))));
      m += ((m < 1 ? 1 : 2 / (tv / tm - 1)) * k2) / (7 * tm * 24);
    } else {
      dry += 1;
      m -= dry <= 6 ? 0.032 / 24 : dry <= 24 ? 0 : 0.016 / 24;
    }
    m = Math.min(6, Math.max(0, m));
    return { c, rh, m };
  });
}

function moldYear() {
  const moisture = {
    insideC: 19,
    insideRhPct: 70,
    outsideC: 4,
    outsideRhPct: 85,
    uValueWm2K: 2,
    fanRatedM3h: 60,
    fanMeasuredM3h: null,
    fanMinPerDay: 30,
    leakAch: 0.3,
    waterGPerDay: 2400,
    burstsPerDay: 3,
    leak: 'no',
    rising: 'no',
    fanVentsOutside: 'yes',
    laundryDries: 'no',
    coldCorner: 'yes',
  };
  const room = { lengthM: 2.4, widthM: 2, heightM: 2.4 };
  const climate = core.simulatedClimate('bench');
  const face = core.faceClimate(core.roomAir(moisture, room, 'now', 'us'), climate);
  const hours = Array.from(face.tempC, (c, i) => ({ c, rh: face.rhPct[i] }));
  const own = [];
  const plain = [];
  const all = [];
  for (let i = 0; i < 30; i += 1) {
    own.push(time(() => core.growthIndex(face.tempC, face.rhPct)));
    plain.push(time(() => plainGrowth(hours)));
    all.push(time(() => core.REMEDIES.forEach((r) => core.outlook(moisture, room, climate, core.PINE, r, 'us'))));
  }
  row(
    'growth index over a year of hours, against a plain loop over objects',
    median(own.slice(10)),
    median(plain.slice(10)),
    'ms',
    'at most 150 ms',
  );
  row(
    'the cause finder: room and index for five remedies, against one plain loop',
    median(all.slice(10)),
    median(plain.slice(10)),
    'ms',
    'no aim set',
  );
}

function dwellings() {
  /** The rule by its definition: whole binomials, no table kept. */
  const choose = (n, k) => Array.from({ length: k }, (_, i) => (n - i) / (i + 1)).reduce((a, b) => a * b, 1);
  const plain = (of) => {
    const bad = Math.min(Math.ceil(0.05 * of), 50);
    let n = 1;
    while (choose(of - bad, n) / choose(of, n) >= 0.05) n += 1;
    return n;
  };
  const own = [];
  const base = [];
  for (let i = 0; i < 40; i += 1) {
    own.push(time(() => core.drawDwellings(1000, 'before1960', `seed ${i}`)));
    base.push(time(() => plain(1000)));
  }
  row('which of 1,000 dwellings to test, against the size alone by whole binomials', median(own), median(base), 'ms', 'no aim set');
}

function tables() {
  const base = largeJob(400);
  const samples = (s, i) =>
    Array.from({ length: 13 }, (_, k) => ({
      ...core.BLANK_SAMPLE,
      id: `${s.id}-x${k}`,
      number: `S-${i * 13 + k}`,
      takenAt: base.job.createdAt,
      toSubstrate: true,
      removedAt: null,
    }));
  const facts = { ...base, surfaces: base.surfaces.map((s, i) => ({ ...s, samples: samples(s, i) })) };
  const text = `Sample,Result,Unit\n${Array.from({ length: 5000 }, (_, i) => `S-${i},${(i % 97) / 50},%`).join('\n')}\n`;
  const bytes = new TextEncoder().encode(text);
  const own = [];
  const parse = [];
  for (let i = 0; i < 12; i += 1) {
    parse.push(time(() => core.Papa.parse(text)));
    own.push(
      time(() => {
        const table = core.readTable(bytes).value;
        core.previewImport(table, facts, {
          kind: 'lab',
          mapping: core.guessMapping(table.headers),
          unit: null,
          takenAt: base.job.createdAt,
          rules: 'us',
          by: 'bench',
        });
      }),
    );
  }
  row(
    'reading and judging a CSV of 5,000 rows, against splitting it only',
    median(own.slice(3)),
    median(parse.slice(3)),
    'ms',
    'no aim set',
  );
}

const get = (url) =>
  new Promise((resolve, reject) => {
    const t = performance.now();
    http
      .get(url, { agent }, (res) => {
        let bytes = 0;
        res.on('data', (d) => (bytes += d.length));
        res.on('end', () => resolve({ ms: performance.now() - t, bytes, status: res.statusCode }));
      })
      .on('error', reject);
  });
const agent = new http.Agent({ keepAlive: true });

const BARE = `
import express from 'express';
import pg from 'pg';
const pool = new pg.Pool({ connectionString: process.env.DATABASE_URL });
const app = express();
app.get('/job/:id', async (req, res) => {
  const { rows } = await pool.query('select body from bench_bare where id = $1', [req.params.id]);
  res.type('json').send(rows[0].body);
});
app.listen(Number(process.env.PORT), '127.0.0.1', () => process.send('ready'));
`;

async function overHttp() {
  const database = await startPostgres('bench-postgres', { port: 55732, throwaway: true });
  const server = await startServer({
    main: await buildServer(),
    database,
    port: await freePort(8400),
    sample: false,
    photosDir: path.join(DATA, 'bench-photos'),
  });
  const bare = await startBare('bench-bare', BARE, { database, port: await freePort(8450) });
  try {
    await fetch(`${server.address}/api/jobs/import`, {
      method: 'POST',
      headers: { 'content-type': 'application/json' },
      body: writeJobFile(largeJob(400)),
    });
    const body = await (await fetch(`${server.address}/api/jobs/large-400`)).text();
    const pg = (await import('pg')).default;
    const client = new pg.Client({ connectionString: database.ownerUrl });
    await client.connect();
    await client.query('create table bench_bare (id text primary key, body text)');
    await client.query('insert into bench_bare values ($1, $2)', ['large-400', body]);
    // The thread is started and warm before it is timed cold: another job first.
    await fetch(`${server.address}/api/plan`, {
      method: 'POST',
      headers: { 'content-type': 'application/json' },
      body: writeJobFile(largeJob(400)),
    });
    const planAt = `${server.address}/api/jobs/large-400/plan`;
    const cold = (await get(planAt)).ms;
    await client.query('insert into bench_bare values ($1, $2)', ['plan', await (await fetch(planAt)).text()]);
    await client.end();
    const own = [];
    const base = [];
    for (let i = 0; i < 120; i += 1) {
      own.push((await get(`${server.address}/api/jobs/large-400`)).ms);
      base.push((await get(`${bare.address}/job/large-400`)).ms);
    }
    row(
      'GET a job of 400 surfaces, against bare Express + pg with the same bytes',
      median(own.slice(20)),
      median(base.slice(20)),
      'ms',
      'at most 1.5',
    );
    const plan = [];
    const barePlan = [];
    for (let i = 0; i < 60; i += 1) {
      plan.push((await get(planAt)).ms);
      barePlan.push((await get(`${bare.address}/job/plan`)).ms);
    }
    row(
      'GET the plan of 400 at an unchanged cursor, against bare Express + pg with the same bytes',
      median(plan.slice(10)),
      median(barePlan.slice(10)),
      'ms',
      'at most 2',
    );
    row(
      'GET the plan of 400 for the first time, against the same at an unchanged cursor',
      cold,
      median(plan.slice(10)),
      'ms',
      'at most 500 ms',
    );
  } finally {
    bare.child.kill();
    await server.stop();
    stopPostgres('bench-postgres');
  }
}

/** An Expo Router app with one screen that says one word, exported the same way. */
async function emptyExport() {
  const dir = path.join(ROOT, 'client/.bench-empty');
  const out = path.join(DATA, 'bench-empty');
  if (existsSync(path.join(out, 'index.html'))) return out;
  rmSync(dir, { recursive: true, force: true });
  mkdirSync(path.join(dir, 'app'), { recursive: true });
  const put = (name, text) => writeFileSync(path.join(dir, name), text);
  put(
    'package.json',
    JSON.stringify({
      name: 'empty',
      version: '0.0.0',
      private: true,
      main: 'expo-router/entry',
      dependencies: JSON.parse(readFileSync(path.join(ROOT, 'client/package.json'), 'utf8')).dependencies,
    }),
  );
  put(
    'app.json',
    JSON.stringify({
      expo: {
        name: 'empty',
        slug: 'empty',
        platforms: ['web'],
        web: { bundler: 'metro', output: 'single' },
        plugins: [['expo-router', { asyncRoutes: { web: true, default: false } }]],
      },
    }),
  );
  put('babel.config.js', "module.exports = (api) => { api.cache(true); return { presets: ['babel-preset-expo'] }; };\n");
  put('app/index.tsx', "import { Text } from 'react-native';\nexport default () => <Text>empty</Text>;\n");
  try {
    await runBeside('empty export', nodeBin('expo'), ['export', '--platform', 'web', '--output-dir', out], {
      cwd: dir,
      env: { ...process.env, EXPO_OFFLINE: '1', EXPO_NO_TELEMETRY: '1', CI: '1', NODE_ENV: 'production' },
    });
  } finally {
    rmSync(dir, { recursive: true, force: true });
  }
  return out;
}

/** JavaScript that the first screen asks for, gzipped: what a browser really loads at `/`. */
async function initialJs(dir) {
  const express = (await import('express')).default;
  const app = express();
  app.use(express.static(dir));
  app.get('/api/{*rest}', (_req, res) => res.status(404).json({}));
  const server = app.listen(0, '127.0.0.1');
  await new Promise((resolve) => server.once('listening', resolve));
  const browser = await openBrowser();
  try {
    const page = await (await browser.newContext({ serviceWorkers: 'block' })).newPage();
    const files = new Set();
    page.on('response', (r) => /\.js(\?|$)/.test(r.url()) && files.add(new URL(r.url()).pathname));
    await page.goto(`http://127.0.0.1:${server.address().port}/`);
    await page.waitForTimeout(3000);
    return [...files].reduce((sum, f) => sum + gzipSync(readFileSync(path.join(dir, decodeURIComponent(f)))).length, 0) / 1024;
  } finally {
    await browser.close();
    server.close();
  }
}

if (process.argv.includes('--opening')) {
  await opening(await buildWeb());
  for (const r of rows) process.stdout.write(`${r.what}\n  ${r.own} / ${r.baseline} = ${r.ratio}   (aim: ${r.aim})\n`);
  process.exit(0);
}
derivation();
zoneEdit();
slimPlan();
choosing();
roundsBench();
assessment();
moldYear();
dwellings();
tables();
await overHttp();
await editToVerdict(await buildWeb());
await opening(await buildWeb());
row(
  'JavaScript of the first screen, gzip, against an empty Expo Router export',
  await initialJs(await buildWeb()),
  await initialJs(await emptyExport()),
  'KB',
  'at most 1.6',
);
say(`on ${process.version}, ${run('nproc', [], { quiet: true }).trim()} cores`);
for (const r of rows) process.stdout.write(`${r.what}\n  ${r.own} / ${r.baseline} = ${r.ratio}   (aim: ${r.aim})\n`);
process.exit(0);
