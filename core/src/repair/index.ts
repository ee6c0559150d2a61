export { FINISH, finishOf, finishSpec, type FinishSpec } from './finish';
export { cuts, DEFECT, extentOf, groundOf, liveDefects, repairOf, repairsFor, repairsOf, type DefectSpec, type Repair } from './repair';
