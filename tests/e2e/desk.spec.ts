/** A desk: list and detail side by side, and everything by keys. */
import { example, expect, test } from './app';

test('list and detail stand side by side; keys move, change stages, unfold and find', async ({ app, page }) => {
  const jobId = await app.bring(example('quill-point'));
  await app.open(`/job/${jobId}/walk`);
  await expect(app.id('list')).toBeVisible();
  await page.keyboard.press('j');
  await expect(page.getByRole('heading', { name: 'Sashes, river side' })).toBeVisible();
  const [list, detail] = [await app.id('list').boundingBox(), await app.id('surface').boundingBox()];
  expect(list!.x + list!.width).toBeLessThanOrEqual(detail!.x + 1);
  await page.keyboard.press('j');
  await expect(page.getByRole('heading', { name: 'Casings, river side' })).toBeVisible();
  await page.keyboard.press('k');
  await expect(page.getByRole('heading', { name: 'Sashes, river side' })).toBeVisible();
  await page.keyboard.press('2');
  await expect(page).toHaveURL(/\/probe\//);
  await page.keyboard.press('w');
  await expect(page.locator('[data-why][aria-expanded=false]')).toHaveCount(0);
  await page.keyboard.press('/');
  await page.keyboard.type('textured');
  await expect(app.id('list').getByRole('link')).toHaveCount(1);
  await page.keyboard.press('Escape');
  await app.id('list').getByRole('link').focus();
  await page.keyboard.press('Enter');
  await expect(page.getByRole('heading', { name: 'Textured ceiling' })).toBeVisible();
  await expect(page.getByText('Asbestos', { exact: true })).toBeVisible();
  await page.keyboard.press('?');
  await expect(page.getByRole('heading', { name: 'Keys' })).toBeVisible();
  await page.goBack();
  await expect(page.getByRole('heading', { name: 'Textured ceiling' })).toBeVisible();
});

test('a job is begun, and a method chosen, with the keyboard alone', async ({ app, page }) => {
  await app.open('/');
  await app.id('new-job').waitFor();
  await page.keyboard.press('n');
  await app.id('job-name').focus();
  await page.keyboard.type('By keys');
  await app.id('save-job').focus();
  await page.keyboard.press('Enter');
  await app.id('space-name').focus();
  await page.keyboard.type('Hall');
  await page.keyboard.press('Tab');
  await app.id('save-space').focus();
  await page.keyboard.press('Enter');
  await app.id('template-door').focus();
  await page.keyboard.press('Enter');
  await app.id('done-adding').focus();
  await page.keyboard.press('Enter');
  await page.getByRole('heading', { name: 'Door', exact: true }).waitFor();
  await page.locator('body').click({ position: { x: 5, y: 5 } });
  await page.keyboard.press('4');
  const first = app.id('part-flat').getByRole('button').first();
  await first.focus();
  await page.keyboard.press('Enter');
  await app
    .id('part-flat')
    .getByRole('button', { name: /^Choose / })
    .first()
    .focus();
  await page.keyboard.press('Enter');
  await expect(app.id('part-flat')).toContainText('chosen');
});

test('the firm’s own rate changes hours and says so; hot air on lead is a setting', async ({ app, page }) => {
  const jobId = await app.bring(example('one-window'));
  await app.open('/settings');
  await app.id('hot-air').click();
  await app.id('to-catalogue').click();
  await app.button('infrared, then scrape: facts and rates').click();
  await app.type('rate-low-infrared', '1');
  await app.sent();
  await app.open(`/job/${jobId}/choose`);
  await page.getByRole('link', { name: /Lower sash/ }).waitFor();
  await page.keyboard.press('j');
  const flat = app.id('part-flat');
  await app.id('blocked-flat').click();
  await flat.getByTestId('method-infrared').getByRole('button').first().click();
  await expect(flat.getByTestId('method-infrared')).toContainText('Hours from your own rates; no trial behind them.');
  await expect(flat.getByTestId('method-heatGun')).toContainText('1,100 °F');
});

test('the table is typed into from the keyboard: Enter goes down, a slip is told in its cell', async ({ app, page }) => {
  const jobId = await app.bring(example('quill-point'));
  await app.open(`/table/${jobId}`);
  const first = page.getByLabel('how many of Sashes, river side');
  await first.fill('6');
  await first.press('Enter');
  await expect(page.getByLabel('how many of Casings, river side')).toBeFocused();
  await page.keyboard.press('Tab');
  await expect(page.getByLabel('first side of Casings, river side')).toBeFocused();
  await page.getByLabel('first side of Casings, river side').fill('-2');
  await expect(page.getByText('length must be more than 0')).toBeVisible();
  await page.keyboard.press('Escape');
  await app.sent();
  const { facts } = (await (await page.request.get(`${app.address}/api/jobs/${jobId}`)).json()) as {
    facts: { surfaces: { name: string; count: number }[] };
  };
  expect(facts.surfaces.find((s) => s.name === 'Sashes, river side')!.count).toBe(6);
});
