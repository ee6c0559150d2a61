export { COUNTED, ELEMENTS, goodsOf, isHeater, isOfHouse, isOpening, isWindow, type Element, type Shape } from './elements';
export { liveLayers, liveParts, REBATE_M, sectionM2, sizeOf, takeOff, type SumLine, type TakeOff } from './measure';
export { partDrafts, surfaceDraft, type PartDraft, type SurfaceDraft } from './templates';
export { degreeShare, DEGREES, failsByDegree } from './degrees';
export { isPaid } from './paid';
export { coatsChange, coatsText, readCoats, readElement, readMaterial, type TypedCoats, type Understood } from './typed';
