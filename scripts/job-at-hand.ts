/** What the commands that read a job file share: the file, the firm's settings, the moment; or what is wrong, told on the other output. */
import { readFileSync } from 'node:fs';
import {
  DEFAULT_SETTINGS,
  FirmSettings,
  fromZod,
  Instant,
  ok,
  readJobFile,
  wrong,
  type JobFacts,
  type Outcome,
  type Problem,
} from '@roughsill/core';

/** @returns the exit code of a call that was wrong */
export function refuse(...problems: readonly Problem[]): 2 {
  for (const p of problems) process.stderr.write(`${p.path}: ${p.message}\n`);
  return 2;
}

/** @param as how it is named when it cannot be read */
export function opened(file: string, as = file): Outcome<string> {
  try {
    return ok(readFileSync(file, 'utf8'));
  } catch (e) {
    return wrong({ path: as, message: `cannot be read: ${(e as NodeJS.ErrnoException).code ?? String(e)}` });
  }
}

function settingsIn(file: string | undefined): Outcome<FirmSettings> {
  if (file === undefined) return ok(DEFAULT_SETTINGS);
  const text = opened(file, '--firm');
  if (!text.ok) return text;
  let raw: object;
  try {
    raw = { ...DEFAULT_SETTINGS, ...(JSON.parse(text.value) as object) };
  } catch (e) {
    return wrong({ path: '--firm', message: `cannot be read: ${(e as Error).message}` });
  }
  const parsed = FirmSettings.safeParse(raw);
  return parsed.success ? ok(parsed.data) : { ok: false, problems: fromZod(parsed.error, raw) };
}

export interface JobAtHand {
  readonly facts: JobFacts;
  readonly settings: FirmSettings;
  /** As an instant. */
  readonly now: string;
  readonly thisYear: number;
}

export function jobAtHand(file: string, { firm, now: given }: { readonly firm?: string; readonly now?: string }): Outcome<JobAtHand> {
  const text = opened(file);
  if (!text.ok) return text;
  const settings = settingsIn(firm);
  if (!settings.ok) return settings;
  const now = given ?? new Date().toISOString();
  if (!Instant.safeParse(now).success)
    return wrong({ path: '--now', message: `is not an instant such as 2026-05-04T13:20:00.000Z: ${now}` });
  const thisYear = new Date(now).getUTCFullYear();
  const facts = readJobFile(text.value, thisYear);
  return facts.ok ? ok({ facts: facts.value, settings: { ...settings.value, today: now.slice(0, 10) }, now, thisYear }) : facts;
}
