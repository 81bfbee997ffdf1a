export * from './mat';
export * from './planFinish';
export * from './stack';
export * from './finishCost';
