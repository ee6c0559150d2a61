/** What a painter does daily with one thumb, and how many taps it takes. */
import type { Locator } from '@playwright/test';
import { example, expect, test } from './app';

/** Counts what is pressed, and the screens that one came by; typing is not counted. */
function taps() {
  let n = 0;
  const screens = new Set<string>();
  return {
    on: async (what: Locator) => {
      n += 1;
      screens.add(what.page().url());
      await what.click();
    },
    count: () => n,
    screens: () => screens.size,
  };
}

test('cost, days, sheet and mask stand on the first screen of a job; whether one may dry-sand is one tap away', async ({ app, page }) => {
  const jobId = await app.bring(example('quill-point'));
  await app.open(`/job/${jobId}/walk`);
  const sums = app.id('job-sums');
  await expect(sums).toContainText(/\$[\d,]+ to \$[\d,]+ · .* days/);
  await expect(sums).toContainText(/ft² of sheet · .*mask/);
  await expect(sums).toContainText(/4 of 20 surfaces not priced/);
  const ledge = (await page.getByRole('navigation', { name: 'Stages' }).boundingBox())!;
  const ask = (await app.id('may-drySand').boundingBox())!;
  expect(ask.y + ask.height).toBeLessThanOrEqual(ledge.y);
  await app.id('may-drySand').click();
  const answer = app.id('may-answer');
  // What is forbidden comes first, with its strongest reason, apart from what would only do too little.
  await expect(answer).toContainText(/^No: \d+ of 20 surfaces/);
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
  expect(t.screens()).toBeLessThanOrEqual(4);
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

test('mold on a ceiling: the room added, growth seen and sized, and its cause found, in at most ten taps', async ({ app, page }) => {
  const jobId = await app.bring(example('one-window'));
  await app.open(`/job/${jobId}/walk`);
  const t = taps();
  await t.on(app.id('add-space'));
  await t.on(app.id('kit-bath'));
  await t.on(page.getByRole('link', { name: /Ceiling/ }).first());
  await t.on(page.getByRole('checkbox', { name: 'moldy' }));
  await t.on(app.id('mold-extent'));
  await page.keyboard.type('6');
  await page.keyboard.press('Tab');
  await t.on(page.getByRole('navigation', { name: 'Stages' }).getByRole('link', { name: /^Probe/ }));
  await t.on(app.id('find-cause'));
  await t.on(app.id('cause-leak').getByRole('radio', { name: 'no', exact: true }));
  await t.on(app.id('cause-rising').getByRole('radio', { name: 'no', exact: true }));
  await t.on(app.id('cause-fanVentsOutside').getByRole('radio', { name: 'no', exact: true }));
  expect(t.count()).toBeLessThanOrEqual(10);
  await expect(app.id('cause-questions')).not.toContainText('not known yet');
  await expect(app.id('spot-climate')).toBeVisible();
});

test('what is refused is brought into view beside its field, and the press never looks dead', async ({ app, page }) => {
  const jobId = await app.bring(example('one-window'));
  await app.open(`/job/${jobId}/probe`);
  await page.getByRole('link', { name: /Lower sash/ }).click();
  await app.id('record-xrf').click();
  await app.id('save-reading').click();
  await expect(page.locator('[id$="-problem"]').first()).toBeInViewport();
  await expect(app.id('save-reading')).toBeEnabled();
});

test('a reading on the wrong surface is moved with its record, in four taps', async ({ app, page }) => {
  const jobId = await app.bring(example('quill-point'));
  await app.open(`/job/${jobId}/probe/${await app.idOf(jobId, 'Baseboards')}`);
  await app.id('record-spot').click();
  await app.pick('swab', 'changed color');
  await app.id('save-reading').click();
  await expect(app.id('last-answer')).toHaveText(/^Lead found: swab changed color/);
  const t = taps();
  await t.on(page.getByRole('button', { name: /^Move this reading to another surface/ }).first());
  await app.id('move-to').selectOption({ index: 1 });
  await t.on(app.button('Move it'));
  expect(t.count()).toBeLessThanOrEqual(4);
  await app.sent();
  const { facts } = (await (await page.request.get(`${app.address}/api/jobs/${jobId}`)).json()) as {
    facts: { surfaces: { name: string; readings: { kind: string; spot: string | null; note: string }[] }[] };
  };
  const moved = facts.surfaces.filter((s) => s.name !== 'Baseboards' && s.readings.some((r) => r.spot === 'changed'));
  expect(moved.length).toBeGreaterThan(0);
});

test('a clock for a gel on lead says mask and gloves before it starts; lifted early, it asks why beside the field', async ({
  app,
  page,
}) => {
  const jobId = await app.bring(example('quill-point'));
  await app.open(`/job/${jobId}/trial/${await app.idOf(jobId, 'Sashes, river side')}`);
  await app.id('try-method').selectOption('solventGel');
  await app.id('start-squares').click();
  const wear = page.locator('[data-testid^=wear-]').first();
  await expect(wear).toContainText(/Before it begins: .*(mask|respirator|hood).*cartridges.*gloves/i);
  const start = page.locator('[data-testid^=start-]:not([data-testid=start-squares]):not([data-testid=start-trial])').first();
  const [says, button] = [(await wear.boundingBox())!, (await start.boundingBox())!];
  expect(says.y).toBeLessThan(button.y);
});

test('feet as people say them: typed, put in by marks, read back; kits in whole inches', async ({ app, page }) => {
  const jobId = await app.bring(example('one-window'));
  await app.open(`/job/${jobId}/walk`);
  await page.getByRole('link', { name: /Lower sash/ }).click();
  await app.id('what-it-is').click();
  for (const [typed, shown] of [
    [`4' 6"`, `4' 6"`],
    [`14 1/2"`, `14 1/2"`],
    [`6'8`, `6' 8"`],
    ['2 ft 3 in', `2' 3"`],
  ] as const) {
    await app.type('lengthM', typed);
    await expect(app.id('lengthM')).toHaveValue(shown);
  }
  await app.id('lengthM').fill('5');
  await app.button('Put in feet').click();
  await app.id('lengthM').blur();
  await expect(app.id('lengthM')).toHaveValue(`5'`);
  await app.open(`/add/${jobId}`);
  await expect(app.id('kit-bath')).toContainText(/\d' \d+" × \d+' \d+"/);
});

test('the way back leads to where one was, as far down as one was', async ({ app, page }) => {
  const jobId = await app.bring(example('quill-point'));
  await app.open(`/job/${jobId}/probe/${await app.idOf(jobId, 'Kitchen walls')}`);
  const pane = app.id('surface');
  await app.id('find-cause').scrollIntoViewIfNeeded();
  const was = await pane.evaluate((el) => el.scrollTop);
  expect(was).toBeGreaterThan(200);
  await app.id('find-cause').click();
  await page.getByRole('button', { name: 'Back to Kitchen walls' }).click();
  await expect.poll(() => pane.evaluate((el) => el.scrollTop)).toBeGreaterThan(was - 40);
});
