/** The shelf and what is bought: a forbidden product, a sheet that contradicts itself, packs net of stock, a coat that went on too thin. */
import { example, expect, test } from './app';

test('a sheet of the firm’s own, what is bought by it, what stands there afterwards; taken off again', async ({ app, page }) => {
  const jobId = await app.bring(example('quill-point'));
  await app.open('/');
  await app.id('to-shelf').click();
  await app.id('new-product').click();
  await app.id('new-product-good').selectOption('clearVarnish');
  await app.type('product-name', 'Counter varnish');
  await app.id('product-chemistry').selectOption('methyleneChloride');
  await app.id('product-add').click();
  await expect(page.getByRole('alert').filter({ hasText: 'forbidden for this work' })).toBeVisible();
  await app.id('product-chemistry').selectOption('mineralSpirits');
  await app.type('product-solids', '50');
  await app.type('product-least', '16');
  await app.type('product-most', '4');
  await app.id('product-add').click();
  await expect(page.getByRole('alert').filter({ hasText: 'shorter than the shortest' })).toBeVisible();
  await app.type('product-most', '96');
  await app.id('product-add').click();
  await expect(app.id('good-clearVarnish')).toContainText('By your own sheet: Counter varnish');
  await app.sent();

  await app.open(`/buy/${jobId}`);
  const line = app.id('buy-clearVarnish');
  await expect(line).toContainText('Clear varnish: Counter varnish');
  await app.type('batch-clearVarnish', 'V-9');
  await app.id('bought-clearVarnish').click();
  await expect(line).toContainText('All of it is there');
  await expect(line).toContainText('From batch V-9');
  await page.reload();
  await expect(line).toContainText('All of it is there');
  const table = page.waitForEvent('download');
  await app.id('buy-csv').click();
  expect((await table).suggestedFilename()).toContain('shopping.csv');
  await app.sent();
  const said = await (await page.request.get(`${app.address}/api/jobs/${jobId}/shopping.txt`)).text();
  expect(said).toContain('Taken from shelf and van');
  expect(said).not.toContain('[ ] Clear varnish');

  const counter = await app.idOf(jobId, 'Ticket counter');
  await app.open(`/job/${jobId}/coat/${counter}`);
  await app.id('laid-clearVarnish').click();
  await app.id('laid-put-clearVarnish').click();
  await expect(page.getByRole('alert').filter({ hasText: 'Say what it took' })).toBeVisible();
  await app.type('laid-wet-clearVarnish', '1');
  await app.id('laid-put-clearVarnish').click();
  // Nothing before it has passed: asked, and kept with a reason.
  await expect(app.id('early-clearVarnish')).toContainText('have not passed');
  await app.type('early-why-clearVarnish', 'a first tin to see the tone');
  await app.id('laid-put-clearVarnish').click();
  await expect(page.getByText(/by the comb: too thin/)).toBeVisible();
  await page.getByRole('button', { name: /^Take back: 1 coat/ }).click();
  await expect(page.getByText(/by the comb: too thin/)).toBeHidden();

  // Other tests work with generic goods.
  await app.open('/shelf');
  const shelf = app.id('good-clearVarnish');
  await shelf.getByRole('button', { name: /^Change/ }).click();
  await shelf.getByRole('button', { name: /is gone$/ }).click();
  await shelf.getByRole('button', { name: 'Data sheet of Counter varnish' }).click();
  await page.getByRole('button', { name: 'Take Counter varnish off the shelf' }).click();
  await expect(shelf).toBeHidden();
  await app.sent();
});
