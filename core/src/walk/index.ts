export { COUNTED, ELEMENTS, type Element, type Shape } from './elements';
export { liveLayers, liveParts, sectionM2, sizeOf, takeOff, type SumLine, type TakeOff } from './measure';
export {
  KIT_IDS,
  KITS,
  partDrafts,
  surfaceDraft,
  unfoldKit,
  type RoomKit,
  type KitId,
  type PartDraft,
  type SurfaceDraft,
  type UnfoldedKit,
} from './templates';
export { siteDuties } from './duties';
export { BINDER_SURE, guessBinder, type BinderGuess } from './binder';
export { degreeShare, DEGREES, failsByDegree } from './degrees';
