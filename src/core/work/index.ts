export * from './kinds';
export * from './stations';
