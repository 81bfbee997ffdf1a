export * from './advise';
