export * from './recipe';
export * from './limits';
export * from './cautions';
export * from './suggest';
export * from './recipeRows';
export * from './printPlan';
export * from './fileName';
export * from './verify';
