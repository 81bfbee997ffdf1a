import { mm } from '../units';
import type { Millimetres } from '../units';

/** What lies in the rabbet, from the front; null: nobody said. */
export interface FrameStack {
  glass: Millimetres;
  board: Millimetres | null;
  spacer: Millimetres | null;
  print: Millimetres | null;
  backing: Millimetres | null;
}

/** The parts in their order. */
export const STACK_PARTS = ['glass', 'board', 'spacer', 'print', 'backing'] as const;

/**
 * How deep the rabbet must be at least for what lies in it: glazing, mat board, spacer, print and
 * backing on each other; null as long as one of them is not known. Millimetres.
 * @example stackDepth({ glass: mm(2), board: mm(1.5), spacer: mm(0), print: mm(0.5), backing: mm(3) }) // 7
 */
export function stackDepth(stack: FrameStack): Millimetres | null {
  let depth = 0;
  for (const part of STACK_PARTS) {
    const thick = stack[part];
    if (thick === null) return null;
    depth += thick;
  }
  return mm(depth);
}
