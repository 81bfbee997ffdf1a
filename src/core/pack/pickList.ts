import type { Packing } from './choosePacking';

export interface PickLine {
  id: string;
  label: string;
}

/** What must lie on the table before the parcel is closed; every line is ticked twice. */
export function pickList(packing: Packing, impression: string, paper: string): PickLine[] {
  const wrap =
    packing.way === 'flat'
      ? [packing.sleeve.name, packing.board.name, packing.mailer.name]
      : [packing.tube.name, 'interleaving tissue'];
  return [
    { id: 'print', label: `print ${impression}, numbered and signed, on ${paper}` },
    ...wrap.map((label, i) => ({ id: `wrap${i}`, label })),
    { id: 'certificate', label: 'certificate in its folder' },
    { id: 'note', label: 'note, handwritten' },
  ];
}

export type Count = 'first' | 'second';
export interface Tick {
  line: string;
  count: Count;
  on: boolean;
}

/** Ticks in order of time; the last word on a line and count stands. */
export function ticked(ticks: readonly Tick[]): Record<Count, Set<string>> {
  const state = { first: new Set<string>(), second: new Set<string>() };
  for (const tick of ticks) {
    if (tick.on) state[tick.count].add(tick.line);
    else state[tick.count].delete(tick.line);
  }
  return state;
}

/** True when each line was ticked in the first and in the second count. */
export function countedTwice(lines: readonly PickLine[], ticks: readonly Tick[]): boolean {
  const state = ticked(ticks);
  return lines.every((line) => state.first.has(line.id) && state.second.has(line.id));
}
