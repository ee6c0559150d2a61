/** What the other faces of the core show of units. */
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
  type Range,
  type Unit,
  type UnitSystem,
} from './units';
export { feetAndInches, lengthText, readLength, readNumber, usualSize, type Read } from './length';
