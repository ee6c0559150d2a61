/** The database stops, the server stops, the signal goes: nothing that was typed is lost. */
import type { ChildProcess } from 'node:child_process';
import { freePort, startPostgres } from '../../scripts/lib/postgres.mjs';
import { startServer } from '../../scripts/lib/server.mjs';
import { example, expect, test } from './app';

test('the database stops while saving: the app says so, keeps what was typed, and sends it when it is back', async ({ app, page }) => {
  test.setTimeout(180_000);
  const database = await startPostgres('e2e-postgres', { port: 55632 });
  const jobId = await app.bring(example('one-window'));
  await app.open(`/job/${jobId}/walk`);
  await page.getByRole('link', { name: /Lower sash/ }).click();
  await app.id('what-it-is').click();
  database.stop();
  try {
    await app.type('name', 'Typed while the database was away');
    await expect(app.id('away')).toContainText('1 entry is kept on this phone and will be sent');
    await page.reload();
    await expect(page.getByRole('heading', { name: 'Typed while the database was away' })).toBeVisible();
  } finally {
    database.start();
  }
  await expect(app.id('away')).toHaveCount(0, { timeout: 30_000 });
  await app.sent();
  const { facts } = (await (await page.request.get(`${app.address}/api/jobs/${jobId}`)).json()) as {
    facts: { surfaces: { name: string }[] };
  };
  expect(facts.surfaces[0]!.name).toBe('Typed while the database was away');
});

test('without signal the app opens, the job is there, a new one can be begun, and all of it is sent later', async ({
  app,
  page,
  context,
}) => {
  const jobId = await app.bring(example('one-window'));
  await app.open(`/job/${jobId}/walk`);
  await page.getByRole('link', { name: /Lower sash/ }).waitFor();
  await page.evaluate(async () => (await navigator.serviceWorker.ready).active?.state);
  await expect.poll(() => page.evaluate(() => caches.keys().then((k) => k.length))).toBeGreaterThan(0);
  await page.reload();
  await page.getByRole('link', { name: /Lower sash/ }).waitFor();
  await context.setOffline(true);
  await page.reload();
  await page.getByRole('link', { name: /Lower sash/ }).click();
  await page.getByRole('checkbox', { name: 'open joints' }).click();
  await expect(app.id('away')).toBeVisible();
  await app.open('/new');
  await app.type('job-name', 'Begun without signal');
  await app.id('save-job').click();
  await app.type('space-name', 'Cellar');
  await app.id('save-space').click();
  await page.reload();
  await expect(page.getByRole('heading', { name: 'Add to Cellar' })).toBeVisible();
  await context.setOffline(false);
  await expect(app.id('away')).toHaveCount(0, { timeout: 30_000 });
  await app.sent();
  const { jobs } = (await (await page.request.get(`${app.address}/api/jobs`)).json()) as { jobs: { name: string }[] };
  expect(jobs.map((j) => j.name)).toContain('Begun without signal');
});

test('a server that is told to stop lets the write under way finish, and a new one has everything', async ({ page }) => {
  const database = await startPostgres('e2e-postgres', { port: 55632 });
  const port = await freePort(8390);
  const start = async () =>
    (await startServer({ main: process.env['E2E_SERVER']!, database, port, sample: false, photosDir: process.env['E2E_PHOTOS_DIR']! }))
      .child;
  const ended = (c: ChildProcess) => new Promise<number | null>((resolve) => c.once('exit', resolve));
  const first = await start();
  const exit = ended(first);
  const write = page.request.post(`http://127.0.0.1:${port}/api/jobs/import?copy=true`, {
    data: JSON.parse(example('quill-point')) as object,
  });
  await new Promise((r) => setTimeout(r, 60));
  first.kill('SIGTERM');
  const res = await write;
  expect(res.status()).toBe(201);
  expect(await exit).toBe(0);
  const second = await start();
  const { jobId } = (await res.json()) as { jobId: string };
  expect((await page.request.get(`http://127.0.0.1:${port}/api/jobs/${jobId}`)).status()).toBe(200);
  const over = ended(second);
  second.kill('SIGTERM');
  await over;
});
