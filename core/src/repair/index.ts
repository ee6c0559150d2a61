export { FILLER, FILLERS, layersFor, type Filler, type FillerId } from './fillers';
export { FINISH, finishOf, finishSpec, type FinishSpec } from './finish';
export { bareByPieces, labelsOf, pieceWords, soakedIn, TRIAGE, triage, triageOf, type Triage, type TriageCounts } from './triage';
export { cuts, DEFECT, extentOf, groundOf, liveDefects, repairOf, repairsFor, repairsOf, type DefectSpec, type Repair } from './repair';
