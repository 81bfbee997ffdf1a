import { flat } from './flat';
import type { FlatPacking } from './flat';
import { rolled } from './rolled';
import type { RolledPacking } from './rolled';
import type { Way, WayId } from './way';

export * from './way';
export * from './flat';
export * from './rolled';

export type Packing = FlatPacking | RolledPacking;

/** Every way of packing, in the order in which they are tried. */
export const WAYS: readonly Way<Packing>[] = [flat, rolled];

export const wayOf = (way: WayId): Way<Packing> => WAYS.find((w) => w.way === way)!;
