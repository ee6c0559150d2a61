/**
 * What a phone keeps and its first screen shows: facts and the changes to them, the firm's settings, units, everyday words. Nothing here is
 * derived, so that the first screen loads none of the judging.
 */
export * from './facts';
export * from './reasons';
export * from './rulebook';
export * from './units/face';
export { entryTold } from './job/change-summary';
export { dueSquares, type DueSquare } from './trial/due';
