/** The mixing bench without a job: a hot stop, a wash neutralised with its proof, a label as a paper. */
import { AxeBuilder } from '@axe-core/playwright';
import { example, expect, test } from './app';

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
  await expect(app.id('neutral-answer')).toContainText('must be between');
  await app.type('neutral-ph', '12.5');
  await expect(app.id('neutral-answer')).toContainText('13 g of caustic in it');
  await app.type('proof-first', '8');
  await app.type('proof-second', '8.5');
  await expect(app.id('proof-answer')).toContainText('it may dry for the coat');

  await page.getByRole('radio', { name: 'Rinse, steam' }).click();
  await expect(app.id('rinse-answer')).toContainText('Never into ground or drain');
  await app.type('rinse-times', '0');
  await expect(app.id('rinse-answer')).toContainText('number of rinses must be between');
  await app.type('rinse-times', '3');
  await expect(app.id('steam-answer')).toContainText('of steam an hour');
  await page.getByRole('radio', { name: 'On the clock' }).click();
  await app.type('pot-name', 'Gray for the rail');
  await app.id('pot-begin').click();
  await expect(app.id('pot-bench')).toContainText('Gray for the rail: good');
  await page.reload();
  await expect(app.id('pot-bench')).toContainText('Gray for the rail: good');
  const { violations } = await new AxeBuilder({ page })
    .setLegacyMode(true)
    .withTags(['wcag2a', 'wcag2aa', 'wcag21aa', 'wcag22aa'])
    .analyze();
  expect(violations.map((v) => `${v.id} ${v.nodes[0]?.html}`)).toEqual([]);
  await page.getByRole('button', { name: 'Used up or thrown out: Gray for the rail' }).click();

  await page.getByRole('radio', { name: 'Labels' }).click();
  await expect(app.id('label-answer')).toContainText('DANGER');
  const paper = page.waitForEvent('download');
  await app.id('label-print').click();
  expect((await paper).suggestedFilename()).toBe('bottle-labels.pdf');
});

const HOUR_MS = 3_600_000;
/** Ten days from the last midnight on, hour by hour; times in UTC. */
function forecast(of: (h: number) => { readonly c: number; readonly rh: number; readonly cloud: number; readonly rain?: number }): Buffer {
  const start = Math.floor(Date.now() / (24 * HOUR_MS)) * 24 * HOUR_MS;
  const rows = Array.from({ length: 241 }, (_, h) => {
    const { c, rh, cloud, rain = 0 } = of(h);
    return `${new Date(start + h * HOUR_MS).toISOString().slice(0, 16)}Z,${c},${rh},2,${cloud},${rain}`;
  });
  return Buffer.from(['time,temperature (C),humidity,wind (m/s),cloud,rain (mm)', ...rows].join('\n'));
}

test('a forecast opens windows; rain moves the coats and says so; a night of dew bars them; a broken file changes nothing', async ({
  app,
  page,
}) => {
  const job = JSON.parse(example('quill-point')) as { job: { startOn: string | null } };
  job.job.startOn = null;
  const jobId = await app.bring(JSON.stringify(job));
  await app.open(`/job/${jobId}/coat`);
  await page
    .getByRole('link', { name: /Sashes, river side/ })
    .first()
    .click();
  await app.id('to-windows').click();
  const side = page.locator('[data-testid^="windows-"]').filter({ hasText: 'River side' });
  await expect(side).toContainText(/coats?, ready|finds no window/);
  // Ready at once, whatever the plan needs before it: the rain below must lie where the first coat would.
  const ready = side.getByLabel('Ready for its first coat on day');
  await ready.fill('1');
  await ready.press('Tab');
  const bring = (name: string, buffer: Buffer) => app.id('weather-file').setInputFiles({ name, mimeType: 'text/csv', buffer });
  const mild = forecast(() => ({ c: 18, rh: 55, cloud: 1 }));
  await bring('mild.csv', mild);
  await expect(app.id('weather')).toContainText('from mild.csv');
  await expect(side).toContainText('1. Shellac knotting');
  await bring(
    'rain.csv',
    forecast((h) => ({ c: 18, rh: h < 60 ? 80 : 55, cloud: 1, rain: h < 60 ? 1 : 0 })),
  );
  await expect(side).toContainText('Moved by this forecast: coat 1 from');
  await bring(
    'dew.csv',
    forecast((h) => (h % 24 > 9 && h % 24 < 20 ? { c: 14, rh: 84, cloud: 0 } : { c: 8, rh: 99, cloud: 0 })),
  );
  await expect(side).toContainText('dew would lie on it before it has dried');
  await bring(
    'hot.csv',
    forecast(() => ({ c: 64, rh: 55, cloud: 1 })),
  );
  await expect(app.id('weather')).toContainText('is the column in Fahrenheit?');
  await expect(app.id('weather')).toContainText('from dew.csv');
});
