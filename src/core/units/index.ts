export * from './quantity';
export * from './arithmetic';
export * from './length';
export * from './parseNumber';
export * from './parseLength';
export * from './formatLength';
export * from './money';
export { formatDay } from './intl';
