export * from './versioned';
export * from './shape';
export * from './factText';
