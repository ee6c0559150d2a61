/** One look at a screen: axe finds nothing, nothing to press is smaller than a thumb, nothing runs off the side. */
import { AxeBuilder } from '@axe-core/playwright';
import { example, expect, type App } from './app';

export const STAGES = ['walk', 'probe', 'trial', 'choose', 'protect', 'coat', 'work'];

export interface Sample {
  readonly jobId: string;
  readonly space: string;
  readonly sash: string;
  readonly ceiling: string;
  readonly boards: string;
}
export async function look(app: App, at: string): Promise<void> {
  const { page } = app;
  await app.open(at);
  // A job's name stands before its list and its surface do: the whole screen is looked at.
  await page.getByRole('heading', { level: 1 }).first().waitFor();
  await expect(page.locator('[role=progressbar]:not([aria-valuenow])')).toHaveCount(0);
  const hasSurface = /^\/job\/[^/]+\/[^/]+\/./.test(at);
  if (hasSurface) await app.id('surface').getByRole('heading').first().waitFor();
  if (at.includes('/work/') || at.includes('/choose/')) await page.locator('[data-why]').first().click();
  const axe = new AxeBuilder({ page })
    // What passed is not asked for, and no screen holds a frame of another origin: in the page itself it takes half the time.
    .options({ resultTypes: ['violations'] })
    .setLegacyMode(true)
    // After the options, which would take their place.
    .withTags(['wcag2a', 'wcag2aa', 'wcag21aa', 'wcag22aa']);
  // The list beside a surface on a wide screen is looked at with its stage.
  const { violations } = await (hasSurface ? axe.exclude('[data-testid=list]') : axe).analyze();
  expect(violations.map((v) => `${at}: ${v.id} ${v.nodes[0]?.html}`)).toEqual([]);
  const small = await page.evaluate(() =>
    [
      ...document.querySelectorAll<HTMLElement>(
        'button, a, [role=button], [role=link], [role=radio], [role=checkbox], [role=switch], select, input:not([type=file])',
      ),
    ]
      .map((e) => ({ e, r: e.getBoundingClientRect() }))
      // A table's rows are as low as a pointer hits; under a thumb they are as high as all else.
      .filter(({ e }) => matchMedia('(pointer: coarse)').matches || e.closest('table') === null)
      .filter(({ r }) => r.width > 0 && (r.height < 47.5 || r.width < 47.5))
      .map(({ e, r }) => `${e.getAttribute('aria-label') ?? e.textContent} ${Math.round(r.width)}x${Math.round(r.height)}`),
  );
  expect(small.map((s) => `${at}: ${s}`)).toEqual([]);
  expect(await page.evaluate(() => document.documentElement.scrollWidth - innerWidth)).toBeLessThanOrEqual(0);
}

export async function sample(app: App): Promise<Sample> {
  const jobId = await app.bring(example('quill-point'));
  const { facts } = (await (await app.page.request.get(`${app.address}/api/jobs/${jobId}`)).json()) as {
    facts: { surfaces: { id: string; name: string }[]; spaces: { id: string }[] };
  };
  const named = (name: string) => facts.surfaces.find((s) => s.name.startsWith(name))!.id;
  return { jobId, space: facts.spaces[0]!.id, sash: named('Sashes'), ceiling: named('Textured'), boards: named('Old slipway') };
}

/** As a person has it who set large text before opening the app. */
export async function fitsAtTwice(app: App): Promise<void> {
  const { page } = app;
  await page.addInitScript(() => document.addEventListener('DOMContentLoaded', () => (document.documentElement.style.fontSize = '200%')));
  const jobId = await app.bring(example('one-window'));
  for (const at of [`/job/${jobId}/walk`, `/job/${jobId}/choose/`]) {
    await app.open(at);
    await page.getByRole('heading', { level: 1 }).first().waitFor();
    expect(await page.evaluate(() => document.documentElement.scrollWidth - innerWidth)).toBeLessThanOrEqual(0);
  }
}
