export * from './faults';
export * from './planCuts';
export { smallestSheet } from './readJob';
export * from './types';
