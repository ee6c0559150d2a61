/**
 * The reducer: a change applied to the facts. Screen, server, import and the demo seed share it. Applying is pure; a change that
 * does not fit gives problems and alters nothing. How records hang together is the registry's; nothing here knows one by name.
 */
import { CHANGE_VERSION, FIRM_SETTINGS, isJobChange, type Actor, type Change, type JobChange } from './envelope';
import { fromZod, ok, wrong, type Outcome, type Problem } from './problems';
import { firmProblems } from './firm-problems';
import {
  asParent,
  eachRecord,
  emptyLists,
  fieldsOf,
  isAppendOnly,
  specOf,
  type Entity,
  type FirmFacts,
  type JobFacts,
  type Row,
} from './registry';
import { same } from '../graph/same';
import { jobProblems, Touched } from './validate';

type Holder = Readonly<Record<string, readonly Row[]>>;

function applyToList(list: readonly Row[], c: Change & { entity: Entity }): Outcome<Row[]> {
  const spec = specOf(c.entity);
  const at = list.findIndex((r) => r.id === c.entityId);
  if (c.op === 'add') {
    if (at >= 0) return wrong({ path: 'entityId', message: `this ${c.entity} is already on the job` });
    if (list.length >= spec.most) return wrong({ path: 'entity', message: `at most ${spec.most} ${spec.list} can stand here` });
    const parsed = spec.fields.safeParse(c.fields);
    if (!parsed.success) return wrong(...fromZod(parsed.error, c.fields));
    const taken =
      spec.oneAt === undefined ? undefined : list.find((r) => r['removedAt'] === null && r[spec.oneAt!] === c.fields[spec.oneAt!]);
    if (taken) return wrong({ path: spec.oneAt!, message: 'another one was entered in its place meanwhile: look at it again' });
    const parent = asParent(c.entity);
    const lists = parent ? emptyLists(parent) : {};
    return ok([...list, { id: c.entityId, ...parsed.data, ...lists, ...(spec.appendOnly ? { by: c.by } : { removedAt: null }) }]);
  }
  const row = list[at];
  if (row === undefined) return wrong({ path: 'entityId', message: `this ${c.entity} is not on the job` });
  if (spec.appendOnly) {
    return wrong({ path: 'op', message: `a ${c.entity} is never edited or removed: add one that replaces it and says why` });
  }
  const patched = patch(row, c);
  return patched.ok ? ok(list.map((r, i) => (i === at ? patched.value : r))) : patched;
}

function patch<T extends object>(row: T, c: Change & { entity: Entity }): Outcome<T> {
  if (c.op === 'remove') return ok({ ...row, removedAt: c.at });
  if (c.op === 'restore') return ok({ ...row, removedAt: null });
  const parsed = specOf(c.entity).fields.partial().safeParse(c.fields);
  if (!parsed.success) return wrong(...fromZod(parsed.error, c.fields));
  // Only what was sent: a default stands for a missing field of a new record, never for one that was left alone.
  return ok({ ...row, ...Object.fromEntries(Object.keys(c.fields).map((k) => [k, parsed.data[k]])) });
}

/** Applies to a list of the holder and gives the holder back, sharing every list that did not change. */
function applyToHolder<T extends object>(holder: T, c: Change & { entity: Entity }): Outcome<T> {
  const list = specOf(c.entity).list!;
  const next = applyToList((holder as Holder)[list]!, c);
  return next.ok ? ok({ ...holder, [list]: next.value }) : next;
}

/**
 * Applies one change. `facts` is null only for a job's own `add`.
 * @returns the new facts, sharing every record that did not change; or what is wrong, with nothing applied
 */
export function applyChange(facts: JobFacts | null, c: Change): Outcome<JobFacts> {
  if (!isJobChange(c)) return wrong({ path: 'entity', message: 'a change of the firm does not belong to a job' });
  if (c.entity === 'job' && c.jobId !== c.entityId) return wrong({ path: 'entityId', message: 'a job change carries the job id twice' });
  if (c.entity === 'job' && c.op === 'add') {
    if (facts !== null) return wrong({ path: 'entityId', message: 'this job is already there' });
    const parsed = specOf('job').fields.safeParse(c.fields);
    if (!parsed.success) return wrong(...fromZod(parsed.error, c.fields));
    const job = { id: c.jobId, ...parsed.data, createdAt: c.at, removedAt: null };
    return ok({ job, ...emptyLists('job') } as unknown as JobFacts);
  }
  if (facts === null || facts.job.id !== c.jobId) return wrong({ path: 'jobId', message: 'there is no such job' });
  if (c.entity === 'job') {
    const next = patch(facts.job, c);
    return next.ok ? ok({ ...facts, job: next.value }) : next;
  }
  if (c.parent.kind === 'job') return applyToHolder(facts, c);
  const at = facts.surfaces.findIndex((s) => s.id === c.parent.id);
  const surface = facts.surfaces[at];
  if (c.parent.kind !== 'surface' || surface === undefined) return wrong({ path: 'parent', message: 'this surface is not on the job' });
  const next = applyToHolder(surface, c);
  if (!next.ok) return next;
  const surfaces = facts.surfaces.slice();
  surfaces[at] = next.value;
  return ok({ ...facts, surfaces });
}

/** Applies a change of the firm's own records; its settings have a schema of their own (rulebook/settings.ts). */
export function applyFirmChange(facts: FirmFacts, c: Change): Outcome<FirmFacts> {
  if (c.entity === FIRM_SETTINGS || specOf(c.entity).scope !== 'firm')
    return wrong({ path: 'entity', message: 'is not a record of the firm' });
  const next = applyToHolder(facts, c as Change & { entity: Entity });
  if (!next.ok || (c.op !== 'add' && c.op !== 'set')) return next;
  const problems = firmProblems(next.value, c.entity as Entity, c.entityId);
  return problems.length > 0 ? { ok: false, problems } : next;
}

/**
 * Applies a batch, all or nothing, then checks what only the whole can tell (shares, references, years).
 * @param thisYear the calendar year now, for "in the future"
 */
export function applyChanges(facts: JobFacts | null, changes: readonly Change[], thisYear: number): Outcome<JobFacts> {
  let current = facts;
  const touched = new Touched();
  for (const [i, c] of changes.entries()) {
    const next = applyChange(current, c);
    if (!next.ok) return { ok: false, problems: next.problems.map((p) => ({ ...p, path: `changes[${i}].${fieldPath(p)}` })) };
    current = next.value;
    touched.add(c as JobChange);
  }
  if (current === null) return wrong({ path: 'changes', message: 'holds no change' });
  const problems = jobProblems(current, thisYear, touched);
  return problems.length > 0 ? { ok: false, problems } : ok(current);
}

const ENVELOPE: readonly string[] = ['entityId', 'jobId', 'op', 'entity', 'parent'];
/** Fields of the record stand below `fields`; the envelope's own do not. */
export const fieldPath = (p: Problem): string => (ENVELOPE.includes(p.path) ? p.path : `fields.${p.path}`);

/** The record that a change is about, as it stands. */
export function recordOf(facts: JobFacts, c: Pick<JobChange, 'entity' | 'entityId' | 'parent'>): Row | undefined {
  if (c.entity === 'job') return facts.job as unknown as Row;
  const holder: object | undefined = c.parent.kind === 'surface' ? facts.surfaces.find((s) => s.id === c.parent.id) : facts;
  return (holder as Holder | undefined)?.[specOf(c.entity).list!]?.find((r) => r.id === c.entityId);
}

export interface Undo {
  readonly op: Change['op'];
  readonly fields: Record<string, unknown>;
}

/** What takes a change back, judged on the facts before it; null for observations, which are only superseded. */
export function inverse(before: JobFacts | null, c: JobChange): Undo | null {
  if (isAppendOnly(c.entity)) return null;
  if (c.op === 'add' || c.op === 'restore') return { op: 'remove', fields: {} };
  if (c.op === 'remove') return { op: 'restore', fields: {} };
  const row = before && recordOf(before, c);
  if (!row) return null;
  return { op: 'set', fields: Object.fromEntries(Object.keys(c.fields).map((k) => [k, row[k]])) };
}

/** The fields of the record that withdraws a reading, but for its time. */
export const withdrawalOf = (id: string, reading: Readonly<Record<string, unknown>>, why: string): Record<string, unknown> => ({
  ...reading,
  kind: 'withdrawn',
  spot: null,
  changedLayerIds: [],
  value: null,
  unit: null,
  bandLow: null,
  bandHigh: null,
  humidityPct: null,
  trace: false,
  below: false,
  finding: null,
  note: '',
  supersedesId: id,
  supersedesWhy: why,
});

/**
 * What takes an observation back right after it was made: a record of its own, for nothing that was recorded is unwritten. A failed check
 * was seen, and stays.
 * @returns the fields of that record, but for its time; null: it cannot be taken back
 */
export function withdrawal(c: JobChange, why: string): Record<string, unknown> | null {
  if (c.op !== 'add') return null;
  // A withdrawal is not withdrawn: what it took out is recorded anew.
  if (c.entity === 'reading' && c.fields['kind'] === 'withdrawn') return null;
  if (c.entity === 'reading') return withdrawalOf(c.entityId, c.fields, why);
  if (c.entity === 'check' && c.fields['outcome'] === 'pass')
    return { ...c.fields, gate: 'withdrawn', measured: [], note: '', supersedesId: c.entityId, supersedesWhy: why };
  if (c.entity === 'sign' && c.fields['sign'] !== 'withdrawn')
    return { ...c.fields, sign: 'withdrawn', note: '', supersedesId: c.entityId, supersedesWhy: why };
  return null;
}

export interface Clash {
  readonly changeId: string;
  readonly entity: Entity;
  readonly entityId: string;
  readonly field: string;
  readonly theirs: unknown;
  readonly yours: unknown;
}

/**
 * Fields in which another person wrote since the author looked. The later write stands; both are in the log.
 * @param facts as they stand right before this change, the author's own earlier ones included
 */
export function clashes(facts: JobFacts, c: JobChange): Clash[] {
  const row = c.op === 'set' && c.saw ? recordOf(facts, c) : undefined;
  if (!row) return [];
  return Object.keys(c.fields).flatMap((field) => {
    const theirs = row[field];
    if (!(field in (c.saw ?? {})) || same(theirs, c.saw?.[field]) || same(theirs, c.fields[field])) return [];
    return [{ changeId: c.id, entity: c.entity, entityId: c.entityId, field, theirs, yours: c.fields[field] }];
  });
}

const NOBODY: Omit<Actor, 'by'> = { personId: null, device: null };
/**
 * The changes that make a whole job from nothing: how import and the seed go in by the one door. What was observed keeps who observed it, as it
 * is claimed there.
 */
export function changesFor(facts: JobFacts, makeId: () => string, by: string, who = NOBODY): JobChange[] {
  const { job } = facts;
  const out: JobChange[] = [];
  eachRecord(facts, (row, { entity, parent }) => {
    const spec = specOf(entity);
    const fields = fieldsOf(entity, row as never) as Record<string, unknown>;
    const at = spec.time ? (row[spec.time] as string) : job.createdAt;
    const author = spec.appendOnly ? (row['by'] as string) : by;
    // Who brings it in is not who observed it.
    const personId = author === by ? who.personId : null;
    const stamp = { v: CHANGE_VERSION, jobId: job.id, entity, entityId: row.id, parent, ...who, personId, act: null } as const;
    out.push({ ...stamp, id: makeId(), op: 'add', fields, at, by: author });
    const removedAt = row['removedAt'] as string | null | undefined;
    if (removedAt) out.push({ ...stamp, id: makeId(), op: 'remove', fields: {}, at: removedAt, by });
  });
  return out;
}
