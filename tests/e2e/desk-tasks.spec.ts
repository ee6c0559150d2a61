/** An estimator's day at a desk, on two sizes of screen: what stands beside what, what is typed once, and what it changes. */
import { example, expect, test, type App } from './app';

/** Two blocks stand beside each other: at the same height, neither over the other. */
async function beside(app: App, left: string, right: string): Promise<void> {
  const [a, b] = [(await app.id(left).boundingBox())!, (await app.id(right).boundingBox())!];
  expect(a.x + a.width).toBeLessThanOrEqual(b.x + 1);
  expect(Math.max(a.y, b.y)).toBeLessThan(Math.min(a.y + a.height, b.y + b.height));
}

for (const [width, height] of [
  [1280, 800],
  [1600, 1000],
] as const)
  test.describe(`${width} x ${height}`, () => {
    test.use({ viewport: { width, height } });

    test('methods beside their reasons, the chart beside three in line, samples as one table, steps beside what to take along', async ({
      app,
      page,
    }) => {
      const jobId = await app.bring(example('quill-point'));
      const sash = await app.idOf(jobId, 'Sashes, river side');
      await app.open(`/job/${jobId}/choose/${sash}`);
      const flat = app.id('part-flat');
      const list = flat.getByTestId(/^method-/).first();
      const detail = flat.getByTestId(/^detail-/);
      await expect(detail).toHaveCount(1);
      const [a, b] = [(await list.boundingBox())!, (await detail.boundingBox())!];
      expect(a.x + a.width).toBeLessThanOrEqual(b.x + 1);
      // One press, and the reasons of another stand there.
      await app.id('blocked-flat').click();
      await flat.getByTestId('method-infrared').getByRole('button').first().click();
      await expect(flat.getByTestId('detail-infrared')).toBeVisible();

      await app.id('to-compare').click();
      await app.id('compare-infrared').click();
      await app.id('compare-solventGel').click();
      await expect(app.id('side-by-side').getByTestId(/^side-/)).toHaveCount(3);
      await beside(app, 'cost-harm', 'side-by-side');
      // Rows in line: the price of each stands at one height.
      const heights = await app
        .id('side-by-side')
        .getByText('Days with drying', { exact: true })
        .evaluateAll((all) => all.map((e) => Math.round(e.getBoundingClientRect().top)));
      expect(new Set(heights).size).toBe(1);

      await app.open(`/samples/${jobId}`);
      await expect(app.id('register').getByRole('row')).toHaveCount(11);
      await app.button('Sample QP-003: open').click();
      await expect(app.button('Enter the answer to QP-003')).toBeVisible();

      await app.open(`/job/${jobId}/work/${sash}`);
      await beside(app, 'shopping', 'step-protect');
      await app.open(`/survey/${jobId}`);
      await beside(app, 'lead-groups', 'areas');
      expect(await page.evaluate(() => document.documentElement.scrollWidth)).toBeLessThanOrEqual(width);
    });
  });

test('rates in one table, kept as typed, with what each changes on the job; a switch of rules is told as a list', async ({ app, page }) => {
  const jobId = await app.bring(example('quill-point'));
  await app.open(`/job/${jobId}/walk`);
  await app.id('job-sums').waitFor();
  const before = await app.id('money-lines').innerText();
  await app.open('/catalogue');
  await app.id('rates-table').waitFor();
  expect(
    await app
      .id('rates-table')
      .getByTestId(/^rate-low-/)
      .count(),
  ).toBeGreaterThanOrEqual(39);
  const slow = app.id('rate-low-wetScrapeLoose');
  const was = await slow.inputValue();
  await slow.fill('12');
  await page.keyboard.press('Enter');
  // The next cell down is at hand, what was typed is kept, and the job says what it came to.
  await expect(app.id('rate-low-dryScrapeLoose')).toBeFocused();
  await expect(app.id('changed')).toContainText(/The job: \$.* \(was \$/);
  await app.id('rate-low-wetScrapeLoose').fill('900');
  await page.keyboard.press('Tab');
  await expect(page.getByText('the slow rate is above the fast one')).toBeVisible();
  await expect(app.id('rate-low-wetScrapeLoose')).toHaveValue('900');
  await app.sent();
  await app.open('/catalogue');
  await expect(app.id('rate-low-wetScrapeLoose')).toHaveValue('12');
  await app.id('rate-low-wetScrapeLoose').fill(was);
  await page.keyboard.press('Tab');
  await app.sent();

  await app.open(`/facts/${jobId}`);
  await app.id('rules').getByRole('radio', { name: 'United Kingdom' }).click();
  await expect(app.id('changed')).toContainText('No class of minor work (was');
  await expect(app.id('changed')).toContainText(/FFP3 \(was /);
  // Left without a button, it is kept; and another rulebook turns no dollar into a pound.
  await app.open(`/job/${jobId}/walk`);
  await expect(page.getByText('UK rules', { exact: false }).first()).toBeVisible();
  await expect(app.id('money-lines')).toContainText('$');
  expect(before).toContain('$');
});

test('the total with its lines, and what certainty would cost, best first, on two presses', async ({ app, page }) => {
  const jobId = await app.bring(example('quill-point'));
  await app.open(`/job/${jobId}/walk`);
  await app.id('money-lines').click();
  for (const line of ['Work', 'Coats', 'Masks and suits', 'Disposal', 'Tests']) await expect(app.id('job-sums')).toContainText(line);
  await app.id('open-certainty').click();
  const table = app.id('certainty-table');
  await expect(table).toContainText('Asked for, whatever it costs');
  await expect(table).toContainText('trial square');
  await table
    .getByRole('button', { name: /Limewashed brick, \d+ lead test.*why/ })
    .first()
    .click();
  await expect(table).toContainText('Lead or none: $');
  await app.button(/^Take the test on Limewashed brick/).click();
  await expect(page.getByRole('heading', { name: 'Limewashed brick' })).toBeVisible();
});

test('a page for the client with one typed sentence, on one side; the plan on paper within twelve pages, its reasons once', async ({
  app,
  page,
}) => {
  const pages = (pdf: Buffer) => pdf.toString('latin1').match(/\/Type\s*\/Page[^s]/g)!.length;
  const jobId = await app.bring(example('quill-point'));
  const sash = await app.idOf(jobId, 'Sashes, river side');
  await app.open(`/job/${jobId}/choose/${sash}`);
  await app.id('to-client').click();
  await app.type('client-why', 'You want to keep the old glass.');
  // Nobody decided yet: the plan proposes.
  await expect(app.id('ways').getByText('proposed', { exact: true })).toHaveCount(1);
  await expect(app.id('instead-of')).toContainText(/more|less/);
  await app.sent();
  const [download] = await Promise.all([page.waitForEvent('download'), app.id('client-pdf').click()]);
  expect(download.suggestedFilename()).toMatch(/quill-point-ferry-office.*client\.pdf/);
  const { readFileSync } = await import('node:fs');
  expect(pages(readFileSync(await download.path()))).toBe(1);

  await app.open(`/print/${jobId}`);
  await expect(app.id('paper-summary')).toContainText('Work zones');
  await page.waitForTimeout(500);
  // A third of the 37 to 41 pages that it once took.
  expect(pages(await page.pdf({ preferCSSPageSize: true, format: 'Letter' }))).toBeLessThanOrEqual(12);
});

test('a screen that fails keeps its address, says so, and offers the way back', async ({ app, page }) => {
  const jobId = await app.bring(example('quill-point'));
  await app.open(`/job/${jobId}/walk`);
  await app.id('job-sums').waitFor();
  // Only the plan on paper is broken.
  await page.evaluate(`{
    const whole = Date.prototype.toISOString;
    Date.prototype.toISOString = function () {
      if (location.pathname.startsWith('/print/')) throw new Error('the printer is out of ink');
      return whole.call(this);
    };
  }`);
  await app.button('Print the plan').first().click();
  await expect(page.getByRole('heading', { name: 'This screen stumbled' })).toBeVisible();
  await expect(page).toHaveURL(new RegExp(`/print/${jobId}`));
  await app.button('Back to where you were').click();
  await expect(app.id('job-sums')).toBeVisible();
});
