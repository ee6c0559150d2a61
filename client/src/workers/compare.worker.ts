/** Plans one surface with every method beside the page, and asks what-ifs of one of them. */
import { compareMethods, sensitivity } from '@roughsill/core/compare';
import type { FromCompareWorker, ToCompareWorker } from './compare-protocol';

globalThis.addEventListener('message', ({ data }: MessageEvent<ToCompareWorker>) => {
  const { run, facts, surfaceId, settings, thisYear, focus } = data;
  const answer: FromCompareWorker = {
    run,
    compared: compareMethods(facts, surfaceId, settings, thisYear),
    whatIf: focus === null ? [] : sensitivity(facts, surfaceId, focus, settings, thisYear),
  };
  globalThis.postMessage(answer);
});
