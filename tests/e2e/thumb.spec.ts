/** What a painter does daily with one thumb, and how many taps it takes. */
import type { Locator } from '@playwright/test';
import { example, expect, test } from './app';

/** Counts what is pressed; typing is not counted. */
function taps() {
  let n = 0;
  return {
    on: async (what: Locator) => {
      n += 1;
      await what.click();
    },
    count: () => n,
  };
}

test('cost, days, sheet and mask stand on the first screen of a job; whether one may dry-sand is one tap away', async ({ app, page }) => {
  const jobId = await app.bring(example('quill-point'));
  await app.open(`/job/${jobId}/walk`);
  const sums = app.id('job-sums');
  await expect(sums).toContainText(/\$[\d,]+ to \$[\d,]+ · .* days/);
  await expect(sums).toContainText(/ft² of sheet · .*mask/);
  await expect(sums).toContainText(/4 of 19 surfaces not priced/);
  const ledge = (await page.getByRole('navigation', { name: 'Stages' }).boundingBox())!;
  const ask = (await app.id('may-drySand').boundingBox())!;
  expect(ask.y + ask.height).toBeLessThanOrEqual(ledge.y);
  await app.id('may-drySand').click();
  const answer = app.id('may-answer');
  // What is forbidden comes first, with its strongest reason, apart from what would only do too little.
  await expect(answer).toContainText(/^No: \d+ of 19 surfaces/);
  await expect(answer).toContainText('It would not do enough');
});

test('a coat, a swab, a chip and its answer: at most ten taps, on one surface', async ({ app }) => {
  const file = JSON.parse(example('one-window')) as { surfaces: { layers: unknown[]; readings: unknown[]; coatsCounted: boolean }[] };
  const bare = { ...file, surfaces: file.surfaces.map((s) => ({ ...s, layers: [], readings: [], coatsCounted: false })) };
  const jobId = await app.bring(JSON.stringify(bare));
  await app.open(`/job/${jobId}/walk`);
  await app.page.getByRole('link', { name: /Lower sash/ }).click();
  const t = taps();
  await t.on(app.id('add-coat-unknown'));
  await t.on(app.page.getByRole('navigation', { name: 'Stages' }).getByRole('link', { name: /^Probe/ }));
  await t.on(app.id('record-spot'));
  await t.on(app.id('swab').getByRole('radio', { name: 'unclear', exact: true }));
  await t.on(app.id('save-reading'));
  await t.on(app.id('take-chip'));
  await expect(app.id('own-samples')).toContainText('Write S-001 on the bag.');
  await t.on(app.button('S-001 sent'));
  await t.on(app.button('Enter the answer to S-001'));
  await app.type('answer-value', '0.8');
  await app.id('answer-unit').selectOption('mass%');
  await t.on(app.id('save-answer'));
  expect(t.count()).toBeLessThanOrEqual(10);
  // Where one stands: what it said, against which limit; and no more advice to test.
  await expect(app.id('last-answer')).toHaveText('Lead found: 0.8 %, limit 0.5 %.');
});

test('a swab before any coat offers an unknown one; the last entry is told, passes away with the screen, and is taken back', async ({
  app,
  page,
}) => {
  const file = JSON.parse(example('one-window')) as { surfaces: { layers: unknown[]; readings: unknown[] }[] };
  const jobId = await app.bring(JSON.stringify({ ...file, surfaces: file.surfaces.map((s) => ({ ...s, layers: [], readings: [] })) }));
  await app.open(`/job/${jobId}/probe`);
  await page.getByRole('link', { name: /Lower sash/ }).click();
  await app.id('record-spot').click();
  await app.pick('swab', 'unchanged');
  await app.id('save-reading').click();
  await app.id('add-unknown-coat').click();
  await app.id('save-reading').click();
  await expect(page.getByRole('status').filter({ hasText: 'Lower sash: swab recorded' })).toBeVisible();
  await page.keyboard.press('Control+z');
  await expect(app.id('record')).toContainText('taken back right after it was entered');
  await page.waitForTimeout(1600);
  await app.stage('Walk');
  await expect(app.id('undo')).toHaveCount(0);
  await page.getByRole('checkbox', { name: 'powdery' }).click();
  await expect(page.getByRole('status').filter({ hasText: 'Lower sash: powdery on' })).toBeVisible();
});
