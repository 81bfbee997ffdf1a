export * from './BenchContext';
export type { Format } from './format';
