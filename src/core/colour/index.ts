export * from './spaces';
export * from './matrix';
