export { clothsForFloor } from './cloths';
export { ownSteps } from './steps';
export {
  hoursOf,
  NOTHING,
  plus,
  stepOf,
  type Amount,
  type Gate,
  type GateSpec,
  type GateState,
  type Step,
  type StepKind,
  type StepSpec,
} from './step';
