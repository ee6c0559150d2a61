export { fromReference, REFERENCE_C, speedAt, toReference } from './dwell';
export { isBanned, minutesLeft, outcomeOf, stoodMin, type SquareOutcome } from './square';
export { conclusionsOf, usualMin, type Conclusion, type Proposal } from './conclude';
export { NO_TRIALS, trialBook, trialOn, type Learned, type TrialBook } from './book';
export { dueSquares, type DueSquare } from './due';
export { endsClear, wantsBare } from './endpoint';
export { CROSS_CUT_TO_UM, holdOf, type Hold } from './hold';
export { bareByPieces, labelsOf, pieceWords, soakedIn, TRIAGE, triage, triageOf, type Triage, type TriageCounts } from './triage';
