export * from './stock';
export * from './rules';
export * from './choosePacking';
export * from './parcelWeight';
export * from './pickList';
export * from './promise';
