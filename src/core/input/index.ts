export * from './fields';
export * from './defineForm';
export * from './json';
export * from './isDay';
export * from './parseLength';
export * from './parseMoney';
export * from './parseNumber';
export * from './writeAmount';
