/** Laying, soaking and lifting: kept apart so that the first screen does without it. */
export { openLifeH, type Weather } from './working-time';
export { simulate, type Bar, type Lane, type RoundInput, type Simulated } from './simulate';
export { largestRound, roundInput, rounds, type Crew, type RoundQuestion, type Rounds } from './rounds';
export { roundQuestion } from './for-part';
