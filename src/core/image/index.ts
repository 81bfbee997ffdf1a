export * from './facts';
export * from './sniff';
export * from './kernels';
export * from './deepZoom';
export * from './bicubic';
export * from './chance';
export * from './rows';
