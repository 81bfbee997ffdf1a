export * from './days';
export * from './workingDays';
export * from './closedDays';
