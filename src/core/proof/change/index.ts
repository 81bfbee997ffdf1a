export * from './leastSquares';
export * from './proposeChange';
