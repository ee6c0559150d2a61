/** Random jobs through the whole of it: brought in, derived by server and worker, and read back from the screens. */
import path from 'node:path';
import { openBrowser } from './browser.mjs';
import { buildServer, buildWeb } from './build.mjs';
import { freePort, startPostgres, stopPostgres } from './postgres.mjs';
import { DATA, ensureChromium, say } from './run.mjs';
import { startServer } from './server.mjs';

const CLUSTER = 'browse-postgres';
const plain = (text) => text.replace(/\s+/g, ' ').toLowerCase();

/** @returns how many screens say something else than the core does */
export async function browse(jobs) {
  ensureChromium();
  const [webDir, main] = await Promise.all([buildWeb(), buildServer()]);
  const database = await startPostgres(CLUSTER, { port: 55880, throwaway: true });
  const server = await startServer({
    main,
    database,
    port: await freePort(8600),
    webDir,
    sample: false,
    photosDir: path.join(DATA, 'browse-photos'),
  });
  const browser = await openBrowser();
  let wrong = 0;
  let seen = 0;
  let read = 0;
  try {
    const context = await browser.newContext({
      viewport: { width: 390, height: 844 },
      serviceWorkers: 'block',
      timezoneId: 'America/New_York',
      locale: 'en-US',
    });
    const page = await context.newPage();
    const troubles = [];
    page.on('pageerror', (e) => troubles.push(e.message));
    for (const { file, pages } of jobs) {
      const sent = await fetch(`${server.address}/api/jobs/import`, {
        method: 'POST',
        headers: { 'content-type': 'application/json' },
        body: file,
      });
      if (sent.status !== 201) throw new Error(`a job was not taken in: ${sent.status} ${await sent.text()}`);
      for (const { at, says } of pages) {
        await page.goto(server.address + at);
        await page.getByRole('heading', { level: 1 }).first().waitFor();
        const wanted = [...new Set(says.map(plain).filter((x) => x.trim() !== ''))];
        // Until all of it stands there, or nothing turns any more and it does not.
        const missing = await page
          .waitForFunction(
            (all) => {
              const shown = document.body.innerText.replace(/\s+/g, ' ').toLowerCase();
              const lacks = all.filter((x) => !shown.includes(x));
              const settled = document.querySelector('[role=progressbar]') === null && !shown.includes('reckoning');
              const since = (window.since ??= { at: 0 });
              since.at = settled ? since.at || Date.now() : 0;
              return lacks.length === 0 || (since.at > 0 && Date.now() - since.at > 3000) ? { lacks } : false;
            },
            wanted,
            { timeout: 60_000 },
          )
          .then((handle) => handle.jsonValue());
        seen += 1;
        read += wanted.length;
        for (const text of missing.lacks) say(`${at}: nowhere on it stands “${text}”`);
        for (const text of troubles.splice(0)) {
          say(`${at}: ${text}`);
          wrong += 1;
        }
        wrong += missing.lacks.length;
      }
    }
  } finally {
    await browser.close();
    await server.stop();
    await stopPostgres(CLUSTER);
  }
  say(`${jobs.length} jobs, ${seen} screens, ${read} texts read back: ${wrong} not as the core has them`);
  return wrong;
}
