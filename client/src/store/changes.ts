/** Every tap that writes goes through `commit`: checked by the core, shown at once, kept, queued for the server. */
import {
  applyChange,
  applyChanges,
  applyFirmChange,
  changesFor,
  copiedJob,
  CHANGE_VERSION,
  entryTold,
  FIRM_ID,
  FIRM_SETTINGS,
  inverse,
  isJobChange,
  ok,
  recordOf,
  scopeParent,
  withdrawal,
  wrong,
  type Actor,
  type Change,
  type CopyWay,
  type Entity,
  type FirmSettings,
  type JobChange,
  type JobFacts,
  type Outcome,
  type Problem,
} from '@roughsill/core/records';
import { newId } from './ids';
import { deviceId, saveAtPhone, type AtPhone } from './persist';
import { keep, keepMissing } from './shelf';
import { flush, loadJob } from './sync';
import { jobsSlice, noticeSlice, outboxSlice, sessionSlice, type UndoStep } from './slices';
import type { RootState, Thunk } from './store';
import { tellTabs } from './tabs';

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

const parentOf = (jobId: string, d: Draft): Change['parent'] =>
  d.surfaceId === undefined ? scopeParent(d.entity, jobId) : { kind: 'surface', id: d.surfaceId };

function seen(facts: JobFacts | null, d: Draft, parent: Change['parent']): Record<string, unknown> | undefined {
  if (!facts || d.op !== 'set') return undefined;
  const row = recordOf(facts, { entity: d.entity, entityId: d.entityId, parent });
  return row && Object.fromEntries(Object.keys(d.fields ?? {}).map((k) => [k, row[k]]));
}

/** Who is at this phone, and which phone it is: with every entry. */
const actorOf = ({ session }: RootState): Actor => ({ by: session.person, personId: session.personId, device: deviceId() });

function stamp(jobId: string, d: Draft, actor: Actor, act: string, facts: JobFacts | null): Change {
  const parent = parentOf(jobId, d);
  return {
    v: CHANGE_VERSION,
    id: newId(),
    jobId,
    entity: d.entity,
    entityId: d.entityId,
    parent,
    op: d.op,
    fields: d.fields ?? {},
    saw: seen(facts, d, parent),
    at: now(),
    ...actor,
    act,
  };
}

function undoOf(before: JobFacts | null, changes: readonly Change[]): Pick<UndoStep, 'changes'> | null {
  const back: Change[] = [];
  let facts = before;
  for (const c of changes.filter(isJobChange)) {
    if (c.entity === 'job' && c.op === 'add') return null;
    const inv = inverse(facts, c);
    const record = inv === null ? withdrawal(c, 'taken back right after it was entered') : null;
    if (inv) back.unshift({ ...c, id: newId(), op: inv.op, fields: inv.fields, saw: undefined });
    else if (record) back.unshift({ ...c, id: newId(), entityId: newId(), fields: record });
    else return null;
    const next = applyChange(facts, c);
    if (!next.ok) return null;
    facts = next.value;
  }
  return { changes: back };
}

const why = (e: unknown): string =>
  e instanceof Error && e.name === 'QuotaExceededError' ? 'its store is full' : 'its store does not answer';

/** Shown and queued at once; kept right after, and told when it cannot be. Other tabs hear of it once it is kept. */
const queue =
  (changes: readonly Change[]): Thunk =>
  (dispatch) => {
    dispatch(outboxSlice.actions.queued(changes));
    void keep(changes)
      .catch((e: unknown) => dispatch(outboxSlice.actions.unkept(why(e))))
      .then(() => {
        tellTabs({ kind: 'queued', changes });
        return dispatch(flush());
      });
  };

/** Tries again to keep what this phone could not. */
export const keepAgain = (): Thunk<Promise<void>> => async (dispatch, getState) => {
  await keepMissing(getState().outbox.waiting).then(
    () => dispatch(outboxSlice.actions.unkept(null)),
    (e: unknown) => dispatch(outboxSlice.actions.unkept(why(e))),
  );
  await dispatch(flush());
};

/**
 * Writes a batch to a job.
 * @param label what it did, where the entry itself does not say; null: it does, or cannot be taken back
 * @returns problems beside their fields, with nothing written; or nothing
 */
export const commit =
  (jobId: string, drafts: readonly Draft[], label: string | null): Thunk<readonly Problem[]> =>
  (dispatch, getState) => {
    const state = getState();
    const before = state.jobs.byId[jobId]?.facts ?? null;
    const act = newId();
    const changes = drafts.map((d) => stamp(jobId, d, actorOf(state), act, before));
    const after: Outcome<JobFacts> = applyChanges(before, changes, new Date().getUTCFullYear());
    if (!after.ok) return after.problems.map((p) => ({ ...p, path: p.path.replace(/^changes\[\d+\]\.(fields\.)?/, '') }));
    dispatch(jobsSlice.actions.factsChanged({ facts: after.value, changes }));
    const back = undoOf(before, changes);
    const told = (before && entryTold(before, changes, before.job.units)) ?? label;
    if (back && told) dispatch(noticeSlice.actions.canUndo({ ...back, label: told, jobId }));
    else dispatch(noticeSlice.actions.tellNothing());
    dispatch(queue(changes));
    return [];
  };

const NOT_HERE: Problem = {
  path: 'from',
  message: 'that job is not on this phone, and there is no signal to fetch it: begin without it, or try again',
};
/**
 * Writes a job that is begun from another, which is fetched where it is not here. What was observed keeps who observed it, and when.
 * @returns the new job's id; or what is wrong, with nothing written
 */
export const beginFrom =
  (jobId: string, way: CopyWay, over: Parameters<typeof copiedJob>[2]): Thunk<Promise<Outcome<string>>> =>
  async (dispatch, getState) => {
    await dispatch(loadJob(jobId));
    const from = getState().jobs.byId[jobId]?.facts;
    if (!from) return wrong(NOT_HERE);
    const made = copiedJob(from, way, over, newId, now());
    if (!made.ok) return made;
    const { by, ...who } = actorOf(getState());
    const act = newId();
    const changes = changesFor(made.value, newId, by, who).map((c) => ({ ...c, act }));
    const after = applyChanges(null, changes, new Date().getUTCFullYear());
    if (!after.ok) return after;
    dispatch(jobsSlice.actions.factsChanged({ facts: after.value, changes }));
    dispatch(noticeSlice.actions.tellNothing());
    dispatch(queue(changes));
    return ok(made.value.job.id);
  };

/** Says who is at this phone: kept on it, and the author of every entry from now on. */
export const atPhone =
  (who: AtPhone): Thunk =>
  (dispatch) => {
    saveAtPhone(who);
    dispatch(sessionSlice.actions.atPhone(who));
  };

/** Takes the last entry back. @param jobId only one of this job */
export const undo =
  (jobId?: string): Thunk =>
  (dispatch, getState) => {
    const [step] = getState().notice.undo;
    if (!step || (jobId !== undefined && step.jobId !== jobId)) return;
    const act = newId();
    const at = now();
    const actor = actorOf(getState());
    const changes = step.changes.map((c) => ({
      ...c,
      ...actor,
      at,
      act,
      fields: c.op === 'add' && 'takenAt' in c.fields ? { ...c.fields, takenAt: at } : c.fields,
    }));
    const before = getState().jobs.byId[step.jobId]?.facts ?? null;
    const after = applyChanges(before, changes, new Date().getUTCFullYear());
    if (!after.ok)
      return void dispatch(noticeSlice.actions.refused({ says: 'It cannot be taken back any more.', problems: after.problems }));
    dispatch(jobsSlice.actions.factsChanged({ facts: after.value, changes }));
    dispatch(noticeSlice.actions.undone());
    dispatch(queue(changes));
  };

const ofFirm = (d: Omit<Draft, 'entity'> & { readonly entity: Change['entity'] }, actor: Actor): Change => ({
  v: CHANGE_VERSION,
  id: newId(),
  jobId: null,
  entity: d.entity,
  entityId: d.entityId,
  parent: { kind: 'firm', id: FIRM_ID },
  op: d.op,
  fields: d.fields ?? {},
  at: now(),
  ...actor,
  act: null,
});

/** A setting of the firm, by the same road. */
export const changeSettings =
  (fields: Partial<FirmSettings>): Thunk =>
  (dispatch, getState) => {
    dispatch(sessionSlice.actions.settingsChanged(fields));
    dispatch(queue([ofFirm({ entity: FIRM_SETTINGS, entityId: FIRM_SETTINGS, op: 'set', fields }, actorOf(getState()))]));
  };

/** People, machines and sites of the firm. @returns problems, with nothing written */
export const commitToFirm =
  (drafts: readonly Draft[]): Thunk<readonly Problem[]> =>
  (dispatch, getState) => {
    const changes = drafts.map((d) => ofFirm(d, actorOf(getState())));
    let next = getState().session.firm;
    for (const c of changes) {
      const made = applyFirmChange(next, c);
      if (!made.ok) return made.problems;
      next = made.value;
    }
    dispatch(sessionSlice.actions.firmChanged(next));
    dispatch(queue(changes));
    return [];
  };

/**
 * A change that was refused goes out again, mended: as a new one, for an id may not come again with other content.
 * @returns what is still wrong with it here, with nothing sent
 */
export const sendMended =
  (refused: JobChange, fields: Record<string, unknown>): Thunk<readonly Problem[]> =>
  (dispatch, getState) => {
    const change: JobChange = { ...refused, ...actorOf(getState()), id: newId(), fields, saw: undefined, at: now(), act: null };
    const before = getState().jobs.byId[change.jobId]?.facts ?? null;
    const after = applyChanges(before, [change], new Date().getUTCFullYear());
    if (!after.ok) return after.problems.map((p) => ({ ...p, path: p.path.replace(/^changes\[0\]\.(fields\.)?/, '') }));
    dispatch(jobsSlice.actions.factsChanged({ facts: after.value, changes: [change] }));
    dispatch(queue([change]));
    return [];
  };
