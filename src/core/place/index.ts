export * from './places';
export * from './placeFields';
