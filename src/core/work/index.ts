export * from './kinds';
export * from './stations';
export * from './arriving';
