export * from './Facts';
export * from './Figures';
export * from './FormSlip';
export * from './Slip';
