// Builds the web app and the server, each only when its sources have changed.
import { createHash } from 'node:crypto';
import { existsSync, mkdirSync, readdirSync, readFileSync, renameSync, rmSync, statSync, writeFileSync } from 'node:fs';
import path from 'node:path';
import { bundle } from './bundle.mjs';
import { nodeBin, ROOT, runBeside, say } from './run.mjs';

const SKIP = new Set(['node_modules', 'dist', 'dist.next', '.expo', 'migrations']);

function* filesBelow(dir) {
  for (const name of readdirSync(dir).sort()) {
    if (SKIP.has(name) || name.endsWith('.test.ts') || name.endsWith('.test.tsx')) continue;
    const full = path.join(dir, name);
    if (statSync(full).isDirectory()) yield* filesBelow(full);
    else yield full;
  }
}

function stampOf(places) {
  const hash = createHash('sha256').update(process.version);
  for (const place of places.map((p) => path.join(ROOT, p))) {
    for (const file of statSync(place).isDirectory() ? filesBelow(place) : [place])
      hash.update(path.relative(ROOT, file)).update(readFileSync(file));
  }
  return hash.digest('hex');
}

const fresh = (stampFile, stamp) => existsSync(stampFile) && readFileSync(stampFile, 'utf8') === stamp;

const WEB = path.join(ROOT, 'client/dist');
const EXPO_ENV = { ...process.env, EXPO_OFFLINE: '1', EXPO_NO_TELEMETRY: '1', CI: '1', NODE_ENV: 'production' };

/** Exports the web app and writes its service worker. The new export takes the old one's place in one move. */
export async function buildWeb() {
  const stamp = stampOf(['client', 'core', 'package-lock.json', 'scripts/lib/build.mjs']);
  if (fresh(path.join(WEB, '.stamp'), stamp)) return WEB;
  say('building the web app (about a minute) …');
  const next = `${WEB}.next`;
  rmSync(next, { recursive: true, force: true });
  await runBeside(
    'web export',
    nodeBin('expo'),
    ['export', '--platform', 'web', ...(process.env.CI ? ['--clear'] : []), '--output-dir', next],
    { cwd: path.join(ROOT, 'client'), env: EXPO_ENV },
  );
  const page = path.join(next, 'index.html');
  writeFileSync(
    page,
    readFileSync(page, 'utf8').replace('<meta name="build" content=""', `<meta name="build" content="${stamp.slice(0, 16)}"`),
  );
  const { generateSW } = await import('workbox-build');
  const { warnings } = await generateSW({
    globDirectory: next,
    globPatterns: ['**/*.{html,js,css,woff2,ttf,svg,png,ico,webmanifest}'],
    swDest: path.join(next, 'sw.js'),
    inlineWorkboxRuntime: true,
    sourcemap: false,
    skipWaiting: true,
    clientsClaim: true,
    navigateFallback: '/index.html',
    navigateFallbackDenylist: [/^\/api\//],
    // Expo names these files by content.
    dontCacheBustURLsMatching: /_expo\/static|assets\//,
    maximumFileSizeToCacheInBytes: 6 * 1024 * 1024,
  });
  warnings.forEach((w) => say(w));
  writeFileSync(path.join(next, '.stamp'), stamp);
  rmSync(WEB, { recursive: true, force: true });
  renameSync(next, WEB);
  return WEB;
}

/** Bundles the server: ready in half the time that transpiling on the way takes. */
export async function buildServer() {
  const out = path.join(ROOT, 'server/dist');
  const stamp = stampOf(['server', 'core', 'demo', 'package-lock.json']);
  if (!fresh(path.join(out, '.stamp'), stamp)) {
    mkdirSync(out, { recursive: true });
    await bundle({
      entryPoints: {
        main: path.join(ROOT, 'server/src/main.ts'),
        worker: path.join(ROOT, 'server/src/pool/worker.ts'),
        prepare: path.join(ROOT, 'server/src/prepare.ts'),
      },
      outdir: out,
      outExtension: { '.js': '.mjs' },
    });
    writeFileSync(path.join(out, '.stamp'), stamp);
  }
  return path.join(out, 'main.mjs');
}
