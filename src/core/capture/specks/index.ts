export { CELL } from './candidates';
export * from './company';
export type { Grey } from './grey';
export * from './measure';
export * from './score';
export * from './sweepBlock';
export * from './verdicts';
export * from './findSpecks';
export * from './packThings';
