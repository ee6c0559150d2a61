/**
 * The one way in for every write: a change, applied by one reducer that the screen, the server, import and the
 * demo seed share. Applying is pure; a change that does not fit gives problems and alters nothing.
 */
import { z } from 'zod';
import { APPEND_ONLY, CHILD_LIST, ENTITY_FIELDS, Id, Instant, isChild, JOB_LIST, type Entity, type JobFacts, type Surface } from './schema';
import { fromZod, ok, wrong, type Outcome, type Problem } from './problems';
import { jobProblems } from './validate';

export const Change = z.strictObject({
  /** Made by the client. Sending one twice changes nothing. */
  id: Id,
  /** Null for a change of the firm's own settings. */
  jobId: Id.nullable(),
  entity: z.enum([...(Object.keys(ENTITY_FIELDS) as [Entity, ...Entity[]]), 'firm']),
  entityId: Id,
  /** The surface under which a part, layer, reading, check, sample, square or board stands; null for the others. */
  surfaceId: Id.nullable(),
  op: z.enum(['add', 'set', 'remove', 'restore']),
  fields: z.record(z.string(), z.unknown()),
  /** For `set`: what the author saw in the same fields, so that two people editing one field are told. */
  saw: z.record(z.string(), z.unknown()).optional(),
  at: Instant,
  by: z.string().min(1).max(120),
});
export type Change = z.infer<typeof Change>;

/** A change that belongs to a job. */
export type JobChange = Change & { readonly jobId: string; readonly entity: Entity };
export const isJobChange = (c: Change): c is JobChange => c.entity !== 'firm' && c.jobId !== null;

interface Row {
  readonly id: string;
  readonly removedAt?: string | null;
}

function applyToList<T extends Row>(list: readonly T[], c: JobChange, made: (fields: Record<string, unknown>) => T): Outcome<T[]> {
  const at = list.findIndex((r) => r.id === c.entityId);
  if (c.op === 'add') {
    if (at >= 0) return wrong({ path: 'entityId', message: `this ${c.entity} is already on the job` });
    const parsed = ENTITY_FIELDS[c.entity].safeParse(c.fields);
    if (!parsed.success) return wrong(...fromZod(parsed.error, c.fields));
    return ok([...list, made(parsed.data)]);
  }
  const row = list[at];
  if (row === undefined) return wrong({ path: 'entityId', message: `this ${c.entity} is not on the job` });
  if (APPEND_ONLY.includes(c.entity)) {
    return wrong({ path: 'op', message: `a ${c.entity} is never edited or removed: add one that replaces it and says why` });
  }
  const patched = patch(row, c);
  return patched.ok ? ok(list.map((r, i) => (i === at ? patched.value : r))) : patched;
}

function patch<T extends object>(row: T, c: JobChange): Outcome<T> {
  if (c.op === 'remove') return ok({ ...row, removedAt: c.at });
  if (c.op === 'restore') return ok({ ...row, removedAt: null });
  const parsed = ENTITY_FIELDS[c.entity].partial().safeParse(c.fields);
  if (!parsed.success) return wrong(...fromZod(parsed.error, c.fields));
  // Only what was sent: a default stands for a missing field of a new record, never for one that was left alone.
  return ok({ ...row, ...Object.fromEntries(Object.keys(c.fields).map((k) => [k, (parsed.data as Record<string, unknown>)[k]])) });
}

/** Observations carry their author; things that can be taken away carry when. */
const authorOrLife = (c: JobChange) => (APPEND_ONLY.includes(c.entity) ? { by: c.by } : { removedAt: null });
/** What a new record of each list begins with beside its fields. */
const START = {
  spaces: {},
  surfaces: { parts: [], layers: [], readings: [], checks: [], samples: [], squares: [], boards: [] },
  photos: {},
  instrumentChecks: {},
};

function applyToSurface(s: Surface, c: JobChange): Outcome<Surface> {
  if (!isChild(c.entity)) return wrong({ path: 'entity', message: 'not a part of a surface' });
  const list = CHILD_LIST[c.entity];
  const next = applyToList<Row>(s[list], c, (fields) => ({ id: c.entityId, ...fields, ...authorOrLife(c) }));
  return next.ok ? ok({ ...s, [list]: next.value }) : next;
}

/**
 * Applies one change. `facts` is null only for a job's own `add`.
 * @returns the new facts, sharing every record that did not change; or what is wrong, with nothing applied
 */
export function applyChange(facts: JobFacts | null, c: Change): Outcome<JobFacts> {
  if (!isJobChange(c)) return wrong({ path: 'entity', message: 'a change of the firm’s settings does not belong to a job' });
  if (c.entity === 'job' && c.op === 'add') {
    if (facts !== null) return wrong({ path: 'entityId', message: 'this job is already there' });
    if (c.jobId !== c.entityId) return wrong({ path: 'entityId', message: 'a job change carries the job id twice' });
    const parsed = ENTITY_FIELDS.job.safeParse(c.fields);
    if (!parsed.success) return wrong(...fromZod(parsed.error, c.fields));
    return ok({
      job: { id: c.jobId, ...parsed.data, createdAt: c.at, removedAt: null },
      spaces: [],
      surfaces: [],
      photos: [],
      instrumentChecks: [],
    });
  }
  if (facts === null || facts.job.id !== c.jobId) return wrong({ path: 'jobId', message: 'there is no such job' });
  if (c.entity === 'job') {
    if (c.entityId !== c.jobId) return wrong({ path: 'entityId', message: 'a job change carries the job id twice' });
    const next = patch(facts.job, c);
    return next.ok ? ok({ ...facts, job: next.value }) : next;
  }
  if (!isChild(c.entity)) {
    const list = JOB_LIST[c.entity];
    const next = applyToList<Row>(facts[list], c, (fields) => ({ id: c.entityId, ...fields, ...START[list], ...authorOrLife(c) }));
    return next.ok ? ok({ ...facts, [list]: next.value }) : next;
  }
  const at = facts.surfaces.findIndex((s) => s.id === c.surfaceId);
  const surface = facts.surfaces[at];
  if (surface === undefined) return wrong({ path: 'surfaceId', message: 'this surface is not on the job' });
  const next = applyToSurface(surface, c);
  return next.ok ? ok({ ...facts, surfaces: facts.surfaces.map((s, i) => (i === at ? next.value : s)) }) : next;
}

/**
 * Applies a batch, all or nothing, then checks what only the whole can tell (shares, references, years).
 * @param thisYear the calendar year now, for "in the future"
 */
export function applyChanges(facts: JobFacts | null, changes: readonly Change[], thisYear: number): Outcome<JobFacts> {
  let current = facts;
  const touched = new Set<string>();
  for (const [i, c] of changes.entries()) {
    const next = applyChange(current, c);
    if (!next.ok) return { ok: false, problems: next.problems.map((p) => ({ ...p, path: `changes[${i}].${fieldPath(p)}` })) };
    current = next.value;
    touched.add(c.surfaceId ?? c.entityId);
  }
  if (current === null) return wrong({ path: 'changes', message: 'holds no change' });
  const problems = jobProblems(current, thisYear, touched);
  return problems.length > 0 ? { ok: false, problems } : ok(current);
}

const ENVELOPE: readonly string[] = ['entityId', 'jobId', 'op', 'entity', 'surfaceId'];
const fieldPath = (p: Problem): string => (ENVELOPE.includes(p.path) ? p.path : `fields.${p.path}`);

function find(facts: JobFacts, c: JobChange): Record<string, unknown> | undefined {
  if (c.entity === 'job') return facts.job;
  if (!isChild(c.entity)) return facts[JOB_LIST[c.entity]].find((r) => r.id === c.entityId);
  return facts.surfaces.find((s) => s.id === c.surfaceId)?.[CHILD_LIST[c.entity]].find((r) => r.id === c.entityId);
}

export interface Undo {
  readonly op: Change['op'];
  readonly fields: Record<string, unknown>;
}

/** What takes a change back, judged on the facts before it; null for observations, which are only superseded. */
export function inverse(before: JobFacts | null, c: JobChange): Undo | null {
  if (APPEND_ONLY.includes(c.entity)) return null;
  if (c.op === 'add' || c.op === 'restore') return { op: 'remove', fields: {} };
  if (c.op === 'remove') return { op: 'restore', fields: {} };
  const row = before && find(before, c);
  if (!row) return null;
  return { op: 'set', fields: Object.fromEntries(Object.keys(c.fields).map((k) => [k, row[k]])) };
}

export interface Clash {
  readonly changeId: string;
  readonly entity: Entity;
  readonly entityId: string;
  readonly field: string;
  readonly theirs: unknown;
  readonly yours: unknown;
}

/** Fields in which another person wrote since the author looked. The later write stands; both are in the log. */
export function clashes(facts: JobFacts, c: JobChange): Clash[] {
  const row = c.op === 'set' && c.saw ? find(facts, c) : undefined;
  if (!row) return [];
  return Object.keys(c.fields).flatMap((field) => {
    const theirs = row[field];
    const same = (a: unknown, b: unknown) => JSON.stringify(a) === JSON.stringify(b);
    if (!(field in (c.saw ?? {})) || same(theirs, c.saw?.[field]) || same(theirs, c.fields[field])) return [];
    return [{ changeId: c.id, entity: c.entity, entityId: c.entityId, field, theirs, yours: c.fields[field] }];
  });
}

/** The changes that make a whole job from nothing: how import and the seed go in by the one door. */
export function changesFor(facts: JobFacts, makeId: () => string, by: string): JobChange[] {
  const { job, spaces, surfaces, photos, instrumentChecks } = facts;
  const out: JobChange[] = [];
  const push = (entity: Entity, entityId: string, surfaceId: string | null, row: object, at = job.createdAt, author = by) => {
    const keys = Object.keys(ENTITY_FIELDS[entity].shape);
    const fields = Object.fromEntries(keys.map((k) => [k, (row as Record<string, unknown>)[k]]));
    out.push({ id: makeId(), jobId: job.id, entity, entityId, surfaceId, op: 'add', fields, at, by: author });
    const removedAt = (row as { removedAt?: string | null }).removedAt;
    if (removedAt) out.push({ id: makeId(), jobId: job.id, entity, entityId, surfaceId, op: 'remove', fields: {}, at: removedAt, by });
  };
  push('job', job.id, null, job);
  spaces.forEach((s) => push('space', s.id, null, s));
  for (const s of surfaces) {
    push('surface', s.id, null, s);
    s.parts.forEach((p) => push('part', p.id, s.id, p));
    s.layers.forEach((l) => push('layer', l.id, s.id, l));
    s.samples.forEach((x) => push('sample', x.id, s.id, x));
    s.readings.forEach((r) => push('reading', r.id, s.id, r, r.takenAt, r.by));
    s.checks.forEach((k) => push('check', k.id, s.id, k, k.takenAt, k.by));
    s.squares.forEach((q) => push('square', q.id, s.id, q));
    s.boards.forEach((b) => push('board', b.id, s.id, b));
  }
  photos.forEach((p) => push('photo', p.id, null, p, p.takenAt));
  instrumentChecks.forEach((k) => push('instrumentCheck', k.id, null, k, k.takenAt, k.by));
  return out;
}
