import type { Change, FirmSettings, JobDigest, JobFacts } from '@roughsill/core';

/** To the worker: a whole job, or changes to one that it holds. */
export type ToWorker =
  | { readonly kind: 'facts'; readonly facts: JobFacts; readonly settings: FirmSettings; readonly thisYear: number }
  | { readonly kind: 'changes'; readonly jobId: string; readonly changes: readonly Change[] };

export type FromWorker = { readonly kind: 'digest'; readonly digest: JobDigest } | { readonly kind: 'lost'; readonly jobId: string };
