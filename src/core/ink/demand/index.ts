export * from './demand';
export * from './roles';
export * from './separate';
export * from './stats';
