/** The drawings: what a room, a side and the house look like, for whoever draws them. */
export { unfold, type Drawn, type Face, type Unfolded } from './zone/unfold';
export { footprintOf } from './job/views';
export { houseScene, type SideShown } from './zone/house';
export { damageMarks, marksOf, MARKS, type Mark, type MarkKind, type SetUpDrawn } from './zone/marks';
export {
  hatch,
  paintColour,
  scene,
  sceneSvg,
  TEXTURES,
  type Box,
  type Ink,
  type Paint,
  type PieceShapes,
  type PlanPiece,
  type Scene,
  type Shape,
  type Tone,
} from './zone/scene';
