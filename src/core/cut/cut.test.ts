import { everyWay, printsJob, smallJob } from '../../../e2e/support/cutJobs';
import { chance } from '../image/chance';
import { cutPlan, isFault, planCuts, planFault, smallestSheet } from '.';
import type { CutJob, CutPlan } from '.';
import { openPacking } from './openPacking';

const NONE = { left: 0, right: 0, top: 0, bottom: 0 };
const plan = (job: CutJob): CutPlan => {
  const got = cutPlan(job);
  if (isFault(got)) throw new Error(`${got.what} ${got.of}`);
  expect(planFault(job, got)).toBeNull();
  return got;
};
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

it('leaves as little, on as few sheets, as every way of cutting a few pieces does', () => {
  for (let seed = 1; seed <= 250; seed += 1) {
    const job = smallJob(seed);
    const got = plan(job);
    expect([seed, got.unplaced.length, got.sheets.length]).toEqual([
      seed,
      ...Object.values(everyWay(job)),
    ]);
  }
});

it('makes plans of prints that can be cut, whatever stock, school and trimmer', () => {
  for (let seed = 1; seed <= 14; seed += 1) plan(printsJob(seed));
});

it('never asks for a cut that the trimmer cannot make, of sheets that are longer than it, too', () => {
  for (const seed of [166, 281, ...Array.from({ length: 4 }, (_, i) => i + 20)]) {
    const job = printsJob(seed);
    const longestCut = 250 + Math.floor(chance(seed)() * 900);
    const got = plan({ ...job, pieces: job.pieces.slice(0, 3), longestCut });
    const lengths = got.sheets.flatMap((s) =>
      s.cuts.map((c) => Math.abs(c.x2 - c.x1) + Math.abs(c.y2 - c.y1)),
    );
    expect(Math.max(0, ...lengths)).toBeLessThanOrEqual(longestCut + 1e-6);
  }
});

it('shows the best so far also while the paper is short, and it never gets worse', () => {
  const pieces = Array.from({ length: 45 }, (_, i) => ({
    ...{ id: `p${i}`, width: 120 + ((i * 37) % 90), height: 130 + ((i * 53) % 110) },
    ...{ count: 1, mayTurn: true },
  }));
  const job = { ...A4, pieces, stock: [{ ...A4.stock[0]!, count: 2 } as const] };
  const shown: CutPlan[] = [];
  for (const { best } of planCuts(job)) if (best && best !== shown.at(-1)) shown.push(best);
  expect(shown.length).toBeGreaterThan(0);
  let before = 45;
  for (const best of shown) {
    expect(planFault(job, best)).toBeNull();
    const lying = best.sheets.reduce((n, s) => n + s.places.length, 0);
    expect(lying + best.unplaced.length).toBe(45);
    expect(best.unplaced.length).toBeLessThanOrEqual(before);
    before = best.unplaced.length;
  }
  expect(plan(job).unplaced.length).toBeLessThanOrEqual(before);
});

it('needs no more sheets than pieces that no straight cut could part', () => {
  for (const [pieces, most, side] of [
    [20, 100, 100],
    [60, 35, 40],
    [60, 100, 300],
    [120, 10, 10],
  ] as const) {
    const r = chance(pieces + most);
    const of = Array.from({ length: pieces }, (_, i) => ({
      id: `p${i}`,
      width: 1 + Math.floor(r() * most),
      height: 1 + Math.floor(r() * most),
      count: 1,
      mayTurn: true,
    }));
    const stock = [
      { id: 's', kind: 'sheet' as const, width: side, height: side, count: pieces },
    ];
    const got = plan({ ...A4, pieces: of, stock, margin: NONE, gutter: 0 });
    const blocks = of.map((p) => ({ ...p, weight: 1 }));
    const open = openPacking(blocks, { width: side, height: side });
    expect(got.sheets.length).toBeLessThanOrEqual(open);
    expect(got.bound).toBeLessThanOrEqual(got.sheets.length);
    expect(got.unplaced).toEqual([]);
  }
});

it('lies within a few parts of a hundred of the area of a roll', () => {
  const r = chance(5);
  const pieces = Array.from({ length: 60 }, (_, i) => ({
    id: `p${i}`,
    width: 60 + Math.floor(r() * 240),
    height: 60 + Math.floor(r() * 300),
    count: 1,
    mayTurn: true,
  }));
  const roll = {
    id: 'r',
    kind: 'roll' as const,
    width: 1118,
    length: 30_000,
    price: 30_000,
  };
  const got = plan({ ...A4, pieces, stock: [roll], margin: NONE, gutter: 0 });
  const area = pieces.reduce((a, p) => a + p.width * p.height, 0);
  expect(got.sheets).toHaveLength(1);
  expect((got.sheets[0]!.length * 1118) / area).toBeLessThan(1.06);
  expect(got.cost).toBe(Math.round(got.sheets[0]!.length));
  expect(got.bound).toBeLessThanOrEqual(got.sheets[0]!.length);
});

it('is the same for the same job, and says how far it is', () => {
  const job = printsJob(3);
  expect(cutPlan(job)).toEqual(cutPlan(job));
  const shares: number[] = [];
  for (const { share } of planCuts({ ...printsJob(2), holds: [], begun: [] }))
    shares.push(share);
  expect(shares.every((s) => s >= 0 && s <= 1)).toBe(true);
});

describe('what lies on a roll', () => {
  const roll = { id: 'r', kind: 'roll' as const, width: 610, length: 1000, price: 10_000 };
  it('takes its length, with the margins at both ends', () => {
    const got = plan({ ...A4, pieces: only(290, 400, 2), stock: [roll] });
    expect(got.sheets[0]).toMatchObject({ length: 420, cost: 4200 });
    expect([got.bound, got.boundOf, got.proved]).toEqual([420, 'rollLength', true]);
  });
  it('is left where the roll ends', () => {
    const got = plan({ ...A4, pieces: only(400, 300, 4), stock: [roll] });
    expect(got.sheets[0]!.places).toHaveLength(3);
    expect(got.unplaced).toEqual([
      { piece: 'a', copy: expect.any(Number) as number, why: 'notEnough' },
    ]);
  });
  it('is cut off piece by piece where the trimmer is narrower than the roll', () => {
    const got = plan({
      ...A4,
      pieces: only(200, 150, 6),
      stock: [{ ...roll, length: 5000 }],
      longestCut: 500,
    });
    expect(got.sheets.length).toBeGreaterThan(1);
  });
});

describe('stock', () => {
  const sheet = (id: string, width: number, height: number, more = {}) => ({
    id,
    kind: 'sheet' as const,
    width,
    height,
    count: 5,
    ...more,
  });
  it('is the smaller sheet where one of either would do', () => {
    const stock = [sheet('large', 610, 914), sheet('small', 320, 450)];
    expect(plan({ ...A4, pieces: only(210, 297, 1), stock }).sheets[0]!.stock).toBe(
      'small',
    );
  });
  it('is the left-over before any new sheet', () => {
    const stock = [
      sheet('new', 420, 594),
      sheet('rest', 500, 700, { leftOver: true, count: 1 }),
    ];
    expect(plan({ ...A4, pieces: only(210, 297, 1), stock }).sheets[0]!.stock).toBe('rest');
  });
  it('is the cheaper of sheet and roll, and both where one is not enough', () => {
    const roll = { id: 'r', kind: 'roll' as const, width: 610, length: 5000, price: 5000 };
    const both = [sheet('s', 610, 914, { price: 780, count: 1 }), roll];
    expect(plan({ ...A4, stock: both }).sheets[0]!.stock).toBe('r');
    const dear = [both[0]!, { ...roll, price: 500_000, length: 450 }];
    const got = plan({ ...A4, pieces: only(290, 420, 6), stock: dear });
    expect(got.sheets.map((s) => s.stock)).toEqual(['s', 'r']);
    expect([got.unplaced, got.bound]).toEqual([[], null]);
  });
  it('keeps what is left over from a size on', () => {
    const kept = plan({ ...A4, keepFrom: { width: 300, height: 400 } });
    expect(kept.sheets[0]!.rests.some((r) => r.kept && r.width >= 300)).toBe(true);
    expect(kept.wasteShare).toBeLessThan(plan(A4).wasteShare);
  });
});

describe('a piece that lies nowhere', () => {
  it.each([
    ['tooLarge', { pieces: only(620, 100, 1) }],
    ['longestCut', { longestCut: 600 }],
    ['longestCut', { pieces: only(580, 800, 1), longestCut: 700 }],
    ['longestCut', { largestSheet: { width: 420, height: 594 } }],
    ['notEnough', { stock: [{ ...A4.stock[0]!, count: 1 }], pieces: only(400, 500, 2) }],
    ['noStock', { stock: [{ ...A4.stock[0]!, count: 0 }] }],
  ] as const)('says %s (%#)', (why, more) => {
    const got = plan({ ...A4, ...(more as Partial<CutJob>) });
    expect(new Set(got.unplaced.map((u) => u.why))).toEqual(new Set([why]));
  });
  it('has a smallest sheet that would do', () => {
    expect(smallestSheet({ ...A4, trim: 2 }, { width: 700, height: 900 })).toEqual({
      width: 714,
      height: 924,
    });
    expect(
      smallestSheet({ ...A4, school: 'cutThenPrint' }, { width: 700, height: 900 }),
    ).toEqual({ width: 700, height: 900 });
  });
});

describe('what is held', () => {
  const four: CutJob = {
    ...A4,
    pieces: [
      { id: 'a', width: 250, height: 300, count: 3, mayTurn: true },
      { id: 'b', width: 200, height: 200, count: 4, mayTurn: false },
    ],
    begun: [{ stock: 's' }, { stock: 's' }],
  };
  it('stays where it was put, and the rest is put around it', () => {
    const holds = [
      { piece: 'b', copy: 1, sheet: 0, x: 200, y: 350, turned: false },
      { piece: 'a', copy: 2, sheet: 1, x: 40, y: 60, turned: true },
    ];
    const got = plan({ ...four, holds });
    expect(got.unplaced).toEqual([]);
    expect(got.sheets[0]!.places).toContainEqual(
      expect.objectContaining({ piece: 'b', copy: 1, x: 200, y: 350 }),
    );
    expect(got.sheets[1]!.places).toContainEqual(
      expect.objectContaining({
        piece: 'a',
        copy: 2,
        x: 40,
        y: 60,
        width: 300,
        turned: true,
      }),
    );
  });
  it('comes first onto its sheet, before what is larger; one that cannot lie there is refused', () => {
    const job: CutJob = {
      ...A4,
      pieces: [
        { id: 'large', width: 400, height: 500, count: 4, mayTurn: true },
        { id: 'small', width: 297, height: 420, count: 1, mayTurn: true },
      ],
      stock: [{ id: 's', kind: 'sheet', width: 510, height: 710, count: 20 }],
      begun: [{ stock: 's' }],
      holds: [{ piece: 'small', copy: 0, sheet: 0, turned: false }],
    };
    const got = plan(job);
    expect(got.unplaced).toEqual([]);
    expect(got.sheets[0]!.places.map((p) => p.piece)).toContain('small');
    const left = { id: 'l', kind: 'sheet', width: 300, height: 300, count: 1 } as const;
    const tight = { ...job, stock: [...job.stock, left], begun: [{ stock: 'l' }] };
    expect(cutPlan(tight)).toEqual({ what: 'hold', of: 'small' });
  });

  it('a roll is cut off where its last piece ends, however long it was begun', () => {
    const roll = { id: 'r', kind: 'roll', width: 610, length: 5000 } as const;
    const begun = [{ stock: 'r', length: 900 }];
    const holds = [{ piece: 'a', copy: 0, sheet: 0, turned: true }];
    const got = plan({ ...A4, stock: [roll], begun, holds });
    const { places, length } = got.sheets[0]!;
    const last = Math.max(...places.map((p) => p.y + p.height));
    expect(length).toBeCloseTo(last + 15, 4);
  });

  it('may be held on a sheet alone, and turned', () => {
    const holds = [{ piece: 'a', copy: 0, sheet: 1, turned: true }];
    const got = plan({ ...four, holds });
    // All others fit on it, too: the first sheet is not begun at all.
    expect(got.sheets).toHaveLength(1);
    expect(got.sheets[0]!.places).toContainEqual(
      expect.objectContaining({ piece: 'a', copy: 0, turned: true }),
    );
  });
  it('is refused where straight cuts cannot part it, or it lies beyond the edge', () => {
    const at = (piece: string, copy: number, x: number, y: number) => ({
      piece,
      copy,
      sheet: 0,
      x,
      y,
    });
    const wheel = [at('a', 0, 5, 5), at('a', 1, 200, 100)];
    expect(cutPlan({ ...four, holds: wheel })).toEqual({ what: 'hold', of: '' });
    expect(cutPlan({ ...four, holds: [at('b', 0, 500, 5)] })).toEqual({
      what: 'hold',
      of: '',
    });
  });
});

it('puts what is due on the first sheets', () => {
  const job: CutJob = {
    ...A4,
    pieces: [
      { id: 'later', width: 280, height: 420, count: 7, mayTurn: false },
      { id: 'now', width: 280, height: 420, count: 2, mayTurn: false, due: 1 },
      { id: 'card', width: 120, height: 150, count: 3, mayTurn: false, due: 1 },
    ],
  };
  const got = plan({ ...job, dueFirst: true });
  expect(got.sheets[0]!.places.filter((p) => p.piece !== 'later')).toHaveLength(5);
  const short = plan({
    ...job,
    stock: [{ ...A4.stock[0]!, count: 1 }],
  });
  expect(short.unplaced.every((u) => u.piece === 'later')).toBe(true);
});

it('brings equal pieces of one group on one sheet', () => {
  const job: CutJob = {
    ...A4,
    pieces: ['one', 'two', 'one', 'two'].map((group, i) => ({
      id: `p${i}`,
      width: 290,
      height: 430,
      count: 2,
      mayTurn: false,
      group,
    })),
  };
  const groups = plan(job).sheets.map(
    (s) => new Set(s.places.map((p) => Number(p.piece[1]) % 2)).size,
  );
  expect(groups).toEqual([1, 1]);
});

describe('what was wrong once', () => {
  const roll = { id: 'r', kind: 'roll' as const, width: 610, length: 5000, price: 5000 };
  const sheet = A4.stock[0] as Extract<CutJob['stock'][number], { kind: 'sheet' }>;

  it('a piece that fits the trimmer, and with the margins of its length does not, is not cut', () => {
    const got = plan({ ...A4, pieces: only(200, 495, 2), stock: [roll], longestCut: 500 });
    expect(got.unplaced.map((u) => u.why)).toEqual(['longestCut', 'longestCut']);
  });

  it('no length of roll is longer than the largest sheet that the trimmer takes', () => {
    const largestSheet = { width: 620, height: 700 };
    const got = plan({ ...A4, pieces: only(400, 300, 4), stock: [roll], largestSheet });
    expect(got.unplaced).toEqual([]);
    expect(Math.max(...got.sheets.map((s) => s.length))).toBeLessThanOrEqual(700);
    const long = plan({ ...A4, pieces: only(300, 690, 1), stock: [roll], largestSheet });
    expect(long.unplaced).toMatchObject([{ why: 'longestCut' }]);
  });

  it('of equal pieces those that are held on a sheet stay on it, as they are to lie', () => {
    const pieces = [{ id: 'a', width: 280, height: 420, count: 6, mayTurn: true }];
    const begun = [{ stock: 's' }, { stock: 's' }];
    const holds = [
      { piece: 'a', copy: 5, sheet: 0, turned: false },
      { piece: 'a', copy: 0, sheet: 1, turned: true },
    ];
    const got = plan({ ...A4, pieces, begun, holds });
    const where = (copy: number) =>
      got.sheets.flatMap((s, i) =>
        s.places.filter((p) => p.copy === copy).map((p) => [i, p.turned]),
      );
    expect([where(5), where(0)]).toEqual([[[0, false]], [[1, true]]]);
  });

  it('two left-overs are no proof that one new sheet would not do', () => {
    const rest = { ...sheet, id: 'l', width: 300, height: 400, count: 2, leftOver: true };
    const got = plan({ ...A4, pieces: only(210, 297, 2), stock: [sheet, rest] });
    expect(got.sheets.map((s) => s.stock)).toEqual(['l', 'l']);
    expect([got.bound, got.proved]).toEqual([1, false]);
  });

  it('what a held piece took of a roll is not given out twice', () => {
    const begun = [{ stock: 'r', length: 450 }];
    const holds = [{ piece: 'a', copy: 0, sheet: 0, x: 5, y: 5 }];
    const short = { ...roll, length: 1000 };
    const got = plan({ ...A4, pieces: only(400, 400, 3), stock: [short], begun, holds });
    expect(got.sheets.reduce((sum, s) => sum + s.length, 0)).toBeLessThanOrEqual(1000);
    expect(got.unplaced).toHaveLength(1);
  });
});
