export * from './guardCell';
