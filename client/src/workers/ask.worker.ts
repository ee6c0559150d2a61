/** Answers what one screen asks, beside the page. */
import { answerTo } from './answer';
import type { FromAskWorker, ToAskWorker } from './ask-protocol';

globalThis.addEventListener('message', ({ data }: MessageEvent<ToAskWorker>) => {
  const told: FromAskWorker = { run: data.run, answer: answerTo(data.ask, data.thisYear) };
  globalThis.postMessage(told);
});
