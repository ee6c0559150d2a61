/** Runs a hunt and tells what it found; the process ends with 1 when a law is broken. */
import { readFileSync } from 'node:fs';
import { JobFacts } from '../../../core/src/facts';
import { FirmSettings } from '../../../core/src/rulebook/settings';
import { BENCH_LAWS } from './bench';
import { breaches, hunt, keep, LAWS, type EditCount } from './hunt';
import type { Course } from './run';

const asked = JSON.parse(process.argv[2] ?? '{}') as {
  surfaces?: number;
  seed?: number;
  laws?: string;
  first?: boolean;
  quiet?: boolean;
  /** The jobs of old finds are looked at too. */
  again?: boolean;
  dir: string;
  regressions: string;
};
const laws = (asked.laws ?? '').split(',').filter((x) => x !== '');
const ALL_IDS = [...LAWS, ...BENCH_LAWS].map((l) => l.id);
const unknown = laws.filter((x) => !ALL_IDS.includes(x));
if (unknown.length > 0) {
  process.stderr.write(`no such law: ${unknown.join(', ')}; there are ${ALL_IDS.join(', ')}\n`);
  process.exit(2);
}
const say = (text: string) => void (asked.quiet || process.stdout.write(`${text}\n`));
const { surfaces = 3000, seed = 1, first = false } = asked;
const started = Date.now();
let broken = 0;

/** As it would be read from a file: a field that came later takes its default. */
const read = ({ facts, settings: { machines, people, products, ...settings }, edits }: Course): Course => ({
  facts: JobFacts.parse(facts),
  settings: {
    ...FirmSettings.parse(settings),
    ...(machines ? { machines } : {}),
    ...(people ? { people } : {}),
    ...(products ? { products } : {}),
  },
  edits,
});

/** Jobs in which a hunt once found something, as it shrank them: they are looked at again in every run, by every law. */
const kept = JSON.parse(readFileSync(asked.regressions, 'utf8')) as readonly (Course & { readonly name: string })[];
for (const k of first || asked.again === false ? [] : kept)
  for (const law of LAWS.filter((l) => laws.length === 0 || laws.includes(l.id))) {
    const found = breaches(law, read(k));
    if (found.length === 0) continue;
    broken += 1;
    say(`${law.id} broken again at "${k.name}": ${found[0]!}`);
  }
for (const l of BENCH_LAWS.filter(({ id }) => laws.length === 0 || laws.includes(id))) {
  const found = l.look(seed, Math.ceil((l.often * surfaces) / 1000));
  if (found === null) continue;
  broken += 1;
  say(`${l.id} (${l.says}): ${found}`);
}
const jobLaws = laws.filter((x) => LAWS.some((l) => l.id === x));
const none = { surfaces: 0, finds: [], asked: new Map<string, number>(), edits: new Map<string, EditCount>() };
const {
  surfaces: seen,
  finds,
  asked: judged,
  edits,
} = (laws.length > 0 && jobLaws.length === 0) || (first && broken > 0)
  ? none
  : hunt({ surfaces, seed, laws: jobLaws, first, shrink: !first });
for (const f of finds) {
  broken += 1;
  say(`${f.law} (${LAWS.find((l) => l.id === f.law)!.says}): ${f.count} times; smallest: ${f.says}`);
}
if (finds.length > 0 && !first) {
  keep(asked.dir, finds);
  say(`the smallest jobs lie in ${asked.dir}`);
}
// A law that judged nothing, or an edit that never took hold, proves nothing: that is a fault of the hunt.
const ENOUGH = 3000;
const TRIES = 40;
say(`asked: ${[...judged].map(([id, n]) => `${id} ${n}`).join(', ')}`);
say(`edits that took hold: ${[...edits].map(([kind, e]) => `${kind} ${e.took}/${e.tried}`).join(', ')}`);
if (seen >= ENOUGH && !first) {
  for (const [id, n] of judged)
    if (n === 0) {
      broken += 1;
      say(`${id} was asked of nothing`);
    }
  for (const [kind, e] of edits)
    if (e.took === 0 && e.tried >= TRIES) {
      broken += 1;
      say(`"${kind}" was tried ${e.tried} times, and the product refused all of them`);
    }
}
if (first && finds[0]) say(`${finds[0].law}: ${finds[0].says}`);
say(`${seen} surfaces, seed ${seed}, ${ALL_IDS.length} laws, ${((Date.now() - started) / 1000).toFixed(0)} s: ${broken} broken`);
process.exit(broken > 0 ? 1 : 0);
