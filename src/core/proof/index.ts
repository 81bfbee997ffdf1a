export * from './rounds';
export * from './tones';
export * from './cost';
export * from './merged';
export * from './gather';
export * from './worst';
export * from './gradients';
export * from './recommend';
