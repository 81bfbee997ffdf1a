export * from './BringAnything';
export * from './ListSlip';
