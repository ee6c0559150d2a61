/** The open job file, `*.roughsill.json`. Documented in docs/job-file.md; its JSON Schema is made from this Zod schema. */
import { z } from 'zod';
import { JobFacts } from './schema';
import { MEASURES, PART_KINDS } from './vocabulary';
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
  ...JobFacts.shape,
});
export type JobFile = z.infer<typeof JobFile>;

const byPosition = <T extends { position: number; id: string }>(a: T, b: T) => a.position - b.position || (a.id < b.id ? -1 : 1);
const byId = <T extends { id: string }>(a: T, b: T) => (a.id < b.id ? -1 : 1);
const byTime = <T extends { takenAt: string; id: string }>(a: T, b: T) =>
  a.takenAt === b.takenAt ? (a.id < b.id ? -1 : 1) : a.takenAt < b.takenAt ? -1 : 1;

/** One order for everything, so that the same facts are always the same bytes. */
export function canonical(facts: JobFacts): JobFacts {
  const spaces = [...facts.spaces].sort(byPosition);
  const place = new Map(spaces.map((s, i) => [s.id, i]));
  const surfaces = [...facts.surfaces]
    .sort((a, b) => (place.get(a.spaceId) ?? 0) - (place.get(b.spaceId) ?? 0) || byPosition(a, b))
    .map((s) => ({
      ...s,
      measures: Object.fromEntries(MEASURES.flatMap((m) => (s.measures[m] === undefined ? [] : [[m, s.measures[m]]]))),
      parts: [...s.parts].sort((a, b) => PART_KINDS.indexOf(a.kind) - PART_KINDS.indexOf(b.kind) || (a.id < b.id ? -1 : 1)),
      layers: [...s.layers].sort(byPosition),
      readings: s.readings
        .map((r) => ({ ...r, changedLayerIds: r.reachedLayerIds.filter((id) => r.changedLayerIds.includes(id)) }))
        .sort(byTime),
      checks: [...s.checks].sort(byTime),
      samples: [...s.samples].sort((a, b) => (a.number === b.number ? (a.id < b.id ? -1 : 1) : a.number < b.number ? -1 : 1)),
      squares: [...s.squares].sort((a, b) =>
        (a.startedAt ?? '9') < (b.startedAt ?? '9') ? -1 : a.startedAt === b.startedAt ? byId(a, b) : 1,
      ),
      boards: [...s.boards].sort((a, b) => a.label.localeCompare(b.label, 'en', { numeric: true }) || byId(a, b)),
    }));
  return {
    job: facts.job,
    spaces,
    surfaces,
    photos: [...facts.photos].sort(byTime),
    instrumentChecks: [...facts.instrumentChecks].sort(byTime),
  };
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
  const { format: _f, version: _v, ...facts } = parsed.data;
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
  const maybe = (id: string | null) => (id === null ? null : fresh(id));
  return {
    job: { ...facts.job, id: fresh(facts.job.id) },
    spaces: facts.spaces.map((s) => ({ ...s, id: fresh(s.id) })),
    surfaces: facts.surfaces.map((s) => ({
      ...s,
      id: fresh(s.id),
      spaceId: fresh(s.spaceId),
      parts: s.parts.map((p) => ({ ...p, id: fresh(p.id) })),
      layers: s.layers.map((l) => ({ ...l, id: fresh(l.id) })),
      readings: s.readings.map((r) => ({
        ...r,
        id: fresh(r.id),
        reachedLayerIds: r.reachedLayerIds.map(fresh),
        changedLayerIds: r.changedLayerIds.map(fresh),
        supersedesId: maybe(r.supersedesId),
        sampleId: maybe(r.sampleId),
      })),
      samples: s.samples.map((x) => ({
        ...x,
        id: fresh(x.id),
        reachedLayerIds: x.reachedLayerIds.map(fresh),
        repeatsId: maybe(x.repeatsId),
      })),
      checks: s.checks.map((c) => ({ ...c, id: fresh(c.id), supersedesId: maybe(c.supersedesId) })),
      squares: s.squares.map((q) => ({ ...q, id: fresh(q.id), partId: maybe(q.partId), stoppedOnLayerId: maybe(q.stoppedOnLayerId) })),
      boards: s.boards.map((b) => ({ ...b, id: fresh(b.id) })),
      workOrder: s.workOrder.map((x) => x.replace(/^[^/]+/, fresh)),
    })),
    photos: facts.photos.map((p) => ({
      ...p,
      id: fresh(p.id),
      ofSurfaceId: maybe(p.ofSurfaceId),
      ofSampleId: maybe(p.ofSampleId),
      ofCheckId: maybe(p.ofCheckId),
      ofSquareId: maybe(p.ofSquareId),
    })),
    instrumentChecks: facts.instrumentChecks.map((k) => ({ ...k, id: fresh(k.id) })),
  };
}
