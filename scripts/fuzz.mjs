// npm run fuzz -- [--requests 50000] [--seed 1]: hostile requests over the OpenAPI description. No answer of 500, no exit, memory level.
import { spawnSync } from 'node:child_process';
import { nodeBin, ensurePackages } from './lib/run.mjs';

ensurePackages();
const done = spawnSync(nodeBin('tsx'), ['scripts/fuzz-run.ts', ...process.argv.slice(2)], { stdio: 'inherit' });
process.exit(done.status ?? 1);
