export * from './Dialog';
export * from './JobLine';
export * from './Toasts';
export * from './states';
