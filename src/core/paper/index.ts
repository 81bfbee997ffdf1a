export * from './stock';
