/** Reckons a room's year of hours beside the page, remedy by remedy, and tells how far it is. */
import { outlook, REMEDIES, type Outlook } from '@roughsill/core/moist';
import type { FromMoldWorker, ToMoldWorker } from './mold-protocol';

const post = (m: FromMoldWorker): void => globalThis.postMessage(m);

globalThis.addEventListener('message', ({ data }: MessageEvent<ToMoldWorker>) => {
  const out: Outlook[] = [];
  REMEDIES.forEach((remedy, i) => {
    const progress = (share: number) => post({ kind: 'progress', run: data.run, share: (i + share) / REMEDIES.length });
    out.push(outlook(data.moisture, data.space, data.climate, data.material, remedy, data.rules, progress));
  });
  post({ kind: 'done', run: data.run, outlooks: out });
});
