export * from './families';
export * from './viewing';
export * from './fit';
export * from './rules';
export * from './judge';
export * from './ladder';
export * from './signing';
