export * from './lasting';
export * from './lots';
export * from './stock';
