export * from './mat';
export * from './planFinish';
