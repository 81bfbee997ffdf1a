export * from './bestBatch';
export * from './breakEven';
export * from './terms';
export * from './testFirst';
export * from './secondBatch';
