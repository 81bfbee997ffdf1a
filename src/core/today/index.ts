export * from './lines';
export * from './types';
export * from './complete';
