export * from './spectrum';
export * from './periodicity';
export * from './estimate';
