export * from './cost';
export * from './price';
