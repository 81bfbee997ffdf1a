export * from './types';
export * from './chain';
export * from './ledgerCheck';
export * from './impressions';
export * from './decide';
export * from './label';
export * from './countSheets';
export * from './laidSheets';
