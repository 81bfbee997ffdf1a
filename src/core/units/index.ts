export * from './unitMode';
export * from './quantity';
export * from './arithmetic';
export * from './length';
export * from './formatLength';
export * from './money';
export { formatDay } from './intl';
