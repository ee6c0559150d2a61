/* eslint-disable @typescript-eslint/no-require-imports -- each test is a page of its own: modules are loaded anew */
/** What is there when the app opens again: jobs that were opened, and everything that was not sent yet; from this app and from an older one. */
import { readFileSync } from 'node:fs';
import path from 'node:path';
import { IDBFactory } from 'fake-indexeddb';
import { openDB } from 'idb';
import { CHANGE_VERSION, changesFor, type Change } from '@roughsill/core';
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
  v: CHANGE_VERSION,
  id: `boot-${(n += 1)}`,
  jobId,
  entity: 'surface',
  entityId: 'ow-sash',
  parent: { kind: 'job', id: jobId },
  op: 'set',
  fields: {},
  at: '2026-05-04T13:20:00.000Z',
  by: 'Tester',
  personId: null,
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
  const old = await openDB('keyval-store', 1, { upgrade: (db) => void db.createObjectStore('keyval') });
  await old.put('keyval', snapshot, 'rough-sill.snapshot');
  old.close();
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

test('what another build of the app kept is read by today’s schemas: gaps are filled, and what does not fit is left out', async () => {
  const asBuild = (name: string) => (document.head.innerHTML = `<meta name="build" content="${name}">`);
  asBuild('yesterday');
  const before = modules();
  const { signs: _signs, ...gap } = facts.surfaces[0]!;
  await before.shelf.saveJob(jobId, { base: { ...facts, surfaces: [gap as never] }, cursor: 4 });
  await before.shelf.saveFact('firm', {
    people: [{ id: 'tarn', name: 'Tarn', removedAt: null, hat: 'straw' }, { id: 7 }],
    ferries: [],
  } as never);
  asBuild('today');
  const { boot } = modules();
  const store = boot();
  await settle(150);
  expect(store.getState().jobs.byId[jobId]!.facts.surfaces[0]!.signs).toEqual([]);
  expect(store.getState().session.firm).toMatchObject({ people: [{ id: 'tarn', name: 'Tarn', certificates: [] }], tins: [] });
  expect(store.getState().session.firm.people).toHaveLength(1);
  document.head.innerHTML = '';
});

test('a picture whose record is set aside stays on the phone after it was sent, until the record is mended or dropped', async () => {
  const { boot, shelf } = modules();
  const pictures = require('./pictures') as typeof import('./pictures');
  const put: string[] = [];
  server.reply = (url, init) => {
    if (init?.method !== 'PUT') return 'no signal';
    put.push(url);
    return { status: 200, body: {} };
  };
  const hash = 'a'.repeat(64);
  const photo = change({ entity: 'photo', entityId: 'p', op: 'add', fields: { hash } });
  await shelf.setAside([{ id: photo.id, raw: photo, problems: [], at: photo.at }]);
  await pictures.keepPicture(hash, new Blob(['x']));
  const store = boot();
  await settle(150);
  await store.dispatch(pictures.sendPictures());
  expect([put, (await pictures.waitingPicture(hash)) !== undefined]).toEqual([[`/api/photos/${hash}`], true]);
  const { letGo } = require('./boot') as typeof import('./boot');
  await store.dispatch(letGo(photo.id));
  await store.dispatch(pictures.sendPictures());
  expect([put.length, await pictures.waitingPicture(hash)]).toEqual([2, undefined]);
});
