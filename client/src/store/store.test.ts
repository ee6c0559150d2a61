/** The way of a tap: shown at once, kept, sent, taken back; and what happens when the server is away or refuses. */
import { applyChanges, changesFor, type Change, type JobFacts } from '@roughsill/core';
import { examples, largeJob } from '@roughsill/demo';
import type { FromWorker, ToWorker } from '../workers/protocol';
import { add, commit, set, undo } from './changes';
import { loadOutbox, saveOutbox } from './persist';
import { jobsSlice } from './slices';
import { makeStore, type Store } from './store';
import { flush, loadJob, pull, withWaiting } from './sync';

jest.mock('idb-keyval', () => ({ get: async () => undefined, set: async () => undefined }));

const facts = examples()['one-window']!;
const jobId = facts.job.id;
const sash = facts.surfaces[0]!;
const nameIn = (store: Store) => store.getState().jobs.byId[jobId]!.facts.surfaces[0]!.name;
const rename = (name: string) => commit(jobId, [set('surface', sash.id, { name })], 'renamed');

type Reply = { status: number; body: unknown } | 'no signal';
let replies: (url: string, changes: Change[]) => Reply;
const sent: Change[][] = [];
beforeEach(() => {
  sent.length = 0;
  replies = (_url, changes) => ({ status: 200, body: { accepted: changes.map((c) => c.id), clashes: [], cursors: { [jobId]: 9 } } });
  (globalThis as any).AbortSignal = { timeout: () => undefined };
  globalThis.fetch = jest.fn(async (url: string, init?: { body?: string }) => {
    const changes = init?.body ? (JSON.parse(init.body) as { changes: Change[] }).changes : [];
    if (changes.length > 0) sent.push(changes);
    const r = replies(url, changes);
    if (r === 'no signal') throw new TypeError('failed to fetch');
    return { ok: r.status < 400, status: r.status, json: async () => r.body };
  }) as any;
});

function open(): Store {
  const store = makeStore(() => ({ addEventListener: () => undefined, postMessage: () => undefined }) as never);
  store.dispatch(jobsSlice.actions.jobLoaded({ facts, cursor: 1 }));
  return store;
}
const settle = () => new Promise((r) => setTimeout(r, 20));

test('a tap is seen at once, goes out once, and can be taken back', async () => {
  const store = open();
  expect(store.dispatch(rename('Upper sash'))).toEqual([]);
  expect(nameIn(store)).toBe('Upper sash');
  await settle();
  expect(sent.flat().map((c) => [c.op, c.fields, c.saw])).toEqual([['set', { name: 'Upper sash' }, { name: 'Lower sash' }]]);
  expect(store.getState().outbox.waiting).toEqual([]);
  store.dispatch(undo());
  expect(nameIn(store)).toBe('Lower sash');
});

test('what does not fit is told beside its field, and nothing is written or sent', async () => {
  const store = open();
  expect(store.dispatch(commit(jobId, [set('surface', sash.id, { lengthM: -1 })], 'x'))).toEqual([
    { path: 'lengthM', message: 'length must be more than 0' },
  ]);
  await settle();
  expect([store.getState().jobs.byId[jobId]!.facts, sent]).toEqual([facts, []]);
});

test('without signal the change waits, is kept over a restart, and goes on top of the server’s facts', async () => {
  replies = () => 'no signal';
  const store = open();
  store.dispatch(rename('In the cellar'));
  await settle();
  expect(store.getState().outbox).toMatchObject({ status: 'away', says: 'No signal to the server.' });
  saveOutbox(store.getState().outbox.waiting);
  const kept = loadOutbox();
  expect(withWaiting(facts, kept).surfaces[0]!.name).toBe('In the cellar');
  replies = (_u, changes) => ({ status: 200, body: { accepted: changes.map((c) => c.id), clashes: [], cursors: {} } });
  await store.dispatch(flush());
  expect(store.getState().outbox).toMatchObject({ status: 'idle', waiting: [] });
});

test('a database that is away is not a refusal', async () => {
  replies = () => ({ status: 503, body: { title: 'The records cannot be reached just now' } });
  const store = open();
  store.dispatch(rename('x1'));
  await settle();
  expect(store.getState().outbox).toMatchObject({ status: 'away', says: 'The records cannot be reached just now.' });
  expect(store.getState().outbox.waiting).toHaveLength(1);
});

test('what the server refuses is told, and the job is shown as the server has it', async () => {
  replies = (url) =>
    url === '/api/changes'
      ? {
          status: 422,
          body: {
            title: 'Something in it needs putting right',
            errors: [{ path: 'changes[0]', message: 'this surface is not on the job' }],
          },
        }
      : { status: 200, body: { cursor: 5, facts } };
  const store = open();
  store.dispatch(rename('Refused'));
  await settle();
  expect(store.getState().notice.refused?.problems[0]?.message).toBe('this surface is not on the job');
  expect(nameIn(store)).toBe('Lower sash');
});

test('others’ changes come in; one’s own do not come back', async () => {
  const store = open();
  store.dispatch(rename('Mine'));
  await settle();
  const theirs = { ...sent[0]![0]!, id: 'their-change', fields: { count: 3 }, saw: undefined };
  replies = () => ({ status: 200, body: { cursor: 12, changes: [sent[0]![0], theirs] } });
  await store.dispatch(pull(jobId));
  expect(store.getState().jobs.byId[jobId]).toMatchObject({ cursor: 12 });
  expect(store.getState().jobs.byId[jobId]!.facts.surfaces[0]).toMatchObject({ name: 'Mine', count: 3 });
});

test('an answer that was on its way while a change was taken in does not cover it', async () => {
  let release: () => void = () => undefined;
  const late = new Promise<void>((r) => (release = r));
  const quick = globalThis.fetch;
  const store = open();
  globalThis.fetch = jest.fn(async (url: string, init?: { body?: string }) => {
    if (init?.body) return quick(url, init as RequestInit);
    if (url.includes('since')) return { ok: true, status: 200, json: async () => ({ cursor: 9, changes: [] }) };
    await late;
    return { ok: true, status: 200, json: async () => ({ cursor: 1, facts }) };
  }) as any;
  const loading = store.dispatch(loadJob(jobId));
  store.dispatch(rename('Taken in meanwhile'));
  await settle();
  expect(store.getState().outbox.waiting).toEqual([]);
  release();
  await loading;
  expect(nameIn(store)).toBe('Taken in meanwhile');
});

test('a reading has no undo button: a correction is a new record', () => {
  const store = open();
  const fields = {
    kind: 'spot',
    takenAt: '2026-05-04T13:20:00.000Z',
    reachedLayerIds: [sash.layers[0]!.id],
    toSubstrate: false,
    spot: 'unclear',
    changedLayerIds: [],
    kitRecognised: true,
    value: null,
    unit: null,
    bandLow: null,
    bandHigh: null,
    note: '',
    supersedesId: null,
    supersedesWhy: null,
  };
  expect(store.dispatch(commit(jobId, [add('reading', fields, sash.id)], 'swab'))).toEqual([]);
  expect(store.getState().notice.undo).toBeNull();
});

test('a large job goes to the worker whole once, then change by change; a lost worker asks for it again', async () => {
  const posted: ToWorker[] = [];
  let answer: (m: { data: FromWorker }) => void = () => undefined;
  const store = makeStore(
    () => ({ addEventListener: (_: string, f: typeof answer) => (answer = f), postMessage: (m: ToWorker) => posted.push(m) }) as never,
  );
  const large: JobFacts = largeJob(80);
  store.dispatch(jobsSlice.actions.jobLoaded({ facts: large, cursor: 1 }));
  store.dispatch(commit(large.job.id, [set('surface', large.surfaces[3]!.id, { count: 9 })], 'count'));
  expect(posted.map((m) => m.kind)).toEqual(['facts', 'changes']);
  answer({ data: { kind: 'lost', jobId: large.job.id } });
  expect(posted.map((m) => m.kind)).toEqual(['facts', 'changes', 'facts']);
  await settle();
});

test('the changes of a whole job rebuild it', () => {
  let n = 0;
  const built = applyChanges(
    null,
    changesFor(facts, () => `c-${(n += 1)}`, 'x'),
    2026,
  );
  expect(built.ok && built.value.surfaces).toEqual(facts.surfaces);
});
