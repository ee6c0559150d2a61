/** Large jobs are derived in a worker: this middleware tells it of every change and puts its digests into the store. */
import { createAction, type Middleware } from '@reduxjs/toolkit';
import type { Change, JobFacts } from '@roughsill/core';
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
    const { jobLoaded, factsChanged, digested } = jobsSlice.actions;
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
      post({ kind: 'facts', facts, settings: store.getState().session.settings, thisYear: new Date().getUTCFullYear() });
    };

    return (next) => (action) => {
      const result = next(action);
      if (factsChanged.match(action)) tell(action.payload.facts, action.payload.changes);
      else if (jobLoaded.match(action)) tell(action.payload.facts);
      else if (workerLost.match(action)) tell(store.getState().jobs.byId[action.payload]?.facts);
      else if (sessionSlice.actions.known.match(action) || sessionSlice.actions.settingsChanged.match(action)) {
        for (const jobId of held) tell(store.getState().jobs.byId[jobId]?.facts);
      }
      return result;
    };
  };
