/** Air and what is in it: kept apart so that the first screen does without it. */
export { AIR_DENSITY, changesFlow, CRACK_CD, leakM3h, LOADED_SHARE, machinesFor, pressureOver, purgeHours, shareAfter } from './flow';
export {
  airAgainstFire,
  airAgainstHarm,
  layAtOnce,
  LEL_SHARE,
  MIXING,
  ppmIn,
  SOLVENT_IDS,
  SOLVENTS,
  vapourM3,
  type Solvent,
  type SolventAnswer,
  type SolventId,
  type SolventRoom,
} from './vapour';
export {
  airFrom,
  dayOfLead,
  LEAD_LIMITS,
  leadInDust,
  leadLimit,
  limitSetOf,
  LIMIT_SETS,
  maskFor,
  mayStop,
  mixture,
  monthsToNext,
  samplePlan,
  shiftAverage,
  twa8,
  type AirSample,
  type DayOfLead,
  type LimitSet,
  type SamplePlan,
  type Task,
} from './breathing';
export { airSampleState, breathedIn, LEAST_MIN, ownAirOf, type AirSampleState, type OwnAir } from './own-samples';
export { airDuties, type AirDuty } from './duties';
export { RangedError } from '../units/ranged';
