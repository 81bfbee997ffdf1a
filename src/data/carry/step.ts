import type { Writing } from '../reading';

/** A step of the move from an earlier version that needs the core's rules, done once in order. */
export interface CarryStep {
  name: string;
  run: (tx: Writing) => Promise<void>;
}
