export * from './policies';
export * from './simulate';
