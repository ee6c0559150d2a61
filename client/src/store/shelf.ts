/**
 * What this phone keeps, in IndexedDB and shared by all tabs: one row a change that was not sent yet, what the server refused, what it
 * took lately, and the jobs as the server last told them.
 */
import { openDB, type DBSchema, type IDBPDatabase } from 'idb';
import {
  CHANGE_VERSION,
  JOB_FILE_VERSION,
  JobFacts,
  type Change,
  type FirmFacts,
  type FirmSettings,
  type Problem,
} from '@roughsill/core/records';
import { BUILD } from '../build';
import type { JobLine } from '@roughsill/core/records';

/** A change that was refused, or one that could not be read: kept until a person mends or drops it. */
export interface Aside {
  readonly id: string;
  /** As it was written. */
  readonly raw: unknown;
  readonly problems: readonly Problem[];
  /** When it was set aside. */
  readonly at: string;
}

/** A job as the server told it, at a place in its log. */
export interface KeptJob {
  readonly base: JobFacts;
  readonly cursor: number;
}

interface Shelf extends DBSchema {
  outbox: { key: number; value: { n?: number; id: string; change: unknown }; indexes: { id: string } };
  aside: { key: string; value: Aside };
  sent: { key: number; value: { n?: number; id: string; change: Change; at: number }; indexes: { id: string } };
  jobs: { key: string; value: KeptJob & { readonly form: string } };
  facts: { key: string; value: unknown };
}

/** What was written by this very build of the app needs no second look: all else is read by today's schemas. */
const FORM = `${CHANGE_VERSION}.${JOB_FILE_VERSION}.${BUILD}`;
const SENT_KEPT = 5000;
const SENT_KEPT_MS = 60 * 24 * 3600 * 1000;
const SAFE = { durability: 'strict' } as const;

let opened: Promise<IDBPDatabase<Shelf>> | undefined;
/** @throws when the browser has no room, or no store at all */
function shelf(): Promise<IDBPDatabase<Shelf>> {
  opened ??= openDB<Shelf>('rough-sill', 1, {
    upgrade(db) {
      db.createObjectStore('outbox', { keyPath: 'n', autoIncrement: true }).createIndex('id', 'id');
      db.createObjectStore('aside', { keyPath: 'id' });
      db.createObjectStore('sent', { keyPath: 'n', autoIncrement: true }).createIndex('id', 'id');
      db.createObjectStore('jobs');
      db.createObjectStore('facts');
    },
    // A newer app in another tab wants to change the store: this one lets go, and opens it again when it next writes.
    blocking: () => void opened?.then((db) => db.close()).finally(() => (opened = undefined)),
    terminated: () => (opened = undefined),
  });
  opened.catch(() => (opened = undefined));
  return opened;
}

/** A transaction that failed says so once, to whoever waits for it. */
const begun = <T extends { readonly done: Promise<void> }>(tx: T): T => {
  tx.done.catch(() => undefined);
  return tx;
};

/** Keeps changes before they are sent, in their order. @throws when they could not be kept */
export async function keep(changes: readonly Change[]): Promise<void> {
  const tx = begun((await shelf()).transaction('outbox', 'readwrite', SAFE));
  // All is asked for at once, without looking first, and committed without waiting: the page may go away before an answer comes.
  for (const change of changes) tx.store.add({ id: change.id, change }).catch(() => undefined);
  tx.commit();
  await tx.done;
}

/** As `keep`, passing over those that are kept already. */
export async function keepMissing(changes: readonly Change[]): Promise<void> {
  const there = new Set((await waitingRows()).map((r) => r.id));
  await keep(changes.filter((c) => !there.has(c.id)));
}

export interface Settled {
  readonly accepted: readonly Change[];
  readonly aside: readonly Aside[];
}
/** What the server took leaves the outbox; what it refused is set aside. One transaction: a change is never in neither place. */
export async function settle({ accepted, aside }: Settled): Promise<void> {
  const tx = begun((await shelf()).transaction(['outbox', 'aside', 'sent'], 'readwrite', SAFE));
  const out = tx.objectStore('outbox');
  const leave = async (id: string) => {
    for (const key of await out.index('id').getAllKeys(id)) await out.delete(key);
  };
  for (const change of accepted) {
    await leave(change.id);
    await tx.objectStore('sent').add({ id: change.id, change, at: Date.now() });
  }
  for (const a of aside) {
    await leave(a.id);
    await tx.objectStore('aside').put(a);
  }
  await tx.done;
}

export async function waitingRows(): Promise<{ readonly id: string; readonly change: unknown }[]> {
  return (await shelf()).getAll('outbox');
}
export async function asideRows(): Promise<Aside[]> {
  return (await shelf()).getAll('aside');
}
export async function setAside(list: readonly Aside[]): Promise<void> {
  await settle({ accepted: [], aside: list });
}
export async function dropAside(id: string): Promise<void> {
  await (await shelf()).delete('aside', id);
}

/** What the server took from this phone lately, oldest first. */
export async function sentChanges(): Promise<Change[]> {
  return (await (await shelf()).getAll('sent')).map((r) => r.change);
}
/** Takes changes back from what was sent into what waits, before all others. */
export async function sendAgain(changes: readonly Change[]): Promise<void> {
  const tx = begun((await shelf()).transaction(['outbox', 'sent'], 'readwrite', SAFE));
  const out = tx.objectStore('outbox');
  const later = await out.getAll();
  await out.clear();
  const ids = new Set(changes.map((c) => c.id));
  for (const change of changes) await out.add({ id: change.id, change });
  for (const row of later) if (!ids.has(row.id)) await out.add({ id: row.id, change: row.change });
  await tx.objectStore('sent').clear();
  await tx.done;
}
/** Lets go of what was sent long ago. */
export async function trimSent(now: number): Promise<void> {
  const tx = begun((await shelf()).transaction('sent', 'readwrite'));
  let left = (await tx.store.count()) - SENT_KEPT;
  for (let cursor = await tx.store.openCursor(); cursor; cursor = await cursor.continue()) {
    if (left <= 0 && cursor.value.at > now - SENT_KEPT_MS) break;
    await cursor.delete();
    left -= 1;
  }
  await tx.done;
}

export async function saveJob(jobId: string, job: KeptJob): Promise<void> {
  await (await shelf()).put('jobs', { base: job.base, cursor: job.cursor, form: FORM }, jobId);
}
export async function jobIds(): Promise<string[]> {
  return (await shelf()).getAllKeys('jobs');
}
/** Only what still fits today's schemas comes back, with its gaps filled: an older app may have written it. */
export async function loadKeptJob(jobId: string): Promise<KeptJob | null> {
  const kept = await (await shelf()).get('jobs', jobId);
  if (!kept) return null;
  if (kept.form === FORM) return { base: kept.base, cursor: kept.cursor };
  return readKeptJob(kept);
}
export function readKeptJob(kept: { readonly base: unknown; readonly cursor: number }): KeptJob | null {
  const facts = JobFacts.safeParse(kept.base);
  return facts.success ? { base: facts.data, cursor: kept.cursor } : null;
}

interface Kept {
  readonly list: readonly JobLine[];
  readonly settings: FirmSettings;
  readonly firm: FirmFacts;
  readonly person: string;
  readonly epoch: string;
}
export async function saveFact<K extends keyof Kept>(key: K, value: Kept[K]): Promise<void> {
  await (await shelf()).put('facts', value, key);
}
export async function loadFact<K extends keyof Kept>(key: K): Promise<unknown> {
  return (await shelf()).get('facts', key);
}
