/** What is seen at a stroke changes what follows; a damaged sill from its damage to its coat. */
import { example, expect, test, type App } from './app';

const factsOf = async (app: App, jobId: string) =>
  ((await (await app.page.request.get(`${app.address}/api/jobs/${jobId}`)).json()) as { facts: any }).facts;

/** The one window, worked in one way. */
async function planned(app: App, methodId: string) {
  const job = JSON.parse(example('one-window'));
  for (const p of job.surfaces[0].parts) p.methodId = methodId;
  const jobId = await app.bring(JSON.stringify(job));
  return { jobId, surface: (await factsOf(app, jobId)).surfaces[0] };
}

test('signs during a strip: patches topped up, a spot sent back, one taken back; the paper says the same', async ({ app, page }) => {
  const { jobId, surface: sash } = await planned(app, 'solventGel');
  await app.open(`/job/${jobId}/work/${sash.id}`);
  const step = page.locator('[data-testid^="step-remove.flat"]').first();
  const gel = step.getByText(/^Stripper gel: /i);
  const before = await gel.textContent();
  await step.getByTestId('see').click();
  await page
    .getByRole('radio', { name: /^Half of it/ })
    .first()
    .click();
  await step.getByTestId('sign-gelThirsty').click();
  await expect(step.getByTestId('seen-gelThirsty')).toBeVisible();
  await expect(gel).not.toHaveText(before!);
  // An older colour: that place is under its controls again, and a check stands for it.
  await step.getByRole('radio', { name: /^This spot/ }).click();
  await step.getByTestId('sign-oldColour').click();
  await expect(step.getByText(/Where the older coat shows/).first()).toBeVisible();
  await app.sent();
  const signs = (await factsOf(app, jobId)).surfaces.find((s: { id: string }) => s.id === sash.id).signs;
  expect(signs.map((x: { sign: string; extent: string }) => `${x.sign} ${x.extent}`)).toEqual(['gelThirsty half', 'oldColour spot']);
  // Done all over: nothing more is laid on it, and the tile says why.
  await step.getByRole('radio', { name: /^All of it/ }).click();
  await step.getByTestId('sign-gelRibbon').click();
  await expect(step.getByTestId('sign-gelThirsty')).toHaveAttribute('aria-disabled', 'true');
  await expect(step.getByTestId('sign-gelThirsty')).toContainText('Seen before');
  await step.getByRole('button', { name: /^Take it back: .*ribbon/ }).click();
  await expect(step.getByTestId('seen-gelRibbon')).toBeHidden();
  await app.sent();
  // The API says what the screen says.
  const plan = await (await page.request.get(`${app.address}/api/jobs/${jobId}/plan`)).json();
  const text = JSON.stringify(plan);
  expect(text).toContain('Top up those patches');
  expect(text).toContain('primed again there');
});

test('a damaged sill: one tap on its face, its size, what is done, its step and its proof before the coat', async ({ app, page }) => {
  const { jobId, surface: piece } = await planned(app, 'wetScrapeLoose');
  await app.open(`/job/${jobId}/walk/${piece.id}`);
  await app.id('defects').scrollIntoViewIfNeeded();
  await app.id('defect-kind').selectOption('rot');
  await app.id('face-drawing').click({ position: { x: 60, y: 30 } });
  await app.type('defect-depth', '1');
  await app.type('defect-area', '0.2');
  await expect(
    app
      .id('defects')
      .getByText(/Let a piece in/)
      .first(),
  ).toBeVisible();
  // A filler that cannot bear it is said beside the choice, and what is proposed stands.
  await app.id('defect-repair').selectOption('consolidate');
  await expect(
    app
      .id('defects')
      .getByText(/^Consolidate/)
      .first(),
  ).toBeVisible();
  await app.id('defect-repair').selectOption('');
  // Larger than its piece: asked, not planned.
  await app.type('defect-area', '900');
  await expect(app.id('defects').getByText(/and the piece is/)).toBeVisible();
  await app.type('defect-area', '0.2');
  await page.getByRole('radiogroup', { name: 'How good it has to look' }).getByRole('radio', { name: 'smooth', exact: true }).click();
  await app.sent();
  const own = (await factsOf(app, jobId)).surfaces.find((s: { id: string }) => s.id === piece.id);
  expect(own.defects[0]).toMatchObject({ kind: 'rot', asFound: true });
  expect(own.defects[0].depthMm).toBeCloseTo(25.4, 6);
  expect(own.defects[0].alongM).toBeGreaterThan(0);
  expect(own.finish).toBe('smooth');
  await app.open(`/job/${jobId}/work/${piece.id}`);
  await app.id('step-repair.splice').getByRole('button', { name: /^why/ }).first().click();
  await expect(app.id('step-repair.splice')).toContainText('cut back to sound wood');
  await expect(app.id('step-repair.splice')).toContainText(/Let a piece in: hard right through/);
  // The offer says how it is judged, and what was there before.
  await app.open(`/client/${jobId}?surface=${piece.id}`);
  await expect(app.id('client-finish')).toContainText('looked at in daylight from 3 ft');
  await expect(app.id('client-finish')).toContainText('As found: rot');
});

test('a frame sprayed from a can: what is masked, in metres and paper, when it is closed for the mist, and what a brush would need', async ({
  app,
}) => {
  const jobId = await app.bring(example('quill-point'));
  const frame = (await factsOf(app, jobId)).surfaces.find((s: { name: string }) => s.name === 'New door casing');
  await app.open(`/job/${jobId}/work/${frame.id}`);
  const mask = app.id('step-mask.coats');
  await expect(mask).toContainText('Mask the wall beside it');
  await expect(mask).toContainText(/long-life tape: \d+'/);
  await expect(mask).toContainText(/masking paper: [\d.]+ ft²/);
  await expect(app.id('step-mist.alkydGloss')).toContainText(/masking film: \d+ ft²/);
});
