export * from './Chest';
export * from './FindDialog';
export * from './GlobalStyle';
export * from './House';
export * from './Keys';
export * from './Rule';
export * from './SheetTabs';
export * from './theme';
