// npm test: installs what is missing and runs everything. `npm test -- core server` runs those parts alone.
import { mkdirSync, readFileSync, rmSync } from 'node:fs';
import path from 'node:path';
import { buildServer, buildWeb } from './lib/build.mjs';
import { startPostgres, stopPostgres } from './lib/postgres.mjs';
import { DATA, ensureChromium, ensurePackages, nodeBin, runBeside, say } from './lib/run.mjs';

const PARTS = ['check', 'core', 'server', 'client', 'hunt', 'fuzz', 'faults', 'e2e'];
const wanted = process.argv.slice(2);
const unknown = wanted.filter((p) => !PARTS.includes(p));
if (unknown.length > 0) {
  say(`unknown part: ${unknown.join(', ')}; the parts are ${PARTS.join(', ')}`);
  process.exit(2);
}
const runs = (part) => wanted.length === 0 || wanted.includes(part);
const results = path.join(DATA, 'results');
rmSync(results, { recursive: true, force: true });
mkdirSync(results, { recursive: true });
const tally = { passed: 0, failed: 0, skipped: 0 };
const failures = [];

/** Runs a part; a failure is kept and told at the end, so that one run shows everything that is wrong. */
async function part(name, work) {
  if (!runs(name)) return;
  try {
    await work();
  } catch (e) {
    failures.push(`${name}: ${e.message}`);
    if (!/failed$/.test(e.message)) say(e.stack);
  }
}

async function jest(project, env = {}) {
  const out = path.join(results, `${project}.json`);
  try {
    await runBeside(
      `tests: ${project}`,
      nodeBin('jest'),
      ['--selectProjects', project, '--testTimeout', '30000', '--json', '--outputFile', out, '--silent=false'],
      {
        env: { ...process.env, ...env },
      },
    );
  } finally {
    const r = JSON.parse(readFileSync(out, 'utf8'));
    tally.passed += r.numPassedTests;
    tally.failed += r.numFailedTests + r.numRuntimeErrorTestSuites;
    tally.skipped += r.numPendingTests;
  }
}

/** A script that tries to break it, in its short form: it counts as one test. */
async function attack(name, args) {
  try {
    await runBeside(`tests: ${name}`, process.execPath, [`scripts/${name}.mjs`, ...args]);
    tally.passed += 1;
  } catch (e) {
    tally.failed += 1;
    throw e;
  }
}

async function playwright(database) {
  const out = path.join(results, 'e2e.json');
  const [webDir, main] = await built;
  try {
    await runBeside('tests: e2e', nodeBin('playwright'), ['test', '-c', 'tests/e2e/playwright.config.ts'], {
      live: true,
      env: {
        ...process.env,
        E2E_DATABASE_URL: database.url,
        E2E_OWNER_DATABASE_URL: database.ownerUrl,
        E2E_WEB_DIR: webDir,
        E2E_SERVER: main,
        E2E_PHOTOS_DIR: path.join(DATA, 'e2e-photos'),
        PLAYWRIGHT_JSON_OUTPUT_NAME: out,
      },
    });
  } finally {
    const { stats } = JSON.parse(readFileSync(out, 'utf8'));
    tally.passed += stats.expected + stats.flaky;
    tally.failed += stats.unexpected;
    tally.skipped += stats.skipped;
  }
}

ensurePackages();
if (runs('e2e') || runs('faults')) ensureChromium();
const started = Date.now();
const built = runs('e2e') || runs('faults') ? Promise.all([buildWeb(), buildServer()]) : Promise.resolve([]);
built.catch(() => undefined);
const database = runs('server') ? await startPostgres('test-postgres', { port: 55532, throwaway: true }) : null;
process.on('SIGINT', () => {
  ['test-postgres', 'e2e-postgres', 'fuzz-postgres', 'faults-postgres'].forEach((name) => stopPostgres(name));
  process.exit(130);
});
/** Two chains side by side: each keeps one core busy, and each makes what its own parts need. */
async function readSources() {
  await part('check', async () => {
    await runBeside('types', 'npm', ['run', '-s', 'types']);
    await runBeside('lint', 'npm', ['run', '-s', 'lint']);
    await runBeside('format', 'npm', ['run', '-s', 'format:check']);
  });
  await part('core', () => jest('core'));
}
async function runBuilt() {
  await built.catch(() => undefined);
  await part('server', async () => {
    const worker = path.join(path.dirname(await buildServer()), 'worker.mjs');
    await jest('server', { TEST_DATABASE_URL: database.url, TEST_OWNER_DATABASE_URL: database.ownerUrl, WORKER_FILE: worker });
  });
  await part('client', () => jest('client'));
  await part('fuzz', () => attack('fuzz', ['--requests', '2000']));
  await part('faults', async () => {
    await built;
    await attack('faults', ['--rounds', '10', '--short']);
  });
  await part('hunt', () => attack('hunt', ['--surfaces', '3000', '--seed', '9']));
}
try {
  await Promise.all([readSources(), runBuilt()]);
  await part('e2e', async () => {
    const e2e = await startPostgres('e2e-postgres', { port: 55632, throwaway: true });
    await playwright(e2e);
  });
} finally {
  stopPostgres('test-postgres');
  stopPostgres('e2e-postgres');
}
failures.forEach((f) => say(`FAILED ${f}`));
process.stdout.write(
  `in ${Math.round((Date.now() - started) / 1000)} s\n${tally.passed} passed, ${tally.failed} failed, ${tally.skipped} skipped\n`,
);
process.exit(failures.length > 0 || tally.failed > 0 ? 1 : 0);
