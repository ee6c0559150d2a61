/** The forms, and the form library with them, in one piece that is loaded when the first of them is opened. */
export { JobFactsScreen, NewJobScreen } from './start/JobForm';
export { ReadingForm } from './probe/ReadingForm';
