/** Pictures on this phone until the server has them: taken without signal, sent when there is one. */
import { openDB, type DBSchema, type IDBPDatabase } from 'idb';
import type { Aside } from './shelf';
import type { Thunk } from './store';

interface Pictures extends DBSchema {
  waiting: { key: string; value: Blob };
}
let opened: Promise<IDBPDatabase<Pictures>> | undefined;
/** Made when the first picture is met: a browser may have no IndexedDB at all. @throws when it has no room */
function shelf(): Promise<IDBPDatabase<Pictures>> {
  opened ??= openDB<Pictures>('rough-sill-pictures', 1, {
    upgrade: (db) => void db.createObjectStore('waiting'),
    blocking: () => void opened?.then((db) => db.close()).finally(() => (opened = undefined)),
    terminated: () => (opened = undefined),
  });
  opened.catch(() => (opened = undefined));
  return opened;
}

export const keepPicture = async (hash: string, blob: Blob): Promise<void> => void (await (await shelf()).put('waiting', blob, hash));
export const waitingPicture = (hash: string): Promise<Blob | undefined> =>
  shelf()
    .then((db) => db.get('waiting', hash))
    .catch(() => undefined);
const waitingHashes = (): Promise<string[]> =>
  shelf()
    .then((db) => db.getAllKeys('waiting'))
    .catch(() => []);

let sending = false;

/** When this page last sent what it keeps on: sent again after a day, so that the server keeps it too. */
const keptOn = new Map<string, number>();
const AGAIN_MS = 24 * 3600 * 1000;

/** Pictures of what was set aside: their records may still be mended, and nobody else names them. */
const standsAside = (aside: readonly Aside[], hash: string): boolean =>
  aside.some(({ raw }) => (raw as { fields?: { hash?: unknown } } | null)?.fields?.hash === hash);

/**
 * Sends what waits. A picture that the server refuses stays here and is told by `refused`; one whose record is set aside stays here too,
 * however often it was sent.
 */
export const sendPictures =
  (refused: (says: string) => void = () => undefined): Thunk<Promise<void>> =>
  async (_dispatch, getState) => {
    if (sending || typeof indexedDB === 'undefined') return;
    sending = true;
    try {
      for (const hash of await waitingHashes()) {
        const stays = () => standsAside(getState().outbox.aside, hash);
        if (stays() && Date.now() - (keptOn.get(hash) ?? -AGAIN_MS) < AGAIN_MS) continue;
        const blob = await waitingPicture(hash);
        if (!blob) continue;
        const res = await fetch(`/api/photos/${hash}`, { method: 'PUT', body: blob, headers: { 'content-type': blob.type } });
        if (res.ok && stays()) keptOn.set(hash, Date.now());
        else if (res.ok) await (await shelf()).delete('waiting', hash);
        else if (res.status < 500)
          refused(((await res.json().catch(() => ({}))) as { detail?: string }).detail ?? 'The server refused the picture.');
      }
    } catch {
      // No signal: they wait.
    } finally {
      sending = false;
    }
  };
