export * from './cost';
export * from './price';
export * from './channels';
export * from './lineSale';
export * from './priceValues';
export * from './startPrice';
