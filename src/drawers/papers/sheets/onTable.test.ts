import type { CutPlan, CutSheetPlan } from '@/core/cut';
import { USUAL_RULES } from '@/core/cut';
import { TABLE, boxOn, cornerOf, layOnTable, pointOn, snapped, wayOn } from './onTable';
import { restored } from './restored';
import { bestWords, planWords, wantedWords } from './words';

const sheet = (width: number, length: number, stock = 'lot:1'): CutSheetPlan => ({
  stock,
  width,
  length,
  places: [],
  cuts: [],
  rests: [],
  cost: null,
});

it('sheets lie beside and under each other to one scale, none over another, none beyond the table', () => {
  for (const many of [1, 2, 5, 9, 30]) {
    const sheets = Array.from({ length: many }, (_, i) =>
      i % 3 === 2 ? sheet(1118, 400, 'lot:2') : sheet(510, 710),
    );
    const { scale, sheets: laid, height } = layOnTable(sheets, new Set(['lot:2']));
    laid.forEach((a, i) => {
      const { width, length, stock } = sheets[i]!;
      // A roll lies along the table.
      const [across, down] = stock === 'lot:2' ? [length, width] : [width, length];
      expect(a.width).toBeCloseTo(across * scale, 9);
      expect(a.height).toBeCloseTo(down * scale, 9);
      expect(a.x + a.width).toBeLessThanOrEqual(TABLE.width);
      expect(a.y + a.height).toBeLessThan(height);
      for (const b of laid.slice(i + 1))
        expect(
          a.x + a.width <= b.x ||
            b.x + b.width <= a.x ||
            a.y + a.height <= b.y ||
            b.y + b.height <= a.y,
        ).toBe(true);
    });
    if (many < 9) expect(height).toBeLessThanOrEqual(TABLE.height);
  }
});

it('what lies on the table is found again on its sheet, upright and along', () => {
  const on = { x: 40, y: 30, width: 0, height: 0 };
  const box = { x: 5, y: 300, width: 210, height: 297 };
  const of = sheet(610, 2000);
  for (const lying of [false, true]) {
    const lies = boxOn({ ...on, lying }, of, 0.3, box);
    const { x, y } = cornerOf({ ...on, lying }, of, 0.3, lies);
    expect([x, y].map((v) => Number(v.toFixed(6)))).toEqual([5, 300]);
    const to = wayOn({ lying }, 5, 0);
    const moved = boxOn({ ...on, lying }, of, 0.3, { ...box, x: 5 + to.x, y: 300 + to.y });
    expect(moved.x).toBeCloseTo(lies.x + 1.5, 9);
    expect(moved.y).toBeCloseTo(lies.y, 9);
  }
  expect(pointOn({ ...on, lying: true }, of, 0.3, { x: 610, y: 0 })).toEqual({
    x: 40,
    y: 30,
  });
});

it('a piece that is let go near an edge lies at it; elsewhere it stays, within the margins', () => {
  const rules = { margin: { left: 5, right: 5, top: 5, bottom: 15 }, gap: 8, edge: 0 };
  const on = sheet(610, 914);
  const size = { width: 100, height: 50 };
  const other = { x: 5, y: 5, width: 200, height: 300 };
  const at = (x: number, y: number) => snapped(on, size, { x, y }, rules, [other]);
  expect(at(7, 400.3)).toEqual({ x: 5, y: 400 });
  expect(at(210, 3)).toEqual({ x: 213, y: 5 });
  expect(at(333.4, 315)).toEqual({ x: 333, y: 313 });
  expect(at(900, 900)).toEqual({ x: 505, y: 849 });
  expect(at(-90, -90)).toEqual({ x: 5, y: 5 });
});

const plan: CutPlan = {
  sheets: [
    { ...sheet(510, 710), places: [{} as never, {} as never] },
    { ...sheet(610, 905, 'lot:2'), places: [{} as never] },
  ],
  unplaced: [],
  wasteShare: 0.1,
  yieldShare: 0.8,
  cost: 100,
  bound: 2,
  boundOf: 'sheets',
  proved: true,
};

it('says what a plan comes to, and whether less would do, never more than is known', () => {
  const say = (over: Partial<CutPlan>, of = {}) =>
    planWords(
      { ...plan, ...over },
      { stopped: false, locks: [], ...of },
      (mm) => `${mm} mm`,
      new Set(['lot:2']),
    );
  expect(say({})).toBe('3 pieces from 1 sheet and 905 mm of roll. Fewer is not possible.');
  expect(say({}, { locks: [{ piece: 'a', copy: 0, sheet: 0 }] })).toContain(
    'not possible with what is locked.',
  );
  expect(say({ proved: false, bound: 1 })).toContain('Fewer than 1 is not possible');
  expect(say({ bound: null })).toBe('3 pieces from 1 sheet and 905 mm of roll.');
  expect(say({ boundOf: 'rollLength', bound: 880 })).toContain('Less than 880 mm');
  expect(say({}, { stopped: true })).toContain('was stopped: it may do with less');
});

it('counts what is on a plan, and puts back what was not printed', () => {
  const piece = (id: string, purpose: string, count: number, more = {}) =>
    ({ id, purpose, count, order: null, workId: 1, ...more }) as never;
  const state = {
    pieces: [piece('order:1', 'order', 2, { order: '0412' }), piece('card:4', 'card', 4)],
    rules: USUAL_RULES,
    lots: null,
    begun: [],
    locks: [],
    stock: [],
    plan,
    stopped: true,
  };
  expect(wantedWords(state)).toBe('1 order, 4 cards and tests: 6 pieces of 1 work');
  expect(wantedWords({ pieces: [] })).toBe('Nothing is on the plan yet');
  const layout = { ...sheet(1, 1), places: [{ piece: 'card:4' }, { piece: 'proof:2' }] };
  const back = restored(state, {
    layout: layout as never,
    pieces: [piece('card:4', 'card', 9), piece('proof:2', 'proof', 1)],
  });
  expect(back).toMatchObject({ plan: null, stopped: false });
  expect(back.pieces.map((p) => [p.id, p.count])).toEqual([
    ['order:1', 2],
    ['card:4', 5],
    ['proof:2', 1],
  ]);
});

it('says how good a plan is that is not ready, and how many lie nowhere', () => {
  const sheet = {} as CutPlan['sheets'][number];
  const left = { piece: 'a', copy: 0, why: 'notEnough' as const };
  expect(bestWords({ sheets: [sheet], unplaced: [] })).toBe('one sheet');
  expect(bestWords({ sheets: [sheet, sheet], unplaced: [left, left] })).toBe(
    '2 sheets, with 2 that lie nowhere',
  );
});
