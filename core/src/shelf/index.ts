export * from './storage';
export * from './firm-sheets';
export * from './packs';
