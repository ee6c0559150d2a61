export * from './apart';
export * from './own';
export * from './packs';
