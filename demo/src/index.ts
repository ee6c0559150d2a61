export { QUILL_POINT_CLIENT, QUILL_POINT_HOUSE, quillPoint } from './quill-point';
export { examples } from './examples';
export { largeJob } from './large';
export { truthOf, type CoatTruth, type Truth } from './truth';
export { shiftedTo } from './shift';
export { mixOnTheWay } from './mix';
export { SHELF_PRODUCTS, SHELF_TINS } from './shelf';
