export * from './BringAnything';
