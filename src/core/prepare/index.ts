export * from './recipe';
export * from './printPlan';
export * from './fileName';
export * from './verify';
