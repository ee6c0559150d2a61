/** Reckons a room's year of hours beside the page, remedy by remedy, and tells how far it is. */
import { forecast } from '@roughsill/core/moist';
import type { FromMoldWorker, ToMoldWorker } from './mold-protocol';

const post = (m: FromMoldWorker): void => globalThis.postMessage(m);

globalThis.addEventListener('message', ({ data }: MessageEvent<ToMoldWorker>) => {
  const { run, moisture, space, climate, material, rules } = data;
  post({
    kind: 'done',
    run,
    forecast: forecast(moisture, space, climate, material, rules, (share) => post({ kind: 'progress', run, share })),
  });
});
