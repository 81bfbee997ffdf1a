export * from './fields';
export * from './defineInput';
