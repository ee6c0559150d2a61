/** The mixing bench without a job: a hot stop, a wash neutralised with its proof, a label as a paper. */
import { expect, test } from './app';

test('caustic by portions to a hot stop, kept over a reload; acid for the wash; labels in two languages', async ({ app, page }) => {
  await app.open('/');
  await app.id('to-mix').click();
  await expect(app.id('mix-plan')).toContainText('portions, all in after');
  await app.id('mix-vessel').selectOption('aluminium');
  await expect(app.id('mix-plan')).toContainText('hydrogen, which explodes');
  await expect(app.id('mix-begin')).toBeHidden();
  await app.id('mix-vessel').selectOption('polyethylene');
  await app.id('mix-begin').click();
  await expect(app.id('mix-stage')).toContainText('Portion 1: put in');
  await app.id('mix-put').click();
  await app.type('mix-felt', '135');
  await expect(app.id('mix-stage')).toContainText(/Stop: 135\s°F/);
  await page.reload();
  await expect(app.id('mix-stage')).toContainText('Nothing more goes in');
  await app.id('bench-language').click();
  await expect(app.id('mix-stage')).toContainText('No eche nada más');
  await app.id('bench-language').click();
  await app.id('mix-end').click();

  await page.getByRole('radio', { name: 'Acid, rinse' }).click();
  await app.type('neutral-ph', '15');
  await expect(app.id('neutral-answer')).toContainText('lies between');
  await app.type('neutral-ph', '12.5');
  await expect(app.id('neutral-answer')).toContainText('13 g of caustic in it');
  await app.type('proof-first', '8');
  await app.type('proof-second', '8.5');
  await expect(app.id('proof-answer')).toContainText('it may dry for the coat');

  await page.getByRole('radio', { name: 'Labels' }).click();
  await expect(app.id('label-answer')).toContainText('DANGER');
  const paper = page.waitForEvent('download');
  await app.id('label-print').click();
  expect((await paper).suggestedFilename()).toBe('bottle-labels.pdf');
});
