export { closeForMistH, LAYING, layH, lossOf, MIST_WIND, reachM, type LaidLook, type LayingOf, type LayingOption } from './laying';
export { dewPointC, dryEnoughToCoat, DEW_MARGIN_C } from './dew-point';
export { stainOf } from './fits';
export { litresFor, spreadM2PerL, wetFilmUm } from './film';
export { baseOf, PRODUCT_IDS, recoatOf, PRIMERS_DATA, TOPCOATS_DATA, type CoatId, type Coating, type PrimerId } from './products';
export {
  earlyAt,
  blastCounts,
  filmLaid,
  liveLaid,
  NO_SPREAD,
  spreadOn,
  stretchOf,
  sumSpread,
  type Early,
  type Film,
  type Spread,
  type SpreadBook,
} from './used';
export { leavesProfile, PROFILE } from './takes';
export { coat, striped, WIPE, type CoatingPlan, type CoatLine } from './primer';
export { bySheet, CURVES, DRYING_KINDS, dryingRate, type Curve } from './drying';
export {
  barredMost,
  chainOf,
  dayLaterH,
  LIMIT_IDS,
  movedBy,
  specsFor,
  specsOf,
  together,
  windowsOf,
  type Chain,
  type CoatSpec,
  type FaceHours,
  type LimitId,
  type Windows,
} from './windows';
