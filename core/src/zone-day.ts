/** What of a zone the first screen does without: a person's day in it, and its signs. */
export { zoneDay, type DayPart, type ZoneDay } from './zone/day';
export { fittedOn, needsFit } from './protect/fit';
export { withCartridges } from './protect';
export { emergencies } from './zone/emergencies';
export { inTheHouse } from './zone/in-the-house';
export { licensedNeeds } from './zone/licensed';
export { tasksOn } from './zone/methods-in';
export { readyOnDay } from './zone/ready';
export { shiftsOf, type Shift, type ShiftPart } from './job/shift';
export { zoneSigns, type Sign } from './zone/signs';
