export * from './mat';
