export * from './Dialog';
export * from './FormDialog';
export * from './Toasts';
export * from './states';
export * from './Overrule';
