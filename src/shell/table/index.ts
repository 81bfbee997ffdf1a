export * from './DataTable';
export * from './ListOut';
export * from './PageTurner';
export * from './SlipTable';
export * from './WalkedTable';
export * from './listAddress';
export type { ManyAction } from './ChosenLines';
export type { Column } from './columns';
export * from './LooksLike';
