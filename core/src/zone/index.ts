export { nothingReached, planZone, stepsAround, type ZoneGiven, type ZoneMade, type ZoneMember, type ZonePlan } from './plan';
export { standsAt } from './standing';
export { wholesOf, zonesOf, type ZoneMap, type ZoneSetup, type ZoneView } from './zones';
export { isSetUp, setsUp, tagsOf } from './machines';
