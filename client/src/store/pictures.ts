/** Pictures on this phone until the server has them: taken without signal, sent when there is one. */
import { createStore, del, get, keys, set, type UseStore } from 'idb-keyval';

let store: UseStore | undefined;
/** Made when the first picture is met: a browser may have no IndexedDB at all. */
const shelf = (): UseStore => (store ??= createStore('rough-sill-pictures', 'waiting'));

export const keepPicture = (hash: string, blob: Blob): Promise<void> => set(hash, blob, shelf());
export const waitingPicture = (hash: string): Promise<Blob | undefined> => get<Blob>(hash, shelf()).catch(() => undefined);

let sending = false;

/** Sends what waits. A picture that the server refuses stays here and is told by `refused`. */
export async function sendPictures(refused: (says: string) => void = () => undefined): Promise<void> {
  if (sending || typeof indexedDB === 'undefined') return;
  sending = true;
  try {
    for (const hash of (await keys(shelf()).catch(() => [])) as string[]) {
      const blob = await waitingPicture(hash);
      if (!blob) continue;
      const res = await fetch(`/api/photos/${hash}`, { method: 'PUT', body: blob, headers: { 'content-type': blob.type } });
      if (res.ok) await del(hash, shelf());
      else if (res.status < 500)
        refused(((await res.json().catch(() => ({}))) as { detail?: string }).detail ?? 'The server refused the picture.');
    }
  } catch {
    // No signal: they wait.
  } finally {
    sending = false;
  }
}
