export * from './fields';
export * from './defineInput';
export * from './json';
