export * from './works';
export * from './capture';
export * from './papers';
export * from './handOver';
export * from './editions';
export * from './orders';
export * from './running';
export * from './now';
