export * from './opinion';
export * from './nearest';
export * from './proposed';
