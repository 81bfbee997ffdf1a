import { TODAY_RULES, todayLines } from '.';
import type { TodayFacts } from '.';

const work = { workId: 1, work: 'Salt Pans' };
const none: TodayFacts = {
  onItsWay: [],
  orders: [],
  proofsOut: [],
  papers: [],
  materials: [],
  voided: [],
  editions: [],
  inks: [],
  references: [],
  fetches: [],
  stepped: [],
  untagged: [],
  noMaster: [],
  noSizes: [],
  calibratedOn: null,
  fallsShort: [],
  kept: { backup: null, first: null, last: null },
  now: '2026-11-23T12:00:00Z',
  zone: 'UTC',
};
const order = (number: string, due: string) => ({
  what: 'Salt Pans',
  more: 0,
  number,
  customer: 'T. Venn',
  due,
});

it('puts the late before the due before the low before what can wait', () => {
  const lines = todayLines(
    {
      ...none,
      orders: [
        order('3', '2026-12-20'),
        order('2', '2026-11-24'),
        order('1', '2026-11-20'),
      ],
      papers: [
        { id: 1, name: 'Linen', sheets: 4, reorderPoint: 5, discontinuedAt: null },
        { id: 2, name: 'Chalk', sheets: 40, reorderPoint: 5, discontinuedAt: null },
      ],
      editions: [
        { ...work, size: 'A3', left: 3, of: 30 },
        { ...work, size: 'A2', left: 4, of: 30 },
      ],
      proofsOut: [{ ...work, paper: 'Linen', round: 2, sentAt: '2026-11-18' }],
    },
    '2026-11-23',
    TODAY_RULES,
  );
  expect(lines.map((l) => [l.urgency, l.what])).toEqual([
    ['late', 'order'],
    ['due', 'order'],
    ['low', 'paper'],
    ['low', 'edition'],
    ['waiting', 'proof'],
    ['waiting', 'order'],
  ]);
  expect(lines[0]).toMatchObject({ order: '1', ordered: 'Salt Pans', days: -3 });
  expect(lines.at(-2)).toMatchObject({ what: 'proof', days: 5 });
});

it('has nothing to show for an empty studio', () =>
  expect(todayLines(none, '2026-11-23', TODAY_RULES)).toEqual([]));

it.each([
  [{ backup: null, first: null, last: null }, undefined],
  [
    { backup: null, first: '2026-11-20T09:00:00Z', last: '2026-11-22T09:00:00Z' },
    undefined,
  ],
  [{ backup: null, first: '2026-11-01T09:00:00Z', last: '2026-11-22T09:00:00Z' }, null],
  [
    {
      backup: '2026-11-10T09:00:00Z',
      first: '2026-01-01T09:00:00Z',
      last: '2026-11-22T09:00:00Z',
    },
    13,
  ],
  [
    {
      backup: '2026-11-10T09:00:00Z',
      first: '2026-01-01T09:00:00Z',
      last: '2026-11-09T09:00:00Z',
    },
    undefined,
  ],
])('reminds of a backup: %j gives %p days', (kept, days) => {
  const [line] = todayLines({ ...none, kept }, '2026-11-23', TODAY_RULES);
  expect(line && 'days' in line ? line.days : undefined).toBe(days);
});

it('notices a clock that was set back', () => {
  const kept = (last: string) => ({ backup: null, first: last, last });
  const [line] = todayLines(
    { ...none, kept: kept('2026-11-25T08:00:00Z') },
    '2026-11-23',
    TODAY_RULES,
  );
  expect(line).toEqual({ what: 'clock', urgency: 'due', last: '2026-11-25T08:00:00Z' });
  const now = todayLines(
    { ...none, kept: kept('2026-11-23T12:05:00Z') },
    '2026-11-23',
    TODAY_RULES,
  );
  expect(now).toEqual([]);
});

describe('papers', () => {
  const paper = (over: object) => ({
    id: 3,
    name: 'Reed',
    sheets: 4,
    reorderPoint: 5,
    discontinuedAt: null,
    ...over,
  });
  const of = (over: object) =>
    todayLines({ ...none, papers: [paper(over)] }, '2026-11-23', TODAY_RULES);

  it('are low at the reorder point, and say when they are no longer made', () => {
    expect(of({ sheets: 6 })).toEqual([]);
    expect(of({ sheets: 5 })).toMatchObject([{ urgency: 'low', discontinued: false }]);
    expect(of({ discontinuedAt: '2026-10-01' })).toMatchObject([{ discontinued: true }]);
  });

  it('stand there by the day by which to order, whatever their reorder point', () => {
    expect(of({ sheets: 40, orderBy: '2026-12-05' })).toEqual([]);
    expect(of({ sheets: 40, orderBy: '2026-11-28' })).toMatchObject([
      { urgency: 'low', orderIn: 5 },
    ]);
    expect(of({ sheets: 40, orderBy: '2026-11-20' })).toMatchObject([
      { urgency: 'due', orderIn: -3 },
    ]);
    expect(of({ sheets: 4, orderBy: '2027-03-01' })).toEqual([]);
    expect(of({ sheets: 0, orderBy: '2027-03-01' })).toHaveLength(1);
    const gone = { discontinuedAt: '2026-10-01', orderBy: '2026-11-20' };
    expect(of({ sheets: 40, ...gone })).toEqual([]);
  });

  it('are forgotten when discontinued and used up; out of stock they are not', () => {
    expect(of({ sheets: 0 })).toHaveLength(1);
    expect(of({ sheets: 0, discontinuedAt: '2026-10-01' })).toEqual([]);
  });
});

it('low packing material and a booking without its parcel are said', () => {
  const lines = todayLines(
    {
      ...none,
      materials: [{ id: 4, name: 'tube 5 × 46 cm', pieces: 2, reorderPoint: 8 }],
      voided: [{ order: '0412', carrier: 'Lantern Post' }],
    },
    '2026-11-23',
    TODAY_RULES,
  );
  expect(lines).toEqual([
    { what: 'voided', urgency: 'due', order: '0412', carrier: 'Lantern Post' },
    {
      what: 'material',
      urgency: 'low',
      materialId: 4,
      material: 'tube 5 × 46 cm',
      pieces: 2,
      reorderPoint: 8,
      orderIn: null,
    },
  ]);
});

it('reminds of a calibration a month after it was done, and not where none was ever said', () => {
  const of = (calibratedOn: string | null) =>
    todayLines({ ...none, calibratedOn }, '2026-11-23', TODAY_RULES);
  expect(of(null)).toEqual([]);
  expect(of('2026-10-24')).toEqual([]);
  expect(of('2026-10-23')).toEqual([{ what: 'calibration', urgency: 'low', days: 31 }]);
  const seldom = { ...TODAY_RULES, calibrationDays: 60 };
  expect(todayLines({ ...none, calibratedOn: '2026-10-23' }, '2026-11-23', seldom)).toEqual(
    [],
  );
});

it('packing material and inks stand there by the day by which to order', () => {
  const material = { id: 4, name: 'tube', pieces: 30, reorderPoint: 0 };
  const ink = { printerId: 1, printer: 'Heron 24', inkId: 2, ink: 'Cyan' };
  const lines = (materialBy: string | null, inkBy: string | null) =>
    todayLines(
      {
        ...none,
        materials: [{ ...material, orderBy: materialBy }],
        inks: [{ ...ink, orderBy: inkBy }],
      },
      '2026-03-10',
      TODAY_RULES,
    ).map(({ what, urgency }) => `${what} ${urgency}`);
  expect(lines('2026-03-14', '2026-03-18')).toEqual(['material low']);
  expect(lines('2026-03-20', '2026-03-10')).toEqual(['ink due']);
  // Without a reorder point and a day nothing is called low; a gauge that warns is said.
  expect(lines(null, null)).toEqual(['ink low']);
});

it('what is on its way is not to be ordered; it is asked for when it was to be here', () => {
  const facts: TodayFacts = {
    ...none,
    papers: [{ id: 1, name: 'Linen', sheets: 1, reorderPoint: 5, discontinuedAt: null }],
    inks: [
      { printerId: 1, printer: 'Heron', inkId: 1, ink: 'Cyan', orderBy: '2026-11-20' },
    ],
    materials: [{ id: 1, name: 'tube', pieces: 0, reorderPoint: 4 }],
  };
  const what = (onItsWay: TodayFacts['onItsWay'], today = '2026-11-23') =>
    todayLines({ ...facts, onItsWay }, today, TODAY_RULES).map((l) => l.what);
  expect(what([])).toEqual(['ink', 'paper', 'material']);
  const coming = (kind: 'paper' | 'ink' | 'material', comesOn: string | null) => ({
    ...{ kind, ref: 1, name: 'Linen', supplier: 'Quay', comesOn },
  });
  // Each by its kind: of the same number there are a paper, an ink and a tube.
  expect(what([coming('paper', null)])).toEqual(['ink', 'material']);
  expect(what([coming('ink', '2026-11-23')])).toEqual(['paper', 'material']);
  expect(what([coming('material', '2026-11-24')])).toEqual(['ink', 'paper']);
  const late = { ...facts, onItsWay: [coming('paper', '2026-11-21')] };
  expect(todayLines(late, '2026-11-23', TODAY_RULES)).toContainEqual({
    what: 'overdue',
    urgency: 'due',
    name: 'Linen',
    supplier: 'Quay',
    days: 2,
  });
});

it('says what is to be fetched back a week ahead, and what was to be', () => {
  const of = (fetchOn: string) => ({ number: 'C-0001', name: 'Weir', prints: 2, fetchOn });
  const lines = (fetchOn: string) =>
    todayLines({ ...none, fetches: [of(fetchOn)] }, '2026-11-23', TODAY_RULES);
  expect(lines('2026-12-01')).toEqual([]);
  expect(lines('2026-11-30')).toMatchObject([{ what: 'fetch', urgency: 'due', days: 7 }]);
  expect(lines('2026-11-22')).toMatchObject([{ urgency: 'late', days: -1, prints: 2 }]);
});
