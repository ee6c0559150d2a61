// npm run faults -- [--rounds 500] [--seed 1] [--only tabClosed]: a browser, a server and a database; each round something breaks while a
// person types. At the end of the round everything typed stands in the server's log, once, and what is shown is what the server has.
import { cpSync, mkdirSync, readFileSync, rmSync } from 'node:fs';
import path from 'node:path';
import pg from 'pg';
import { argsOf, seededRandom } from './lib/args.mjs';
import { openBrowser } from './lib/browser.mjs';
import { buildServer, buildWeb } from './lib/build.mjs';
import { freePort, startPostgres, stopPostgres } from './lib/postgres.mjs';
import { DATA, ensureChromium, ensurePackages, ROOT, say } from './lib/run.mjs';
import { startServer } from './lib/server.mjs';

const { rounds, seed, only, short } = argsOf({
  rounds: 500,
  seed: process.argv.includes('--short') ? 7 : Math.floor(Date.now() / 1000) % 100_000,
  only: '',
  short: false,
});
// One seed for the short form, so that the tests do the same every time.
ensurePackages();
ensureChromium();

const random = seededRandom(seed);
const pick = (list) => list[Math.floor(random() * list.length)];
const between = (low, high) => low + Math.floor(random() * (high - low + 1));
const pause = (ms) => new Promise((r) => setTimeout(r, ms));
/** In the short form the lock is held shorter, so that the tests stay quick; it still outlasts the server's patience. */
const LOCK_MS = short ? 7_000 : 25_000;

const built = await Promise.all([buildWeb(), buildServer()]);
// Copies: a long run is not disturbed by a build beside it.
const [webDir, serverDir] = ['web', 'server'].map((name) => path.join(DATA, `faults-${name}`));
for (const [from, to] of [
  [built[0], webDir],
  [path.dirname(built[1]), serverDir],
]) {
  rmSync(to, { recursive: true, force: true });
  cpSync(from, to, { recursive: true });
}
const main = path.join(serverDir, path.basename(built[1]));
const CLUSTER = 'faults-postgres';
const database = await startPostgres(CLUSTER, { port: 55940, throwaway: true, plugPulled: true });
const port = await freePort(8700);
const photosDir = path.join(DATA, 'faults-photos');
rmSync(photosDir, { recursive: true, force: true });
mkdirSync(photosDir, { recursive: true });
const startOne = () =>
  startServer({ main, database, port, webDir, sample: false, photosDir, logFile: path.join(DATA, 'faults-server.log') });
let server = await startOne();
let exits = 0;
const watch = () => server.child.once('exit', () => (exits += 1));
watch();
/** Ends the server as told, and starts it again after a while. */
async function restart(signal, downMs) {
  const old = server.child;
  old.removeAllListeners('exit');
  const ended = new Promise((r) => old.once('exit', r));
  old.kill(signal);
  await ended;
  await pause(downMs);
  server = await startOne();
  watch();
}

const browser = await openBrowser();
// Playwright takes a request to end for itself and closes the browser: without one there is nothing to go on for.
let leaving = false;
browser.on('disconnected', () => {
  if (leaving) return;
  server.child.kill('SIGKILL');
  stopPostgres(CLUSTER);
  process.exit(1);
});
const file = readFileSync(path.join(ROOT, 'examples/one-window.roughsill.json'), 'utf8');
const address = `http://127.0.0.1:${port}`;
const json = async (at, init) => {
  const res = await fetch(address + at, init);
  return { status: res.status, body: await res.json().catch(() => null) };
};

/** Runs in the page: rows of the outbox. */
const countWaiting = () =>
  new Promise((resolve) => {
    const open = indexedDB.open('rough-sill');
    open.onupgradeneeded = () => open.transaction.abort();
    open.onerror = () => resolve(-1);
    open.onsuccess = () => {
      const count = open.result.transaction('outbox').objectStore('outbox').count();
      count.onsuccess = () => {
        open.result.close();
        resolve(count.result);
      };
    };
  });

const readAside = () =>
  new Promise((resolve) => {
    const open = indexedDB.open('rough-sill');
    open.onerror = () => resolve([]);
    open.onsuccess = () => {
      const all = open.result.transaction('aside').objectStore('aside').getAll();
      all.onsuccess = () => {
        open.result.close();
        resolve(all.result);
      };
    };
  });

class Phone {
  constructor(round, context) {
    this.round = round;
    this.context = context;
  }
  async open() {
    const page = await this.context.newPage();
    page.on('pageerror', (e) => this.round.wrong.push(`the page threw: ${e.message}`));
    for (let i = 0; ; i += 1) {
      try {
        await page.goto(`${address}/job/${this.round.jobId}/walk/${this.round.surfaceId}`, { timeout: 10_000 });
        // What it is stands folded until somebody opens it; then it stays open on this phone.
        const fold = page.getByTestId('what-it-is');
        await fold.waitFor({ timeout: 15_000 });
        if ((await fold.getAttribute('aria-expanded')) !== 'true') await fold.click();
        await page.getByTestId('name').waitFor({ timeout: 15_000 });
        return page;
      } catch (e) {
        if (i === 3) throw e;
        await pause(1000);
      }
    }
  }
}

class Round {
  constructor(n) {
    this.n = n;
    this.expected = [];
    this.wrong = [];
    this.contexts = [];
    this.typed = 0;
  }
  async prepare() {
    // The first answers after a restart of the database may be "try again".
    const soon = async (at, init) => {
      for (let i = 0; ; i += 1) {
        const r = await json(at, init).catch(() => ({ status: 0 }));
        if (r.status >= 200 && r.status < 300) return r.body;
        if (i === 20) throw new Error(`${at} answered ${r.status} for 5 s`);
        await pause(250);
      }
    };
    const init = { method: 'POST', headers: { 'content-type': 'application/json' }, body: file };
    this.jobId = (await soon('/api/jobs/import?copy=true', init)).jobId;
    this.surfaceId = (await soon(`/api/jobs/${this.jobId}`)).facts.surfaces[0].id;
  }
  async phone() {
    const context = await browser.newContext({ viewport: { width: 390, height: 844 }, serviceWorkers: 'block' });
    this.contexts.push(context);
    return new Phone(this, context);
  }
  /** Types a name that was never typed before and leaves the field. */
  async type(page) {
    await page.getByTestId('name').fill(`r${this.n} n${(this.typed += 1)}`);
    // Another tab's name may have come into the field between selecting and typing: what stands in it is what is entered.
    const value = await page.getByTestId('name').inputValue();
    await page.getByTestId('name').blur();
    this.expected.push(value);
    return value;
  }
  /** Waits until nothing waits any more, opening the app again where every tab was closed. */
  async drained(phone, page, ms = 60_000) {
    const tab = page ?? (await phone.open());
    const end = Date.now() + ms;
    let waiting = -1;
    while (Date.now() < end) {
      waiting = await tab.evaluate(countWaiting).catch(() => -1);
      if (waiting === 0) return tab;
      await pause(150);
    }
    this.wrong.push(`${waiting} entries were still waiting after ${ms / 1000} s`);
    return tab;
  }
  /** Everything typed stands in the log once, and the job is what its log says. */
  async check(pages) {
    const log = [];
    for (let cursor = 0, more = true; more;) {
      const page = (await json(`/api/jobs/${this.jobId}?since=${cursor}`)).body;
      log.push(...page.changes);
      ({ cursor, more } = page);
    }
    const names = log.filter((c) => c.op === 'set' && 'name' in c.fields).map((c) => c.fields.name);
    for (const value of this.expected) {
      const times = names.filter((n) => n === value).length;
      if (times !== 1) this.wrong.push(`"${value}" stands ${times} times in the log`);
    }
    if (new Set(log.map((c) => c.id)).size !== log.length) this.wrong.push('an id stands twice in the log');
    const { facts } = (await json(`/api/jobs/${this.jobId}`)).body;
    const shown = facts.surfaces[0].name;
    if (names.length > 0 && shown !== names.at(-1)) this.wrong.push(`the job says "${shown}", its log ends with "${names.at(-1)}"`);
    for (const page of pages) {
      const aside = await page.evaluate(readAside);
      if (aside.length > 0) this.wrong.push(`set aside: ${JSON.stringify(aside).slice(0, 500)}`);
      await page.evaluate(() => document.dispatchEvent(new Event('visibilitychange')));
      const ok = await page
        .waitForFunction((v) => document.querySelector('[data-testid=name]')?.value === v, shown, { timeout: 20_000 })
        .then(() => true)
        .catch(() => false);
      if (!ok) this.wrong.push(`a phone shows "${await page.getByTestId('name').inputValue()}", the server has "${shown}"`);
    }
  }
  async close() {
    for (const c of this.contexts) await c.close().catch(() => undefined);
  }
}

const typeSome = async (round, page, n = between(1, 4)) => {
  for (let i = 0; i < n; i += 1) {
    await round.type(page);
    await pause(between(0, 120));
  }
};

const FAULTS = {
  async serverKilled(round) {
    const phone = await round.phone();
    const page = await phone.open();
    const typing = typeSome(round, page, between(3, 8));
    await pause(between(0, 300));
    await Promise.all([typing, restart('SIGKILL', between(0, 800))]);
    return [await round.drained(phone, page)];
  },
  async serverStopped(round) {
    const phone = await round.phone();
    const page = await phone.open();
    const typing = typeSome(round, page, between(3, 8));
    await pause(between(0, 200));
    await Promise.all([typing, restart('SIGTERM', between(0, 500))]);
    return [await round.drained(phone, page)];
  },
  async databaseStopped(round) {
    const phone = await round.phone();
    const page = await phone.open();
    const typing = typeSome(round, page, between(3, 8));
    await pause(between(0, 300));
    database.stop(pick(['immediate', 'fast']));
    await typing;
    await typeSome(round, page, 2);
    await pause(between(0, 1500));
    database.start();
    return [await round.drained(phone, page)];
  },
  async tabClosed(round) {
    const phone = await round.phone();
    const page = await phone.open();
    await phone.context.setOffline(random() < 0.5);
    await typeSome(round, page, between(1, 5));
    const gone = new Promise((r) => page.once('close', r));
    await page.close({ runBeforeUnload: random() < 0.3 });
    await gone;
    await phone.context.setOffline(false);
    return [await round.drained(phone)];
  },
  async draftLeft(round) {
    const phone = await round.phone();
    const page = await phone.open();
    await page.getByTestId('name').click();
    const text = `draft of round ${round.n}`;
    await page.getByTestId('name').fill(text);
    await pause(1000);
    await page.close();
    const again = await phone.open();
    const found = await again.getByTestId('name').inputValue();
    if (found !== text) round.wrong.push(`the field holds "${found}" after the tab was closed, "${text}" was typed`);
    await again.getByTestId('name').focus();
    await again.getByTestId('name').blur();
    round.expected.push(text);
    return [await round.drained(phone, again)];
  },
  async twoTabs(round) {
    const phone = await round.phone();
    const [a, b] = [await phone.open(), await phone.open()];
    await phone.context.setOffline(random() < 0.6);
    for (let i = 0; i < between(2, 5); i += 1) {
      await round.type(a);
      await round.type(b);
    }
    if (random() < 0.5) {
      await a.close();
      await phone.context.setOffline(false);
      return [await round.drained(phone, b)];
    }
    await phone.context.setOffline(false);
    await round.drained(phone, a);
    return [a, await round.drained(phone, b)];
  },
  async twoPhones(round) {
    const [one, two] = [await round.phone(), await round.phone()];
    const [a, b] = [await one.open(), await two.open()];
    await one.context.setOffline(random() < 0.5);
    await Promise.all([typeSome(round, a, between(2, 5)), typeSome(round, b, between(2, 5))]);
    await one.context.setOffline(false);
    await Promise.all([round.drained(one, a), round.drained(two, b)]);
    return [a, b];
  },
  async quotaFull(round) {
    const phone = await round.phone();
    const page = await phone.open();
    await round.type(page);
    await round.drained(phone, page);
    await phone.context.setOffline(true);
    // What a browser does when there is no room: the write ends with this error, and with its transaction.
    await page.evaluate(() => {
      window.realAdd = IDBObjectStore.prototype.add;
      IDBObjectStore.prototype.add = function full() {
        this.transaction.abort();
        throw new DOMException('no room', 'QuotaExceededError');
      };
    });
    await round.type(page);
    const told = await page
      .getByTestId('unkept')
      .waitFor({ timeout: 8000 })
      .then(() => true)
      .catch(() => false);
    if (!told) round.wrong.push('a full store was not told');
    if ((await page.getByTestId('away').count()) > 0 && told) round.wrong.push('it says "kept" of what is not kept');
    await page.evaluate(() => {
      IDBObjectStore.prototype.add = window.realAdd;
    });
    if (random() < 0.5) {
      await page.getByRole('button', { name: 'Try again' }).click();
      await page.getByTestId('unkept').waitFor({ state: 'detached', timeout: 8000 });
      await page.close();
      await phone.context.setOffline(false);
      return [await round.drained(phone)];
    }
    await phone.context.setOffline(false);
    await page.waitForFunction(() => !document.querySelector('[data-testid=unkept]'), undefined, { timeout: 30_000 });
    return [await round.drained(phone, page)];
  },
  async signalLost(round) {
    const phone = await round.phone();
    const page = await phone.open();
    await phone.context.setOffline(true);
    await typeSome(round, page, between(2, 6));
    await phone.context.setOffline(false);
    await typeSome(round, page, between(1, 3));
    return [await round.drained(phone, page)];
  },
  async locked(round) {
    const phone = await round.phone();
    const page = await phone.open();
    const holder = new pg.Client({ connectionString: database.ownerUrl });
    await holder.connect();
    await holder.query('begin');
    await holder.query('select 1 from jobs where id = $1 for update', [round.jobId]);
    await typeSome(round, page, between(2, 4));
    const health = await json('/api/health');
    if (health.status !== 200) round.wrong.push(`health answered ${health.status} while one job was held`);
    await pause(LOCK_MS);
    await holder.query('rollback');
    await holder.end();
    return [await round.drained(phone, page, 90_000)];
  },
};

/** Each kind once in turn; the lock takes half a minute, so it comes rarely. */
const order = Object.keys(FAULTS).filter((k) => k !== 'locked');
const kindOf = (n) => only || (n % 40 === 9 ? 'locked' : order[n % order.length]);

say(`faults: ${rounds} rounds, seed ${seed}`);
const tally = {};
let failed = 0;
const started = Date.now();
for (let n = 0; n < rounds; n += 1) {
  const kind = kindOf(n);
  const round = new Round(n);
  try {
    await round.prepare();
    const pages = await FAULTS[kind](round);
    await round.check(pages);
  } catch (e) {
    round.wrong.push(String(e.stack ?? e).slice(0, 600));
  }
  await round.close();
  tally[kind] ??= { rounds: 0, typed: 0 };
  tally[kind].rounds += 1;
  tally[kind].typed += round.expected.length;
  if (round.wrong.length > 0) {
    failed += 1;
    say(`round ${n} (${kind}, seed ${seed}): ${round.wrong.join('; ')}`);
    // A broken round must not break the next: everything stands again before it.
    if ((await json('/api/health').catch(() => ({ status: 0 }))).status !== 200) {
      try {
        database.start();
      } catch {
        // It is running.
      }
      await pause(2000);
    }
  }
  if ((n + 1) % 50 === 0) say(`${n + 1} rounds, ${failed} failed, ${Math.round((Date.now() - started) / 1000)} s`);
}
leaving = true;
await browser.close();
server.child.removeAllListeners('exit');
await server.stop().catch(() => undefined);
stopPostgres(CLUSTER);
const typed = Object.values(tally).reduce((a, t) => a + t.typed, 0);
process.stdout.write(
  `${Object.entries(tally)
    .map(([k, t]) => `${k}: ${t.rounds} rounds, ${t.typed} entries`)
    .join(
      '\n',
    )}\n${rounds} rounds, ${typed} entries, ${failed} rounds with something lost, doubled or wrong; ${exits} unasked exits; ${Math.round((Date.now() - started) / 1000)} s\n`,
);
process.stdout.write(`${rounds - failed} passed, ${failed + exits} failed\n`);
process.exit(failed + exits > 0 ? 1 : 0);
