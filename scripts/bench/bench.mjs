// npm run bench: each figure as a ratio to a baseline measured in the same run. Nothing here fails: it prints, people judge.
import { existsSync, mkdirSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import http from 'node:http';
import path from 'node:path';
import { parseArgs } from 'node:util';
import { gzipSync } from 'node:zlib';
import { openBrowser } from '../lib/browser.mjs';
import { buildServer, buildWeb } from '../lib/build.mjs';
import { bundle } from '../lib/bundle.mjs';
import { freePort, startPostgres, stopPostgres } from '../lib/postgres.mjs';
import { DATA, ensureChromium, ensurePackages, nodeBin, ROOT, run, runBeside, say } from '../lib/run.mjs';
import { startBare, startServer } from '../lib/server.mjs';

ensurePackages();
ensureChromium();
// Measured as it runs in production: bundled, as the server and the worker are.
mkdirSync(DATA, { recursive: true });
const core = path.join(DATA, 'bench-core.mjs');
await bundle({ entryPoints: [path.join(ROOT, 'scripts/bench/core.ts')], outfile: core, sourcemap: false });
const { CORE_ROWS, largeJobText, median, row, rows } = await import(core);

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

/**
 * When something stood there and the page was free for a tap, and when it was tapped, by the page's own clock: who waits from outside looks
 * only now and then.
 */
const tellStands = (page, what) =>
  page.addInitScript((selector) => {
    window.addEventListener('pointerdown', () => (window.tapped = performance.now()), { capture: true, once: true });
    const seen = new MutationObserver(() => {
      if (!document.querySelector(selector)) return;
      seen.disconnect();
      requestAnimationFrame(() => setTimeout(() => (window.stands = performance.now())));
    });
    seen.observe(document, { childList: true, subtree: true });
  }, what);
const stands = async (page) => (await page.waitForFunction(() => window.stands)).jsonValue();
const SURFACE_STANDS = '[data-testid=surface] :is(h1, h2, h3, [role=heading])';

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
  /** From nothing kept to the list of jobs, and from the first tap on one, as soon as it can be tapped, to its own list. */
  const firstTap = async () => {
    const page = await (await browser.newContext({ viewport, serviceWorkers: 'block' })).newPage();
    await slowed(page);
    await tellStands(page, '[data-testid^=row-]');
    await page.goto(`${server.address}/`, { waitUntil: 'commit' });
    await page.getByTestId('job-quill-point').click();
    const answered = (await stands(page)) - (await page.evaluate(() => window.tapped));
    await page.context().close();
    return answered;
  };
  try {
    const taps = [];
    for (let i = 0; i < 3; i += 1) taps.push(await firstTap());
    row('the first tap, on a job, cold, 4x slowed at 1.6 Mbit/s, against its aim', median(taps), 5000, 'ms', 'at most 5000 ms');
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
    await page.getByTestId('surface').getByRole('heading').first().waitFor();
    await page.evaluate(() => navigator.serviceWorker.ready);
    await page.waitForTimeout(3000);
    const warm = [];
    const again = [];
    for (let i = 0; i < 5; i += 1) {
      const tab = await context.newPage();
      await slowed(tab);
      await tellStands(tab, SURFACE_STANDS);
      await tab.goto(`${server.address}/job/quill-point/walk/qp-sash-river`, { waitUntil: 'commit' });
      warm.push(await stands(tab));
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
      body: largeJobText(400),
    });
    const body = await (await fetch(`${server.address}/api/jobs/large-400`)).text();
    const pg = (await import('pg')).default;
    const client = new pg.Client({ connectionString: database.ownerUrl });
    await client.connect();
    await client.query('create table bench_bare (id text primary key, body text)');
    await client.query('insert into bench_bare values ($1, $2)', ['large-400', body]);
    // The thread is warm, as in a server that is in use, before the job is asked for cold: plans of another copy first.
    for (let i = 0; i < 4; i += 1)
      await fetch(`${server.address}/api/plan`, {
        method: 'POST',
        headers: { 'content-type': 'application/json' },
        body: largeJobText(400),
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
async function initialJs(dir, first) {
  const express = (await import('express')).default;
  const app = express();
  app.use(express.static(dir));
  app.get('/api/{*rest}', (_req, res) => res.status(404).json({}));
  const server = app.listen(0, '127.0.0.1');
  await new Promise((resolve) => server.once('listening', resolve));
  const browser = await openBrowser();
  try {
    const page = await (await browser.newContext({ serviceWorkers: 'block' })).newPage();
    // Until it stands: what is fetched behind it, for the next tap, is not what it waits for.
    await tellStands(page, first);
    await page.goto(`http://127.0.0.1:${server.address().port}/`);
    const at = await stands(page);
    const asked = await page.evaluate(
      (until) =>
        performance
          .getEntriesByType('resource')
          .filter((e) => e.startTime <= until)
          .map((e) => new URL(e.name).pathname),
      at,
    );
    const files = new Set(asked.filter((f) => f.endsWith('.js')));
    return [...files].reduce((sum, f) => sum + gzipSync(readFileSync(path.join(dir, decodeURIComponent(f)))).length, 0) / 1024;
  } finally {
    await browser.close();
    server.close();
  }
}

/** The whole bundle of a page before and after the first screen, against what the framework brings by itself. */
async function firstScreen(webDir) {
  row(
    'JavaScript of the first screen, gzip, against an empty Expo Router export',
    await initialJs(webDir, ':is(h1, [role=heading])'),
    await initialJs(await emptyExport(), '#root [dir=auto]'),
    'KB',
    'at most 2.0',
  );
}

/** Built when a part needs it, once. */
let web;
const webBuilt = () => (web ??= buildWeb());
const SECTIONS = {
  ...CORE_ROWS,
  overHttp,
  editToVerdict: async () => editToVerdict(await webBuilt()),
  opening: async () => opening(await webBuilt()),
  firstScreen: async () => firstScreen(await webBuilt()),
};
const LANDED = path.join(ROOT, 'scripts/bench/landed.json');
const { values: asked } = parseArgs({
  options: { help: { type: 'boolean', short: 'h' }, only: { type: 'string', multiple: true }, keep: { type: 'boolean' } },
});
if (asked.help) {
  process.stdout.write(`npm run bench [-- --only PART ...] [--keep]
Each figure, its ratio to a baseline of the same run, its aim, and what it was when the project last landed (scripts/bench/landed.json).
  --only PART  one part alone, or several: ${Object.keys(SECTIONS).join(', ')}
  --keep       writes what was measured into landed.json: on a quiet machine, before a landing
`);
  process.exit(0);
}
const chosen = Object.entries(SECTIONS).filter(([name]) => asked.only === undefined || asked.only.includes(name));
if (chosen.length === 0) {
  say(`no such part of the bench: choose of ${Object.keys(SECTIONS).join(', ')}`);
  process.exit(2);
}
say(`on ${process.version}, ${run('nproc', [], { quiet: true }).trim()} cores`);
const landed = existsSync(LANDED) ? JSON.parse(readFileSync(LANDED, 'utf8')) : {};
for (const [name, measure] of chosen) {
  rows.length = 0;
  // A part that breaks takes no other with it.
  try {
    await measure();
  } catch (error) {
    process.exitCode = 1;
    say(`${name} could not be measured: ${error.stack}`);
  }
  for (const r of rows) {
    const before = landed[r.what];
    const was = before ? `; landed ${before.on}: ${before.own}, ${before.ratio}` : '';
    process.stdout.write(`${r.what}\n  ${r.own} / ${r.baseline} = ${r.ratio}   (aim: ${r.aim}${was})\n`);
    if (asked.keep) landed[r.what] = { own: r.own, ratio: r.ratio, on: new Date().toISOString().slice(0, 10) };
  }
}
if (asked.keep) writeFileSync(LANDED, `${JSON.stringify(landed, null, 2)}\n`);
process.exit();
