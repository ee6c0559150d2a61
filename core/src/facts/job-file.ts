/** The open job file, `*.roughsill.json`. Documented in docs/job-file.md; its JSON Schema is made from this Zod schema. */
import { z } from 'zod';
import { JOB_FACTS_SHAPE, mapRecords, specOf, asParent, childrenOf, type JobFacts, type Row } from './registry';
import { fromZod, ok, wrong, type Outcome, type Problem } from './problems';
import { duplicateIds, jobProblems } from './validate';

export const JOB_FILE_FORMAT = 'roughsill.job';
/**
 * Version 2 added samples, photographs, checks of instruments and site facts; version 3 trial squares, pieces looked at one by one and
 * the order of work. Older ones are read, and their gaps are filled with "unknown".
 */
export const JOB_FILE_VERSION = 3;

export const JobFile = z.strictObject({
  format: z.literal(JOB_FILE_FORMAT),
  version: z.union([z.literal(1), z.literal(2), z.literal(JOB_FILE_VERSION)]),
  ...JOB_FACTS_SHAPE,
});
export type JobFile = { format: typeof JOB_FILE_FORMAT; version: 1 | 2 | 3 } & JobFacts;

/** One order for everything, so that the same facts are always the same bytes. Surfaces stand in the order of their rooms. */
export function canonical(facts: JobFacts): JobFacts {
  const sorted = <T extends object>(holder: T, kind: 'job' | 'surface'): T =>
    ({
      ...holder,
      ...Object.fromEntries(
        childrenOf(kind).map((e) => {
          const { list, order } = specOf(e);
          return [list!, [...(holder as Record<string, Row[]>)[list!]!].sort(order)];
        }),
      ),
    }) as T;
  const settled = mapRecords(facts, (row, entity) => {
    const made = specOf(entity).settle?.(row) ?? row;
    return asParent(entity) === 'surface' ? (sorted(made, 'surface') as Row) : made;
  });
  const whole = sorted(settled, 'job');
  const place = new Map(whole.spaces.map((s, i) => [s.id, i]));
  return { ...whole, surfaces: [...whole.surfaces].sort((a, b) => (place.get(a.spaceId) ?? 0) - (place.get(b.spaceId) ?? 0)) };
}

/** Writes the job file; reading it back and writing it again gives the same text. */
export function writeJobFile(facts: JobFacts): string {
  const parsed = JobFile.parse({ format: JOB_FILE_FORMAT, version: JOB_FILE_VERSION, ...canonical(facts) });
  return `${JSON.stringify(parsed, null, 2)}\n`;
}

function headerProblem(raw: unknown): Problem | undefined {
  if (typeof raw !== 'object' || raw === null || Array.isArray(raw)) return { path: '(file)', message: 'is not a Rough Sill job file' };
  const { format, version } = raw as Record<string, unknown>;
  if (format !== JOB_FILE_FORMAT) return { path: 'format', message: `is not "${JOB_FILE_FORMAT}": this is not a Rough Sill job file` };
  if (typeof version === 'number' && version > JOB_FILE_VERSION) {
    return {
      path: 'version',
      message: `is ${version}; this Rough Sill reads up to ${JOB_FILE_VERSION}: update it, or export again from the older one`,
    };
  }
  return undefined;
}

/**
 * Reads and checks a job file, whole.
 * @returns the facts, or every problem found, each with its path in the file
 */
export function readJobFile(text: string, thisYear: number): Outcome<JobFacts> {
  let raw: unknown;
  try {
    raw = JSON.parse(text);
  } catch (e) {
    return wrong({ path: '(file)', message: `is not whole JSON: ${e instanceof Error ? e.message : String(e)}` });
  }
  return parseJobFile(raw, thisYear);
}

/** As `readJobFile`, from a value that is already parsed. */
export function parseJobFile(raw: unknown, thisYear: number): Outcome<JobFacts> {
  const header = headerProblem(raw);
  if (header) return wrong(header);
  const parsed = JobFile.safeParse(raw);
  if (!parsed.success) return wrong(...fromZod(parsed.error, raw));
  const { format: _f, version: _v, ...facts } = parsed.data as JobFile;
  const problems = [...duplicateIds(facts), ...jobProblems(facts, thisYear)];
  return problems.length > 0 ? wrong(...problems) : ok(facts);
}

/** Gives every record a new id, so that a file can be brought in a second time as a copy. */
export function withNewIds(facts: JobFacts, makeId: () => string): JobFacts {
  const map = new Map<string, string>();
  const fresh = (id: string) => {
    const known = map.get(id);
    if (known) return known;
    const made = makeId();
    map.set(id, made);
    return made;
  };
  return mapRecords(facts, (row, entity) => {
    const renewed: Record<string, unknown> = { ...row, id: fresh(row.id) };
    for (const { field, prefix } of specOf(entity).refs) {
      const renew = (id: string) => (prefix ? id.replace(/^[^/]+/, fresh) : fresh(id));
      const value = row[field];
      if (Array.isArray(value)) renewed[field] = (value as string[]).map(renew);
      else if (typeof value === 'string') renewed[field] = renew(value);
    }
    return renewed as Row;
  });
}
