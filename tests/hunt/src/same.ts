/**
 * Whether two builds of this program answer the same: random jobs with their edits, and a hash of each output at every stop. Two builds
 * that were given one seed and one number write the same lines, but for what was meant to change.
 */
import { createHash } from 'node:crypto';
import { writeFileSync } from 'node:fs';
import fc from 'fast-check';
import { writeJobFile } from '../../../core/src/facts';
import { digestOf, todaySurface } from '../../../core/src/job/digest';
import { headOf } from '../../../core/src/job/head';
import { jobSteps } from '../../../core/src/job/steps';
import { todayOf } from '../../../core/src/probe';
import { sampleRegister } from '../../../core/src/probe/register';
import { clientPage, jobMarkdown, jobReport, programme } from '../../../core/src/report';
import { shoppingOf } from '../../../core/src/job/buy';
import { wasteOf } from '../../../core/src/waste';
import { courseOf, scenario } from './hunt';
import { stopsOf, type Run } from './run';
import { THIS_YEAR } from './scenario';

const NOW = '2026-05-05T13:20:00.000Z';

const OUTPUTS: Readonly<Record<string, (run: Run) => unknown>> = {
  file: ({ facts }) => writeJobFile(facts),
  plan: ({ job }) => job,
  digest: ({ facts, job }) => digestOf(facts, job),
  head: ({ facts, job, settings }) => headOf(facts, digestOf(facts, job), settings),
  steps: ({ facts, job }) => jobSteps(facts, job),
  report: ({ facts, job, settings }) => jobReport(facts, job, settings, NOW, { detail: 'all' }),
  paper: ({ facts, job, settings }) => jobMarkdown(jobReport(facts, job, settings, NOW)),
  programme: ({ facts, job, settings }) => programme(facts, job, settings, { people: [] }, NOW),
  client: ({ facts, job, settings }) => job.surfaces.slice(0, 1).map((p) => clientPage(facts, p.surfaceId, settings, THIS_YEAR)),
  shop: ({ facts, job, settings }) => shoppingOf(facts, job, { settings, tins: [], today: NOW.slice(0, 10) }, { kind: 'job' }),
  waste: ({ facts, job, settings }) => wasteOf(facts, job, settings),
  today: ({ facts, job, settings }) => todayOf(digestOf(facts, job).surfaces.map(todaySurface), sampleRegister(facts, settings, NOW)),
};

const hash = (text: string): string => createHash('sha256').update(text).digest('hex').slice(0, 16);
/** What JSON says of an answer, keys in their order. What a build refuses has to be refused by the other in the same words. */
function answerOf(of: (run: Run) => unknown, run: Run): string {
  try {
    // A key is what its text says.
    return JSON.stringify(of(run), (k, v: unknown) => (k === 'key' ? undefined : v)) ?? '';
  } catch (e) {
    return `refused: ${e instanceof Error ? e.message : String(e)}`;
  }
}

const { surfaces, seed, file } = JSON.parse(process.argv[2] ?? '{}') as { surfaces: number; seed: number; file: string };
const lines: string[] = [];
const whole = new Map(Object.keys(OUTPUTS).map((k) => [k, createHash('sha256')]));
let seen = 0;
for (const [n, one] of fc.sample(scenario, { seed, numRuns: Math.ceil(surfaces / 1.5) }).entries()) {
  if (seen >= surfaces) break;
  let stop = 0;
  for (const run of stopsOf(courseOf(one))) {
    if (stop === 0) seen += run.facts.surfaces.length;
    for (const [output, of] of Object.entries(OUTPUTS)) {
      const is = hash(answerOf(of, run));
      whole.get(output)!.update(is);
      lines.push(`${n}.${stop} ${output} ${is}`);
    }
    stop += 1;
  }
}
writeFileSync(file, `${lines.join('\n')}\n`);
for (const [output, h] of whole) process.stdout.write(`${output.padEnd(10)} ${h.digest('hex').slice(0, 16)}\n`);
process.stdout.write(`${seen} surfaces, seed ${seed}: ${lines.length} answers, each in ${file}\n`);
