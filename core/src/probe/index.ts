export { HAZARD_STATES, isPresent, strictest, type HazardState } from './state';
export { stackOf, UNCOUNTED, type StackCoat } from './stack';
export { leadPicture, type CoatLead, type LeadPicture, type NextTest } from './lead';
export { asbestosPicture } from './asbestos';
export { judgeReading, standingReadings } from './reading';
