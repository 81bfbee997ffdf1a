export * from './timeLeft';
export * from './sliceRows';
