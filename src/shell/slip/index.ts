export * from './Facts';
export * from './Figures';
export * from './Slip';
