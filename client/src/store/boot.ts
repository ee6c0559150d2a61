/** Starts the store: what was kept comes back first, then the server is asked, then everything that is written is kept again. */
import { JobLine, readFirm, readSettings, readChange } from '@roughsill/core/records';
import { bringOver, isLeft, sorted } from './legacy';
import { loadAtPhone, loadPreferences, savePreferences } from './persist';
import { sendPictures } from './pictures';
import {
  asideRows,
  dropAside,
  jobIds,
  loadFact,
  loadKeptJob,
  saveFact,
  saveJob,
  setAside,
  trimSent,
  waitingRows,
  type KeptJob,
} from './shelf';
import { jobsSlice, noticeSlice, outboxSlice, sessionSlice, type OpenJob } from './slices';
import { makeStore, type Store, type Thunk } from './store';
import { adopt, flush, loadSession, pull, settled } from './sync';
import { hearTabs, tellTabs } from './tabs';

const SNAPSHOT_DELAY_MS = 400;
const PULL_MS = 15_000;

/** What stands on the shelf of each job: what came from there needs no second writing, what came from the server does. */
const shelved = new Map<string, OpenJob['base']>();

function restoreJob(store: Store, jobId: string, kept: KeptJob | null): void {
  if (!kept || store.getState().jobs.byId[jobId]) return;
  shelved.set(jobId, kept.base);
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

/** All that the first screen of this address needs, asked for at once. */
async function readShelf() {
  const named = location.pathname.split('/').filter((x) => x !== '');
  const [rows, aside, epoch, list, settings, firm, ids, shown] = await Promise.all([
    waitingRows(),
    asideRows(),
    loadFact('epoch'),
    loadFact('list'),
    loadFact('settings'),
    loadFact('firm'),
    jobIds(),
    Promise.all(named.map(async (id) => [id, await loadKeptJob(id)] as const)),
  ]);
  return { rows, aside, epoch, list, settings, firm, ids, shown };
}
type Shelved = Awaited<ReturnType<typeof readShelf>>;

/** Begins to read what is kept before the page is put together: to be given to `boot`. */
export function readEarly(): Promise<Shelved> | undefined {
  if (isLeft()) return undefined;
  const reading = readShelf();
  reading.catch(() => undefined);
  return reading;
}

async function restore(store: Store, early: Promise<Shelved> | undefined): Promise<void> {
  const at = new Date().toISOString();
  if (isLeft()) await bringOver(at).catch(() => undefined);
  const { rows, aside, epoch, list, settings, firm, ids, shown } = await (early ?? readShelf());
  const read = sorted(
    rows.map((r) => r.change),
    at,
  );
  if (read.aside.length > 0) await setAside(read.aside);
  store.dispatch(adopt(read.changes));
  store.dispatch(outboxSlice.actions.asideFound(read.aside.length > 0 ? await asideRows() : aside));
  if (typeof epoch === 'string') store.dispatch(outboxSlice.actions.epochKnown(epoch));
  for (const [id, kept] of shown) restoreJob(store, id, kept);
  restoreBegun(store);
  if (Array.isArray(list) && store.getState().jobs.list === null)
    store.dispatch(jobsSlice.actions.listLoaded(list.flatMap((x) => JobLine.safeParse(x).data ?? [])));
  const known = readSettings(settings);
  if (known.success) store.dispatch(sessionSlice.actions.restored({ settings: known.data }));
  if (typeof firm === 'object' && firm !== null) store.dispatch(sessionSlice.actions.firmChanged(readFirm(firm)));
  for (const id of ids) if (!store.getState().jobs.byId[id]) restoreJob(store, id, await loadKeptJob(id));
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
    await saveFact('firm', session.firm);
  };
  // A job may have been answered by the server while the shelf was still being read.
  void save().catch(() => undefined);
  store.subscribe(() => {
    const state = store.getState();
    if (state.session !== before.session) savePreferences({ dim: state.session.dim, recent: state.session.recent });
    if (
      state.jobs.byId !== before.jobs.byId ||
      state.jobs.list !== before.jobs.list ||
      state.session.settings !== before.session.settings ||
      state.session.firm !== before.session.firm
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

/**
 * @param early what `readEarly` began to read
 * @returns the store, already filling
 */
export function boot(early?: Promise<Shelved>): Store {
  const store = makeStore();
  store.dispatch(sessionSlice.actions.restored(loadPreferences()));
  const who = loadAtPhone();
  if (who !== null) store.dispatch(sessionSlice.actions.atPhone(who));
  follow(store);
  void restore(store, early)
    .catch(() => store.dispatch(outboxSlice.actions.unkept('its store does not answer')))
    .then(() => {
      keepWritten(store);
      void store.dispatch(loadSession()).then(() => store.dispatch(flush()));
      void store.dispatch(sendPictures((says) => store.dispatch(noticeSlice.actions.refused({ says, problems: [] }))));
      void trimSent(Date.now()).catch(() => undefined);
    });
  const look = () => {
    if (document.visibilityState !== 'visible') return;
    // Another tab may have kept something and been closed before it could tell.
    void keptByOthers(store).then(() => store.dispatch(flush()));
    void store.dispatch(sendPictures());
    for (const jobId of Object.keys(store.getState().jobs.byId)) if (location.pathname.includes(jobId)) void store.dispatch(pull(jobId));
  };
  window.addEventListener('online', look);
  document.addEventListener('visibilitychange', look);
  setInterval(look, PULL_MS);
  return store;
}
