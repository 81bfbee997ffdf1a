export * from './printLab';
