export { classify, daysItMayStand, generatorOf, type Classed, type Generator, type WasteClass, type WasteCode } from './classify';
export { loadNotes, type LoadNote, type NoteKind, type NoteLine } from './notes';
export { monthsOf, registerOf, type HaulTold, type MonthTold, type Register, type StreamTold } from './register';
export { classFor, wasteOf, type WasteLine } from './reckon';
export { ASBESTOS_LABEL, STREAMS, type Container, type Stands } from './streams';
