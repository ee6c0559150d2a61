/** Pictures on this phone until the server has them: taken without signal, sent when there is one. */
import { createStore, del, get, keys, set, type UseStore } from 'idb-keyval';
import type { Aside } from './shelf';
import type { Thunk } from './store';

let store: UseStore | undefined;
/** Made when the first picture is met: a browser may have no IndexedDB at all. */
const shelf = (): UseStore => (store ??= createStore('rough-sill-pictures', 'waiting'));

export const keepPicture = (hash: string, blob: Blob): Promise<void> => set(hash, blob, shelf());
export const waitingPicture = (hash: string): Promise<Blob | undefined> => get<Blob>(hash, shelf()).catch(() => undefined);

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
      for (const hash of (await keys(shelf()).catch(() => [])) as string[]) {
        const stays = () => standsAside(getState().outbox.aside, hash);
        if (stays() && Date.now() - (keptOn.get(hash) ?? -AGAIN_MS) < AGAIN_MS) continue;
        const blob = await waitingPicture(hash);
        if (!blob) continue;
        const res = await fetch(`/api/photos/${hash}`, { method: 'PUT', body: blob, headers: { 'content-type': blob.type } });
        if (res.ok && stays()) keptOn.set(hash, Date.now());
        else if (res.ok) await del(hash, shelf());
        else if (res.status < 500)
          refused(((await res.json().catch(() => ({}))) as { detail?: string }).detail ?? 'The server refused the picture.');
      }
    } catch {
      // No signal: they wait.
    } finally {
      sending = false;
    }
  };
