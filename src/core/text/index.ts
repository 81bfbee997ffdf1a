export * from './visibleText';
export * from './xmlText';
