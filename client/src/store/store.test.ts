/* eslint-disable @typescript-eslint/no-require-imports -- each test is a page of its own: modules are loaded anew */
/** The way of a tap: shown at once, kept, sent, taken back; and what happens when the server is away, refuses, is older, or was restored. */
import 'fake-indexeddb/auto';
import { IDBFactory } from 'fake-indexeddb';
import { CHANGE_VERSION, applyChanges, changesFor, readChange, type Change, type JobChange, type JobFacts } from '@roughsill/core';
import { examples, largeJob } from '@roughsill/demo';
import type { FromWorker, ToWorker } from '../workers/protocol';

import { EPOCH, forgetLeftPages, nothingNew, settle, testServer, until, took, type TestServer } from './testing';

const facts = examples()['one-window']!;
const jobId = facts.job.id;
const sash = facts.surfaces[0]!;

forgetLeftPages();

let server: TestServer;
/** A page of its own: modules keep what they know of the server and the store between two of them. */
function page() {
  jest.resetModules();
  const { makeStore } = require('./store') as typeof import('./store');
  const { jobsSlice } = require('./slices') as typeof import('./slices');
  const sync = require('./sync') as typeof import('./sync');
  const changes = require('./changes') as typeof import('./changes');
  const shelf = require('./shelf') as typeof import('./shelf');
  const store = makeStore(() => ({ addEventListener: () => undefined, postMessage: () => undefined }) as never);
  store.dispatch(jobsSlice.actions.jobLoaded({ jobId, base: facts, cursor: 1, waiting: [] }));
  const job = () => store.getState().jobs.byId[jobId]!;
  const rename = (name: string) => changes.commit(jobId, [changes.set('surface', sash.id, { name })], 'renamed');
  return { store, job, rename, name: () => job().facts.surfaces[0]!.name, ...sync, ...changes, shelf, jobsSlice, makeStore };
}
/** What waits goes out. On a machine that is held up the last try may still be under way, and a second beside it is none. */
async function sendNow({ store, flush }: Pick<ReturnType<typeof page>, 'store' | 'flush'>): Promise<void> {
  for (let tries = 0; tries < 100; tries += 1) {
    await store.dispatch(flush());
    if (store.getState().outbox.waiting.length === 0) return;
    await settle(20);
  }
}
beforeEach(() => {
  globalThis.indexedDB = new IDBFactory();
  server = testServer();
});

test('a tap is seen at once, goes out once, and can be taken back', async () => {
  const p = page();
  expect(p.store.dispatch(p.rename('Upper sash'))).toEqual([]);
  expect(p.name()).toBe('Upper sash');
  await until(() => p.store.getState().outbox.waiting.length === 0);
  await settle();
  expect(server.sent.flat().map((c) => [c.v, c.op, c.fields, c.saw, c.parent])).toEqual([
    [CHANGE_VERSION, 'set', { name: 'Upper sash' }, { name: 'Lower sash' }, { kind: 'job', id: jobId }],
  ]);
  expect(server.sent.flat()[0]!.device).toMatch(/^[0-9a-f]{32}$/);
  expect(p.store.getState().outbox.waiting).toEqual([]);
  p.store.dispatch(p.undo());
  expect(p.name()).toBe('Lower sash');
  await settle();
});

test('who is at this phone is the author of every entry from then on, also of what is taken back, and is not overruled by the server', async () => {
  const p = page();
  const { loadAtPhone } = require('./persist') as typeof import('./persist');
  p.store.dispatch(p.atPhone({ person: 'Mara Tarn', personId: 'p-mara' }));
  await p.store.dispatch(p.loadSession());
  p.store.dispatch(p.rename('Upper sash'));
  p.store.dispatch(p.undo());
  await until(() => server.sent.flat().length === 2);
  expect(server.sent.flat().map((c) => [c.by, c.personId])).toEqual([
    ['Mara Tarn', 'p-mara'],
    ['Mara Tarn', 'p-mara'],
  ]);
  expect(loadAtPhone()).toEqual({ person: 'Mara Tarn', personId: 'p-mara' });
});

test('a rate that was set before the session answered, or while it does, outlasts its older answer', async () => {
  server.taking = () => ({ status: 503, body: { title: 'away' } });
  const p = page();
  const firmName = () => p.store.getState().session.settings.firmName;
  p.store.dispatch(p.changeSettings({ firmName: 'Set before' }));
  await settle();
  await p.store.dispatch(p.loadSession());
  expect(firmName()).toBe('Set before');
  server.taking = (changes) => took(changes);
  server.reply = async (url) => {
    if (url === '/api/session') {
      // Sent and taken before the answer, which was read before that, has come in.
      p.store.dispatch(p.changeSettings({ firmName: 'Set meanwhile' }));
      await p.store.dispatch(p.flush());
    }
    return nothingNew(url);
  };
  await p.store.dispatch(p.loadSession());
  await settle();
  expect([firmName(), p.store.getState().outbox.waiting]).toEqual(['Set meanwhile', []]);
});

test('what does not fit is told beside its field, and nothing is written or sent', async () => {
  const p = page();
  expect(p.store.dispatch(p.commit(jobId, [p.set('surface', sash.id, { lengthM: -1 })], 'x'))).toEqual([
    { path: 'lengthM', message: 'length must be more than 0' },
  ]);
  await settle();
  expect([p.job().facts, server.sent, await p.shelf.waitingRows()]).toEqual([facts, [], []]);
});

test('without signal every change has a row of its own, which goes when the server has taken it', async () => {
  server.taking = null;
  server.reply = () => 'no signal';
  const p = page();
  p.store.dispatch(p.rename('In the cellar'));
  p.store.dispatch(p.rename('In the cellar, left'));
  await settle();
  expect(p.store.getState().outbox).toMatchObject({ status: 'away', says: 'No signal to the server.', unkept: null });
  expect((await p.shelf.waitingRows()).map((r) => (r.change as Change).fields['name'])).toEqual(['In the cellar', 'In the cellar, left']);
  server.reply = nothingNew;
  server.taking = (changes) => took(changes);
  await sendNow(p);
  expect(p.store.getState().outbox).toMatchObject({ status: 'idle', waiting: [] });
  expect([await p.shelf.waitingRows(), (await p.shelf.sentChanges()).length]).toEqual([[], 2]);
});

test('a store that fails is told at once, nothing is said to be kept, and it can be tried again', async () => {
  server.taking = null;
  server.reply = () => 'no signal';
  const p = page();
  const full = Object.assign(new Error('full'), { name: 'QuotaExceededError' });
  const open = jest.spyOn(globalThis.indexedDB, 'open').mockImplementation(() => {
    throw full;
  });
  p.store.dispatch(p.rename('No room'));
  await settle();
  expect([p.name(), p.store.getState().outbox.unkept]).toEqual(['No room', 'its store is full']);
  open.mockRestore();
  await p.store.dispatch(p.keepAgain());
  expect([p.store.getState().outbox.unkept, (await p.shelf.waitingRows()).length]).toEqual([null, 1]);
});

test('a database that is away is not a refusal', async () => {
  server.taking = () => ({ status: 503, body: { title: 'The records cannot be reached just now' } });
  const p = page();
  p.store.dispatch(p.rename('x1'));
  await settle();
  expect(p.store.getState().outbox).toMatchObject({ status: 'away', says: 'The records cannot be reached just now.' });
  expect(p.store.getState().outbox.waiting).toHaveLength(1);
});

describe('a refused change', () => {
  const refusing = (name: string) => (changes: Change[]) => {
    const bad = changes.filter((c) => c.fields['name'] === name);
    const problems = [{ path: 'fields.name', message: 'is not wanted here' }];
    const body = took(
      changes.filter((c) => !bad.includes(c)),
      { refused: bad.map((c) => ({ id: c.id, problems })) },
    ) as { body: object };
    return { status: bad.length > 0 ? 422 : 200, body: { ...body.body, title: 'Something in it needs putting right' } };
  };

  test('is set aside and kept; the rest goes, and it is taken off what is shown', async () => {
    server.taking = null;
    server.reply = () => 'no signal';
    const p = page();
    p.store.dispatch(p.commit(jobId, [p.set('surface', sash.id, { count: 2 })], null));
    p.store.dispatch(p.rename('Refused'));
    p.store.dispatch(p.commit(jobId, [p.set('surface', sash.id, { species: 'pine' })], null));
    await settle();
    server.reply = nothingNew;
    server.taking = refusing('Refused');
    await sendNow(p);
    expect(p.job().facts.surfaces[0]).toMatchObject({ name: 'Lower sash', count: 2, species: 'pine' });
    const { aside, waiting } = p.store.getState().outbox;
    expect([aside.length, waiting, await p.shelf.waitingRows()]).toEqual([1, [], []]);
    expect(await p.shelf.asideRows()).toEqual(aside);
    expect(aside[0]).toMatchObject({ problems: [{ message: 'is not wanted here' }], raw: { fields: { name: 'Refused' } } });
    // Mended, it goes out as a new one.
    const read = readChange(aside[0]!.raw);
    expect(p.store.dispatch(p.sendMended((read as unknown as { value: JobChange }).value, { name: 'Wanted' }))).toEqual([]);
    await settle();
    expect(p.name()).toBe('Wanted');
    expect(server.sent.at(-1)![0]!.id).not.toBe(aside[0]!.id);
  });
  test('that makes the server refuse the whole is found by halves', async () => {
    server.taking = null;
    server.reply = () => 'no signal';
    const p = page();
    for (const name of ['a', 'b', 'poison', 'c', 'd']) p.store.dispatch(p.rename(name));
    await settle();
    server.reply = nothingNew;
    server.taking = (changes) =>
      changes.some((c) => c.fields['name'] === 'poison')
        ? {
            status: 400,
            body: { type: '/problems/bad-request', title: 'The request does not fit', errors: [{ path: 'x', message: 'cannot be kept' }] },
          }
        : took(changes);
    await sendNow(p);
    expect(p.store.getState().outbox.aside.map((a) => (a.raw as Change).fields['name'])).toEqual(['poison']);
    expect(p.store.getState().outbox.waiting).toEqual([]);
  });
  test('is never made by somebody else: a network’s sign-in page answers, and everything waits', async () => {
    const p = page();
    for (const answer of [
      { status: 200, body: null },
      { status: 403, body: null },
      { status: 200, body: { page: 'sign in' } },
      { status: 404, body: {} },
    ]) {
      server.taking = () => answer;
      p.store.dispatch(p.rename(`Behind ${answer.status}`));
      await settle();
      expect(p.store.getState().outbox).toMatchObject({ status: 'away', aside: [] });
      await p.store.dispatch(p.flush());
    }
    expect(p.store.getState().outbox.waiting).toHaveLength(4);
    expect(await p.shelf.waitingRows()).toHaveLength(4);
  });
  test('of a job that is held up waits, while another job’s goes', async () => {
    server.taking = (changes) => took([], { later: changes.map((c) => c.id) });
    const p = page();
    p.store.dispatch(p.rename('Held'));
    await settle();
    expect(p.store.getState().outbox).toMatchObject({ status: 'away', aside: [] });
    expect(p.store.getState().outbox.waiting).toHaveLength(1);
  });
});

test('halves of one act are not torn apart between two batches', () => {
  const { nextBatch } = page();
  const c = (act: string, n: number) => Array.from({ length: n }, () => ({ act }) as Change);
  expect(nextBatch([...c('a', 299), ...c('b', 5), ...c('c', 3)])).toHaveLength(304);
  expect(nextBatch([...c('a', 300), ...c('b', 5)])).toHaveLength(300);
});

describe('the cursor', () => {
  const theirs = (fields: object, seq: number, over: object = {}) => ({
    v: CHANGE_VERSION,
    id: `their-${seq}`,
    jobId,
    entity: 'surface',
    entityId: sash.id,
    parent: { kind: 'job', id: jobId },
    op: 'set',
    fields,
    at: '2026-05-04T13:20:00.000Z',
    by: 'Another',
    personId: null,
    device: null,
    act: null,
    seq,
    receivedAt: '2026-05-04T13:20:00.000Z',
    ...over,
  });

  test('moves with what was sent when nobody wrote in between', async () => {
    server.taking = (changes) => took(changes, { before: { [jobId]: 1 }, cursors: { [jobId]: 2 } });
    const p = page();
    p.store.dispatch(p.rename('Mine'));
    const shown = p.job().facts;
    await settle();
    expect(p.job()).toMatchObject({ cursor: 2, acked: [] });
    expect([p.job().facts, p.job().base]).toEqual([shown, shown]);
  });
  test('stays where others wrote in between, until their changes are here, in the server’s order', async () => {
    let own: Change | undefined;
    server.taking = (changes) => {
      [own] = changes;
      return took(changes, { before: { [jobId]: 5 }, cursors: { [jobId]: 6 } });
    };
    server.reply = (url) =>
      url.includes('since=1')
        ? { status: 200, body: { epoch: EPOCH, cursor: 5, more: true, changes: [theirs({ name: 'Theirs', count: 3 }, 5)] } }
        : { status: 200, body: { epoch: EPOCH, cursor: 6, more: false, changes: own ? [{ ...own, seq: 6 }] : [] } };
    const p = page();
    p.store.dispatch(p.rename('Mine'));
    await settle();
    // Theirs came first there, so mine stands; their other field is here as well.
    expect(p.job()).toMatchObject({ cursor: 6, acked: [] });
    expect(p.job().facts.surfaces[0]).toMatchObject({ name: 'Mine', count: 3 });
    expect(p.job().facts).toEqual(p.job().base);
  });
  test('an answer that was lost is no harm: the log says that it was taken, and what came after it stands', async () => {
    let own: Change | undefined;
    server.taking = (changes) => {
      [own] = changes;
      return 'no signal';
    };
    const p = page();
    p.store.dispatch(p.rename('Mine'));
    await settle();
    server.reply = () => ({
      status: 200,
      body: { epoch: EPOCH, cursor: 8, more: false, changes: [{ ...own!, seq: 7 }, theirs({ name: 'Theirs, later' }, 8)] },
    });
    await p.store.dispatch(p.pull(jobId));
    expect([p.name(), p.store.getState().outbox.waiting, await p.shelf.waitingRows()]).toEqual(['Theirs, later', [], []]);
  });
  test('a change that the server had already does not come back over what was written since', async () => {
    const p = page();
    server.taking = () => 'no signal';
    p.store.dispatch(p.rename('Mine'));
    await settle();
    const { waiting } = p.store.getState().outbox;
    const base = { ...facts, surfaces: [{ ...sash, name: 'Theirs, later' }, ...facts.surfaces.slice(1)] };
    p.store.dispatch(p.jobsSlice.actions.jobLoaded({ jobId, base, cursor: 8, waiting }));
    server.taking = (changes) => took(changes, { known: changes.map((c) => c.id) });
    server.reply = () => ({ status: 200, body: { epoch: EPOCH, cursor: 8, changes: [], more: false } });
    await sendNow(p);
    expect([p.name(), p.job().base!.surfaces[0]!.name]).toEqual(['Theirs, later', 'Theirs, later']);
  });
  test('what waits stays on top of what others wrote', async () => {
    server.taking = () => ({ status: 503, body: {} });
    server.reply = () => ({
      status: 200,
      body: { epoch: EPOCH, cursor: 7, more: false, changes: [theirs({ name: 'Theirs', count: 4 }, 7)] },
    });
    const p = page();
    p.store.dispatch(p.rename('Waiting'));
    await settle();
    await p.store.dispatch(p.pull(jobId));
    expect(p.job().facts.surfaces[0]).toMatchObject({ name: 'Waiting', count: 4 });
    expect(p.job().base!.surfaces[0]).toMatchObject({ name: 'Theirs' });
  });
  test('an answer that was on its way while a change was taken in does not cover it', async () => {
    let release: () => void = () => undefined;
    const late = new Promise<void>((r) => (release = r));
    server.taking = (changes) => took(changes, { before: { [jobId]: 0 }, cursors: { [jobId]: 9 } });
    server.reply = async (url) => {
      if (url.includes('since')) return { status: 200, body: { epoch: EPOCH, cursor: 9, changes: [], more: false } };
      await late;
      return { status: 200, body: { epoch: EPOCH, cursor: 1, facts } };
    };
    const p = page();
    p.store.dispatch(p.jobsSlice.actions.jobLoaded({ jobId, base: facts, cursor: 0, waiting: [] }));
    const loading = p.store.dispatch(p.loadJob(jobId));
    p.store.dispatch(p.rename('Taken in meanwhile'));
    await settle();
    release();
    await loading;
    expect(p.name()).toBe('Taken in meanwhile');
  });
});

test('an answer about the firm that was on its way while something of it was taken in does not cover that', async () => {
  const p = page();
  const none = { people: [], machines: [], sites: [], signPictures: [], products: [], tins: [], mixes: [], mixSteps: [] };
  const person = { id: 'p-1', name: 'Ann', certificates: [], fitTests: [], training: [], removedAt: null };
  let asked = 0;
  server.reply = async (url) => {
    if (url !== '/api/firm') return nothingNew(url);
    asked += 1;
    if (asked > 1) return { status: 200, body: { epoch: EPOCH, cursor: 2, ...none, people: [person] } };
    // Read before, and answered after.
    p.store.dispatch(p.commitToFirm([p.add('person', { name: 'Ann' }, undefined, 'p-1')]));
    await until(() => p.store.getState().outbox.waiting.length === 0);
    return { status: 200, body: { epoch: EPOCH, cursor: 1, ...none } };
  };
  await p.store.dispatch(p.loadFirm());
  expect(p.store.getState().session.firm.people.map((x) => x.name)).toEqual(['Ann']);
});

describe('another server than before', () => {
  test('an older one gets nothing that it would not understand: it waits and says so', async () => {
    server.form = undefined;
    const p = page();
    p.store.dispatch(p.rename('For later'));
    await settle();
    expect([server.sent, p.store.getState().outbox.status]).toEqual([[], 'held']);
    server.form = CHANGE_VERSION;
    await sendNow(p);
    expect(p.store.getState().outbox).toMatchObject({ status: 'idle', waiting: [] });
  });
  test('a newer one takes this page’s changes, and the page says that there is a newer app', async () => {
    server.form = CHANGE_VERSION + 1;
    const p = page();
    p.store.dispatch(p.rename('Old page'));
    await settle();
    expect([server.sent.length, p.store.getState().outbox.newer]).toEqual([1, true]);
  });
  test('one that was restored is asked anew, gets again what it lost, and the phone says how much that was', async () => {
    const p = page();
    p.store.dispatch(p.rename('Sent before the restore'));
    p.store.dispatch(p.commit(jobId, [p.set('surface', sash.id, { count: 5 })], null));
    await settle();
    const before = server.sent.flat();
    expect(before).toHaveLength(2);
    server.sent.length = 0;
    server.epoch = 'epoch-2';
    // It still has the first, and lost the second.
    const still = { ...facts, surfaces: [{ ...sash, name: 'Sent before the restore' }, ...facts.surfaces.slice(1)] };
    server.reply = () => ({ status: 200, body: { epoch: 'epoch-2', cursor: 4, facts: still, changes: [], more: false } });
    server.taking = (changes) =>
      took(changes, { epoch: 'epoch-2', known: [before[0]!.id], before: { [jobId]: 4 }, cursors: { [jobId]: 5 } });
    await p.store.dispatch(p.loadSession());
    await settle();
    expect(server.sent.flat().map((c) => c.id)).toEqual(before.map((c) => c.id));
    expect(p.store.getState().outbox).toMatchObject({ epoch: 'epoch-2', restored: 1, waiting: [] });
    expect(p.job().facts.surfaces[0]).toMatchObject({ name: 'Sent before the restore', count: 5 });
  });
  test('a job that is gone there and whole here is brought back', async () => {
    const p = page();
    p.store.dispatch(p.rename('Kept here'));
    await settle();
    server.epoch = 'epoch-2';
    const brought: string[] = [];
    server.reply = (url, init) => {
      if (init?.method === 'POST') {
        brought.push(init.body!);
        return { status: 201, body: { jobId, cursor: 3 } };
      }
      return brought.length === 0
        ? { status: 404, body: { type: '/problems/not-found', title: 'There is nothing here' } }
        : { status: 200, body: { epoch: 'epoch-2', cursor: 3, facts: p.job().facts } };
    };
    await p.store.dispatch(p.loadSession());
    await settle();
    expect(brought).toHaveLength(1);
    expect(brought[0]).toContain('"format": "roughsill.job"');
    expect(p.store.getState().outbox).toMatchObject({ restored: 1, aside: [] });
  });
});

test('a reading is taken back by a record of its own: nothing that was recorded is unwritten', () => {
  const p = page();
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
  expect(p.store.dispatch(p.commit(jobId, [p.add('reading', fields, sash.id)], 'swab'))).toEqual([]);
  expect(p.store.getState().notice.told).toBe('Lower sash: swab recorded');
  p.store.dispatch(p.undo());
  const now = p.store.getState().jobs.byId[jobId]!.facts!.surfaces.find((s) => s.id === sash.id)!.readings;
  const [swab, back] = now.slice(-2);
  expect([swab!.spot, back!.kind, back!.supersedesId]).toEqual(['unclear', 'withdrawn', swab!.id]);
});

test('a large job goes to the worker whole once, then change by change; a lost worker asks for it again', async () => {
  const posted: ToWorker[] = [];
  let answer: (m: { data: FromWorker }) => void = () => undefined;
  const p = page();
  const store = p.makeStore(
    () => ({ addEventListener: (_: string, f: typeof answer) => (answer = f), postMessage: (m: ToWorker) => posted.push(m) }) as never,
  );
  const large: JobFacts = largeJob(80);
  store.dispatch(p.jobsSlice.actions.jobLoaded({ jobId: large.job.id, base: large, cursor: 1, waiting: [] }));
  store.dispatch(p.commit(large.job.id, [p.set('surface', large.surfaces[3]!.id, { count: 9 })], 'count'));
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
