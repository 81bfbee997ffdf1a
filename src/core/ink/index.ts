export * from './fit';
export * from './gauge';
export * from './lasts';
export * from './load';
export * from './perPrint';
export * from './types';
