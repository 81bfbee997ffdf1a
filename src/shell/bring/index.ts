export * from './BringAnything';
export * from './ListSlip';
export * from './ChooseList';
