import { inProcess, SIZE } from '../../../e2e/support/inProcess';
import type { InProcess } from '../../../e2e/support/inProcess';
import { recordOf } from '@/core/price';
import { minor } from '@/core/units';
import { addErrand, addPriceList, addRoute, getErrand } from '@/data';
import { routeRecords } from '@/studio';
import { noteArrival } from './handOverActions';
import { loadPrepare } from './view';

jest.mock('next/cache', () => ({ revalidatePath: () => undefined }));

const NAME = 'Tidewrack Print Rooms';
let here: InProcess;
let errandId: number;
const handedAt = '2026-11-03T10:00:00.000Z';

const list = (each: number, at: string, from: string) => ({
  ...{ name: NAME, kind: 'onlineLab' as const, currency: 'EUR', at },
  values: {
    from,
    ...{ setUp: minor(1000), proofFee: minor(0), leastQuantity: 1, leastPaid: minor(0) },
    rows: [{ size: { width: 300, height: 400 }, paper: '', from: 1, to: null, each }],
    postage: [{ upTo: null, cost: 690 }],
    ...{ freePostageFrom: null, toCustomer: minor(0), days: 6, loses: '' },
  },
});

beforeAll(async () => {
  here = await inProcess();
  errandId = await here.open.db.write(async (tx) => {
    const wants = { leastPpi: 0, target: 'srgb', press: '', bits: 8, format: 'tiff' };
    const route = { name: NAME, kind: 'onlineLab', folder: '', inkSet: '', wants };
    const routeId = await addRoute(tx, { ...route, at: handedAt } as never);
    // What they asked when it was handed over; and what they ask since.
    await addPriceList(tx, list(2000, '2026-11-01T10:00:00.000Z', '2026-11-01'));
    await addPriceList(tx, list(9900, '2026-11-04T10:00:00.000Z', '2026-11-01'));
    const item = (quantity: number, widthMm: number, heightMm: number) => ({
      ...{ file: `${quantity}.tif`, sha256: 'a'.repeat(64), bytes: 1, size: '30 × 40 cm' },
      ...{ widthMm, heightMm, widthPx: 10, heightPx: 10, ppi: 100, paper: 'Linen 300' },
      ...{ quantity, remarks: '' },
    });
    const manifest = {
      ...{ errand: 'H-0001', from: 'Weir', to: NAME, on: '2026-11-03' },
      items: [item(3, 300, 400), item(2, 400, 300)],
    };
    const row = { number: 'H-0001', routeId, folder: '/tmp/x', manifest, at: handedAt };
    return addErrand(tx, row, []);
  });
});
afterAll(() => here.end());

const note = (over: Record<string, string> = {}) =>
  noteArrival({
    ...{ errandId: String(errandId), onDay: '2026-11-11', cost: '123.00' },
    ...{ faulty: '1', note: 'a streak' },
    ...over,
  });
const came = async () => (await routeRecords(here.open.db.read, 'UTC')).get(NAME)!;

it('what came stands beside what the list of that day promised; the last word counts', async () => {
  expect(await note({ cost: '150.00' })).toMatchObject({ ok: true });
  expect(await note()).toMatchObject({ ok: true });
  expect(await came()).toEqual([
    {
      ...{ errand: 'H-0001', onDay: '2026-11-11', currency: 'EUR', note: 'a streak' },
      ...{ quantity: 5, faulty: 1, cost: 12_300, days: 8, promisedDays: 6 },
      promisedCost: 1000 + 5 * 2000 + 690,
    },
  ]);
  expect(recordOf(await came())).toMatchObject({ times: 1, later: 2 });
  expect(await here.rows("SELECT 1 FROM log_line WHERE what = 'errand.came'")).toHaveLength(
    2,
  );
});

it.each([
  [{ onDay: '2190-01-01' }, 'onDay', 'still to come'],
  [{ onDay: '2026-11-02' }, 'onDay', 'before it was handed over'],
  [{ faulty: '6' }, 'faulty', 'only 5 were ordered'],
])('%j is not noted', async (over, field, words) => {
  expect(await note(over)).toMatchObject({
    ok: false,
    fields: { [field]: expect.stringContaining(words) },
  });
  expect(await came()).toHaveLength(1);
});

it('of an errand that is not there nothing is noted; Prepare loads without any', async () => {
  expect(await getErrand(here.open.db.read, 99)).toBeUndefined();
  expect(await note({ errandId: '99' })).toMatchObject({ ok: false });
  expect((await loadPrepare('1', { size: SIZE, sheet: 'handOver' })).errands).toEqual([]);
});
