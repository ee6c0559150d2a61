export { clothsForFloor } from './cloths';
export { CHECK_UNITS, checkUnit, keeps, checkOutcome, stillSpeaks } from './judge';
export { laidAsks, openBefore, withLaid } from './laid';
export { maskKg } from './masking';
export { defectSize, repairMoney } from './repairs';
export { maskingMoney, ownSteps } from './steps';
export { holdSays, pastChecks } from './past-checks';
