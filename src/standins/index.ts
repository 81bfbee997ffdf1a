export * from './carriers';
export * from './scales';
export * from './labelPrinter';
export * from './printLab';
export * from './instrument';
export * from './lightMeter';
