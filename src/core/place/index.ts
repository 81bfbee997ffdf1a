export * from './places';
export * from './placeFields';
export * from './placeForm';
