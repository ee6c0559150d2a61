// npm run hunt -- [--surfaces 3000] [--seed 1] [--laws E1,E2] : random jobs and edits, looked at for a breach of a law.
// npm run hunt -- --browser 20 [--seed 1] : random jobs brought into the app, and each of their screens read back against the core.
// npm run hunt -- --same 2000 [--seed 1] : hashes of every output of random jobs; two builds that answer alike write the same lines.
// npm run hunt -- --mutants [--from 12] [--only bleach] : breaks the core on purpose, one way after the other, and shows that each is noticed.
import { spawn } from 'node:child_process';
import { mkdirSync, readFileSync, rmSync } from 'node:fs';
import { availableParallelism } from 'node:os';
import path from 'node:path';
import { pathToFileURL } from 'node:url';
import { argsOf } from './lib/args.mjs';
import { bundle } from './lib/bundle.mjs';
import { DATA, ensurePackages, ROOT, say } from './lib/run.mjs';

const values = argsOf({ surfaces: '3000', seed: '1', laws: '', mutants: false, from: '1', only: '', browser: '0', same: '0' });
ensurePackages();
const out = path.join(DATA, 'hunt');
/** From here on it is for its own sake, and nothing else wants the machine. */
const LONG = 5000;
mkdirSync(out, { recursive: true });

/** The hunt and the core in one file; a mutant changes the core's text on the way. */
async function huntWith(name, mutant) {
  const file = path.join(out, `${name}.mjs`);
  await bundle({
    entryPoints: [path.join(ROOT, 'tests/hunt/src/main.ts')],
    outfile: file,
    plugins: mutant
      ? [
          {
            name: 'mutant',
            setup: (b) =>
              b.onLoad({ filter: /core\/src\/.*\.ts$/ }, ({ path: at }) => {
                const [, wanted, from, to] = mutant;
                if (!at.endsWith(`core/src/${wanted}`)) return undefined;
                const text = readFileSync(at, 'utf8');
                return { contents: text.replace(from, to), loader: 'ts' };
              }),
          },
        ]
      : [],
  });
  return file;
}

if (Number(values.browser) > 0) {
  const file = path.join(out, 'browsed.mjs');
  await bundle({ entryPoints: [path.join(ROOT, 'tests/hunt/src/browsed.ts')], outfile: file });
  const { browsed } = await import(pathToFileURL(file).href);
  const { browse } = await import('./lib/browse.mjs');
  process.exit((await browse(browsed(Number(values.browser), Number(values.seed), new Date().toISOString()))) > 0 ? 1 : 0);
}

if (Number(values.same) > 0) {
  const bundled = path.join(out, 'same.mjs');
  await bundle({ entryPoints: [path.join(ROOT, 'tests/hunt/src/same.ts')], outfile: bundled });
  const asked = JSON.stringify({
    surfaces: Number(values.same),
    seed: Number(values.seed),
    file: path.join(out, `same-${values.seed}.txt`),
  });
  const child = spawn(process.execPath, ['--enable-source-maps', bundled, asked], { stdio: 'inherit' });
  process.exit(await new Promise((resolve) => child.on('exit', (code) => resolve(code ?? 1))));
}

const options = { surfaces: Number(values.surfaces), seed: Number(values.seed), laws: values.laws };
/** Runs a bundle; its answer is its code and, when it is not shown, what it wrote. */
const start = (file, own, stdio) =>
  new Promise((resolve) => {
    const asked = JSON.stringify({ dir: out, regressions: path.join(ROOT, 'tests/hunt/regressions.json'), ...options, ...own });
    const child = spawn(process.execPath, ['--enable-source-maps', file, asked], { stdio });
    const wrote = { stdout: '', stderr: '' };
    for (const pipe of ['stdout', 'stderr']) child[pipe]?.on('data', (b) => (wrote[pipe] += b));
    child.on('exit', (code) => resolve({ code: code ?? 1, ...wrote }));
  });

const { MUTANTS: all } = await import('../tests/hunt/mutants.mjs');
// Told by every run: a mutant that changes nothing any more shows nothing.
for (const [what, file, from] of all)
  if (!readFileSync(path.join(ROOT, 'core/src', file), 'utf8').includes(from))
    throw new Error(`"${what}": the text that it changes is not in ${file} any more`);

if (!values.mutants) {
  const file = await huntWith('hunt');
  // A long hunt takes every core, each share with a seed of its own that it tells; the first looks at the old finds too.
  const shares = options.surfaces < LONG ? 1 : Math.min(availableParallelism(), 4);
  const done = await Promise.all(
    Array.from({ length: shares }, (_, i) =>
      start(
        file,
        {
          surfaces: Math.ceil(options.surfaces / shares),
          seed: options.seed + i * 1_000_003,
          again: i === 0,
          dir: path.join(out, `share-${i}`),
        },
        'inherit',
      ),
    ),
  );
  process.exit(Math.max(...done.map((d) => d.code)));
}

const waiting = all.slice(Number(values.from) - 1).filter(([what]) => what.includes(values.only));
const count = waiting.length;
const missed = [];
let told = 0;
/** One after another; a hunt that falls over is no hunt that noticed. */
async function lane(n) {
  for (let mutant = waiting.shift(); mutant; mutant = waiting.shift()) {
    const file = await huntWith(`mutant-${n}`, mutant);
    const { code, stdout, stderr } = await start(file, { first: true }, 'pipe');
    const law = /^(\w+) \(/.exec(stdout)?.[1];
    const caught = code === 1 && law !== undefined;
    if (!caught) missed.push(mutant[0]);
    told += 1;
    say(`${told}/${count} ${caught ? 'caught' : 'MISSED'}: ${mutant[0]}${caught ? ` (${law})` : ` ${stderr.slice(0, 300)}`}`);
    rmSync(file, { force: true });
  }
}
await Promise.all(Array.from({ length: Math.min(availableParallelism(), 4) }, (_, n) => lane(n)));
say(`${count - missed.length} of ${count} mutants caught`);
process.exit(missed.length > 0 ? 1 : 0);
