export * from './DataTable';
export * from './PageTurner';
export * from './SlipTable';
export * from './listAddress';
