export * from './derivation';
export * from './perspective';
