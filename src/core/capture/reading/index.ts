export * from './blocks';
export * from './blockReader';
export * from './textureTiles';
export * from './masterReading';
export * from './readingFact';
export * from './readPicture';
