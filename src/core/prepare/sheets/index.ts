export * from './kinds';
export * from './proposals';
export * from './packPieces';
export * from './settingGrid';
export * from './layOutProof';
export * from './layOutSettings';
export * from './settingsSheet';
export * from './proofParts';
