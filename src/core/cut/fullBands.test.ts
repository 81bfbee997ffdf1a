import { chance } from '../image/chance';
import { cutPlan, isFault, planFault } from '.';
import type { CutJob } from '.';
import { fullBands } from './fullBands';
import { eachPlace } from './region';
import { Search } from './search';
import type { Block, CutLimits } from './search';

const free: CutLimits = { across: Infinity, down: Infinity };

function built(blocks: readonly Block[], width: number, good: number, limits = free) {
  const ids = blocks.map((_, i) => i);
  const steps = fullBands(new Search(blocks, limits, 1), ids, width, good);
  for (;;) {
    const step = steps.next();
    if (step.done) return step.value;
  }
}

function blocks(seed: number, count: number, mayTurn = true): Block[] {
  const random = chance(seed);
  const side = () => 60 + Math.floor(random() * 240);
  return Array.from({ length: count }, () => ({
    ...{ width: side(), height: side(), mayTurn, weight: 1 },
  }));
}

it('every band is as full as was asked, and every piece lies once or is left', () => {
  for (const [seed, mayTurn] of [
    [1, true],
    [2, false],
  ] as const) {
    const all = blocks(seed, 120, mayTurn);
    const { bands, left } = built(all, 1118, 0.97);
    expect(bands.length).toBeGreaterThan(5);
    const seen = [...left];
    for (const band of bands) {
      expect(band.width).toBe(1118);
      let area = 0;
      eachPlace(band, (piece, x, y, { width, height, turned }) => {
        seen.push(piece);
        area += width * height;
        const of = all[piece]!;
        expect([width, height]).toEqual(
          turned ? [of.height, of.width] : [of.width, of.height],
        );
        expect(turned && !mayTurn).toBe(false);
        expect(x + width).toBeLessThanOrEqual(1118);
        expect(y + height).toBeLessThanOrEqual(band.height);
      });
      expect(area / (1118 * band.height)).toBeGreaterThanOrEqual(0.97);
    }
    expect(seen.sort((a, b) => a - b)).toEqual(all.map((_, i) => i));
  }
});

it('equal parts of a width fill it, though no unit parts it exactly', () => {
  const width = 10_000_001;
  const third = { width: width / 3, height: 200, mayTurn: false, weight: 1 };
  const { bands, left } = built([third, third, third, third], width, 0.97);
  expect(bands.map((b) => b.count)).toEqual([3]);
  expect(left).toHaveLength(1);
});

it('no band is higher, no stack wider than may be cut', () => {
  const all = blocks(3, 120);
  const { bands } = built(all, 1118, 0.9, { across: 150, down: 200 });
  expect(bands.length).toBeGreaterThan(0);
  for (const band of bands) {
    expect(band.height).toBeLessThanOrEqual(200);
    const columns = band.strips ?? [];
    for (const column of columns)
      if (column.count > 1) expect(column.width).toBeLessThanOrEqual(150);
  }
});

const ROLL = { id: 'r', kind: 'roll' as const, width: 1118, length: 200_000 };
const onRoll = (pieces: CutJob['pieces'], more: Partial<CutJob> = {}): CutJob => ({
  pieces,
  stock: [ROLL],
  margin: { left: 0, right: 0, top: 0, bottom: 0 },
  ...{ gutter: 0, trim: 0, school: 'printThenCut' as const, ...more },
});
const asPieces = (of: readonly Block[]): CutJob['pieces'] =>
  of.map(({ width, height, mayTurn }, i) => ({
    ...{ id: `p${i}`, width, height, count: 1, mayTurn },
  }));

it('two hundred pieces of a roll take at most 3 % more than their area, sixty 5 %', () => {
  for (const [count, most] of [
    [200, 1.03],
    [60, 1.05],
  ] as const) {
    const all = blocks(count, count);
    const got = cutPlan(onRoll(asPieces(all)));
    if (isFault(got)) throw new Error(got.what);
    expect(got.unplaced).toEqual([]);
    const length = got.sheets.reduce((sum, s) => sum + s.length, 0);
    const area = all.reduce((sum, b) => sum + b.width * b.height, 0);
    expect((length * ROLL.width) / area).toBeLessThan(most);
  }
});

it('whatever the trimmer, margins, gutter and grain, every plan can be cut', () => {
  const random = chance(7);
  for (let n = 0; n < 6; n += 1) {
    const all = blocks(100 + n, 35, random() < 0.5);
    const more: Partial<CutJob> = {
      gutter: Math.floor(random() * 9),
      trim: random() < 0.5 ? 3 : 0,
      margin: { left: 5, right: 5, top: 5, bottom: 15 },
      ...(random() < 0.7 ? { longestCut: 330 + Math.floor(random() * 1000) } : {}),
      ...(random() < 0.4 ? { largestSheet: { width: 1200, height: 900 } } : {}),
    };
    const job = onRoll(asPieces(all), more);
    const got = cutPlan(job);
    if (isFault(got)) throw new Error(got.what);
    expect(planFault(job, got)).toBeNull();
  }
});
