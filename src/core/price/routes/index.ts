export * from './compareRoutes';
export * from './route';
