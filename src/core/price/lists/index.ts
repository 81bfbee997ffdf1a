export * from './priceList';
