/** What a painter does, in the words of the screen. */
import { readFileSync } from 'node:fs';
import path from 'node:path';
import { expect, test as base, type BrowserContext, type Page } from '@playwright/test';

export const example = (name: string): string =>
  readFileSync(path.resolve(import.meta.dirname, `../../examples/${name}.roughsill.json`), 'utf8');

/** Runs in the page: rows of the outbox, as it stands in the browser's own store. */
export const countWaiting = (): Promise<number> =>
  new Promise((resolve) => {
    const open = indexedDB.open('rough-sill');
    // Not made yet: then nothing was entered. The app makes it, not this look.
    open.onupgradeneeded = () => open.transaction?.abort();
    open.onerror = () => resolve(0);
    open.onsuccess = () => {
      const count = open.result.transaction('outbox').objectStore('outbox').count();
      count.onsuccess = () => {
        open.result.close();
        resolve(count.result);
      };
    };
  });

export class App {
  constructor(
    readonly page: Page,
    readonly address: string,
  ) {}

  open = (at: string) => this.page.goto(this.address + at);
  id = (testId: string) => this.page.getByTestId(testId);
  button = (name: string | RegExp) => this.page.getByRole('button', { name });
  pick = (testId: string, name: string) => this.id(testId).getByRole('radio', { name, exact: true }).click();

  /** Types into a field and leaves it, which is when it is written. */
  async type(testId: string, text: string): Promise<void> {
    await this.id(testId).fill(text);
    await this.id(testId).blur();
  }

  /** Entries that this phone keeps and that are not sent yet. */
  waiting = (): Promise<number> => this.page.evaluate(countWaiting);

  /** Everything that was entered has reached the server. */
  async sent(): Promise<void> {
    await expect.poll(this.waiting, { timeout: 30_000 }).toBe(0);
  }

  async stage(name: string): Promise<void> {
    await this.page
      .getByRole('navigation', { name: 'Stages' })
      .getByRole('link', { name: new RegExp(`^${name}`) })
      .click();
  }

  async importText(text: string, name = 'job.roughsill.json'): Promise<void> {
    await this.id('import').setInputFiles({ name, mimeType: 'application/json', buffer: Buffer.from(text) });
  }

  /** Of a surface, by its name: a job that was brought in has ids of its own. */
  async idOf(jobId: string, name: string): Promise<string> {
    const { facts } = (await (await this.page.request.get(`${this.address}/api/jobs/${jobId}`)).json()) as {
      facts: { surfaces: { id: string; name: string }[] };
    };
    return facts.surfaces.find((s) => s.name === name)!.id;
  }

  /** Puts a job file straight into the database, under new ids. */
  async bring(text: string): Promise<string> {
    const res = await this.page.request.post(`${this.address}/api/jobs/import?copy=true`, { data: JSON.parse(text) as object });
    expect(res.status()).toBe(201);
    return ((await res.json()) as { jobId: string }).jobId;
  }
}

/** The one browser of a worker, by what it was opened with. */
let home: { readonly as: string; readonly context: BrowserContext } | null = null;

export const test = base.extend<{ app: App }>({
  /** Between tests it keeps the code of the app, as a phone does, and nothing else: neither a store nor a session. */
  context: async ({ browser, viewport, hasTouch, timezoneId, locale, serviceWorkers }, provide) => {
    const options = { viewport, hasTouch, timezoneId, locale, serviceWorkers };
    const as = JSON.stringify(options);
    if (home?.as !== as) {
      await home?.context.close();
      home = { as, context: await browser.newContext(options) };
    }
    const { context } = home;
    const page = await context.newPage();
    const devtools = await context.newCDPSession(page);
    await devtools.send('Storage.clearDataForOrigin', { origin: process.env['E2E_ADDRESS']!, storageTypes: 'all' });
    await context.clearPermissions();
    await page.close();
    await provide(context);
    await Promise.all(context.pages().map((p) => p.close()));
  },
  app: async ({ page }, provide) => {
    const errors: string[] = [];
    page.on('pageerror', (e) => errors.push(e.message));
    await provide(new App(page, process.env['E2E_ADDRESS']!));
    expect(errors).toEqual([]);
  },
});
export { expect };
