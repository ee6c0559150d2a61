/** Every screen under a thumb: axe finds nothing, and nothing to press is too small. */
import { test } from './app';
import { fitsAtTwice, look, sample, STAGES, type Sample } from './look';

const ON_JOB = ['certainty', 'bags', 'breathing', 'table', 'samples', 'survey', 'instruments', 'import', 'mold', 'windows', 'buy'];
const stages = ({ jobId, sash }: Sample, which: readonly string[]) =>
  which.flatMap((s) => [`/job/${jobId}/${s}`, `/job/${jobId}/${s}/${sash}`]);
/** Every screen of the app, in walks that are each looked at by themselves. */
const WALKS: Readonly<Record<string, (s: Sample) => readonly string[]>> = {
  'the firm': () => ['/', '/aside', '/new', '/who', '/firm', '/settings', '/catalogue', '/air', '/mix', '/shelf', '/sources', '/keys'],
  'a surface apart': ({ jobId, sash, space }) => [
    `/add/${jobId}`,
    `/add/${jobId}?space=${space}`,
    `/facts/${jobId}`,
    ...['print', 'compare', 'rounds', 'client'].map((page) => `/${page}/${jobId}?surface=${sash}`),
  ],
  'the job apart': ({ jobId }) => ON_JOB.map((page) => `/${page}/${jobId}`),
  'the stages, to choose': (s) => [
    ...stages(s, STAGES.slice(0, 4)),
    `/job/${s.jobId}/probe/${s.ceiling}`,
    `/job/${s.jobId}/choose/${s.boards}`,
  ],
  'the stages, from protect on': (s) => stages(s, STAGES.slice(4)),
};
for (const [walk, screens] of Object.entries(WALKS))
  test(`axe is clean, targets are at least 48 px, nothing runs off the side: ${walk}`, async ({ app }) => {
    test.setTimeout(180_000);
    for (const at of screens(await sample(app))) await look(app, at);
  });

test('text at 200 % still fits the width', ({ app }) => fitsAtTwice(app));
