/** Several tabs of one phone: each hears what the others write, and one at a time sends. */
import type { Change } from '@roughsill/core/records';
import type { Aside } from './shelf';
import type { SettledAct } from './slices';

export type TabWord =
  | { readonly kind: 'queued'; readonly changes: readonly Change[] }
  | { readonly kind: 'settled'; readonly act: SettledAct }
  | { readonly kind: 'aside'; readonly list: readonly Aside[] }
  | { readonly kind: 'mended'; readonly id: string };

const channel = typeof BroadcastChannel === 'undefined' ? undefined : new BroadcastChannel('rough-sill');

export const tellTabs = (word: TabWord): void => channel?.postMessage(word);
export function hearTabs(hear: (word: TabWord) => void): void {
  channel?.addEventListener('message', (e: MessageEvent<TabWord>) => hear(e.data));
}

/**
 * Runs `work` unless another tab is at it. A page that is not from a secure address has no locks: then each tab sends by itself, which
 * costs a second sending and changes nothing.
 */
export async function alone(name: string, work: () => Promise<void>): Promise<void> {
  const { locks } = navigator as { locks?: LockManager };
  if (!locks) return work();
  await locks.request(`rough-sill.${name}`, { ifAvailable: true }, (lock) => (lock ? work() : undefined));
}
