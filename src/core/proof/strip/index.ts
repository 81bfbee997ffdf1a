export * from './cluster';
export * from './chooseStrip';
export * from './layOutStrip';
export * from './againstPaper';
