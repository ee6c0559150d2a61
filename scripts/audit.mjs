// npm run audit: the packages of the lock file that a server or a page really runs, against the registry's list of known faults. No registry that
// answers: said so, exit 0. A known fault of high or worse: named, exit 1.
import { spawnSync } from 'node:child_process';
import { ROOT, say } from './lib/run.mjs';

const done = spawnSync('npm', ['audit', '--json', '--package-lock-only', '--omit=dev'], {
  cwd: ROOT,
  encoding: 'utf8',
  maxBuffer: 64 * 2 ** 20,
});
let told;
try {
  told = JSON.parse(done.stdout);
} catch {
  told = {};
}
if (!told.metadata?.vulnerabilities) {
  say('No registry answers an audit here: nothing was looked at.');
  process.exit(0);
}
const bad = Object.values(told.vulnerabilities ?? {}).filter((v) => ['high', 'critical'].includes(v.severity));
for (const v of bad) process.stdout.write(`${v.severity}: ${v.name} ${v.range}\n`);
process.stdout.write(`${bad.length} known faults of high or worse\n`);
process.exit(bad.length > 0 ? 1 : 0);
