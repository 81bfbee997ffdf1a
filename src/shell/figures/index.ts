export * from './BenchContext';
export { formatOf } from './format';
export type { Format } from './format';
