// npm test: installs what is missing and runs everything, two things side by side.
// npm test -- core server: those parts alone. npm test -- core choose/: of a part only the files whose path holds that. --help lists the parts.
import { mkdirSync, readFileSync, rmSync } from 'node:fs';
import path from 'node:path';
import { buildServer, buildWeb } from './lib/build.mjs';
import { inLanes } from './lib/lanes.mjs';
import { startPostgres, stopPostgres } from './lib/postgres.mjs';
import { DATA, endAll, ensureChromium, ensurePackages, nodeBin, runBeside, say } from './lib/run.mjs';

const PARTS = {
  types: 'every TypeScript project, kept results and all',
  lint: 'the rules of the code, and its format',
  core: 'the core and the command lines, in Node',
  server: 'the API on a real PostgreSQL',
  client: 'components in the web preset',
  hunt: 'random jobs against the laws',
  fuzz: 'hostile requests',
  faults: 'a browser, a server and a database that break',
  e2e: 'the built app in a real browser',
};
/** What several parts are called together. */
const TOGETHER = { check: ['types', 'lint'] };
const HELP = `npm test [-- PART ... [PATTERN ...]]
${Object.entries(PARTS)
  .map(([name, what]) => `  ${name.padEnd(8)}${what}`)
  .join('\n')}
  ${'check'.padEnd(8)}types and lint
A pattern (with a slash or a dot in it, or after the parts) names files of core, server, client or e2e: npm test -- core choose/
`;

const argv = process.argv.slice(2);
if (argv.includes('--help') || argv.includes('-h')) {
  process.stdout.write(HELP);
  process.exit(0);
}
const isPart = (x) => x in PARTS || x in TOGETHER;
const wanted = new Set(argv.filter(isPart).flatMap((x) => TOGETHER[x] ?? [x]));
const patterns = argv.filter((x) => !isPart(x));
if (patterns.length > 0 && ![...wanted].some((x) => ['core', 'server', 'client', 'e2e'].includes(x))) {
  say(`unknown part: ${patterns.join(', ')}\n${HELP}`);
  process.exit(2);
}
const runs = (part) => wanted.size === 0 || wanted.has(part);

const results = path.join(DATA, 'results');
rmSync(results, { recursive: true, force: true });
mkdirSync(results, { recursive: true });
const tally = { passed: 0, failed: 0, skipped: 0 };
const failures = [];

async function jest(project, env = {}) {
  const out = path.join(results, `${project}.json`);
  try {
    await runBeside(
      `tests: ${project}`,
      nodeBin('jest'),
      [
        '--selectProjects',
        project,
        '--maxWorkers',
        '1',
        '--testTimeout',
        '60000',
        '--json',
        '--outputFile',
        out,
        '--silent=false',
        ...patterns,
      ],
      { env: { ...process.env, ...env } },
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

async function playwright() {
  const out = path.join(results, 'e2e.json');
  const [webDir, main] = await Promise.all([buildWeb(), buildServer()]);
  const database = await startPostgres('e2e-postgres', { port: 55632, throwaway: true });
  try {
    await runBeside('tests: e2e', nodeBin('playwright'), ['test', '-c', 'tests/e2e/playwright.config.ts', ...patterns], {
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
    database.stop();
    const { stats } = JSON.parse(readFileSync(out, 'utf8'));
    tally.passed += stats.expected + stats.flaky;
    tally.failed += stats.unexpected;
    tally.skipped += stats.skipped;
  }
}

async function server() {
  const worker = path.join(path.dirname(await buildServer()), 'worker.mjs');
  const database = await startPostgres('test-postgres', { port: 55532, throwaway: true });
  try {
    await jest('server', { TEST_DATABASE_URL: database.url, TEST_OWNER_DATABASE_URL: database.ownerUrl, WORKER_FILE: worker });
  } finally {
    database.stop();
  }
}

ensurePackages();
if (runs('e2e') || runs('faults')) ensureChromium();
const started = Date.now();
process.on('SIGINT', () => {
  endAll();
  ['test', 'e2e', 'fuzz', 'faults'].forEach((name) => stopPostgres(`${name}-postgres`));
  process.exit(130);
});

/** Of the longest first, so that neither lane ends alone; what needs a build waits for it, and builds are made once. */
const built = ['web', 'bundle'];
const jobs = [
  { name: 'web', wanted: runs('e2e') || runs('faults'), run: buildWeb },
  { name: 'bundle', wanted: runs('e2e') || runs('faults') || runs('server'), run: buildServer },
  { name: 'types', wanted: runs('types'), run: () => runBeside('types', 'npm', ['run', '-s', 'types']) },
  // The browser wants the machine to itself as little as can be: it begins as soon as there is an app, beside what takes one core.
  { name: 'e2e', wanted: runs('e2e'), after: built, run: playwright },
  { name: 'server', wanted: runs('server'), after: ['bundle'], run: server },
  { name: 'client', wanted: runs('client'), run: () => jest('client') },
  { name: 'core', wanted: runs('core'), run: () => jest('core') },
  { name: 'hunt', wanted: runs('hunt'), run: () => attack('hunt', ['--surfaces', '3000', '--seed', '9']) },
  { name: 'faults', wanted: runs('faults'), after: built, run: () => attack('faults', ['--rounds', '10', '--short']) },
  { name: 'fuzz', wanted: runs('fuzz'), after: ['bundle'], run: () => attack('fuzz', ['--requests', '2000']) },
  {
    name: 'lint',
    wanted: runs('lint'),
    run: async () => {
      await runBeside('lint', 'npm', ['run', '-s', 'lint']);
      await runBeside('format', 'npm', ['run', '-s', 'format:check']);
    },
  },
];
// A failure is kept and told at the end, so that one run shows everything that is wrong.
await inLanes(
  2,
  jobs.filter((j) => j.wanted),
  (job, e) => {
    failures.push(`${job.name}: ${e.message}`);
    if (!/failed$/.test(e.message)) say(e.stack);
  },
);
failures.forEach((f) => say(`FAILED ${f}`));
process.stdout.write(
  `in ${Math.round((Date.now() - started) / 1000)} s\n${tally.passed} passed, ${tally.failed} failed, ${tally.skipped} skipped\n`,
);
process.exit(failures.length > 0 || tally.failed > 0 ? 1 : 0);
