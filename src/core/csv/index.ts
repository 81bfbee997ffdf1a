export * from './bareCell';
export * from './delimiterOf';
