/** Trial and Choose as a painter does them: squares with clocks, the order of work, what is compared, how much at once. */
import { example, expect, test } from './app';

test('squares: mark out, start, lift; the answer narrows; the plan of a caustic waits for one', async ({ app, page }) => {
  const jobId = await app.bring(example('quill-point'));
  await app.open(`/job/${jobId}/trial`);
  await page.getByRole('link', { name: /Landing railing/ }).click();
  await app.id('try-method').selectOption('causticReady');
  await app.id('start-squares').click();
  await expect(app.id('square-3')).toContainText('7 days');
  await app.id('start-1').click();
  await expect(app.id('square-1')).toContainText('lift in 24 h');
  await app.id('lift-1').click();
  await app.type('why-off', 'it fell off already');
  await app.pick('lifted', 'all, to bare');
  await app.pick('ease', '4');
  await app.id('save-square').click();
  await app.sent();
  await page.reload();
  await expect(app.id('square-1')).toContainText('clean');

  // The method that has no square of its own: the plan stays a draft and says which act comes next.
  await app.stage('Choose');
  await page.getByRole('heading', { name: 'Landing railing' }).waitFor();
  await app.id('aim').selectOption('bareClear');
  const turned = app.id('part-turned');
  await app.id('blocked-turned').click();
  await turned.getByTestId('method-causticPoultice').getByRole('button').first().click();
  await turned.getByTestId('choose-causticPoultice').click();
  await app.stage('Trial');
  await expect(app.id('draft')).toContainText('No trial square stands behind caustic poultice');
  await page.goto(`${app.address}/print/${jobId}`);
  await expect(page.getByTestId('paper')).toContainText('Draft: not to be issued');
});

test('@wide compare and rounds: every figure from the whole plan; a stepper answers at once; the way back keeps the surface', async ({
  app,
  page,
}) => {
  const jobId = await app.bring(example('quill-point'));
  await app.open(`/job/${jobId}/choose`);
  await page.getByRole('link', { name: /Ticket counter/ }).click();
  await app.id('to-compare').click();
  await expect(app.id('cost-harm')).toBeVisible();
  await expect(app.id('side-milkPowder')).toBeVisible();
  await app.id('compare-replacePart').click();
  await expect(app.id('side-milkPowder')).toContainText('none: a guess');
  await expect(app.id('what-if')).toContainText('What if');
  await page.getByRole('button', { name: 'Back to the choice' }).click();
  await page.getByRole('heading', { name: 'Ticket counter' }).waitFor();
  const flat = app.id('part-flat');
  await app.id('blocked-flat').click();
  await flat.getByTestId('method-milkPowder').getByRole('button').first().click();
  await flat.getByTestId('choose-milkPowder').click();
  await app.id('to-rounds').click();
  const answer = app.id('rounds-answer');
  await expect(answer).toContainText('in a round');
  const before = await answer.textContent();
  await app.id('round-steppers').getByRole('button', { name: 'One strip: more' }).click();
  await expect.poll(() => answer.textContent()).not.toBe(before);
  await page.getByRole('button', { name: /^Back to/ }).click();
  await page.getByRole('heading', { name: 'Ticket counter' }).waitFor();
});

test('the order of work is checked, growth is cleaned first, boards are counted', async ({ app, page }) => {
  const jobId = await app.bring(example('quill-point'));
  await app.open(`/job/${jobId}/choose`);
  await page.getByRole('link', { name: /Landing railing/ }).click();
  const turned = app.id('part-turned');
  await turned.getByTestId('helpers-turned').click();
  await turned.getByRole('button', { name: 'Add wash and degrease' }).click();
  await expect(app.id('stroke-1')).toContainText('wash and degrease');
  await app.id('reorder').click();
  await page
    .getByRole('button', { name: /earlier$/ })
    .first()
    .click();
  await expect(app.id('moved')).toContainText('grease that is rubbed in is never got out');
  await expect(app.id('stroke-1')).toContainText('wash and degrease');
  await page.getByRole('button', { name: 'Back to the work’s own' }).click();
  await expect(app.id('moved')).toHaveCount(0);
  await app.open(`/job/${jobId}/choose`);
  await page.getByRole('link', { name: /Old slipway boards/ }).click();
  await app.id('add-board').click();
  await app.pick('board-oil', 'yes');
  await app.id('save-board').click();
  await expect(app.id('boards')).toContainText('3 replace');
  await app.sent();
  await page.reload();
  await expect(app.id('boards')).toContainText('3 replace');
});

test('wrong input is told beside its cause, and what was typed stays', async ({ app, page }) => {
  const jobId = await app.bring(example('quill-point'));
  await app.open(`/job/${jobId}/trial`);
  await page.getByRole('link', { name: /Sashes, river side/ }).click();
  await app.id('lift-3').click();
  // Its clock ran out long ago.
  await app.type('why-off', 'was called away');
  await app.pick('lifted', 'down to a coat');
  await app.type('stayed', '140');
  await app.id('save-square').click();
  const card = app.id('square-3');
  await expect(card.getByTestId('problems')).toContainText('a share over 100 is not plausible');
  await app.type('stayed', '20');
  await app.id('save-square').click();
  await expect(card.getByTestId('problems')).toContainText('say on which coat it stopped');
  await expect(app.id('stayed')).toHaveValue('20');
  await card.getByLabel('It stopped on').selectOption({ label: '4  oil paint, stone' });
  await app.id('save-square').click();
  await expect(card).toContainText('down to a coat');

  await page.goto(`${app.address}/rounds/${jobId}?surface=`);
  await expect(page.getByText('Open Rounds from a surface, in Choose.')).toBeVisible();
  await app.open('/catalogue');
  await app.button(/^infrared, then scrape: facts and/).click();
  await app.type('rate-low-infrared', '900');
  await expect(page.getByText('the slow rate is above the fast one')).toBeVisible();
  await app.type('materials-infrared', '-4');
  await expect(page.getByText('a price cannot be negative')).toBeVisible();
});
