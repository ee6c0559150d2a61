export { nothingReached, planZone, stepsAround, type ZoneGiven, type ZoneMade, type ZoneMember, type ZonePlan } from './plan';
export { EVENTS, standsAt, type EventGate } from './standing';
export { floorOf, sheetInside, sheetOutside, unionArea, wallsOf, type Floor, type Rect } from './shapes';
export { wholesOf, zonesOf, type ZoneMap, type ZoneSetup, type ZoneView } from './zones';
export { turnOf } from './order';
export { isSetUp, setsUp, tagsOf } from './machines';
