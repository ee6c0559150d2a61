/** What comparing needs beside a plan; kept apart so that the first screen does without it. */
export { ALWAYS, compareMethods, daysOf, type Alternative, type Compared } from './alternatives';
export { dwellRhythm, sensitivity, type WhatIf } from './sensitivity';
export { certainties, type Certainty } from './certainty';
export { wearToTry } from './wear';
export { changedBetween, type Changed } from './changed';
export { compareStrippers, type StripperLine } from './strippers';
