export * from './priceList';
export * from './promised';
