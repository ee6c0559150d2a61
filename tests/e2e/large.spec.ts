/** A job of 400 surfaces: its lists are reckoned in a worker, and the page stays quick to answer. */
import { largeJob } from '@roughsill/demo';
import { writeJobFile } from '@roughsill/core';
import { expect, test } from './app';

test('400 surfaces are derived in a worker; an edit is seen in the page at once and in the list soon after', async ({ app, page }) => {
  test.setTimeout(180_000);
  const workers: string[] = [];
  page.on('worker', (w) => workers.push(w.url()));
  const jobId = await app.bring(writeJobFile(largeJob(400)));
  await app.open(`/job/${jobId}/walk`);
  await expect(app.id('list').getByRole('link').first()).toBeVisible({ timeout: 60_000 });
  expect(workers.length).toBe(1);
  // Only what is near the screen is drawn.
  expect(await app.id('list').getByRole('link').count()).toBeLessThan(150);
  await page.getByLabel('Find a surface').fill('Surface 123');
  const row = app.id('list').getByRole('link', { name: /Surface 123/ });
  await row.click();
  await app.id('what-it-is').click();
  await page.getByRole('button', { name: 'How many: more' }).click();
  await expect(page.getByText('Coated area, 4 pieces')).toBeVisible();
  await page.getByRole('button', { name: /^Back to the list/ }).click();
  await page.getByLabel('Find a surface').fill('Surface 123');
  await expect(app.id('list').getByText('4 × Surface 123')).toBeVisible();
});
