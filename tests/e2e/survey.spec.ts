/** Walk and Probe as a surveyor does them: whole rooms in a few taps, samples to the lab and back, photographs, mold and its cause. */
import type { Locator } from '@playwright/test';
import { example, expect, test } from './app';

const factsOf = async (
  app: { address: string; page: { request: { get: (u: string) => Promise<{ json: () => Promise<unknown> }> } } },
  jobId: string,
) => ((await (await app.page.request.get(`${app.address}/api/jobs/${jobId}`)).json()) as { facts: any }).facts;

test('a room of ten surfaces takes at most 25 taps from the job screen, and undo takes it all back', async ({ app, page }) => {
  const jobId = await app.bring(example('one-window'));
  await app.open(`/job/${jobId}/walk`);
  let taps = 0;
  const tap = async (what: Locator) => {
    taps += 1;
    await what.click();
  };
  await tap(app.id('add-space'));
  await tap(app.id('kit-bedroom'));
  await expect(page.getByRole('heading', { name: 'Bedroom' })).toBeVisible();
  await app.sent();
  const bedroom = (await factsOf(app, jobId)).spaces.find((s: { name: string }) => s.name === 'Bedroom');
  expect((await factsOf(app, jobId)).surfaces.filter((s: { spaceId: string }) => s.spaceId === bedroom.id)).toHaveLength(10);
  // The same coats on all ten, from the one window that has them: tick, choose, set.
  await tap(app.id('edit-many'));
  await tap(page.getByRole('button', { name: 'Tick all' }));
  await tap(app.id('set-go'));
  await app.sent();
  expect((await factsOf(app, jobId)).surfaces.filter((s: { layers: unknown[] }) => s.layers.length === 4)).toHaveLength(11);
  expect(taps).toBeLessThanOrEqual(25);
  await app.id('undo').click();
  await app.sent();
  expect(
    (await factsOf(app, jobId)).surfaces.filter((s: { layers: { removedAt: string | null }[] }) =>
      s.layers.some((l) => l.removedAt === null),
    ),
  ).toHaveLength(1);

  // Three at once, numbered; a copied room brings its surfaces, not its readings.
  await app.open(`/add/${jobId}`);
  await app.type('kit-times', '3');
  await app.id('kit-bath').click();
  // Of a long list only what is near is drawn; what is asked for by name is.
  await page.getByLabel('Find a surface').fill('Bathroom 3');
  await expect(page.getByRole('heading', { name: 'Bathroom 3' })).toBeVisible();
  await page.getByLabel('Find a surface').fill('');
  await page.getByRole('button', { name: 'Change Front room as a whole' }).click();
  await page.getByRole('button', { name: 'Copy Front room with its surfaces' }).click();
  await app.sent();
  const after = await factsOf(app, jobId);
  const copy = after.spaces.find((s: { name: string }) => s.name === 'Front room, copy');
  const copied = after.surfaces.filter((s: { spaceId: string }) => s.spaceId === copy.id);
  expect([copied.length, copied[0].layers.length, copied[0].readings.length]).toEqual([1, 4, 0]);
});

test('today’s picture stands on the phone’s first screen, without scrolling', async ({ app, page }) => {
  const jobId = await app.bring(example('quill-point'));
  await app.open(`/job/${jobId}/walk`);
  const today = app.id('today');
  await expect(today).toContainText('Do not touch: Textured ceiling');
  const box = (await today.boundingBox())!;
  const ledge = (await page.getByRole('navigation', { name: 'Stages' }).boundingBox())!;
  expect(box.y + box.height).toBeLessThanOrEqual(ledge.y);
});

test('a chip goes to the lab and its answer comes back as a table; wrong rows stop the whole', async ({ app, page }) => {
  const jobId = await app.bring(example('one-window'));
  const sash = (await factsOf(app, jobId)).surfaces[0].id;
  await app.open(`/job/${jobId}/probe/${sash}`);
  await app.id('take-chip').click();
  await expect(app.id('own-samples')).toContainText('S-001');
  await page.getByRole('button', { name: 'S-001 sent' }).click();
  await expect(app.id('own-samples')).toContainText('at the lab');
  await app.sent();

  await app.open(`/import/${jobId}`);
  const bring = (text: string | Buffer, name = 'lab.csv') =>
    app.id('table-file').setInputFiles({ name, mimeType: 'text/csv', buffer: Buffer.from(text) });
  await bring('Sample;Result;Unit\nS-001;0,62;%\nS-999;1;%\nS-1;=2+2;%\n');
  await expect(app.id('preview')).toContainText('sample S-999 is not on this job');
  await expect(app.id('preview')).toContainText('begins like a spreadsheet formula');
  await expect(app.id('bring-in')).toHaveCount(0);
  await bring(Buffer.from([0x50, 0x4b, 0x03, 0x04, 0x00, 0x00]), 'book.xlsx');
  await expect(app.id('import-problem')).toContainText('is not a text table');
  await bring('Sample;Result;Unit\nS-001;0,62;%\nS-999;1;%\n');
  await app.id('leave-out').click();
  await expect(app.id('import-told')).toContainText('1 result imported');
  await expect(app.id('changed')).toContainText('by this import');
  await app.sent();
  const reading = (await factsOf(app, jobId)).surfaces[0].readings.find((r: { kind: string }) => r.kind === 'lab');
  expect([reading.value, reading.unit]).toEqual([0.62, 'mass%']);
  await bring('Sample;Result;Unit\nS-001;0,62;%\n');
  await expect(page.getByText('Every row of this file is in already.')).toBeVisible();
});

test('the simulated lab answers in its own time', async ({ app, page }) => {
  const jobId = await app.bring(example('one-window'));
  const sash = (await factsOf(app, jobId)).surfaces[0].id;
  await app.open(`/job/${jobId}/probe/${sash}`);
  await app.id('take-chip').click();
  await app.open(`/samples/${jobId}`);
  await page.getByRole('button', { name: 'All sent now' }).click();
  await app.sent();
  await page.getByRole('button', { name: 'Import answers' }).click();
  await expect(async () => {
    await app.id('ask-lab').click();
    await expect(app.id('import-told')).toContainText('1 ready', { timeout: 1000 });
  }).toPass();
  await app.id('bring-in').click();
  await page.getByRole('button', { name: 'To the samples' }).click();
  await expect(app.id('register')).toContainText('answered');
});

test('a photograph is made smaller, loses its camera data, keeps caption and marks; a broken file is told', async ({ app, page }) => {
  const jobId = await app.bring(example('one-window'));
  const sash = (await factsOf(app, jobId)).surfaces[0].id;
  await app.open(`/job/${jobId}/walk/${sash}`);
  // A picture of 3,000 by 2,000 dots, with an Exif segment put in after its start.
  const drawn = Buffer.from(
    await page.evaluate(async () => {
      const c = new OffscreenCanvas(3000, 2000);
      const g = c.getContext('2d')!;
      g.fillStyle = '#a0522d';
      g.fillRect(0, 0, 3000, 2000);
      g.fillStyle = '#eeeeee';
      g.fillRect(400, 300, 900, 700);
      return [...new Uint8Array(await (await c.convertToBlob({ type: 'image/jpeg' })).arrayBuffer())];
    }),
  );
  const exif = Buffer.from('Exif\0\0GPS 54.1 -4.4');
  const withPlace = Buffer.concat([drawn.subarray(0, 2), Buffer.from([0xff, 0xe1, 0, exif.length + 2]), exif, drawn.subarray(2)]);
  const photos = app.id('photos').first();
  await photos
    .getByTestId('photo-input')
    .setInputFiles({ name: 'broken.jpg', mimeType: 'image/jpeg', buffer: Buffer.from('not a picture') });
  await expect(photos).toContainText('broken.jpg: This file is broken');
  await photos.getByTestId('photo-input').setInputFiles({ name: 'sash.jpg', mimeType: 'image/jpeg', buffer: withPlace });
  await photos.getByRole('textbox', { name: 'Caption' }).fill('Blisters below the meeting rail');
  await photos.getByRole('textbox', { name: 'Caption' }).blur();
  await photos.getByRole('radio', { name: 'arrow' }).click();
  await photos
    .getByRole('button', { name: /Tap where the arrow goes/ })
    .or(photos.getByLabel(/Tap where the arrow goes/))
    .first()
    .click({ position: { x: 120, y: 90 } });
  await app.sent();
  const [photo] = (await factsOf(app, jobId)).photos;
  expect([photo.width, photo.height, photo.caption, photo.marks.length]).toEqual([1600, 1067, 'Blisters below the meeting rail', 1]);
  await expect.poll(async () => (await page.request.get(`${app.address}/api/photos/${photo.hash}`)).status()).toBe(200);
  const stored = await (await page.request.get(`${app.address}/api/photos/${photo.hash}`)).body();
  // Drawn anew at the door as well, under the name of what was sent.
  expect([...stored.subarray(0, 3)]).toEqual([0xff, 0xd8, 0xff]);
  expect(stored.includes(Buffer.from('Exif'))).toBe(false);
  await page.reload();
  await expect(app.id('photos').first()).toContainText('1');
});

test('asbestos samples are planned at drawn places; another seed moves them, the same seed repeats them', async ({ app, page }) => {
  const jobId = await app.bring(example('quill-point'));
  const places = async (seed: string) => {
    await app.open(`/facts/${jobId}`);
    await app.type('seed', seed);
    await app.id('seed').press('Enter');
    await app.sent();
    const plan = (await (await page.request.get(`${app.address}/api/jobs/${jobId}/plan?detail=all`)).json()) as {
      survey: { asbestos: { places: { x: number; y: number }[] }[] };
    };
    return plan.survey.asbestos.flatMap((a) => a.places.map((p) => `${p.x},${p.y}`));
  };
  const first = await places('one');
  const other = await places('two');
  expect(other).not.toEqual(first);
  expect(await places('one')).toEqual(first);
  await app.open(`/survey/${jobId}`);
  const before = (await factsOf(app, jobId)).surfaces.flatMap((s: { samples: unknown[] }) => s.samples).length;
  await page
    .getByRole('button', { name: /^Plan 3 samples/ })
    .first()
    .click();
  await app.sent();
  const samples = (await factsOf(app, jobId)).surfaces.flatMap(
    (s: { samples: { atX: number | null; takenAt: string | null }[] }) => s.samples,
  );
  expect(samples).toHaveLength(before + 3);
});

test('the mold cause finder asks about water first, then shows what each remedy does', async ({ app }) => {
  const jobId = await app.bring(example('quill-point'));
  await app.open(`/mold/${jobId}`);
  await expect(app.id('remedies')).toContainText('A better fan');
  await expect(app.id('outlook')).toContainText('It comes back');
  await app.pick('cause-leak', 'yes');
  await expect(app.id('cause-questions')).toContainText('Water comes in from outside');
  await app.id('climate-file').setInputFiles({ name: 'bad.csv', mimeType: 'text/csv', buffer: Buffer.from('a,b\n1,2\n') });
  await expect(app.id('outlook')).toContainText('no column is named temperature');
  const rows = Array.from({ length: 24 * 200 }, (_, i) => `${i};${i % 3 === 0 ? '4,5' : '5'};90`).join('\n');
  await app
    .id('climate-file')
    .setInputFiles({ name: 'winter.csv', mimeType: 'text/csv', buffer: Buffer.from(`hour;temperature;humidity\n${rows}\n`) });
  await expect(app.id('outlook')).toContainText('winter.csv');
  // A logger that hung in another room is refused; its own week is laid over and kept in sum.
  const week = (place: string) =>
    Buffer.from(
      `time,temperature C,humidity,room\n${Array.from({ length: 168 }, (_, h) => `${new Date(Date.UTC(2026, 1, 2, h)).toISOString().slice(0, 16).replace('T', ' ')},19,${60 + (h % 24)},${place}`).join('\n')}\n`,
    );
  await app.id('logger-file').setInputFiles({ name: 'a.csv', mimeType: 'text/csv', buffer: week('Kitchen wing') });
  await expect(app.id('logger')).toContainText('hung in “Kitchen wing”');
  await app.id('logger-file').setInputFiles({ name: 'b.csv', mimeType: 'text/csv', buffer: week('Wash-room') });
  await expect(app.id('logger')).toContainText('Against what was reckoned');
  await app.sent();
  expect((await factsOf(app, jobId)).spaces.find((s: { name: string }) => s.name === 'Wash-room').moisture.logged).toMatchObject({
    hours: 168,
    missing: 0,
  });
});

test('a simulated instrument is read, looked at, and only then recorded', async ({ app, page }) => {
  const jobId = await app.bring(example('one-window'));
  const sash = (await factsOf(app, jobId)).surfaces[0].id;
  await app.open(`/job/${jobId}/probe/${sash}`);
  const readings = async () => (await factsOf(app, jobId)).surfaces[0].readings.length;
  const before = await readings();
  await app.id('instrument-xrf').click();
  await expect(app.id('instrument-says')).toContainText('mg/cm²');
  expect(await readings()).toBe(before);
  await app.id('record-instrument').click();
  await app.sent();
  expect(await readings()).toBe(before + 1);
  await expect(page.getByText(/Simulated XRF/).first()).toBeVisible();
});

test('moisture cannot be negative, and says so beside its field', async ({ app, page }) => {
  const jobId = await app.bring(example('one-window'));
  const sash = (await factsOf(app, jobId)).surfaces[0].id;
  await app.open(`/job/${jobId}/probe/${sash}`);
  await app.id('record-moisture').click();
  await app.type('measure-value', '-3');
  await app.id('save-measure').click();
  await expect(page.getByText('a moisture cannot be negative')).toBeVisible();
  await app.type('measure-value', '17.2');
  await app.id('save-measure').click();
  await expect(app.id('mold')).toContainText('wet');
});

test('the papers open', async ({ app, page }) => {
  const jobId = await app.bring(example('quill-point'));
  for (const paper of ['survey', 'custody', 'labels']) {
    const res = await page.request.get(`${app.address}/api/jobs/${jobId}/${paper}.pdf`);
    expect([res.status(), (await res.body()).subarray(0, 5).toString()]).toEqual([200, '%PDF-']);
  }
});
