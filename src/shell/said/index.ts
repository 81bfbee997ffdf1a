export * from './Dialog';
export * from './FormDialog';
export * from './JobLine';
export * from './Toasts';
export * from './states';
