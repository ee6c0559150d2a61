import type { Run } from '../run';

export interface Law {
  readonly id: string;
  readonly says: string;
  /** Each breach in a sentence; none: the law holds. */
  readonly check: (run: Run) => readonly string[];
  /** How many cases of a run it judges; without it each run is one. A hunt in which a law judged nothing fails. */
  readonly asks?: (run: Run) => number;
}
