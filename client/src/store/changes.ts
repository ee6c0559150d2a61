/** Every tap that writes goes through `commit`: checked by the core, shown at once, queued for the server. */
import {
  applyChange,
  applyChanges,
  CHILD_LIST,
  inverse,
  isChild,
  isJobChange,
  JOB_LIST,
  type Change,
  type Entity,
  type FirmSettings,
  type JobFacts,
  type Outcome,
  type Problem,
} from '@roughsill/core';
import { flush } from './sync';
import { jobsSlice, noticeSlice, outboxSlice, sessionSlice, type UndoStep } from './slices';
import type { Thunk } from './store';

/** 128 random bits. Not crypto.randomUUID: a phone that reaches the office machine over plain http does not have it. */
export const newId = (): string => Array.from(crypto.getRandomValues(new Uint8Array(16)), (b) => b.toString(16).padStart(2, '0')).join('');
const now = (): string => new Date().toISOString();

/** A change without its stamp. */
export interface Draft {
  readonly entity: Entity;
  readonly entityId: string;
  readonly surfaceId?: string;
  readonly op: Change['op'];
  readonly fields?: Record<string, unknown>;
}

export const add = (entity: Entity, fields: object, surfaceId?: string, entityId = newId()): Draft => ({
  entity,
  entityId,
  surfaceId,
  op: 'add',
  fields: { ...fields },
});
export const set = (entity: Entity, entityId: string, fields: object, surfaceId?: string): Draft => ({
  entity,
  entityId,
  surfaceId,
  op: 'set',
  fields: { ...fields },
});
export const remove = (entity: Entity, entityId: string, surfaceId?: string): Draft => ({ entity, entityId, surfaceId, op: 'remove' });

function seen(facts: JobFacts | null, d: Draft): Record<string, unknown> | undefined {
  if (!facts || d.op !== 'set') return undefined;
  const row: object | undefined =
    d.entity === 'job'
      ? facts.job
      : isChild(d.entity)
        ? facts.surfaces.find((s) => s.id === d.surfaceId)?.[CHILD_LIST[d.entity]].find((r) => r.id === d.entityId)
        : facts[JOB_LIST[d.entity]].find((r) => r.id === d.entityId);
  return row && Object.fromEntries(Object.keys(d.fields ?? {}).map((k) => [k, (row as Record<string, unknown>)[k]]));
}

const stamp = (jobId: string, d: Draft, by: string, facts: JobFacts | null): Change => ({
  id: newId(),
  jobId,
  entity: d.entity,
  entityId: d.entityId,
  surfaceId: d.surfaceId ?? null,
  op: d.op,
  fields: d.fields ?? {},
  saw: seen(facts, d),
  at: now(),
  by,
});

function undoOf(before: JobFacts | null, changes: readonly Change[]): Omit<UndoStep, 'label' | 'jobId'> | null {
  const back: Change[] = [];
  let facts = before;
  for (const c of changes.filter(isJobChange)) {
    const inv = inverse(facts, c);
    if (inv === null || (c.entity === 'job' && c.op === 'add')) return null;
    back.unshift({ ...c, id: newId(), op: inv.op, fields: inv.fields, saw: undefined });
    const next = applyChange(facts, c);
    if (!next.ok) return null;
    facts = next.value;
  }
  return { changes: back };
}

/**
 * Writes a batch to a job.
 * @param label what it did, for the undo button; null: not to be taken back by a button
 * @returns problems beside their fields, with nothing written; or nothing
 */
export const commit =
  (jobId: string, drafts: readonly Draft[], label: string | null): Thunk<readonly Problem[]> =>
  (dispatch, getState) => {
    const state = getState();
    const before = state.jobs.byId[jobId]?.facts ?? null;
    const changes = drafts.map((d) => stamp(jobId, d, state.session.person, before));
    const after: Outcome<JobFacts> = applyChanges(before, changes, new Date().getUTCFullYear());
    if (!after.ok) return after.problems.map((p) => ({ ...p, path: p.path.replace(/^changes\[\d+\]\.(fields\.)?/, '') }));
    dispatch(jobsSlice.actions.factsChanged({ facts: after.value, changes }));
    dispatch(outboxSlice.actions.queued(changes));
    const back = label === null ? null : undoOf(before, changes);
    dispatch(noticeSlice.actions.canUndo(back && label ? { ...back, label, jobId } : null));
    void dispatch(flush());
    return [];
  };

export const undo = (): Thunk => (dispatch, getState) => {
  const step = getState().notice.undo;
  if (!step) return;
  const changes = step.changes.map((c) => ({ ...c, at: now() }));
  const before = getState().jobs.byId[step.jobId]?.facts ?? null;
  const after = applyChanges(before, changes, new Date().getUTCFullYear());
  if (!after.ok) return void dispatch(noticeSlice.actions.refused({ says: 'It cannot be taken back any more.', problems: after.problems }));
  dispatch(jobsSlice.actions.factsChanged({ facts: after.value, changes }));
  dispatch(outboxSlice.actions.queued(changes));
  dispatch(noticeSlice.actions.canUndo(null));
  void dispatch(flush());
};

/** A setting of the firm, by the same road. */
export const changeSettings =
  (fields: Partial<FirmSettings>): Thunk =>
  (dispatch, getState) => {
    const { person } = getState().session;
    dispatch(sessionSlice.actions.settingsChanged(fields));
    dispatch(
      outboxSlice.actions.queued([
        { id: newId(), jobId: null, entity: 'firm', entityId: 'firm', surfaceId: null, op: 'set', fields, at: now(), by: person },
      ]),
    );
    void dispatch(flush());
  };
