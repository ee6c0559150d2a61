import { spawnSync } from 'node:child_process';
import { mkdtempSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import os from 'node:os';
import path from 'node:path';
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
  const r = plan(example);
  expect(r.status).toBe(0);
  const out = JSON.parse(r.stdout) as any;
  const sash = out.spaces[0].surfaces[0];
  expect(sash.lead.overall.value).toBe('found');
  expect(sash.parts[0].methods.length).toBeGreaterThanOrEqual(10);
  expect(sash.steps.map((s: any) => s.kind)).toEqual(expect.arrayContaining(['prepare', 'protect', 'remove', 'prime', 'coat', 'verify']));
});

test('prints a readable plan with --format md, and takes the firm’s settings', () => {
  const r = plan(example, '--format', 'md', '--firm', file('firm.json', '{"labourPerHour": 0}'));
  expect(r.status).toBe(0);
  expect(r.stdout).toMatch(/^# One old window/);
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
});
