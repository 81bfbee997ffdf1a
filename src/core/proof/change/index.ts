export * from './leastSquares';
export * from './proposeChange';
export { numbersMoved } from './numbers';
export type { ChangePart, NumberMoved } from './numbers';
export * from './usualChange';
