/** Reads a job file and prints everything derived. Exit 0: printed. Exit 2: the file or the call is wrong, nothing printed. */
import { readFileSync } from 'node:fs';
import { parseArgs } from 'node:util';
import { createDeriver, DEFAULT_SETTINGS, FirmSettings, fromZod, Instant, readJobFile, type Problem } from '@roughsill/core';
import { DETAILS, jobMarkdown, jobReport, type Detail } from '@roughsill/core/report';

const USAGE =
  'usage: npm run -s plan -- FILE [--format json|md] [--detail picks|all] [--firm SETTINGS.json] [--now 2026-05-04T13:20:00.000Z]';

const isDetail = (x: string): x is Detail => (DETAILS as readonly string[]).includes(x);

function refuse(...problems: readonly Problem[]): 2 {
  for (const p of problems) process.stderr.write(`${p.path}: ${p.message}\n`);
  return 2;
}

function firmSettings(file: string | undefined): FirmSettings | Problem[] {
  if (file === undefined) return DEFAULT_SETTINGS;
  const raw = { ...DEFAULT_SETTINGS, ...(JSON.parse(readFileSync(file, 'utf8')) as object) };
  const parsed = FirmSettings.safeParse(raw);
  return parsed.success ? parsed.data : fromZod(parsed.error, raw);
}

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
  let text: string;
  try {
    text = readFileSync(file, 'utf8');
  } catch (e) {
    return refuse({ path: file, message: `cannot be read: ${(e as NodeJS.ErrnoException).code ?? String(e)}` });
  }
  let settings: ReturnType<typeof firmSettings>;
  try {
    settings = firmSettings(values.firm);
  } catch (e) {
    return refuse({ path: '--firm', message: `cannot be read: ${(e as Error).message}` });
  }
  if (Array.isArray(settings)) return refuse(...settings);
  const now = values.now ?? new Date().toISOString();
  if (!Instant.safeParse(now).success)
    return refuse({ path: '--now', message: `is not an instant such as 2026-05-04T13:20:00.000Z: ${now}` });
  const thisYear = new Date(now).getUTCFullYear();
  const facts = readJobFile(text, thisYear);
  if (!facts.ok) return refuse(...facts.problems);
  const plan = createDeriver().derive(facts.value, settings, thisYear);
  const report = jobReport(facts.value, plan, settings, now, { detail, compared: detail === 'all' });
  process.stdout.write(values.format === 'md' ? jobMarkdown(report) : `${JSON.stringify(report, null, 2)}\n`);
  return 0;
}
