export * from './apart';
export * from './buy';
export * from './own';
export * from './packs';
