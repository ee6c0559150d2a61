/** Bad input: a clear word beside its cause, nothing lost, nothing half-written. */
import { example, expect, test } from './app';

test('a year in the future and a job without a name are told beside their fields, and what was typed stays', async ({ app, page }) => {
  await app.open('/new');
  await app.type('year-built', '2999');
  await app.id('save-job').click();
  await expect(page.getByText('The year is in the future: check it.')).toBeVisible();
  await expect(page.getByText('the job needs a name')).toBeVisible();
  await expect(app.id('year-built')).toHaveValue('2999');
});

test('sizes, shares and readings', async ({ app, page }) => {
  const jobId = await app.bring(example('one-window'));
  await app.open(`/job/${jobId}/walk`);
  await page.getByRole('link', { name: /Lower sash/ }).click();
  await app.id('what-it-is').click();
  await app.type('lengthM', '-3');
  await expect(page.getByText('length must be more than 0')).toBeVisible();
  await app.type('lengthM', 'tall');
  await expect(page.getByText('“tall” is not a length such as 4\' 6" or 4.5.')).toBeVisible();
  await app.type('lengthM', '2,5');
  await expect(app.id('lengthM')).toHaveValue('2\' 6"');

  await app.id('parts-folded').click();
  await app.type('share-flat', '90');
  await expect(app.id('parts').getByText('The shares add to 140 %, not 100 %. They are not written until they do.')).toBeVisible();
  await expect(app.button('Keep these shares')).toBeDisabled();
  await app.button('Back to the recorded ones').click();

  await app.stage('Probe');
  await app.id('record-lab').click();
  await app.type('reading-value', '0.7');
  await app.id('save-reading').click();
  await expect(page.getByText('State the unit: %, ppm or mg/cm².')).toBeVisible();
  await app.id('reading-unit').selectOption('mass%');
  await app.type('reading-value', '5000');
  await app.id('save-reading').click();
  await expect(page.getByText('more than 100 % by mass: check the unit')).toBeVisible();
  await app.id('reading-unit').selectOption('ppm');
  await app.id('save-reading').click();
  await expect(app.id('record')).toContainText('lab chip 5,000 ppm');
});

test('a correction is a new record that says why; both stay', async ({ app, page }) => {
  const jobId = await app.bring(example('one-window'));
  await app.open(`/job/${jobId}/probe`);
  await page.getByRole('link', { name: /Lower sash/ }).click();
  await page.getByRole('button', { name: /^Withdraw this reading: swab changed/ }).click();
  await app.button('Withdraw it').click();
  await expect(page.getByText('Say in a word or two why it is withdrawn')).toBeVisible();
  await page.getByLabel('Why is it withdrawn').fill('wrong sash');
  await app.button('Withdraw it').click();
  await expect(app.id('record')).toContainText('Replaces an earlier record: wrong sash');
  await expect(app.id('section')).not.toHaveAttribute('aria-label', /lead found/);
});

test('a file that is cut short, of a newer version, or wrong inside is refused with its paths', async ({ app, page }) => {
  await app.open('/');
  const good = example('one-window');
  for (const [text, says] of [
    [good.slice(0, 400), '(file): is not whole JSON'],
    [good.replace(/"version": \d+/, '"version": 99'), 'version: is 99; this Rough Sill reads up to'],
    [good.replace('"sharePct": 50', '"sharePct": 70'), 'surfaces[0].parts: the shares add to 120 %, not 100 %'],
    [good.replace('"element": "doubleHungSash"', '"element": "porthole"'), 'surfaces[0].element: is not one of'],
  ] as const) {
    await app.importText(text);
    await expect(app.id('import-problems')).toContainText(says);
  }
  await expect(page).toHaveURL(`${app.address}/`);
});

test('an address that leads nowhere says so and offers the way back', async ({ app, page }) => {
  await app.open('/job/no-such-job/walk');
  await expect(page.getByText('There is no such job here.')).toBeVisible();
  await app.open('/nowhere/at/all');
  await expect(page.getByText('There is no such page.')).toBeVisible();
  await app.button('All jobs').click();
  await expect(page.getByRole('heading', { name: 'Rough Sill' })).toBeVisible();
});

test('two phones in one field: the later is told what it replaced', async ({ app, page }) => {
  const jobId = await app.bring(example('one-window'));
  await app.open(`/facts/${jobId}`);
  await expect(app.id('job-name')).toHaveValue('One old window');
  const { facts } = (await (await page.request.get(`${app.address}/api/jobs/${jobId}`)).json()) as { facts: { job: { name: string } } };
  const change = {
    id: `other-phone-${jobId}`,
    jobId,
    entity: 'job',
    entityId: jobId,
    surfaceId: null,
    op: 'set',
    fields: { name: 'Named elsewhere' },
    saw: { name: facts.job.name },
    at: '2026-05-04T13:20:00.000Z',
    by: 'Other',
  };
  expect((await page.request.post(`${app.address}/api/changes`, { data: { changes: [change] } })).status()).toBe(200);
  await app.type('job-name', 'Named here');
  await app.id('job-name').press('Enter');
  await expect(app.id('clash')).toContainText('Someone else had changed this to Named elsewhere. Yours, Named here, stands now');
});
