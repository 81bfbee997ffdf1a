export * from './blocks';
export * from './blockReader';
export * from './textureTiles';
export * from './masterReading';
export * from './readPicture';
