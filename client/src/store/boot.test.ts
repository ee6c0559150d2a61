/* eslint-disable @typescript-eslint/no-require-imports -- each test is a page of its own: modules are loaded anew */
/** What is there when the app opens again: jobs that were opened, and everything that was not sent yet; from this app and from an older one. */
import { readFileSync } from 'node:fs';
import path from 'node:path';
import { IDBFactory } from 'fake-indexeddb';
import { createStore, set } from 'idb-keyval';
import { changesFor, type Change } from '@roughsill/core';
import { examples } from '@roughsill/demo';
import { forgetLeftPages, settle, testServer, type TestServer } from './testing';

const facts = examples()['one-window']!;
const jobId = facts.job.id;
const kept = (name: string) => readFileSync(path.resolve(__dirname, '../../../tests/fixtures/2026-11', name), 'utf8');

forgetLeftPages();

let server: TestServer;
beforeEach(() => {
  globalThis.indexedDB = new IDBFactory();
  localStorage.clear();
  server = testServer();
  server.taking = null;
  server.reply = () => 'no signal';
  jest.spyOn(globalThis, 'setInterval').mockImplementation(() => 0 as never);
});

function modules() {
  jest.resetModules();
  const { boot } = require('./boot') as typeof import('./boot');
  const shelf = require('./shelf') as typeof import('./shelf');
  return { boot, shelf };
}
let n = 0;
const change = (over: Partial<Change>): Change => ({
  v: 2,
  id: `boot-${(n += 1)}`,
  jobId,
  entity: 'surface',
  entityId: 'ow-sash',
  parent: { kind: 'job', id: jobId },
  op: 'set',
  fields: {},
  at: '2026-05-04T13:20:00.000Z',
  by: 'Tester',
  device: null,
  act: null,
  ...over,
});

test('an opened job comes back with what was typed since on top', async () => {
  const { boot, shelf } = modules();
  await shelf.saveJob(jobId, { base: facts, cursor: 4 });
  await shelf.keep([change({ fields: { name: 'Typed in the cellar' } })]);
  const store = boot();
  await settle(150);
  const job = store.getState().jobs.byId[jobId]!;
  expect([job.facts.surfaces[0]!.name, job.base!.surfaces[0]!.name, job.cursor]).toEqual(['Typed in the cellar', 'Lower sash', 4]);
  expect(store.getState().outbox.waiting).toHaveLength(1);
});

test('a job that was begun without signal is rebuilt from the outbox alone', async () => {
  const { boot, shelf } = modules();
  await shelf.keep(changesFor(facts, () => `made-${(n += 1)}`, 'Tester'));
  const store = boot();
  await settle(150);
  expect(store.getState().jobs.byId[jobId]!.facts.surfaces[0]!.layers).toHaveLength(4);
});

test('one entry that cannot be read is set aside and spoils no other', async () => {
  const { boot, shelf } = modules();
  await shelf.saveJob(jobId, { base: facts, cursor: 4 });
  await shelf.keep([change({ fields: { name: 'Before' } }), { id: 'broken', nonsense: true } as never, change({ fields: { count: 3 } })]);
  const store = boot();
  await settle(150);
  expect(store.getState().outbox.waiting).toHaveLength(2);
  expect(store.getState().outbox.aside).toMatchObject([{ id: 'broken', raw: { nonsense: true } }]);
  expect(store.getState().jobs.byId[jobId]!.facts.surfaces[0]).toMatchObject({ name: 'Before', count: 3 });
});

test('what a page of November 2026 left on the phone is brought over: its outbox, its jobs, its settings', async () => {
  const snapshot = JSON.parse(kept('phone-snapshot.json')) as object;
  await set('rough-sill.snapshot', snapshot, createStore('keyval-store', 'keyval'));
  localStorage.setItem('rough-sill.outbox', kept('phone-outbox.json'));
  const { boot, shelf } = modules();
  const store = boot();
  await settle(250);
  const { outbox, jobs, session } = store.getState();
  expect([outbox.waiting.length, outbox.aside, localStorage.getItem('rough-sill.outbox')]).toEqual([5, [], null]);
  expect(await shelf.waitingRows()).toHaveLength(5);
  const sash = jobs.byId['one-window']!.facts.surfaces.find((s) => s.id === 'ow-sash')!;
  expect([sash.name, sash.parts.find((p) => p.kind === 'flat')!.sharePct, sash.checks.length]).toEqual(['Typed in the cellar', 45, 1]);
  expect(session.settings.labourPerHour).toBe(61);
  // A second start brings nothing twice.
  const again = modules().boot();
  await settle(150);
  expect(again.getState().outbox.waiting).toHaveLength(5);
});

test('a torn outbox of an older page is kept whole, to be looked at', async () => {
  localStorage.setItem('rough-sill.outbox', '[{"id": 7}, {"id": "half');
  const { boot } = modules();
  const store = boot();
  await settle(150);
  expect(store.getState().outbox.aside).toMatchObject([{ raw: '[{"id": 7}, {"id": "half' }]);
});

test('a kept job that no longer fits is passed over, not shown half', async () => {
  const { boot, shelf } = modules();
  await shelf.saveJob(jobId, { base: facts, cursor: 4 });
  const db = await new Promise<IDBDatabase>((resolve) => {
    const open = indexedDB.open('rough-sill');
    open.onsuccess = () => resolve(open.result);
  });
  const tx = db.transaction('jobs', 'readwrite');
  tx.objectStore('jobs').put(
    { base: { ...facts, surfaces: [{ ...facts.surfaces[0]!, material: 'cheese' }] }, cursor: 4, form: '1.1' },
    jobId,
  );
  await new Promise((resolve) => (tx.oncomplete = resolve));
  db.close();
  const store = boot();
  await settle(150);
  expect(store.getState().jobs.byId).toEqual({});
});
