export * from './unitMode';
export * from './quantity';
export * from './arithmetic';
export * from './length';
export {
  THIN,
  formatDistance,
  formatLength,
  formatNumber,
  formatSize,
  formatSizeFigures,
  formatThickness,
} from './formatLength';
export * from './mass';
export * from './money';
export { formatDay } from './intl';
