export * from './answerPrice';
export * from './faults';
export * from './types';
