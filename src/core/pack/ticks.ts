import type { Part } from './parts';

export type Count = 'first' | 'second';
/** A part ticked, or unticked, in one of the two counts; `line` is the part's key. */
export interface Tick {
  line: string;
  count: Count;
  on: boolean;
}

/**
 * Ticks in order of time; the last word on a part and count stands.
 * @example ticked([{ line: 'note', count: 'first', on: true }]).first.has('note') // true
 */
export function ticked(ticks: readonly Tick[]): Record<Count, Set<string>> {
  const state = { first: new Set<string>(), second: new Set<string>() };
  for (const tick of ticks) {
    if (tick.on) state[tick.count].add(tick.line);
    else state[tick.count].delete(tick.line);
  }
  return state;
}

/**
 * True when each part was ticked in the first and in the second count.
 * @example countedTwice([{ key: 'note' }], [{ line: 'note', count: 'first', on: true }]) // false
 */
export function countedTwice(
  parts: readonly Pick<Part, 'key'>[],
  ticks: readonly Tick[],
): boolean {
  const state = ticked(ticks);
  return parts.every((p) => state.first.has(p.key) && state.second.has(p.key));
}

/**
 * Parts that lie on the table: those that the second count has ticked.
 * @example laidParts([{ key: 'note' }, { key: 'mailer:3' }], [{ line: 'note', count: 'second', on: true }]) // [{ key: 'note' }]
 */
export const laidParts = <P extends Pick<Part, 'key'>>(
  parts: readonly P[],
  ticks: readonly Tick[],
): P[] => {
  const { second } = ticked(ticks);
  return parts.filter((p) => second.has(p.key));
};
