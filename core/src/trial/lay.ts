/** What laying squares out needs beside a plan; kept apart so that the first screen does without it. */
export { firstSquares } from './first';
export { carriedSquare, carryable, coatingKey, type Carried } from './carry';
export { TRIAGE, triage, triageOf, type Triage, type TriageCounts } from './triage';
