/** What the server cannot take is set aside and mended; another version of the server, a full store and a half-typed field lose nothing. */
import { CHANGE_VERSION } from '@roughsill/core';
import { example, expect, test, type App } from './app';

/** The server refuses a name, and takes everything else, as it would had another phone changed the ground under this one. */
async function refuseName(app: App, name: string): Promise<void> {
  await app.page.route('**/api/changes', async (route) => {
    const { changes } = route.request().postDataJSON() as { changes: { id: string; fields: Record<string, unknown> }[] };
    const bad = changes.filter((c) => c.fields['name'] === name);
    if (bad.length === 0) return route.continue();
    const rest = changes.filter((c) => !bad.includes(c));
    const { form, epoch } = (await (await route.fetch({ url: `${app.address}/api/session`, method: 'GET' })).json()) as {
      form: number;
      epoch: string;
    };
    const sent =
      rest.length > 0
        ? ((await (await app.page.request.post(`${app.address}/api/changes`, { data: { changes: rest } })).json()) as object)
        : {};
    const refused = bad.map((c) => ({ id: c.id, problems: [{ path: 'fields.name', message: 'needs another name' }] }));
    const nothing = { epoch, form, accepted: [], known: [], later: [], clashes: [], before: {}, cursors: {} };
    await route.fulfill({ status: 422, contentType: 'application/problem+json', body: JSON.stringify({ ...nothing, ...sent, refused }) });
  });
}
const nameThere = async (app: App, jobId: string): Promise<string> => {
  const { facts } = (await (await app.page.request.get(`${app.address}/api/jobs/${jobId}`)).json()) as {
    facts: { surfaces: { name: string }[] };
  };
  return facts.surfaces[0]!.name;
};
const openSash = async (app: App): Promise<string> => {
  const jobId = await app.bring(example('one-window'));
  await app.open(`/job/${jobId}/walk`);
  await app.page.getByRole('link', { name: /Lower sash/ }).click();
  await app.id('what-it-is').click();
  await app.id('name').waitFor();
  return jobId;
};

test('a refused entry is set aside, survives a reload, and is mended; what was entered around it is with the server', async ({
  app,
  page,
}) => {
  const jobId = await openSash(app);
  await refuseName(app, 'Refused');
  await app.type('name', 'Refused');
  await page.getByRole('checkbox', { name: 'open joints' }).click();
  await expect(app.id('aside')).toContainText('The server could not take 1 entry. It is set aside here.');
  await app.sent();
  await expect(app.id('name')).toHaveValue('Lower sash');
  await page.reload();
  await app.button('Look at what was set aside').click();
  await expect(page.getByRole('heading', { name: 'Surface changed' })).toBeVisible();
  await expect(page.getByText('needs another name')).toBeVisible();
  await app.type('mend-name', 'Mended');
  await app.id('send-mended').click();
  await expect(page.getByText('Nothing is set aside')).toBeVisible();
  await app.sent();
  expect(await nameThere(app, jobId)).toBe('Mended');
});

test('a refused entry can be dropped, by a second press elsewhere', async ({ app, page }) => {
  const jobId = await openSash(app);
  await refuseName(app, 'Unwanted');
  await app.type('name', 'Unwanted');
  await app.button('Look at what was set aside').click();
  await app.id('drop').click();
  await app.button('Keep it').click();
  await app.id('drop').click();
  await app.id('drop-for-good').click();
  await expect(page.getByText('Nothing is set aside')).toBeVisible();
  await page.reload();
  await expect(page.getByText('Nothing is set aside')).toBeVisible();
  expect(await nameThere(app, jobId)).toBe('Lower sash');
});

test('an older server gets nothing until it is updated; a newer one offers its app', async ({ app, page }) => {
  const jobId = await openSash(app);
  let form: number | undefined;
  await page.route('**/api/session', async (route) => {
    const answer = (await (await route.fetch()).json()) as object;
    await route.fulfill({ json: { ...answer, form } });
  });
  await page.reload();
  await app.id('name').waitFor();
  await app.type('name', 'For a newer server');
  await expect(app.id('held')).toContainText('1 entry waits on this phone until it is updated');
  expect(await nameThere(app, jobId)).toBe('Lower sash');
  form = CHANGE_VERSION + 1;
  await expect(app.id('newer')).toBeVisible({ timeout: 30_000 });
  await app.sent();
  expect(await nameThere(app, jobId)).toBe('For a newer server');
});

test('a full store is told at once, nothing is said to be kept, and trying again keeps it', async ({ app, page, context }) => {
  await openSash(app);
  await context.setOffline(true);
  await page.evaluate(() => {
    const real = IDBObjectStore.prototype.add;
    (window as unknown as { roomAgain: () => void }).roomAgain = () => (IDBObjectStore.prototype.add = real);
    IDBObjectStore.prototype.add = function full() {
      this.transaction.abort();
      throw new DOMException('no room', 'QuotaExceededError');
    };
  });
  await app.type('name', 'No room for this');
  await expect(app.id('unkept')).toContainText('could not keep 1 entry: its store is full');
  await expect(app.id('away')).toHaveCount(0);
  await page.evaluate(() => (window as unknown as { roomAgain: () => void }).roomAgain());
  await app.button('Try again').click();
  await expect(app.id('away')).toContainText('1 entry is kept on this phone');
  await context.setOffline(false);
  await app.sent();
});

test('what stands in a field that was not left survives a closed tab', async ({ app, page, context }) => {
  const jobId = await openSash(app);
  const at = page.url();
  await app.id('name').fill('Half typed');
  await page.waitForTimeout(1000);
  await page.close();
  const again = await context.newPage();
  await again.goto(at);
  await expect(again.getByTestId('name')).toHaveValue('Half typed');
  await expect(again.getByText('Typed before, not entered yet')).toBeVisible();
  await again.getByTestId('name').focus();
  await again.getByTestId('name').blur();
  await expect(again.getByText('Typed before, not entered yet')).toHaveCount(0);
  await expect
    .poll(async () => {
      const res = await again.request.get(`${app.address}/api/jobs/${jobId}`);
      return ((await res.json()) as { facts: { surfaces: { name: string }[] } }).facts.surfaces[0]!.name;
    })
    .toBe('Half typed');
});

test('a survey is made beside the requests and handed over as a file', async ({ app, page }) => {
  const jobId = await app.bring(example('one-window'));
  await app.open(`/survey/${jobId}`);
  const [file] = await Promise.all([page.waitForEvent('download', { timeout: 60_000 }), app.id('survey-pdf').click()]);
  expect(file.suggestedFilename()).toBe('one-old-window-survey.pdf');
  const stream = await file.createReadStream();
  const [start] = await new Promise<Buffer[]>((resolve) => stream.once('data', (d: Buffer) => resolve([d])));
  expect(start!.subarray(0, 5).toString()).toBe('%PDF-');
});

test('an app that was updated under an open page is loaded anew, and the next tap leads on', async ({ app, page }) => {
  await app.open('/');
  await page.getByRole('heading', { name: 'Rough Sill' }).first().waitFor();
  // The server has another build: the pieces of this one are gone from it, until the page is loaded anew.
  let loaded = false;
  await page.route('**/_expo/static/js/**', (route) => (loaded ? route.continue() : route.fulfill({ status: 404, body: '' })));
  await page.route('**/index.html', async (route) => {
    const there = await route.fetch();
    await route.fulfill({
      response: there,
      body: (await there.text()).replace(/name="build" content="\w+"/, 'name="build" content="another"'),
    });
  });
  page.on('request', (r) => {
    if (r.isNavigationRequest()) loaded = true;
  });
  await app.id('to-mix').click();
  await expect(page.getByText('This screen stumbled')).toHaveCount(0);
  await expect.poll(() => loaded).toBe(true);
  await expect(page.getByRole('heading', { name: 'Rough Sill' }).first()).toBeVisible();
  await app.id('to-mix').click();
  await expect(page).toHaveURL(/\/mix$/);
  await expect(page.getByText('This screen stumbled')).toHaveCount(0);
});
