export * from './sheetContent';
export * from './proposals';
export * from './packPieces';
export * from './settingGrid';
