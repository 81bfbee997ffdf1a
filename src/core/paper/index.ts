export * from './lots';
export * from './stock';
