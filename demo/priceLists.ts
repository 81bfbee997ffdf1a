import type { ListedPrice, PriceListValues } from '@/core/price';
import type { RouteKindId } from '@/core/prepare';
import { nominalSize } from '@/core/size';
import { minor } from '@/core/units';
import { addPriceList } from '@/data';
import type { Studio } from '@/studio/open/open';
import { daysAgo } from './tradeSteps';

/** A size with what each costs from how many on. */
const size = (key: string, ...breaks: [from: number, each: number][]): ListedPrice[] =>
  breaks.map(([from, each]) => {
    const { width, height } = nominalSize(key)!;
    return { size: { width, height }, paper: '', from, to: null, each };
  });

const NOTHING: Omit<PriceListValues, 'from' | 'rows'> = {
  setUp: minor(0),
  proofFee: minor(0),
  leastQuantity: 1,
  leastPaid: minor(0),
  postage: [],
  freePostageFrom: null,
  toCustomer: minor(0),
  days: null,
  loses: '',
};

const LISTS: [string, RouteKindId, number, PriceListValues][] = [
  [
    'Weir Lane Print Room',
    'printStudio',
    210,
    {
      ...NOTHING,
      from: daysAgo(210, 10).slice(0, 10),
      rows: [
        { size: null, paper: '', from: 1, to: 9, each: 13_800 },
        { size: null, paper: '', from: 10, to: null, each: 11_400 },
      ],
      setUp: minor(1200),
      proofFee: minor(900),
      leastPaid: minor(3000),
      days: 8,
      loses: 'fetched by train, half a day',
    },
  ],
  [
    'Tidewrack Print Rooms',
    'onlineLab',
    95,
    {
      ...NOTHING,
      from: daysAgo(95, 10).slice(0, 10),
      rows: [
        ...size('metricFrames-30x40', [1, 2400], [10, 1700], [25, 1150]),
        ...size('metricFrames-40x50', [1, 3300], [10, 2450], [25, 1790]),
        ...size('metricFrames-50x70', [1, 4900], [10, 3600], [25, 2750]),
        ...size('isoA-A3', [1, 2200], [10, 1600], [25, 1100]),
        ...size('isoA-A2', [1, 3900], [10, 2900], [25, 2100]),
      ],
      setUp: minor(1500),
      leastQuantity: 2,
      postage: [
        { upTo: 5, cost: 690 },
        { upTo: null, cost: 990 },
      ],
      freePostageFrom: minor(60_000),
      days: 6,
      loses: 'colour a little muted',
    },
  ],
  [
    'Sandbar to Order',
    'onDemand',
    60,
    {
      ...NOTHING,
      from: daysAgo(60, 10).slice(0, 10),
      rows: [
        ...size('metricFrames-30x40', [1, 1950]),
        ...size('metricFrames-50x70', [1, 3150]),
        ...size('isoA-A3', [1, 1790]),
      ],
      toCustomer: minor(740),
      days: 9,
      loses: 'one paper only',
    },
  ],
];

/** What those who print ask; one of them asked less before. */
export async function priceLists(open: Studio): Promise<void> {
  await open.db.write(async (tx) => {
    const keep = async ([name, kind, days, values]: (typeof LISTS)[number], ago = days) =>
      addPriceList(tx, { name, kind, values, currency: 'EUR', at: daysAgo(ago, 10) });
    const [weir] = LISTS;
    const before: PriceListValues = {
      ...weir![3],
      from: daysAgo(340, 10).slice(0, 10),
      rows: [{ size: null, paper: '', from: 1, to: null, each: 12_600 }],
    };
    await keep(['Weir Lane Print Room', 'printStudio', 340, before]);
    for (const list of LISTS) await keep(list);
  });
}
