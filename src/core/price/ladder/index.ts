export * from './keptLadder';
export * from './priceLadder';
export { LADDER_RULES } from './rules';
export type { Anchor, LadderRule } from './rules';
export * from './steps';
export type { LadderItem } from './types';
export type { LadderWarning, Near } from './warnings';
