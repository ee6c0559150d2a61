/** Starts the store: what was kept comes back first, then the server is asked, then everything that is written is kept again. */
import { FirmSettings, readChange } from '@roughsill/core';
import type { JobLine } from './api';
import { bringOver, sorted } from './legacy';
import { loadPreferences, savePreferences } from './persist';
import { sendPictures } from './pictures';
import { asideRows, dropAside, jobIds, loadFact, loadKeptJob, saveFact, saveJob, setAside, trimSent, waitingRows } from './shelf';
import { jobsSlice, noticeSlice, outboxSlice, sessionSlice, type OpenJob } from './slices';
import { makeStore, type Store, type Thunk } from './store';
import { adopt, flush, loadSession, pull, settled } from './sync';
import { hearTabs, tellTabs } from './tabs';

const SNAPSHOT_DELAY_MS = 400;
const PULL_MS = 15_000;

async function restoreOutbox(store: Store): Promise<void> {
  const at = new Date().toISOString();
  await bringOver(at).catch(() => undefined);
  const { changes, aside } = sorted(
    (await waitingRows()).map((r) => r.change),
    at,
  );
  if (aside.length > 0) await setAside(aside);
  store.dispatch(adopt(changes));
  store.dispatch(outboxSlice.actions.asideFound(await asideRows()));
  const epoch = await loadFact('epoch');
  if (typeof epoch === 'string') store.dispatch(outboxSlice.actions.epochKnown(epoch));
}

/** What stands on the shelf of each job: what came from there needs no second writing, what came from the server does. */
const shelved = new Map<string, OpenJob['base']>();

async function restoreJob(store: Store, jobId: string): Promise<void> {
  if (store.getState().jobs.byId[jobId]) return;
  const kept = await loadKeptJob(jobId);
  if (kept) shelved.set(jobId, kept.base);
  if (kept && !store.getState().jobs.byId[jobId])
    store.dispatch(jobsSlice.actions.jobLoaded({ jobId, ...kept, waiting: store.getState().outbox.waiting }));
}

/** A job that was begun without signal and that the server never had is all in the outbox. */
function restoreBegun(store: Store): void {
  const { waiting } = store.getState().outbox;
  for (const c of waiting) {
    if (c.entity !== 'job' || c.op !== 'add' || c.jobId === null || store.getState().jobs.byId[c.jobId]) continue;
    store.dispatch(jobsSlice.actions.jobLoaded({ jobId: c.jobId, base: null, cursor: 0, waiting }));
  }
}

async function restore(store: Store): Promise<void> {
  await restoreOutbox(store);
  const [list, settings, ids] = await Promise.all([loadFact('list'), loadFact('settings'), jobIds()]);
  // The job that this address opens comes first.
  const shown = ids.filter((id) => location.pathname.split('/').includes(id));
  for (const id of shown) await restoreJob(store, id);
  restoreBegun(store);
  if (Array.isArray(list) && store.getState().jobs.list === null) store.dispatch(jobsSlice.actions.listLoaded(list as JobLine[]));
  const known = FirmSettings.safeParse(settings);
  if (known.success) store.dispatch(sessionSlice.actions.restored({ settings: known.data }));
  for (const id of ids) await restoreJob(store, id);
}

function keepWritten(store: Store): void {
  let before = store.getState();
  let timer: ReturnType<typeof setTimeout> | undefined;
  const save = async () => {
    const { jobs, session } = store.getState();
    for (const [id, job] of Object.entries(jobs.byId)) {
      if (job.base === null || shelved.get(id) === job.base) continue;
      shelved.set(id, job.base);
      await saveJob(id, { base: job.base, cursor: job.cursor });
    }
    if (jobs.list) await saveFact('list', jobs.list);
    await saveFact('settings', session.settings);
  };
  // A job may have been answered by the server while the shelf was still being read.
  void save().catch(() => undefined);
  store.subscribe(() => {
    const state = store.getState();
    if (state.session !== before.session) savePreferences({ dim: state.session.dim, recent: state.session.recent });
    if (
      state.jobs.byId !== before.jobs.byId ||
      state.jobs.list !== before.jobs.list ||
      state.session.settings !== before.session.settings
    ) {
      clearTimeout(timer);
      // A copy of what the server has: failing to keep it loses nothing that was entered.
      timer = setTimeout(() => void save().catch(() => undefined), SNAPSHOT_DELAY_MS);
    }
    before = state;
  });
}

/** What another tab of this phone wrote or heard. */
function follow(store: Store): void {
  hearTabs((word) => {
    if (word.kind === 'queued') {
      store.dispatch(adopt(word.changes.filter((c) => readChange(c).ok)));
      void store.dispatch(flush());
    } else if (word.kind === 'settled') store.dispatch(settled(word.act));
    else if (word.kind === 'aside') store.dispatch(outboxSlice.actions.asideFound(word.list));
    else store.dispatch(outboxSlice.actions.asideGone(word.id));
  });
}

async function keptByOthers(store: Store): Promise<void> {
  const rows = await waitingRows().catch(() => []);
  store.dispatch(
    adopt(
      rows.flatMap((r) => {
        const read = readChange(r.change);
        return read.ok ? [read.value] : [];
      }),
    ),
  );
}

/** A refused change is let go of: mended and sent anew, or not wanted. */
export const letGo =
  (id: string): Thunk<Promise<void>> =>
  async (dispatch) => {
    await dropAside(id);
    dispatch(outboxSlice.actions.asideGone(id));
    tellTabs({ kind: 'mended', id });
  };

/** @returns the store, already filling */
export function boot(): Store {
  const store = makeStore();
  store.dispatch(sessionSlice.actions.restored(loadPreferences()));
  follow(store);
  void restore(store)
    .catch(() => store.dispatch(outboxSlice.actions.unkept('its store does not answer')))
    .then(() => {
      keepWritten(store);
      void store.dispatch(loadSession()).then(() => store.dispatch(flush()));
      void sendPictures((says) => store.dispatch(noticeSlice.actions.refused({ says, problems: [] })));
      void trimSent(Date.now()).catch(() => undefined);
    });
  const look = () => {
    if (document.visibilityState !== 'visible') return;
    // Another tab may have kept something and been closed before it could tell.
    void keptByOthers(store).then(() => store.dispatch(flush()));
    void sendPictures();
    for (const jobId of Object.keys(store.getState().jobs.byId)) if (location.pathname.includes(jobId)) void store.dispatch(pull(jobId));
  };
  window.addEventListener('online', look);
  document.addEventListener('visibilitychange', look);
  setInterval(look, PULL_MS);
  return store;
}
