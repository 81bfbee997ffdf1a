import fc from 'fast-check';
import type { Box } from '@/core/image';
import { bandsOf, columnsOf, nextColumns, seenFirst } from './tiles';
import type { Drawn, Side } from './tiles';

const patches = fc
  .tuple(
    fc.nat({ max: 9000 }),
    fc.nat({ max: 9000 }),
    fc.integer({ min: 1, max: 1000 }),
    fc.integer({ min: 1, max: 800 }),
  )
  .map(([left, top, w, h]): Box => ({ left, top, right: left + w, bottom: top + h }));

const area = (b: Box) => (b.right - b.left) * (b.bottom - b.top);

it('bands and columns cover a patch once', () => {
  fc.assert(
    fc.property(patches, fc.integer({ min: 1, max: 4 }), (patch, threads) => {
      const tiles = bandsOf(patch, threads).flatMap(columnsOf);
      expect(tiles.reduce((sum, tile) => sum + area(tile), 0)).toBe(area(patch));
      for (const tile of tiles) {
        expect(area(tile)).toBeGreaterThan(0);
        // One that overlaps another shares its corner with it or lies over it.
        const at = tiles.filter((t) => t.left === tile.left && t.top === tile.top);
        expect(at).toEqual([tile]);
      }
    }),
  );
});

it('makes every column of both sides once, and first those on their side of the line', () => {
  fc.assert(
    fc.property(patches, fc.double({ min: 0, max: 1, noNaN: true }), (patch, split) => {
      const order = seenFirst(patch, split);
      const all = columnsOf(patch).map((_, i) => i);
      for (const side of ['after', 'before'] satisfies Side[]) {
        const parts = order.filter((part) => part.side === side);
        expect(parts.map((p) => p.seen)).toEqual([true, false]);
        expect(parts.flatMap((p) => p.columns).sort((a, b) => a - b)).toEqual(all);
      }
    }),
  );
  const columns = (split: number) =>
    seenFirst({ left: 500, top: 0, right: 1500, bottom: 800 }, split).map((p) => p.columns);
  expect(columns(0.5)).toEqual([
    [2, 3],
    [0, 1],
    [0, 1],
    [2, 3],
  ]);
  expect(columns(1)).toEqual([[3], [0, 1, 2, 3], [0, 1, 2], []]);
  expect(columns(0.6)).toEqual([[2, 3], [0, 1, 2], [0, 1], [3]]);
});

describe('what is made next', () => {
  const patch: Box = { left: 0, top: 0, right: 1000, bottom: 800 };
  const wanted = { after: 'b', before: 'u' };

  /** Makes what is next until nothing is left; says what was made. */
  function all(split: number, drawn: Drawn) {
    const made: string[] = [];
    for (;;) {
      const next = nextColumns(patch, split, wanted, drawn);
      if (!next) return made;
      for (const c of next.columns) drawn[next.side][c] = wanted[next.side];
      made.push(`${next.side} ${next.columns.join()}`);
    }
  }

  it('is what is in sight at once, then the rest one by one', () => {
    expect(all(0.5, { after: [], before: [] })).toEqual([
      'after 2,3',
      'before 0,1',
      'after 0',
      'after 1',
      'before 2',
      'before 3',
    ]);
  });

  it('is nothing that is there already, also when the line moves', () => {
    const drawn: Drawn = { after: ['a', 'a', 'a', 'b'], before: ['u', 'u', 'u', 'u'] };
    expect(all(0.5, drawn)).toEqual(['after 2', 'after 0', 'after 1']);
    expect(all(0.1, drawn)).toEqual([]);
    drawn.after[0] = 'a';
    expect(nextColumns(patch, 0.1, wanted, drawn)).toMatchObject({ seen: true });
    expect(nextColumns(patch, 0.9, wanted, drawn)).toMatchObject({ seen: false });
  });
});
