/** Large jobs are derived in a worker: this middleware tells it of every change and puts its digests into the store. */
import { planning } from './planning';
import { createAction, isAnyOf as isAny, type Middleware } from '@reduxjs/toolkit';
import type { Change, JobFacts } from '@roughsill/core/records';
import type { FromWorker, ToWorker } from '../workers/protocol';
import { jobsSlice, sessionSlice, type JobsState, type SessionState } from './slices';

/** Above this a whole derivation takes longer than a frame or two on a slow phone. */
export const LARGE = 60;
export const isLarge = (facts: JobFacts): boolean => facts.surfaces.length > LARGE;

interface Slices {
  readonly jobs: JobsState;
  readonly session: SessionState;
}

/** The worker has lost a job (it could not follow a change) and wants it whole. */
const workerLost = createAction<string>('worker/lost');

/** @param spawn starts the worker; called when the first large job is opened */
export const largeJobs =
  (spawn: () => Worker): Middleware<object, Slices> =>
  (store) => {
    const { jobLoaded, factsChanged, settled, pulled, digested } = jobsSlice.actions;
    const held = new Set<string>();
    let worker: Worker | undefined;

    const post = (message: ToWorker) => {
      if (!worker) {
        worker = spawn();
        worker.addEventListener('message', ({ data }: MessageEvent<FromWorker>) => {
          store.dispatch(data.kind === 'digest' ? digested(data.digest) : workerLost(data.jobId));
        });
      }
      worker.postMessage(message);
    };
    const tell = (facts: JobFacts | undefined, changes?: readonly Change[]) => {
      if (!facts || !isLarge(facts)) return;
      const jobId = facts.job.id;
      if (changes && held.has(jobId)) return post({ kind: 'changes', jobId, changes });
      held.add(jobId);
      post({ kind: 'facts', facts, settings: planning(store.getState()), thisYear: new Date().getUTCFullYear() });
    };

    const shown = (jobId: string) => store.getState().jobs.byId[jobId]?.facts;

    return (next) => (action) => {
      const before = store.getState().jobs.byId;
      const result = next(action);
      if (factsChanged.match(action)) tell(action.payload.facts, action.payload.changes);
      else if (jobLoaded.match(action)) tell(shown(action.payload.jobId));
      else if (pulled.match(action)) {
        const { jobId, changes, others } = action.payload;
        const job = before[jobId];
        const alone = job?.acked.length === 0 && !action.payload.waiting.some((c) => c.jobId === jobId);
        if (others) tell(shown(jobId), alone ? changes : undefined);
      } else if (settled.match(action)) {
        // Facts move only when something was refused: what it did is taken off again.
        for (const jobId of held) if (shown(jobId) !== before[jobId]?.facts) tell(shown(jobId));
      } else if (workerLost.match(action)) tell(store.getState().jobs.byId[action.payload]?.facts);
      else if (isAny(sessionSlice.actions.known, sessionSlice.actions.settingsChanged, sessionSlice.actions.firmChanged)(action)) {
        for (const jobId of held) tell(store.getState().jobs.byId[jobId]?.facts);
      }
      return result;
    };
  };
