/** The outbox goes out, others' changes come in, and what is not sent is never lost. */
import { applyChange, FirmSettings, isJobChange, type Change, type JobFacts } from '@roughsill/core';
import { api } from './api';
import { jobsSlice, noticeSlice, outboxSlice, sessionSlice } from './slices';
import type { Thunk } from './store';

const BATCH = 300;
const RETRY_MS = 3000;
let flushing = false;
let timer: ReturnType<typeof setTimeout> | undefined;
/** Changes that this page sent: they come back in the log and must not be applied twice. */
const mine = new Set<string>();

/** Puts what is still waiting on top of the server's facts. A change that is already in there is passed over. */
export function withWaiting(facts: JobFacts, waiting: readonly Change[]): JobFacts {
  return waiting.reduce<JobFacts>((f, c) => {
    if (c.jobId !== f.job.id) return f;
    const next = applyChange(f, c);
    return next.ok ? next.value : f;
  }, facts);
}

export const flush = (): Thunk<Promise<void>> => async (dispatch, getState) => {
  if (flushing) return;
  flushing = true;
  clearTimeout(timer);
  try {
    while (getState().outbox.waiting.length > 0) {
      const batch = getState().outbox.waiting.slice(0, BATCH);
      dispatch(outboxSlice.actions.sending());
      const sent = await api.send(batch);
      if (!sent.ok && sent.error.kind === 'away') {
        dispatch(outboxSlice.actions.away(sent.error.says));
        timer = setTimeout(() => void dispatch(flush()), RETRY_MS);
        return;
      }
      batch.forEach((c) => mine.add(c.id));
      dispatch(outboxSlice.actions.sent(batch.map((c) => c.id)));
      if (sent.ok) {
        for (const [jobId, cursor] of Object.entries(sent.value.cursors)) dispatch(jobsSlice.actions.cursorMoved({ jobId, cursor }));
        if (sent.value.clashes.length > 0) dispatch(noticeSlice.actions.clashed(sent.value.clashes));
      } else if (sent.error.kind === 'refused') {
        // Someone else changed the ground under it. Say what was refused, and show the job as the server has it.
        dispatch(noticeSlice.actions.refused({ says: sent.error.says, problems: sent.error.problems }));
        for (const jobId of new Set(batch.filter(isJobChange).map((c) => c.jobId))) await dispatch(loadJob(jobId));
      }
    }
  } finally {
    flushing = false;
  }
};

export const loadSession = (): Thunk<Promise<void>> => async (dispatch) => {
  const r = await api.session();
  if (!r.ok) return;
  // A server that is older than this page does not know every setting: what it leaves out has its default.
  const settings = FirmSettings.safeParse(r.value.settings);
  if (settings.success) dispatch(sessionSlice.actions.known({ ...r.value, settings: settings.data }));
};

export const loadList = (): Thunk<Promise<void>> => async (dispatch) => {
  dispatch(jobsSlice.actions.listLoading());
  const r = await api.jobs();
  dispatch(r.ok ? jobsSlice.actions.listLoaded(r.value.jobs) : jobsSlice.actions.listAway());
};

export const loadJob =
  (jobId: string): Thunk<Promise<void>> =>
  async (dispatch, getState) => {
    dispatch(jobsSlice.actions.jobLoading(jobId));
    const r = await api.job(jobId);
    if (!r.ok) {
      dispatch(jobsSlice.actions.jobFailed({ jobId, status: r.error.kind === 'away' ? 'away' : 'missing' }));
      return;
    }
    // An answer that was on its way while this phone's own changes were taken in is older than what is here: it must not cover them.
    const here = getState().jobs.byId[jobId];
    if (here && here.cursor > r.value.cursor) return dispatch(pull(jobId));
    dispatch(jobsSlice.actions.jobLoaded({ cursor: r.value.cursor, facts: withWaiting(r.value.facts, getState().outbox.waiting) }));
  };

/** Opens jobs that this phone has not opened yet, the newest of them, so that what was learned there can be looked at. */
export const loadOtherJobs =
  (most: number): Thunk<Promise<void>> =>
  async (dispatch, getState) => {
    if (getState().jobs.list === null) await dispatch(loadList());
    const { list, byId } = getState().jobs;
    for (const j of (list ?? []).filter((x) => !byId[x.id]).slice(-most)) await dispatch(loadJob(j.id));
  };

/** Brings in what others wrote. Waits while this phone has something on its way. */
export const pull =
  (jobId: string): Thunk<Promise<void>> =>
  async (dispatch, getState) => {
    const job = getState().jobs.byId[jobId];
    if (!job || getState().outbox.waiting.length > 0) return;
    const r = await api.since(jobId, job.cursor);
    const here = getState().jobs.byId[jobId]?.cursor ?? 0;
    if (!r.ok || r.value.cursor <= here || getState().outbox.waiting.length > 0) return;
    const theirs = r.value.changes.filter((c) => !mine.has(c.id));
    let facts = getState().jobs.byId[jobId]?.facts ?? job.facts;
    for (const c of theirs) {
      const next = applyChange(facts, c);
      if (!next.ok) return dispatch(loadJob(jobId));
      facts = next.value;
    }
    if (theirs.length > 0) dispatch(jobsSlice.actions.factsChanged({ facts, changes: theirs }));
    dispatch(jobsSlice.actions.cursorMoved({ jobId, cursor: r.value.cursor }));
  };
