export * from './lines';
