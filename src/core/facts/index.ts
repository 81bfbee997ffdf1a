export * from './versioned';
export * from './shape';
