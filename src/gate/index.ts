export * from './gate';
export * from './passphrase';
export * from './origin';
export * from './headers';
