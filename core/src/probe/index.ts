export { HAZARD_STATES, isPresent, stricter, strictest, type HazardState } from './state';
export {
  GOODS_LEAD,
  isLow,
  isOnGoods,
  numberOf,
  rungKey,
  RUNGS,
  standingAt,
  standingText,
  worse,
  type HazardWord,
  type Rung,
  type Standing,
} from './rung';
export { coatSays, stackOf, type StackCoat } from './stack';
export { leadEverFound, leadIsPresent, leadPicture, type CoatLead, type LeadPicture, type NextTest } from './lead';
export { leadDepths, meetsMaterial, poisonsTo, type LeadDepths } from './depths';
export {
  asbestosAreas,
  asbestosPicture,
  isAsbestosPiece,
  judgeBulk,
  NO_ASBESTOS,
  suspectsOf,
  type AsbestosArea,
  type AsbestosPicture,
  type Suspect,
  type SuspectSurface,
} from './asbestos';
export { placedView, placesOf, type Past, type Remembering } from './place';
export { COAT_POISONS, isPoisoned, poisonsOf, withAssumedPoison } from './poison';
export { type CoatPoison } from './stack';
export { judgeReading, lastFaceC } from './reading';
export { answerText, resultText, type SampleAnswer } from './result';
export { isLeadReading, saysSomething, standingOf, standingReadings } from './standing';
export { holdsSilica, silicaOn } from './silica';
export { instrumentBook, NO_INSTRUMENTS, substrateCorrection, type InstrumentBook } from './xrf';
export { correctedWoodMoisture, judgeMoisture, type MoistureVerdict } from './moisture';
export { isDamp, moldOn, readsWet } from './mold-on';
export { nextNumber, sampleRegister, type Register, type RegisterLine, type SampleState } from './register';
export { DEPTHS, touchToday, type Depth, type Touch, type TouchToday } from './touch';
export { blockedMethods, registerAct, todayOf, type Today, type TodayAct, type TodaySurface } from './today';
export { movedReading } from './move';
