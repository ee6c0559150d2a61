export { ELEMENTS, type Element } from './elements';
export { liveLayers, liveParts, takeOff, type TakeOff } from './measure';
