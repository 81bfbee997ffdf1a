export * from './lines';
export * from './complete';
