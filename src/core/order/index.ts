export * from './types';
export * from './item';
export * from './line';
export * from './decide';
export * from './customer';
export * from './shareOut';
export * from './extras';
