export * from './toneCounts';
export * from './toneReading';
export * from './noise';
