import { inProcess } from '../../../e2e/support/inProcess';
import type { InProcess } from '../../../e2e/support/inProcess';
import { sheets } from '../../../e2e/support/paperLots';
import { minor, mm } from '@/core/units';
import { addPaperFormat, getPaper, receiveLot } from '@/data';
import { paperWouldCost } from './printCosts';

let here: InProcess;
beforeAll(async () => {
  here = await inProcess();
  await here.open.db.write((tx) =>
    tx.run(
      `UPDATE paper SET sheet_width_mm = 420, sheet_height_mm = 594, price_minor = 500`,
    ),
  );
});
afterAll(() => here.end());

const A4 = { width: 210, height: 297 };
const cost = async (extent: { width: number; height: number } | null = A4) =>
  paperWouldCost(here.open.db.read, (await getPaper(here.open.db.read, 1))!, extent);
const noted = {
  ...{ paperId: 1, core: null, currency: 'EUR', supplier: '', sold: true },
  ...{ day: '2026-11-02', at: '2026-11-02T10:00:00.000Z' },
};

it('what the paper of a print costs rests on a lot, else on how it is sold, else on a whole sheet', async () => {
  const { db } = here.open;
  // A quarter of its usual sheet.
  expect(await cost()).toEqual({ amount: 125, currency: 'EUR', from: 'sold' });
  const roll = { kind: 'roll' as const, width: mm(610), height: mm(15_000) };
  await db.write((tx) => addPaperFormat(tx, { ...noted, ...roll, price: minor(6000) }));
  // 210 mm of the roll.
  expect(await cost()).toEqual({ amount: 84, currency: 'EUR', from: 'sold' });
  // On none that it is sold as: its part by area; of an unknown size a whole sheet.
  expect((await cost({ width: 700, height: 900 })).from).toBe('sheet');
  expect(await cost(null)).toEqual({ amount: 500, currency: 'EUR', from: 'sheet' });
  await db.write((tx) => receiveLot(tx, sheets(1, 5, noted.at, 210, 297)));
  expect(await cost()).toEqual({ amount: 400, currency: 'EUR', from: 'lot' });
});

it('prices in two currencies are not held against each other', async () => {
  const small = {
    kind: 'sheet' as const,
    width: mm(300),
    height: mm(450),
    day: '2026-11-03',
  };
  await here.open.db.write((tx) =>
    addPaperFormat(tx, { ...noted, ...small, price: minor(10), currency: 'USD' }),
  );
  const { from, currency } = await cost({ width: 290, height: 440 });
  expect([from, currency]).toEqual(['sheet', 'EUR']);
});
