export * from './parse';
export * from './readings';
export * from './spectral';
export * from './write';
