export { workPlan, type Amount, type Gate, type Step, type StepKind, type WorkPlan } from './steps';
