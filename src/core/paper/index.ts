export * from './formats';
export * from './lasting';
export * from './life';
export * from './lots';
export * from './purchase';
export * from './stock';
export * from './traits';
