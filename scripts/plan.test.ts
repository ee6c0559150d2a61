import { spawnSync } from 'node:child_process';
import { mkdtempSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import os from 'node:os';
import path from 'node:path';
import { JOB_FILE_VERSION } from '@roughsill/core';
import { generated } from './generated';

const root = path.resolve(__dirname, '..');
const dir = mkdtempSync(path.join(os.tmpdir(), 'rough-sill-'));
afterAll(() => rmSync(dir, { recursive: true, force: true }));
const plan = (...args: string[]) =>
  spawnSync(process.execPath, ['scripts/plan.mjs', ...args], { cwd: root, encoding: 'utf8', maxBuffer: 64 * 1024 * 1024 });
const example = 'examples/one-window.roughsill.json';
const file = (name: string, text: string) => {
  const full = path.join(dir, name);
  writeFileSync(full, text);
  return full;
};

test('prints everything derived as JSON', () => {
  const r = plan(example, '--detail', 'all');
  expect(r.status).toBe(0);
  const out = JSON.parse(r.stdout) as any;
  const sash = out.spaces[0].surfaces[0];
  expect(sash.lead.overall.value).toBe('found');
  expect(sash.parts[0].verdicts.methods.length).toBeGreaterThanOrEqual(10);
  expect(sash.steps.map((s: any) => s.kind)).toEqual(expect.arrayContaining(['prepare', 'remove', 'prime', 'coat']));
  // Until more is asked for, only what was picked.
  const slim = JSON.parse(plan(example).stdout) as any;
  expect([slim.spaces[0].surfaces[0].parts[0].verdicts, slim.survey]).toEqual([null, null]);
  // What is done once for all stands with the zone.
  expect(out.zones[0].steps.map((s: any) => s.kind)).toEqual(['protect', 'cleanUp', 'verify', 'verify']);
});

test('prints a readable plan with --format md, and takes the firm’s settings', () => {
  const r = plan(example, '--format', 'md', '--firm', file('firm.json', '{"labourPerHour": 0}'));
  expect(r.status).toBe(0);
  expect(r.stdout).toMatch(/^# One old window/);
});

test('the whole house: trials with the next square, what is compared with ranges, pieces, rounds, and why a plan stays a draft', () => {
  const whole = 'examples/quill-point.roughsill.json';
  const md = plan(whole, '--format', 'md', '--now', '2026-04-16T12:00:00.000Z').stdout;
  expect(md).toMatch(/\*\*Trial, solvent gel under film on as recorded: works\*\* \(2 squares\)/);
  expect(md).toMatch(/Trial, soft-grit sweep on as recorded: does not work/);
  expect(md).toMatch(/For a square metre: 0\.93 to 1\.43 L of product, 3\.2 to 4\.9 h of one person’s work/);
  expect(md).toMatch(/next square: 3 h\. Not clean at/);
  expect(md).toMatch(/Piece by piece:\*\* 2 keep, 1 strip, 1 split at the joint, 2 replace, 1 look again/);
  expect(md).toMatch(/\| pH-neutral stripper \* \| with care \|.*\| none \| a guess \|/);
  expect(md).toMatch(/- seal over: blocked\. It goes nowhere near the film/);
  expect(md).toMatch(/- If an hour costs a fifth more: \$[\d,]+ instead of \$[\d,]+/);
  expect(md).toMatch(/\*\*Rounds, flat: alkaline powder for milk paint\*\*\n- \d+ at once/);
  const chosen = JSON.parse(readFileSync(path.join(root, whole), 'utf8')) as any;
  for (const s of chosen.surfaces) if (s.id === 'qp-plinth') for (const p of s.parts) p.methodId = 'masonryStripper';
  for (const s of chosen.surfaces) if (s.id === 'qp-plinth') s.squares = [];
  expect(plan(file('draft.json', JSON.stringify(chosen)), '--format', 'md').stdout).toMatch(
    /\*\*Draft: not to be issued\*\*\n  - No trial square stands behind masonry stripper, two stages on this brick/,
  );
});

test('under UK rules the whole house is planned in UK words, pounds and metres', () => {
  const uk = JSON.parse(readFileSync(path.join(root, 'examples/quill-point.roughsill.json'), 'utf8')) as any;
  Object.assign(uk.job, { rulebook: 'uk', units: 'm' });
  const job = file('uk.json', JSON.stringify(uk));
  // The money is the firm's: other rules make no pound of a dollar.
  expect(plan(job, '--format', 'md').stdout).not.toMatch(/£/);
  const md = plan(job, '--format', 'md', '--firm', file('pounds.json', '{"pricesIn": "GBP"}')).stdout;
  expect(md).toMatch(/£[\d,]+ to £[\d,]+/);
  expect(md).toMatch(/FFP3/);
  expect(md).not.toMatch(/N95|P100|\$\d|°F|US gal|CFR 745/);
});

test.each([
  [
    'a file cut short',
    () => file('cut.json', readFileSync(path.join(root, example), 'utf8').slice(0, 300)),
    /^\(file\): is not whole JSON/,
  ],
  [
    'a negative size',
    () => file('neg.json', readFileSync(path.join(root, example), 'utf8').replace('"widthM": 0.86', '"widthM": -0.86')),
    /^surfaces\[0\]\.widthM: width must be more than 0$/m,
  ],
  ['no such file', () => 'nowhere.json', /^nowhere\.json: cannot be read: ENOENT/],
])('%s: exit 2, nothing on standard output, the problem on standard error', (_what, make, message) => {
  const r = plan(make());
  expect([r.status, r.stdout]).toEqual([2, '']);
  expect(r.stderr).toMatch(message);
});

test('what is generated is what is checked in: run `npm run docs` after a change', () => {
  for (const [name, text] of Object.entries(generated()))
    expect(`${name}\n${readFileSync(path.join(root, name), 'utf8')}`).toBe(`${name}\n${text}`);
  // What is written by hand beside it names today's version of the file.
  expect(readFileSync(path.join(root, 'docs/job-file.md'), 'utf8')).toContain(
    `version ${JOB_FILE_VERSION}; versions 1 to ${JOB_FILE_VERSION - 1} are read as well`,
  );
});

test('the bench by command line: an answer on standard output, a refusal on the other with exit 2', () => {
  const mix = (id: string, asked: object) =>
    spawnSync(process.execPath, ['scripts/mix.mjs', id, '-'], { cwd: root, encoding: 'utf8', input: JSON.stringify(asked) });
  // By hand: 1 L of 5.25 % bleach and acid in 30 m3 give 17 L of chlorine, 566 ppm.
  const met = mix('meet', { agents: ['bleach', 'acid'], amount: 1, roomM3: 30 });
  expect((JSON.parse(met.stdout) as any).found[0].made.ppm).toBeCloseTo(566, -1);
  const wrong = mix('nozzle', { boreIn: 0.375, gaugePsi: -5, media: 'garnet' });
  expect([wrong.status, wrong.stdout]).toEqual([2, '']);
  expect(wrong.stderr).toMatch(/^range: The pressure must be between/);
});

test('what to buy by command line: packs in words, and nothing printed for a file or a call that is wrong', () => {
  const shop = (...args: string[]) => spawnSync(process.execPath, ['scripts/shop.mjs', ...args], { cwd: root, encoding: 'utf8' });
  const window = 'examples/one-window.roughsill.json';
  expect(shop(window).stdout).toMatch(/Topcoats\n\[ \] Waterborne eggshell: 1 quart/);
  for (const [args, says] of [
    [[window, '--firm', 'nowhere.json'], /^--firm: cannot be read: ENOENT/],
    [[window, '--zone', 'nowhere'], /^--zone: is none of this job/],
    [[window, '--zone', 'a', '--on', '2026-05-04'], /^--on: goes with no zone/],
  ] as const) {
    const wrong = shop(...args);
    expect([wrong.status, wrong.stdout, wrong.stderr]).toEqual([2, '', expect.stringMatching(says)]);
  }
});
