export * from './spaces';
export * from './matrix';
export * from './iccProfile';
