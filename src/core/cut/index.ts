export * from './faults';
export * from './planCuts';
export * from './planFault';
export * from './sheetPlan';
export * from './toldPlan';
export * from './cutNumbers';
export * from './gangLayout';
export { smallestSheet } from './readJob';
export * from './types';
