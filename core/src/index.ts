export * from './facts';
export * from './reasons';
export * from './rulebook';
export * from './walk';
export * from './probe';
export * from './catalogue';
export * from './trial';
export * from './choose';
export * from './protect';
export * from './coat';
export * from './shelf';
export * from './work';
export * from './sign';
export * from './repair';
export * from './zone';
export { limitSetOf } from './air/breathing';
export * from './job/derive';
export { NEXT_ACTS, type NextAct, type SurfacePlan } from './surface/plan';
export * from './job/digest';
export { isOutdoors } from './job/views';
export {
  convert,
  formatHours,
  formatMeasure,
  formatRange,
  formatWeight,
  formatWork,
  many,
  measure,
  moneyIn,
  roundForReading,
  withCommas,
  UNITS,
  unitFor,
  type Measure,
  type Unit,
  type UnitSystem,
} from './units/units';
export { feetAndInches, lengthText, readLength, readNumber, usualSize, type Read } from './units/length';
export { entryTold } from './job/told';
export { headOf, type JobHead } from './job/head';
export { toBuy } from './job/to-buy';
export { MONEY_LINES, testsMoney, type MoneyLine, type MoneyLines } from './job/money';
