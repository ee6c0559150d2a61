/** Work zones: a room divided and joined, a piece placed on its drawing, a failed check and a breakthrough in the middle of the work. */
import { example, expect, test, type App } from './app';

const openIn = async (app: App, name: 'quill-point' | 'one-window', stage: string, surface: RegExp): Promise<string> => {
  const jobId = await app.bring(example(name));
  await app.open(`/job/${jobId}/${stage}`);
  await app.page.getByRole('link', { name: surface }).first().click();
  return jobId;
};
const factsOf = async (app: App, jobId: string) => {
  await app.sent();
  const { facts } = (await (await app.page.request.get(`${app.address}/api/jobs/${jobId}`)).json()) as {
    facts: {
      surfaces: { id: string; name: string; zoneId: string | null; wall: string | null; alongM: number | null }[];
      zones: { name: string; removedAt: string | null }[];
      spaces: { name: string; joinedToId: string | null; nearby: { what: string; outM: number | null }[] }[];
      checks: { gate: string; outcome: string }[];
    };
  };
  return facts;
};

test('@wide a piece is placed on the unfolded room; a wall longer than the room is refused beside its field', async ({ app, page }) => {
  const jobId = await openIn(app, 'quill-point', 'protect', /Ticket counter/);
  await expect(app.id('unfolded')).toHaveAttribute('aria-label', /Ticket hall, unfolded\. .*Ticket counter: lead/);
  await expect(app.id('zone')).toContainText('one zone, 5 surfaces');
  await app.pick('wall', 'B');
  await app.type('along', '99');
  await expect(app.id('place')).toContainText(/The wall is 17' \d.*" long/);
  await app.type('along', '3');
  const placed = (await factsOf(app, jobId)).surfaces.find((s) => s.name === 'Ticket counter')!;
  expect([placed.wall, placed.alongM!.toFixed(3)]).toEqual(['B', '0.914']);
  // On the drawing it leads on.
  await page.reload();
  await expect(app.id('along')).toHaveValue("3'");
});

test('what lies before a side is entered, drawn, and looked to before the first stroke; a wrong distance stands beside its field', async ({
  app,
  page,
}) => {
  const jobId = await openIn(app, 'quill-point', 'protect', /Old slipway boards/);
  const nearby = app.id('nearby');
  await expect(nearby.getByRole('group')).toHaveCount(3);
  await nearby.getByRole('button', { name: 'Add pond' }).click();
  await expect(nearby.getByRole('group')).toHaveCount(4);
  await app.type('near-3-outM', '-1');
  await expect(nearby).toContainText('A distance cannot be negative.');
  await app.type('near-3-outM', '4');
  const pond = () => factsOf(app, jobId).then((f) => f.spaces.find((s) => s.name === 'River side')!.nearby[3]);
  await expect.poll(async () => (await pond())?.outM?.toFixed(3)).toBe('1.219');
  await app.open(`/job/${jobId}/work/${(await factsOf(app, jobId)).surfaces.find((s) => s.name === 'Old slipway boards')!.id}`);
  await expect(app.id('step-protect')).toContainText('The pond is covered');
  await page.goBack();
  await app.id('nearby').getByRole('button', { name: 'Not there: pond' }).click();
  await expect.poll(pond).toBeUndefined();
});

test('a zone is divided by a sealed screen, taken back, and joined with the next room; each says what it changes', async ({
  app,
  page,
}) => {
  const jobId = await openIn(app, 'quill-point', 'protect', /Ticket counter/);
  await app.button('Seal it off: a zone of its own').click();
  await expect(page.getByRole('heading', { name: 'Ticket hall: part 1' })).toBeVisible();
  await expect(app.id('zone')).toContainText('one zone, 1 surface');
  await expect(app.id('zone-panel')).toContainText(/On the whole job: .* more/);
  expect((await factsOf(app, jobId)).zones.map((z) => z.name)).toEqual(['part 1']);
  await app.button('Back to the whole of Ticket hall').click();
  await expect(app.id('zone')).toContainText('one zone, 5 surfaces');
  await app.button(/^Join with Kitchen wing/).click();
  await expect(page.getByRole('heading', { name: /^Ticket hall \+ Kitchen wing/ })).toBeVisible();
  await app.id('undo').click();
  await expect(app.id('zone')).toContainText('one zone, 5 surfaces');
  // What was taken back is no longer told.
  await expect(app.id('zone-panel')).not.toContainText('On the whole job');
  expect((await factsOf(app, jobId)).spaces.map((s) => s.joinedToId)).toEqual([null, null, null, null, null, null, null]);
});

test('a failed check sends the work back two steps; a breakthrough opens again what had passed', async ({ app, page }) => {
  const jobId = await openIn(app, 'one-window', 'work', /Lower sash/);
  // What comes before it opens a check; nothing is passed out of turn.
  const verify = page.getByTestId('step-verify').getByRole('group').first();
  await expect(verify).toContainText('Opens after:');
  await expect(verify.getByRole('button', { name: /^Pass/ })).toHaveCount(0);
  // The next is the first that is open; one with a number is measured, not ticked.
  const open = page.getByRole('group').filter({ has: page.getByText(/^open/) });
  const passed = page.getByRole('group').filter({ has: page.getByText(/^passed/) });
  const passNext = async () => {
    const before = await passed.count();
    const gate = open.first();
    const number = gate.getByTestId(/^measured-/);
    if ((await number.count()) > 0) {
      await gate.getByRole('button', { name: /^It is so: record/ }).click();
      await expect(gate).toContainText('a tick is only for what has no number');
      await number.fill('14');
      await number.blur();
      // Read off and not recorded yet: it stands over a reload.
      await page.reload();
      await expect(number).toHaveValue('14');
      await gate.getByRole('button', { name: /^It is so: record/ }).click();
    } else await gate.getByRole('button', { name: /^Pass: / }).click();
    await expect(passed).toHaveCount(before + 1);
  };
  const adhesion = page.getByTestId('step-check').getByRole('group').first();
  for (let i = 0; i < 12 && (await adhesion.getByRole('button', { name: /^Pass/ }).count()) === 0; i += 1) await passNext();
  await expect(app.id('step-protect')).toContainText('passed');
  const stroke = page
    .getByTestId(/^step-remove/)
    .filter({ has: page.getByRole('group') })
    .last();
  await expect(stroke).toContainText('passed');
  await adhesion.getByRole('button', { name: /^Fail/ }).click();
  await expect(adhesion).toContainText('failed');
  await expect(stroke).not.toContainText('passed,');
  await expect(app.id('step-protect')).toContainText('passed');
  // Broken through: the strokes of this place are open again, and it is told.
  await app.button('Stop: something happened').click();
  await app.button('Broke through into an older coat').click();
  await expect(app.id('happened')).toContainText('Broke through into an older coat');
  const facts = await factsOf(app, jobId);
  expect(facts.checks.map((c) => c.gate).sort()).toEqual(['containment-up', 'flames-out', 'kit-on.halfMask']);
});

test('a plan is drawn in every stage, saved as SVG, and the whole job has its papers, its list and its handing over', async ({
  app,
  page,
}) => {
  const jobId = await app.bring(example('quill-point'));
  await app.open(`/job/${jobId}/work`);
  const phone = page.viewportSize()!.width < 700;
  if (phone) await page.getByRole('radio', { name: 'drawn, with its sums' }).click();
  const steps = app.id('job-steps');
  await expect(steps).toContainText('Buy what is still needed');
  await expect(steps).toContainText(/plastic sheet: [\d,]+ ft²/);
  // Nothing is handed over while a check is open.
  const handOver = page.getByTestId('step-handOver').getByRole('group').first();
  await expect(handOver).toContainText(/Opens after: Every check of “.+” has passed/);
  await expect(handOver.getByRole('button', { name: /^Pass/ })).toHaveCount(0);
  await page
    .getByTestId('step-papers')
    .getByRole('button', { name: /^Pass: / })
    .click();
  await expect(page.getByTestId('step-papers')).toContainText('passed');
  await app.sent();
  const stored = (await (await page.request.get(`${app.address}/api/jobs/${jobId}`)).json()) as {
    facts: { checks: { gate: string; zoneId: string | null }[] };
  };
  expect(stored.facts.checks.filter((c) => c.zoneId === null).map((c) => c.gate)).toEqual(['papers']);
  const hall = page.getByRole('img', { name: /^Ticket hall, unfolded/ });
  await expect(hall).toHaveAttribute('aria-label', /Pine wainscot: (not begun|begun), 0\/\d+/);
  await app.stage('Choose');
  if (phone) await page.getByRole('radio', { name: 'drawn, with its sums' }).click();
  await expect(hall).toHaveAttribute('aria-label', /Pine wainscot: .*(comes off|bare|scuffed|stays)/);
  const [file] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('button', { name: 'Save the drawing of Ticket hall as SVG' }).click(),
  ]);
  const { readFileSync } = await import('node:fs');
  const svg = readFileSync((await file.path())!, 'utf8');
  expect(svg).toMatch(/^<svg xmlns="http:\/\/www.w3.org\/2000\/svg"/);
  expect(svg).toContain('<title>Ticket hall, unfolded.');
  expect(svg).not.toMatch(/NaN|undefined|url\(/);
});

test('a vacuum that was used on lead stays tagged until it is cleaned', async ({ app, page }) => {
  // The firm is one for all tests: a name of its own.
  const name = `Vacuum ${page.viewportSize()!.width}`;
  await app.open('/firm');
  await page.getByRole('textbox', { name: 'A machine, by the name on its tag' }).fill(name);
  await app.button('Add: A machine, by the name on its tag').click();
  await expect(page.getByRole('heading', { name })).toBeVisible();
  await app.button('Add: A machine, by the name on its tag').click();
  await expect(page.getByText('It needs a name.')).toBeVisible();
  await openIn(app, 'one-window', 'protect', /Lower sash/);
  await app.button('How it is run: door, wash place, crew, who stays').click();
  await page.getByRole('checkbox', { name: new RegExp(name) }).click();
  await app.stage('Work');
  await page
    .getByTestId('step-protect')
    .getByRole('button', { name: /^Pass: Sheet/ })
    .click();
  await app.open('/firm');
  await expect(app.button(`${name}: cleaned, with a new filter`)).toBeVisible();
  await app.button(`${name}: cleaned, with a new filter`).click();
  await expect(app.button(`${name}: cleaned, with a new filter`)).toHaveCount(0);
});
