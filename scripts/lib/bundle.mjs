/** One file of a TypeScript entry and all of this project that it stands on; what npm installed stays out. */
import { mkdirSync, rmSync } from 'node:fs';
import path from 'node:path';
import { pathToFileURL } from 'node:url';
import { ROOT } from './run.mjs';

const npmStaysOut = {
  name: 'npm-stays-out',
  setup: (b) =>
    b.onResolve({ filter: /^[^./]/ }, (a) =>
      a.path.startsWith('@roughsill/') || a.kind === 'entry-point' ? undefined : { path: a.path, external: true },
    ),
};

/**
 * @param options of esbuild, beside those that are the same for all
 * @returns when the files are written
 */
export async function bundle({ plugins = [], ...options }) {
  const { build } = await import('esbuild');
  await build({
    absWorkingDir: ROOT,
    bundle: true,
    platform: 'node',
    format: 'esm',
    target: 'node20',
    sourcemap: true,
    logLevel: 'error',
    plugins: [...plugins, npmStaysOut],
    ...options,
  });
}

/** A command in TypeScript, ready to be called. A process of its own writes a file of its own: two may be called at once. */
export async function commandIn(entry) {
  const dir = path.join(ROOT, 'node_modules/.cache/rough-sill');
  mkdirSync(dir, { recursive: true });
  const outfile = path.join(dir, `${path.basename(entry, '.ts')}-${process.pid}.mjs`);
  await bundle({ entryPoints: [path.join(ROOT, 'scripts', entry)], outfile, sourcemap: false });
  try {
    return await import(pathToFileURL(outfile).href);
  } finally {
    rmSync(outfile, { force: true });
  }
}
