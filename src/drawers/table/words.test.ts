import type { TodayLine } from '@/core/today';
import { jobWords } from '@/studio/jobs/running';
import { sayLine } from './words';

const work = { workId: 3, work: 'Salt Pans' };
const order = (days: number): TodayLine => ({
  what: 'order',
  urgency: 'due',
  order: '0412',
  ordered: 'Salt Pans 3/30',
  more: 0,
  customer: 'T. Venn',
  days,
});

it.each([
  [-1, '1 day late'],
  [-6, '6 days late'],
  [0, 'leaves today'],
  [1, 'leaves tomorrow'],
  [2, 'leaves in 2 days'],
])('an order due in %i days: %s', (days, figure) =>
  expect(sayLine(order(days)).figure).toBe(figure),
);

it('leads each line to where it is dealt with', () => {
  expect(sayLine(order(1)).href).toBe('/orders/0412');
  const edition: TodayLine = {
    what: 'edition',
    urgency: 'low',
    ...work,
    size: 'A3',
    left: 0,
    of: 30,
  };
  expect(sayLine(edition)).toMatchObject({
    figure: 'closed, all 30 numbered',
    href: '/works/3/edition',
  });
  const paper: TodayLine = {
    what: 'paper',
    urgency: 'low',
    paperId: 2,
    paper: 'Linen',
    sheets: 1,
    reorderPoint: 5,
    discontinued: false,
    orderIn: null,
  };
  expect(sayLine({ ...paper, sheets: 3.25, orderIn: 4 }).figure).toBe(
    '3.3 sheets left, order within 4 days',
  );
  expect(sayLine({ ...paper, orderIn: 0 }).figure).toBe('1 sheet left, order today');
  expect(sayLine({ ...paper, orderIn: -1 }).figure).toBe(
    '1 sheet left, to be ordered 1 day ago',
  );
  expect(sayLine(paper)).toMatchObject({
    figure: '1 sheet left, reorder at 5',
    href: '/papers?paper=2',
  });
  expect(sayLine({ ...paper, discontinued: true })).toMatchObject({
    figure: 'discontinued, 1 sheet left',
    verb: 'Replace it',
  });
});

const LINES: [TodayLine, string, string, string][] = [
  [
    { what: 'proof', urgency: 'waiting', ...work, round: 2, paper: 'Linen', days: 1 },
    'Proof round 2 of Salt Pans on Linen',
    'out for 1 day',
    '/works/3/proof?sheet=rounds',
  ],
  [
    { what: 'edition', urgency: 'low', ...work, size: 'A3', left: 2, of: 30 },
    'Salt Pans, edition A3',
    '2 of 30 left',
    '/works/3/edition',
  ],
  [
    {
      what: 'reference',
      urgency: 'due',
      ...work,
      sizeKey: 'isoA-A3',
      why: 'the ink set is another than in round 2, which was approved',
    },
    'Salt Pans, A3: the ink set is another than in round 2, which was approved',
    'no valid proof',
    '/works/3/proof?sheet=rounds&size=isoA-A3',
  ],
  [
    { what: 'untagged', urgency: 'waiting', ...work },
    'Salt Pans: the master carries no colour profile',
    'colour unknown',
    '/works/3/capture',
  ],
  [
    { what: 'noMaster', urgency: 'low', ...work },
    'Salt Pans has no master yet',
    'not captured',
    '/works/3/capture',
  ],
  [
    { what: 'noSizes', urgency: 'low', ...work },
    'Salt Pans: no size is on offer',
    'not for sale',
    '/works/3/size',
  ],
  [
    { what: 'fallsShort', urgency: 'waiting', ...work, size: 'A2', ppi: 71.6 },
    'Salt Pans, A2: on offer, but falls short',
    '72\u202fppi',
    '/works/3/size',
  ],
  [
    { what: 'clock', urgency: 'due', last: '2026-11-05T10:20:30.000Z' },
    'The clock of this machine is behind the last thing written down',
    'that was 2026-11-05 10:20 UTC',
    '/log?sheet=lines',
  ],
  [
    { what: 'overdue', urgency: 'due', name: 'Cyan, Heron 24', supplier: 'Quay', days: 1 },
    'Cyan, Heron 24, ordered of Quay',
    'was to come 1 day ago',
    '/purchases',
  ],
  [
    { what: 'overdue', urgency: 'due', name: 'tube 9', supplier: '', days: 12 },
    'tube 9, ordered',
    'was to come 12 days ago',
    '/purchases',
  ],
  [
    { what: 'backup', urgency: 'waiting', days: null },
    'There is no backup of this studio',
    'none yet',
    '/safekeeping',
  ],
  [
    { what: 'backup', urgency: 'waiting', days: 9 },
    'The last backup is old, and much has happened since',
    '9 days old',
    '/safekeeping',
  ],
];

it.each(LINES)('$what: what, the figure, and where', (line, what, figure, href) => {
  const said = sayLine(line);
  expect(said).toMatchObject({ what, figure, href });
  expect(said.verb).toMatch(/^[A-Z][a-z]/);
});

it('calls long work by the words of its own station', () => {
  expect(jobWords('inspect', 'Salt Pans')).toBe('Reading the master of Salt Pans');
  expect(jobWords('read', 'Salt Pans')).toBe('Cutting tiles of Salt Pans');
  expect(jobWords('sheet', 'Salt Pans')).toBe('Writing a sheet of Salt Pans');
  expect(jobWords('handOver', 'Salt Pans')).toBe('Handing over files of Salt Pans');
  expect(jobWords('backup', null)).toBe('Making a backup');
});

it.each([
  [-2, 'to be fetched back 2 days ago'],
  [0, 'fetch back today'],
  [1, 'fetch back in 1 day'],
])('a consignment to be fetched in %i days: %s', (days, figure) => {
  const of = { number: 'C-0002', name: 'Weir', prints: 1, days } as const;
  const said = sayLine({ what: 'fetch', urgency: 'due', ...of });
  expect(said).toMatchObject({ figure, href: '/consignments?of=C-0002' });
  expect(said.what).toBe('1 print at Weir, C-0002');
});
