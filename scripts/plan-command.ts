/** Reads a job file and prints everything derived. Exit 0: printed. Exit 2: the file or the call is wrong, nothing printed. */
import { parseArgs } from 'node:util';
import { createDeriver } from '@roughsill/core';
import { DETAILS, jobMarkdown, jobReport, type Detail } from '@roughsill/core/report';
import { jobAtHand, refuse } from './job-at-hand';

const USAGE =
  'usage: npm run -s plan -- FILE [--format json|md] [--detail picks|all] [--firm SETTINGS.json] [--now 2026-05-04T13:20:00.000Z]';

const isDetail = (x: string): x is Detail => (DETAILS as readonly string[]).includes(x);

export function planCommand(argv: readonly string[]): 0 | 2 {
  let call;
  try {
    call = parseArgs({
      args: [...argv],
      allowPositionals: true,
      options: {
        format: { type: 'string', default: 'json' },
        detail: { type: 'string' },
        firm: { type: 'string' },
        now: { type: 'string' },
      },
    });
  } catch (e) {
    return refuse({ path: '(call)', message: `${(e as Error).message}; ${USAGE}` });
  }
  const { values, positionals } = call;
  const [file] = positionals;
  if (file === undefined || positionals.length > 1) return refuse({ path: '(call)', message: `name one job file; ${USAGE}` });
  if (values.format !== 'json' && values.format !== 'md')
    return refuse({ path: '--format', message: `is not json or md: ${values.format}` });
  // The page is for reading from end to end; what a program reads says only what was picked, until it asks for more.
  const { detail = values.format === 'md' ? 'all' : 'picks' } = values;
  if (!isDetail(detail)) return refuse({ path: '--detail', message: `is not picks or all: ${detail}` });
  const read = jobAtHand(file, values);
  if (!read.ok) return refuse(...read.problems);
  const { facts, settings, now, thisYear } = read.value;
  const plan = createDeriver().derive(facts, settings, thisYear);
  const report = jobReport(facts, plan, settings, now, { detail, compared: detail === 'all' });
  process.stdout.write(values.format === 'md' ? jobMarkdown(report) : `${JSON.stringify(report, null, 2)}\n`);
  return 0;
}
