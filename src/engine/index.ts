export * from './store';
export * from './readMaster';
export * from './workingCopy';
export * from './masterColour';
export * from './reopenPrintFile';
export * from './jobs';
export * from './runInWorker';
export { TILE } from './tilesPass';
export type { Progress } from './tilesPass';
