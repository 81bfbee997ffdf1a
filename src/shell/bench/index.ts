export * from './surfaces';
