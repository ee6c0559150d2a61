/** The outbox goes out, others' changes come in, and what is not sent is never lost. */
import {
  applyChange,
  applyFirmChange,
  CHANGE_VERSION,
  FIRM_SETTINGS,
  readSettings,
  NO_FIRM,
  isJobChange,
  writeJobFile,
  type Change,
  type FirmFacts,
  type FirmSettings,
  type JobFacts,
} from '@roughsill/core/records';
import { api, NOTHING, type Sent } from './api';
import { jobsSlice, noticeSlice, outboxSlice, sessionSlice, withChanges, type SettledAct } from './slices';
import { jobIds, loadKeptJob, saveFact, sendAgain, sentChanges, settle, type Aside } from './shelf';
import type { Thunk } from './store';
import { alone, tellTabs } from './tabs';

const BATCH = 300;
/** What was written by one tap goes out together, up to this. */
const LARGEST_BATCH = 2000;
const RETRY_MS = 3000;
let flushing = false;
let timer: ReturnType<typeof setTimeout> | undefined;
/** Undefined: not asked yet. */
let serverForm: number | undefined;

/** The next changes to send: whole acts, for halves of one may only fit together. */
export function nextBatch(waiting: readonly Change[], most = BATCH): readonly Change[] {
  let end = Math.min(most, waiting.length);
  const act = waiting[end - 1]?.act ?? null;
  while (act !== null && end < Math.min(LARGEST_BATCH, waiting.length) && waiting[end]!.act === act) end += 1;
  return waiting.slice(0, end);
}

type Progress = 'went' | 'away' | 'stuck';

/** Sends one batch and settles what the server said of it. */
const sendOne =
  (batch: readonly Change[]): Thunk<Promise<Progress>> =>
  async (dispatch, getState) => {
    const sent = await api.send(batch);
    if (!sent.ok) {
      if (sent.error.kind === 'away') {
        dispatch(outboxSlice.actions.away(sent.error.says));
        return 'away';
      }
      // The server would not read the whole. Halves tell which part it is; a single one is set aside.
      if (batch.length > 1) {
        const half = Math.ceil(batch.length / 2);
        const first = await dispatch(sendOne(batch.slice(0, half)));
        return first === 'went' ? dispatch(sendOne(batch.slice(half))) : first;
      }
      const problems = sent.error.problems.length > 0 ? sent.error.problems : [{ path: '', message: sent.error.says }];
      await dispatch(settleBatch(batch, { ...NOTHING, refused: [{ id: batch[0]!.id, problems }] }));
      return 'went';
    }
    const { epoch } = getState().outbox;
    if (sent.value.form > CHANGE_VERSION) dispatch(outboxSlice.actions.newerSeen());
    await dispatch(settleBatch(batch, sent.value));
    if (sent.value.epoch !== epoch) await dispatch(anotherLife(sent.value.epoch));
    return sent.value.accepted.length + sent.value.refused.length > 0 ? 'went' : 'stuck';
  };

const settleBatch =
  (batch: readonly Change[], sent: Sent): Thunk<Promise<void>> =>
  async (dispatch, getState) => {
    const byId = new Map(batch.map((c) => [c.id, c]));
    const at = new Date().toISOString();
    const accepted = sent.accepted.flatMap((id) => byId.get(id) ?? []);
    const refused = sent.refused.flatMap((r): Aside[] => {
      const raw = byId.get(r.id);
      return raw ? [{ id: r.id, raw, problems: r.problems, at }] : [];
    });
    const done = new Set([...sent.accepted, ...refused.map((r) => r.id)]);
    // Kept first: a page that goes away now finds them sent, or sends them again, which changes nothing.
    await settle({ accepted, aside: refused }).catch((e: unknown) => dispatch(outboxSlice.actions.unkept(String(e))));
    const waiting = getState().outbox.waiting.filter((c) => !done.has(c.id));
    const act: SettledAct = { accepted, known: sent.known, refused, before: sent.before, cursors: sent.cursors, waiting };
    dispatch(settled(act));
    tellTabs({ kind: 'settled', act });
    if (sent.clashes.length > 0) dispatch(noticeSlice.actions.clashed(sent.clashes));
    // What was refused cannot be taken back: it does not stand.
    for (const { raw } of refused) {
      const { jobId } = raw as Change;
      if (jobId !== null) dispatch(noticeSlice.actions.forgotten(jobId));
    }
    const { restored } = getState().outbox;
    const known = new Set(sent.known);
    if (restored !== null) dispatch(outboxSlice.actions.restored(restored + accepted.filter((c) => !known.has(c.id)).length));
    for (const jobId of new Set(accepted.filter(isJobChange).map((c) => c.jobId)))
      if (sent.known.length > 0 || (getState().jobs.byId[jobId]?.acked.length ?? 0) > 0) void dispatch(pull(jobId));
  };

/** What the server took lately: should it be met again in the store of another tab, it is not shown and sent a second time. */
const taken = new Set<string>();
const TAKEN_KEPT = 20_000;

/** Counts how often the server took something of the firm's, so that an older answer is told from a newer one. */
let firmTaken = 0;

/** What the server said reaches the facts and the outbox alike; another tab may have heard it. */
export const settled =
  (act: SettledAct): Thunk =>
  (dispatch, getState) => {
    const done = new Set([...act.accepted.map((c) => c.id), ...act.refused.map((r) => r.id)]);
    if (taken.size > TAKEN_KEPT) taken.clear();
    done.forEach((id) => taken.add(id));
    if (act.accepted.some((c) => c.jobId === null)) firmTaken += 1;
    const waiting = getState().outbox.waiting.filter((c) => !done.has(c.id));
    dispatch(jobsSlice.actions.settled({ ...act, waiting }));
    dispatch(outboxSlice.actions.settled(act));
  };

/** Changes that were written elsewhere on this phone, in another tab or before this page was opened: shown, and sent with the others. */
export const adopt =
  (changes: readonly Change[]): Thunk =>
  (dispatch, getState) => {
    const there = new Set(getState().outbox.waiting.map((c) => c.id));
    const fresh = changes.filter((c) => !there.has(c.id) && !taken.has(c.id));
    if (fresh.length === 0) return;
    dispatch(outboxSlice.actions.queued(fresh));
    for (const jobId of new Set(fresh.map((c) => c.jobId))) {
      const job = jobId === null ? undefined : getState().jobs.byId[jobId];
      const facts = job && withChanges(job.facts, jobId!, fresh);
      if (facts) dispatch(jobsSlice.actions.factsChanged({ facts, changes: fresh.filter((c) => c.jobId === jobId) }));
    }
  };

export const flush = (): Thunk<Promise<void>> => async (dispatch, getState) => {
  if (flushing || getState().outbox.waiting.length === 0) return;
  flushing = true;
  clearTimeout(timer);
  const later = () => (timer = setTimeout(() => void dispatch(flush()), RETRY_MS));
  try {
    if (serverForm === undefined) await dispatch(loadSession());
    if (serverForm === undefined) {
      dispatch(outboxSlice.actions.away(getState().outbox.says ?? 'No signal to the server.'));
      later();
      return;
    }
    if (serverForm < CHANGE_VERSION) {
      dispatch(outboxSlice.actions.held());
      serverForm = undefined;
      later();
      return;
    }
    await alone('send', async () => {
      while (getState().outbox.waiting.length > 0) {
        dispatch(outboxSlice.actions.sending());
        const went = await dispatch(sendOne(nextBatch(getState().outbox.waiting)));
        if (went === 'went') continue;
        if (went === 'stuck') dispatch(outboxSlice.actions.away('Somebody else is writing to this job just now.'));
        else serverForm = undefined;
        later();
        return;
      }
    });
    // Another tab is sending: should it go away, this one takes over.
    if (getState().outbox.waiting.length > 0) later();
  } finally {
    flushing = false;
  }
};

export const loadSession = (): Thunk<Promise<void>> => async (dispatch, getState) => {
  const { settingsSet } = getState().session;
  const r = await api.session();
  if (!r.ok) {
    if (r.error.kind === 'away' && getState().outbox.waiting.length > 0) dispatch(outboxSlice.actions.away(r.error.says));
    return;
  }
  // A server from before there were forms names none.
  serverForm = r.value.form ?? 1;
  if (serverForm > CHANGE_VERSION) dispatch(outboxSlice.actions.newerSeen());
  // A server that is older than this page does not know every setting: what it leaves out has its default.
  const settings = readSettings({ ...r.value.settings, ...settingsWaiting(getState().outbox.waiting) });
  const { session } = getState();
  // What was set while it answered is newer than its answer, also when it has been sent since.
  const stands = session.settingsSet === settingsSet && settings.success ? settings.data : session.settings;
  dispatch(sessionSlice.actions.known({ person: r.value.person, personId: r.value.personId ?? null, settings: stands }));
  await dispatch(loadFirm());
  if (r.value.epoch !== undefined && r.value.epoch !== getState().outbox.epoch) await dispatch(anotherLife(r.value.epoch));
};

/** What was set here and has not reached the server. */
const settingsWaiting = (waiting: readonly Change[]): Partial<FirmSettings> =>
  Object.assign({}, ...waiting.filter((c) => c.entity === FIRM_SETTINGS).map((c) => c.fields)) as Partial<FirmSettings>;

/** The firm's own records, with what still waits on top. */
export const loadFirm = (): Thunk<Promise<void>> => async (dispatch, getState) => {
  const before = firmTaken;
  const r = await api.firm();
  if (!r.ok) return;
  // It was read before something of this phone was taken in: it does not know of that, and must not cover it.
  if (firmTaken !== before) return dispatch(loadFirm());
  // A server that is older than this page does not know every list; one that is newer knows more fields, and its records are shown all the same.
  const lists = Object.keys(NO_FIRM) as (keyof FirmFacts)[];
  const there = Object.fromEntries(lists.map((list) => [list, r.value[list] ?? []])) as unknown as FirmFacts;
  const firm = getState().outbox.waiting.reduce<FirmFacts>((f, c) => {
    const next = c.jobId === null ? applyFirmChange(f, c) : undefined;
    return next?.ok ? next.value : f;
  }, there);
  dispatch(sessionSlice.actions.firmChanged(firm));
};

/**
 * The server's database is another than before. The first time that is nothing; later it means that it was restored from a backup:
 * then its places in the log mean nothing here, all jobs are asked for anew, and what this phone had sent is sent again. What the
 * server still has it passes over.
 */
const anotherLife =
  (epoch: string): Thunk<Promise<void>> =>
  async (dispatch, getState) => {
    const before = getState().outbox.epoch;
    if (before === epoch) return;
    dispatch(outboxSlice.actions.epochKnown(epoch));
    if (before === null) return saveFact('epoch', epoch).catch(() => undefined);
    const brought = new Set<string>();
    const loaded: { jobId: string; base: JobFacts; cursor: number }[] = [];
    const known = new Set([...Object.keys(getState().jobs.byId), ...(await jobIds().catch(() => []))]);
    for (const jobId of known) {
      const r = await api.job(jobId);
      if (r.ok) loaded.push({ jobId, base: r.value.facts, cursor: r.value.cursor });
      if (r.ok || r.error.kind !== 'refused' || r.error.status !== 404) continue;
      // The whole job is gone there, and whole here.
      const base = getState().jobs.byId[jobId]?.base ?? (await loadKeptJob(jobId).catch(() => null))?.base;
      if (!base) continue;
      const back = await api.importFile(writeJobFile(base), false);
      if (!back.ok) continue;
      brought.add(jobId);
      loaded.push({ jobId, base, cursor: back.value.cursor });
    }
    const again = (await sentChanges().catch(() => [])).filter((c) => c.jobId === null || !brought.has(c.jobId));
    await sendAgain(again).catch(() => undefined);
    taken.clear();
    dispatch(outboxSlice.actions.requeued(again));
    const { waiting } = getState().outbox;
    for (const job of loaded) dispatch(jobsSlice.actions.jobLoaded({ ...job, waiting, anew: true }));
    dispatch(outboxSlice.actions.restored(brought.size));
    await saveFact('epoch', epoch).catch(() => undefined);
    void dispatch(flush());
  };

export const loadList = (): Thunk<Promise<void>> => async (dispatch) => {
  dispatch(jobsSlice.actions.listLoading());
  const r = await api.jobs();
  dispatch(r.ok ? jobsSlice.actions.listLoaded(r.value.jobs) : jobsSlice.actions.listAway());
};

const loadWhole =
  (jobId: string): Thunk<Promise<void>> =>
  async (dispatch, getState) => {
    const r = await api.job(jobId);
    if (!r.ok) {
      dispatch(jobsSlice.actions.jobFailed({ jobId, status: r.error.kind === 'away' ? 'away' : 'missing' }));
      return;
    }
    const { epoch, waiting } = getState().outbox;
    // An answer that was on its way while this phone's own changes were taken in is older than what is here: it must not cover them.
    const here = getState().jobs.byId[jobId];
    if (here && here.base && here.cursor > r.value.cursor && r.value.epoch === epoch) return dispatch(pull(jobId));
    dispatch(jobsSlice.actions.jobLoaded({ jobId, base: r.value.facts, cursor: r.value.cursor, waiting }));
    if (r.value.epoch !== epoch) await dispatch(anotherLife(r.value.epoch));
  };

/** Opens a job: whole the first time, then only what came since. */
export const loadJob =
  (jobId: string): Thunk<Promise<void>> =>
  async (dispatch, getState) => {
    const here = getState().jobs.byId[jobId];
    if (here?.base && here.cursor > 0) return dispatch(pull(jobId));
    dispatch(jobsSlice.actions.jobLoading(jobId));
    await dispatch(loadWhole(jobId));
  };

/** Opens jobs that this phone has not opened yet, the newest of them, so that what was learned there can be looked at. */
export const loadOtherJobs =
  (most: number): Thunk<Promise<void>> =>
  async (dispatch, getState) => {
    if (getState().jobs.list === null) await dispatch(loadList());
    const { list, byId } = getState().jobs;
    for (const j of (list ?? []).filter((x) => !byId[x.id]).slice(-most)) await dispatch(loadJob(j.id));
  };

/** Brings in what others wrote, page by page, in the server's order; what this phone wrote is among it. */
export const pull =
  (jobId: string): Thunk<Promise<void>> =>
  async (dispatch, getState) => {
    for (let more = true; more;) {
      const job = getState().jobs.byId[jobId];
      if (!job?.base) return;
      const r = await api.since(jobId, job.cursor);
      if (!r.ok) {
        // Gone there: only the whole answer can say so.
        if (r.error.kind === 'refused' && r.error.status === 404) dispatch(jobsSlice.actions.jobFailed({ jobId, status: 'missing' }));
        return;
      }
      if (r.value.epoch !== getState().outbox.epoch) {
        await dispatch(anotherLife(r.value.epoch));
        return;
      }
      const here = getState().jobs.byId[jobId];
      // Something else moved it meanwhile: that answer is the newer one.
      if (!here?.base || here.cursor !== job.cursor || (r.value.cursor <= here.cursor && r.value.changes.length === 0)) return;
      let { base } = here;
      for (const c of r.value.changes) {
        const next = applyChange(base, c);
        if (!next.ok) return dispatch(loadWhole(jobId));
        base = next.value;
      }
      // The answer to some may have been lost on its way: that they stand in the log says the same.
      const arrived = new Set(r.value.changes.map((c) => c.id));
      const heard = getState().outbox.waiting.filter((c) => arrived.has(c.id));
      if (heard.length > 0) {
        const act = { accepted: heard, known: heard.map((c) => c.id), refused: [], before: {}, cursors: {}, waiting: [] };
        await settle({ accepted: heard, aside: [] }).catch(() => undefined);
        dispatch(settled(act));
        tellTabs({ kind: 'settled', act });
      }
      const own = new Set([...here.acked.map((x) => x.change.id), ...heard.map((c) => c.id)]);
      const others = r.value.changes.some((c) => !own.has(c.id));
      const { waiting } = getState().outbox;
      dispatch(jobsSlice.actions.pulled({ jobId, base, cursor: r.value.cursor, changes: r.value.changes, waiting, others }));
      ({ more } = r.value);
    }
  };
