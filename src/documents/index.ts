export * from './certificate';
export * from './certificateCode';
export * from './packingSlip';
export * from './label';
export { printable } from './fonts';
