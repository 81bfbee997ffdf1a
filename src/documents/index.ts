export * from './certificate';
export * from './certificateCode';
export * from './packingSlip';
export * from './label';
export * from './printable';
export * from './sheetPdf';
export * from './sizeSheet';
export * from './rasterPdf';
