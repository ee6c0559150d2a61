import type { Run } from '../run';

export interface Law {
  readonly id: string;
  readonly says: string;
  /** Each breach in a sentence; none: the law holds. */
  readonly check: (run: Run) => readonly string[];
}
