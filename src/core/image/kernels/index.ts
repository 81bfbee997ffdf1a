export * from './lanczos';
export * from './cubic';
export * from './kernels';
export * from './gaussian';
export * from './axisWeights';
