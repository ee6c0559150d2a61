import type { FirmSettings, JobFacts, MethodId } from '@roughsill/core';
import type { Compared, WhatIf } from '@roughsill/core/compare';

export interface ToCompareWorker {
  /** Counts the questions, so that the answer to an older one is passed over. */
  readonly run: number;
  readonly facts: JobFacts;
  readonly surfaceId: string;
  readonly settings: FirmSettings;
  readonly thisYear: number;
  /** What-ifs are asked of this one. Null: of none. */
  readonly focus: MethodId | null;
}
export interface FromCompareWorker {
  readonly run: number;
  readonly compared: Compared;
  readonly whatIf: readonly WhatIf[];
}
