// npm run hunt -- [--surfaces 3000] [--seed 1] [--laws E1,E2] : random jobs and edits, looked at for a breach of a law.
// npm run hunt -- --mutants [--from 12] [--only bleach] : breaks the core on purpose, one way after the other, and shows that each is noticed.
import { spawnSync } from 'node:child_process';
import { mkdirSync, readFileSync, rmSync } from 'node:fs';
import path from 'node:path';
import { DATA, ensurePackages, ROOT, say } from './lib/run.mjs';

ensurePackages();
const { parseArgs } = await import('node:util');
const { values } = parseArgs({
  options: {
    surfaces: { type: 'string', default: '3000' },
    seed: { type: 'string', default: '1' },
    laws: { type: 'string', default: '' },
    mutants: { type: 'boolean', default: false },
    from: { type: 'string', default: '1' },
    only: { type: 'string', default: '' },
  },
});
const { build } = await import('esbuild');
const out = path.join(DATA, 'hunt');
mkdirSync(out, { recursive: true });

/** The hunt and the core in one file; a mutant changes the core's text on the way. */
async function bundle(name, mutant) {
  const file = path.join(out, `${name}.mjs`);
  let met = 0;
  await build({
    entryPoints: [path.join(ROOT, 'hunt/src/main.ts')],
    bundle: true,
    platform: 'node',
    format: 'esm',
    target: 'node20',
    outfile: file,
    logLevel: 'error',
    banner: { js: "import { createRequire } from 'node:module'; const require = createRequire(import.meta.url);" },
    plugins: mutant
      ? [
          {
            name: 'mutant',
            setup: (b) =>
              b.onLoad({ filter: /core\/src\/.*\.ts$/ }, ({ path: at }) => {
                const [, wanted, from, to] = mutant;
                if (!at.endsWith(`core/src/${wanted}`)) return undefined;
                const text = readFileSync(at, 'utf8');
                met = text.split(from).length - 1;
                return { contents: text.replace(from, to), loader: 'ts' };
              }),
          },
        ]
      : [],
  });
  if (mutant && met === 0) throw new Error(`"${mutant[0]}": the text that it changes is not in ${mutant[1]} any more`);
  return file;
}

const run = (file, options, stdio) =>
  spawnSync(
    process.execPath,
    ['--enable-source-maps', file, JSON.stringify({ dir: out, regressions: path.join(ROOT, 'hunt/regressions.json'), ...options })],
    {
      stdio,
      encoding: 'utf8',
    },
  );
const options = { surfaces: Number(values.surfaces), seed: Number(values.seed), laws: values.laws };
if (!values.mutants) process.exit(run(await bundle('hunt'), options, 'inherit').status ?? 1);

const { MUTANTS: all } = await import('../hunt/mutants.mjs');
const MUTANTS = all.slice(Number(values.from) - 1).filter(([what]) => what.includes(values.only));
const missed = [];
for (const [i, mutant] of MUTANTS.entries()) {
  const file = await bundle('mutant', mutant);
  const done = run(file, { ...options, first: true }, 'pipe');
  const caught = done.status === 1;
  if (!caught) missed.push(mutant[0]);
  say(
    `${i + 1}/${MUTANTS.length} ${caught ? 'caught' : 'MISSED'}: ${mutant[0]}${caught ? ` (${done.stdout.split(':')[0].trim()})` : ` ${done.stderr.slice(0, 300)}`}`,
  );
}
rmSync(path.join(out, 'mutant.mjs'), { force: true });
say(`${MUTANTS.length - missed.length} of ${MUTANTS.length} mutants caught`);
process.exit(missed.length > 0 ? 1 : 0);
