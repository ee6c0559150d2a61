// npm run screenshots: one current picture of each main view, from the demo data, into docs/screenshots/.
import { mkdirSync } from 'node:fs';
import path from 'node:path';
import { openBrowser } from './lib/browser.mjs';
import { buildServer, buildWeb } from './lib/build.mjs';
import { freePort, startPostgres, stopPostgres } from './lib/postgres.mjs';
import { DATA, ensureChromium, ensurePackages, ROOT } from './lib/run.mjs';
import { startServer } from './lib/server.mjs';

const SASH = 'qp-sash-river';

/** name, width, height, address, what to press first */
const VIEWS = [
  ['start-phone', 390, 844, '/', []],
  ['walk-phone', 390, 844, '/job/quill-point/walk', []],
  ['client-wide', 1280, 800, `/client/quill-point?surface=${SASH}`, ['[data-testid=ways]']],
  ['windows-wide', 1280, 800, '/windows/quill-point', ['[data-testid=heated-qp-ticket-hall]']],
  ['survey-phone', 390, 844, '/survey/quill-point', []],
  ['mold-wide', 1280, 800, '/mold/quill-point?space=qp-wash', ['[data-testid=remedies]']],
  ['buy-phone', 390, 844, '/buy/quill-point', []],
  ['breathing-wide', 1280, 800, '/breathing/quill-point', []],
  ['probe-phone', 390, 844, `/job/quill-point/probe/${SASH}`, []],
  ['trial-phone', 390, 844, `/job/quill-point/trial/${SASH}`, []],
  ['mix-phone', 390, 844, '/mix', ['[data-testid=mix-open-mix-newels]']],
  [
    'compare-wide',
    1280,
    800,
    `/compare/quill-point?surface=${SASH}`,
    ['[data-testid=compare-solventGel]', '[data-testid=compare-infrared]', '[data-testid=cost-harm]'],
  ],
  ['choose-phone', 390, 844, `/job/quill-point/choose/${SASH}`, []],
  ['protect-phone', 390, 844, `/job/quill-point/protect/${SASH}`, []],
  ['job-wide', 1280, 800, '/job/quill-point/protect', []],
  ['coat-phone', 390, 844, `/job/quill-point/coat/${SASH}`, []],
  ['work-phone', 390, 844, '/job/quill-point/work/qp-keeper-door', []],
  ['choose-wide', 1280, 800, `/job/quill-point/choose/${SASH}`, []],
  ['print', 800, 1100, '/print/quill-point', []],
];

ensurePackages();
ensureChromium();
const [webDir, main] = await Promise.all([buildWeb(), buildServer()]);
const database = await startPostgres('screenshots-postgres', { port: 55832, throwaway: true });
const server = await startServer({
  main,
  database,
  port: await freePort(8500),
  webDir,
  sample: true,
  photosDir: path.join(DATA, 'screenshot-photos'),
});
const out = path.join(ROOT, 'docs/screenshots');
mkdirSync(out, { recursive: true });
const browser = await openBrowser();
try {
  for (const [name, width, height, at, presses] of VIEWS) {
    const context = await browser.newContext({
      viewport: { width, height },
      serviceWorkers: 'block',
      timezoneId: 'America/New_York',
      locale: 'en-US',
    });
    const page = await context.newPage();
    await page.goto(server.address + at);
    await page.getByRole('heading', { level: 1 }).first().waitFor();
    await page.evaluate(() => document.fonts.ready);
    for (const press of presses) await page.locator(press).first().click();
    await page.waitForTimeout(500);
    // What a worker reckons is there when nothing turns, and nothing says that it is being reckoned.
    await page.waitForFunction(
      () => document.querySelector('[role=progressbar]') === null && !document.body.innerText.includes('Reckoning'),
      undefined,
      { timeout: 60_000 },
    );
    await page.screenshot({ path: path.join(out, `${name}.png`) });
    await context.close();
  }
} finally {
  await browser.close();
  await server.stop();
  stopPostgres('screenshots-postgres');
}
