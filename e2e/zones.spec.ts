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
      surfaces: { name: string; zoneId: string | null; wall: string | null; alongM: number | null }[];
      zones: { name: string; removedAt: string | null }[];
      spaces: { name: string; joinedToId: string | null }[];
      checks: { gate: string; outcome: string }[];
    };
  };
  return facts;
};

test('a piece is placed on the unfolded room; a wall longer than the room is refused beside its field', async ({ app, page }) => {
  const jobId = await openIn(app, 'quill-point', 'protect', /Ticket counter/);
  await expect(app.id('unfolded')).toHaveAttribute('aria-label', /Ticket hall, unfolded\. .*Ticket counter: lead/);
  await expect(app.id('zone')).toContainText('one zone, 5 surfaces');
  await app.pick('wall', 'B');
  await app.type('along', '99');
  await expect(app.id('place')).toContainText(/The wall is 17\.\d* ft long/);
  await app.type('along', '3');
  const placed = (await factsOf(app, jobId)).surfaces.find((s) => s.name === 'Ticket counter')!;
  expect([placed.wall, placed.alongM!.toFixed(3)]).toEqual(['B', '0.914']);
  // On the drawing it leads on.
  await page.reload();
  await expect(app.id('along')).toHaveValue('3');
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
  expect((await factsOf(app, jobId)).spaces.map((s) => s.joinedToId)).toEqual([null, null, null, null, null, null]);
});

test('a failed check sends the work back two steps; a breakthrough opens again what had passed', async ({ app, page }) => {
  const jobId = await openIn(app, 'one-window', 'work', /Lower sash/);
  // What comes before it opens a check; nothing is passed out of turn.
  const verify = page.getByTestId('step-verify').getByRole('group').first();
  await expect(verify).toContainText('Opens after:');
  await expect(verify.getByRole('button', { name: /^Pass/ })).toHaveCount(0);
  // The next is the first that is open; one with a number is measured, not ticked.
  const open = page.getByRole('group').filter({ has: page.getByText(/^open/) });
  const passNext = async () => {
    const before = await open.count();
    const gate = open.first();
    const number = gate.getByTestId(/^measured-/);
    if ((await number.count()) > 0) {
      await gate.getByRole('button', { name: /^Record/ }).click();
      await expect(gate).toContainText('a tick is only for what has no number');
      await number.fill('14');
      await number.blur();
      await gate.getByRole('button', { name: /^Record/ }).click();
    } else await gate.getByRole('button', { name: /^Pass: / }).click();
    await expect.poll(async () => (await open.count()) !== before || (await open.first().textContent()) !== null).toBe(true);
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
  expect(facts.checks.map((c) => c.gate).sort()).toEqual(['containment-up', 'kit-on.halfMask']);
});
