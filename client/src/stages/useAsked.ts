/** Asks the worker again whenever the question changes; the last answer stands meanwhile. */
import { useEffect, useRef, useState } from 'react';
import type { Answers, Ask, FromAskWorker, ToAskWorker } from '../workers/ask-protocol';
import { spawnAskWorker } from '../workers/spawn';

/** @param ask the same object while nothing of it changed; null: nothing is asked */
export function useAsked<A extends Ask>(ask: A | null): Answers[A['kind']] | null {
  const worker = useRef<Worker | null>(null);
  const run = useRef(0);
  const [answer, setAnswer] = useState<Answers[A['kind']] | null>(null);
  useEffect(
    () => () => {
      worker.current?.terminate();
      worker.current = null;
    },
    [],
  );
  useEffect(() => {
    run.current += 1;
    if (ask === null) return;
    if (worker.current === null) {
      worker.current = spawnAskWorker();
      worker.current.addEventListener('message', ({ data }: MessageEvent<FromAskWorker>) => {
        if (data.run === run.current) setAnswer(data.answer as Answers[A['kind']]);
      });
    }
    const message: ToAskWorker = { run: run.current, thisYear: new Date().getUTCFullYear(), ask };
    worker.current.postMessage(message);
  }, [ask]);
  return ask === null ? null : answer;
}
