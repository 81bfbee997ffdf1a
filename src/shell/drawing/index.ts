export * from './Dimension';
export * from './PrintOnSheet';
export * from './marks';
export * from './pictureTiles';
export * from './Plate';
export * from './deepZoom';
export * from './useDrawnId';
export * from './wideColour';
