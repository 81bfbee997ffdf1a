export * from './rounds';
