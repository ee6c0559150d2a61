/** Starts the store: what was kept comes back first, then the server is asked, then everything that is written is kept again. */
import { applyChange, type JobFacts } from '@roughsill/core';
import { loadOutbox, loadPreferences, loadSnapshot, saveOutbox, savePreferences, saveSnapshot } from './persist';
import { jobsSlice, outboxSlice, sessionSlice } from './slices';
import { makeStore, type Store } from './store';
import { sendPictures } from './pictures';
import { flush, loadSession, pull, withWaiting } from './sync';

const SNAPSHOT_DELAY_MS = 400;
const PULL_MS = 15_000;

async function restore(store: Store): Promise<void> {
  const waiting = loadOutbox();
  if (waiting.length > 0) store.dispatch(outboxSlice.actions.queued(waiting));
  const kept = await loadSnapshot();
  if (kept?.list && store.getState().jobs.list === null) store.dispatch(jobsSlice.actions.listLoaded([...kept.list]));
  if (kept?.settings) store.dispatch(sessionSlice.actions.restored({ settings: kept.settings }));
  for (const [jobId, job] of Object.entries(kept?.jobs ?? {})) {
    if (!store.getState().jobs.byId[jobId]) store.dispatch(jobsSlice.actions.jobLoaded({ ...job, facts: withWaiting(job.facts, waiting) }));
  }
  // A job that was begun without signal and never snapshotted is all in the outbox.
  for (const c of waiting) {
    if (c.entity !== 'job' || c.op !== 'add' || c.jobId === null || store.getState().jobs.byId[c.jobId]) continue;
    const begun = waiting
      .filter((x) => x.jobId === c.jobId)
      .reduce<JobFacts | null>((f, x) => {
        const next = applyChange(f, x);
        return next.ok ? next.value : f;
      }, null);
    if (begun) store.dispatch(jobsSlice.actions.jobLoaded({ facts: begun, cursor: 0 }));
  }
}

function keep(store: Store): void {
  let before = store.getState();
  let timer: ReturnType<typeof setTimeout> | undefined;
  store.subscribe(() => {
    const state = store.getState();
    if (state.outbox.waiting !== before.outbox.waiting) saveOutbox(state.outbox.waiting);
    if (state.session !== before.session) savePreferences({ dim: state.session.dim, recent: state.session.recent });
    if (
      state.jobs.byId !== before.jobs.byId ||
      state.jobs.list !== before.jobs.list ||
      state.session.settings !== before.session.settings
    ) {
      clearTimeout(timer);
      timer = setTimeout(() => {
        const { jobs, session } = store.getState();
        void saveSnapshot({ list: jobs.list, jobs: jobs.byId, settings: session.settings });
      }, SNAPSHOT_DELAY_MS);
    }
    before = state;
  });
}

/** @returns the store, already filling */
export function boot(): Store {
  const store = makeStore();
  store.dispatch(sessionSlice.actions.restored(loadPreferences()));
  void restore(store).then(() => {
    keep(store);
    void store.dispatch(loadSession());
    void store.dispatch(flush());
    void sendPictures();
  });
  const look = () => {
    if (document.visibilityState !== 'visible') return;
    void store.dispatch(flush());
    void sendPictures();
    for (const jobId of Object.keys(store.getState().jobs.byId)) if (location.pathname.includes(jobId)) void store.dispatch(pull(jobId));
  };
  window.addEventListener('online', look);
  document.addEventListener('visibilitychange', look);
  setInterval(look, PULL_MS);
  return store;
}
