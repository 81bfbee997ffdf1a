import { cutFault, cutPlan } from '.';
import type { CutJob } from '.';
import { leastLength, leastRooms } from './bound';
import { cutSequence } from './sequence';

const NONE = { left: 0, right: 0, top: 0, bottom: 0 };
const A4: CutJob = {
  pieces: [{ id: 'a', width: 210, height: 297, count: 3, mayTurn: true }],
  stock: [{ id: 's', kind: 'sheet', width: 610, height: 914, count: 10, price: 780 }],
  margin: { left: 5, right: 5, top: 5, bottom: 15 },
  gutter: 4,
  trim: 0,
  school: 'printThenCut',
};
const only = (width: number, height: number, count: number) => [
  { id: 'a', width, height, count, mayTurn: false },
];

describe('the order of cuts', () => {
  const rules = { longestCut: Infinity, keeps: () => false };
  const box = (x: number, y: number, width: number, height: number) => ({
    x,
    y,
    width,
    height,
  });
  it('cuts off at once what can be cut off at once', () => {
    const pieces = [box(10, 10, 30, 40), box(40, 10, 30, 40), box(70, 10, 20, 40)];
    const got = cutSequence(box(0, 0, 100, 60), pieces, rules)!;
    // Four sides, and between three pieces.
    expect(got.cuts).toHaveLength(6);
  });
  it('is null for a pinwheel', () => {
    const wheel = [
      box(0, 0, 20, 10),
      box(20, 0, 10, 20),
      box(10, 20, 20, 10),
      box(0, 10, 10, 20),
    ];
    expect(cutSequence(box(0, 0, 30, 30), wheel, rules)).toBeNull();
  });
  it('keeps the larger left-over before it saves a cut', () => {
    const keeps = (r: { width: number; height: number }) => r.width >= 30 && r.height >= 60;
    const got = cutSequence(box(0, 0, 100, 100), [box(0, 0, 50, 60)], {
      longestCut: Infinity,
      keeps,
    })!;
    expect(got.kept).toBe(5000);
  });
});

describe('bounds', () => {
  const block = (width: number, height: number, mayTurn = false) => ({
    width,
    height,
    mayTurn,
    weight: width * height,
  });
  it('see that two of three large ones never share a sheet', () => {
    const large = [block(51, 60), block(60, 51), block(55, 55)];
    expect(leastRooms(large, [{ width: 100, height: 100, count: 9 }])).toBe(3);
    expect(leastRooms([], [{ width: 100, height: 100, count: 9 }])).toBe(0);
  });
  it('use up the largest sheets first', () => {
    const rooms = [
      { width: 10, height: 10, count: 30 },
      { width: 100, height: 10, count: 1 },
    ];
    expect(
      leastRooms(
        Array.from({ length: 20 }, () => block(10, 10)),
        rooms,
      ),
    ).toBe(11);
  });
  it('add up what cannot lie beside each other on a roll', () => {
    expect(leastLength([block(60, 20), block(55, 30), block(40, 10)], 100)).toBe(50);
    expect(leastLength([block(120, 50, true)], 100)).toBe(120);
  });
});

describe('jobs that make no sense', () => {
  const sheet = A4.stock[0] as Extract<CutJob['stock'][number], { kind: 'sheet' }>;
  it.each<[string, string, Partial<CutJob>]>([
    ['noPieces', '', { pieces: [] }],
    ['size', 'a', { pieces: only(0, 10, 1) }],
    ['size', 'a', { pieces: only(Number.NaN, 10, 1) }],
    ['count', 'a', { pieces: only(10, 10, 1.5) }],
    ['tooMany', '', { pieces: only(10, 10, 10_000) }],
    ['noStock', '', { stock: [] }],
    ['size', 'r', { stock: [{ id: 'r', kind: 'roll', width: 610, length: 0 }] }],
    ['size', 's', { stock: [{ ...sheet, price: -1 }] }],
    ['count', 's', { stock: [{ ...sheet, count: -1 }] }],
    ['margin', 's', { margin: { left: 300, right: 310, top: 0, bottom: 0 } }],
    ['margin', '', { margin: { ...NONE, left: -1 } }],
    ['margin', 's', { school: 'cutThenPrint', stock: [{ ...sheet, deckle: 400 }] }],
    ['gutter', '', { gutter: -1 }],
    ['twice', 'a', { pieces: [...only(10, 10, 1), ...only(20, 10, 1)] }],
    ['size', 'longestCut', { longestCut: 0 }],
    ['hold', 'a', { holds: [{ piece: 'a', copy: 0, sheet: 0 }] }],
    ['hold', 'x', { begun: [{ stock: 'x' }] }],
  ])('%s of “%s” is refused (%#)', (what, of, more) => {
    expect(cutFault({ ...A4, ...more })).toEqual({ what, of });
    expect(cutPlan({ ...A4, ...more })).toEqual({ what, of });
  });
});
