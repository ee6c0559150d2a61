export { closeForMistH, LAYING, layH, lossOf, MIST_WIND, reachM, type LaidLook, type LayingOf, type LayingOption } from './laying';
export { dewPointC, dryEnoughToCoat, DEW_MARGIN_C } from './dew-point';
export { stainOf } from './fits';
export { litresFor, spreadM2PerL, wetFilmUm } from './film';
export { earlyAt, blastCounts, filmLaid, spreadOn, stretchOf, sumSpread, type Early, type Film } from './as-laid';
export { leavesProfile, PROFILE } from './absorption';
export { coat, striped, WIPE } from './primer';
export { type CoatingPlan, type CoatLine } from './plan';
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
