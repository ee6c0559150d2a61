export { clothsForFloor } from './cloths';
export { CHECK_UNITS, checkUnit, keeps, checkOutcome } from './judge';
export { maskKg } from './masking';
export { defectSize, repairMoney } from './repairs';
export { maskingMoney, ownSteps } from './steps';
export {
  gate,
  hoursOf,
  NOTHING,
  plus,
  stepOf,
  type Amount,
  type Asked,
  type Gate,
  type GateSpec,
  type GateState,
  type Step,
  type StepKind,
  type StepSpec,
} from './step';
