export * from './Button';
export * from './TakeOut';
export * from './singleKeys';
export * from './useActionForm';
export * from './useKept';
export * from './useLiveForm';
export * from './useLiveRead';
export * from './deskLink';
