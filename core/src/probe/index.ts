export { HAZARD_STATES, isPresent, strictest, type HazardState } from './state';
export { stackOf, UNCOUNTED, type StackCoat } from './stack';
export { leadPicture, type CoatLead, type LeadPicture, type NextTest } from './lead';
export { leadDepths, type LeadDepths } from './depths';
export { leadGroups, type LeadGroup } from './lead-groups';
export {
  asbestosAreas,
  asbestosPicture,
  judgeBulk,
  NO_ASBESTOS,
  samplePoints,
  suspectsOf,
  type AsbestosArea,
  type AsbestosPicture,
  type SamplePoint,
  type Suspect,
  type SuspectSurface,
} from './asbestos';
export { isLeadReading, judgeReading, standingReadings } from './reading';
export { instrumentBook, NO_INSTRUMENTS, substrateCorrection, type InstrumentBook } from './xrf';
export { correctedWoodMoisture, judgeMoisture, type MoistureVerdict } from './moisture';
export { CAUSE_QUESTIONS, moldOn, moldPicture, moldSize, type MoldPicture } from './mold';
export { builtClass, drawDwellings, dwellingsToTest, missesAll, type BuiltClass } from './multifamily';
export { draw, seeded } from './seeded';
export { dustLoading, loadingOfChip, loadingOfFilm, massOfFilm } from './film';
export { afterTest, KIT_ERRORS, leadChance, leadPrior, testOrAssume, type KitErrors, type TestOrAssume } from './decide';
export { nextNumber, sameNumber, sampleRegister, type Register, type RegisterLine, type SampleState } from './register';
export { DEPTHS, touchToday, type Depth, type Touch, type TouchToday } from './touch';
export { blockedMethods, registerAct, todayOf, type Today, type TodayAct, type TodaySurface } from './today';
export { areaPlan, type AreaPlan } from './area-plan';
