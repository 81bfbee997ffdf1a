import { median } from 'simple-statistics';

/**
 * The middle of some values: of an even number of them the mean of the two in the middle; 0 of
 * none.
 * @example medianOf([1, 2, 10, 4]) // 3
 */
export const medianOf = (values: number[]): number =>
  values.length === 0 ? 0 : median(values);
