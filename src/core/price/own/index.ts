export * from './payBack';
export * from './swings';
