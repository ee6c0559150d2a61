/** The open job file, `*.roughsill.json`. Documented in docs/job-file.md; its JSON Schema is made from this Zod schema. */
import { z } from 'zod';
import { asParent, childrenOf, jobFactsShape, mapRecords, specOf, type Entity, type JobFacts, type ParentKind, type Row } from './registry';
import { fromZod, ok, wrong, type Outcome, type Problem } from './problems';
import { duplicateIds, jobProblems } from './validate';

export const JOB_FILE_FORMAT = 'roughsill.job';
/** What each version added, from the first: the one place to say that there is a new one. Older files are read, and what they lack is unknown. */
export const JOB_FILE_ADDED = [
  'job, rooms and sides, surfaces with their parts, coats, readings and checks',
  'samples, photographs, checks of instruments, facts of the site',
  'trial squares, pieces looked at one by one, the order of work',
  'what makes a test valid, signed reports, what became of a piece',
  'work zones, where a piece stands on its wall, checks of a zone or of the job',
  'the numbers of a check, the firm’s machines in a zone, pictures and notes of a zone or of the job',
  'what lies before a side, and the way in',
  'air samples, bags and the loads with which they left, the first day of work, the stricter rules of a state',
  'who works in which zone when, the edition of the rules on which a job stands, what the client declined',
  'in which way a coat is laid',
  'what was seen at the stroke, defects of the ground, how good a piece has to look',
  'more kinds of pieces, grounds and coats; when a room is heated, aired and lined, and what its logger said',
  'what was really laid of each coat, the wanted colour, the heat that a piece gets in use, which way a side looks',
  'stains and salts, numbers of more checks',
  'how the year of a piece is known, of what a check spoke when it was passed, what poisons in a coat',
  'a piece past saving or with one sound end, whether such poisons were looked for',
  'for whom it is done, in which language the contract is written, whether it is put away or a template',
] as const;
export const JOB_FILE_VERSION = JOB_FILE_ADDED.length;

export const JobFile = z.lazy(() =>
  z.strictObject({
    format: z.literal(JOB_FILE_FORMAT),
    version: z.int().min(1).max(JOB_FILE_VERSION),
    ...jobFactsShape(),
  }),
);
export type JobFile = { format: typeof JOB_FILE_FORMAT; version: number } & JobFacts;

type Lists = Readonly<Record<string, readonly Row[]>>;

/** In the registry's order; the same list when it was in it already. */
function sortedList(list: readonly Row[], order: (a: Row, b: Row) => number): readonly Row[] {
  return list.every((row, i) => i === 0 || order(list[i - 1]!, row) <= 0) ? list : [...list].sort(order);
}

const inOrder = new WeakMap<object, object>();
/** A record with its children in order, remembered: what did not change is not looked at again. */
function ordered(row: Row, entity: Entity): Row {
  const known = inOrder.get(row);
  if (known) return known as Row;
  const { settle } = specOf(entity);
  const parent = asParent(entity);
  const own = settle?.(row) ?? row;
  const made = parent === null || parent === 'job' ? own : { ...own, ...orderedLists(own as unknown as Lists, parent) };
  inOrder.set(row, made);
  inOrder.set(made, made);
  return made;
}
function orderedLists(holder: Lists, parent: ParentKind): Lists {
  return Object.fromEntries(
    childrenOf(parent).map((e) => {
      const { list, order } = specOf(e);
      return [
        list!,
        sortedList(
          holder[list!]!.map((row) => ordered(row, e)),
          order,
        ),
      ];
    }),
  );
}

/** One order for everything, so that the same facts are always the same bytes. Surfaces stand in the order of their rooms. */
export function canonical(facts: JobFacts): JobFacts {
  const whole = { job: facts.job, ...orderedLists(facts as unknown as Lists, 'job') } as unknown as JobFacts;
  const place = new Map(whole.spaces.map((s, i) => [s.id, i]));
  const byRoom = (a: Row, b: Row) => (place.get(a['spaceId'] as string) ?? 0) - (place.get(b['spaceId'] as string) ?? 0);
  return { ...whole, surfaces: sortedList(whole.surfaces as unknown as Row[], byRoom) as unknown as JobFacts['surfaces'] };
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
