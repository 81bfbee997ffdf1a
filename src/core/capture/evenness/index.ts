export * from './boardGrid';
export * from './flatField';
