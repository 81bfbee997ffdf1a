export * from './gate';
export * from './guard';
export * from './bodies';
export * from './shape';
export * from './passphrase';
export * from './origin';
export * from './headers';
