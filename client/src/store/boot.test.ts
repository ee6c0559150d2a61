/** What is there when the app opens again: jobs that were opened, and everything that was not sent yet. */
import { changesFor, type Change } from '@roughsill/core';
import { examples } from '@roughsill/demo';
import { boot } from './boot';
import { saveOutbox } from './persist';

const facts = examples()['one-window']!;
const mockKept = { list: [], jobs: {} as Record<string, unknown>, settings: undefined as unknown };
jest.mock('idb-keyval', () => ({ get: async () => mockKept, set: async () => undefined }));

let n = 0;
const change = (over: Partial<Change>): Change => ({
  id: `boot-${(n += 1)}`,
  jobId: facts.job.id,
  entity: 'surface',
  entityId: 'ow-sash',
  surfaceId: null,
  op: 'set',
  fields: {},
  at: '2026-05-04T13:20:00.000Z',
  by: 'Tester',
  ...over,
});
const settle = () => new Promise((r) => setTimeout(r, 30));

beforeEach(() => {
  localStorage.clear();
  mockKept.jobs = {};
  (globalThis as any).AbortSignal = { timeout: () => undefined };
  globalThis.fetch = jest.fn(async () => {
    throw new TypeError('no signal');
  }) as any;
  jest.useFakeTimers({ doNotFake: ['setTimeout', 'clearTimeout', 'nextTick', 'queueMicrotask'] });
});
afterEach(() => jest.useRealTimers());

test('an opened job comes back with what was typed since on top', async () => {
  mockKept.jobs = { [facts.job.id]: { facts, cursor: 4 } };
  saveOutbox([change({ fields: { name: 'Typed in the cellar' } })]);
  const store = boot();
  await settle();
  expect(store.getState().jobs.byId[facts.job.id]!.facts.surfaces[0]!.name).toBe('Typed in the cellar');
  expect(store.getState().outbox.waiting).toHaveLength(1);
});

test('a job that was begun without signal is rebuilt from the outbox alone', async () => {
  saveOutbox(changesFor(facts, () => `made-${(n += 1)}`, 'Tester'));
  const store = boot();
  await settle();
  expect(store.getState().jobs.byId[facts.job.id]!.facts.surfaces[0]!.layers).toHaveLength(4);
});

test('what an older app left behind and no longer fits is passed over, not shown half', async () => {
  mockKept.jobs = { [facts.job.id]: { facts: { ...facts, surfaces: [{ ...facts.surfaces[0]!, material: 'cheese' }] }, cursor: 4 } };
  localStorage.setItem('rough-sill.outbox', '[{"id": 7}]');
  const store = boot();
  await settle();
  expect(store.getState().jobs.byId).toEqual({});
  expect(store.getState().outbox.waiting).toEqual([]);
});
