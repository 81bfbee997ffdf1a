import { inProcess, MASTER, SIZE } from '../../../e2e/support/inProcess';
import type { InProcess } from '../../../e2e/support/inProcess';
import { plain } from '../../../e2e/support/pictures';
import { readPicture } from '@/core/capture/reading';
import { costOfImpression, feesOf, saleAt, startPrice } from '@/core/price';
import { minor } from '@/core/units';
import { addMaster, addPrice, addPriceLadder, saveReading } from '@/data';
import { loadTable } from './view';

let here: InProcess;
beforeAll(async () => {
  here = await inProcess();
});
afterAll(() => here.end());

const at = '2026-11-03T09:00:00.000Z';
const short = async () =>
  (await loadTable()).lines.filter((line) => line.what === 'fallsShort');

it('judges what is on offer by the detail that was measured', async () => {
  expect(await short()).toEqual([]);
  const reading = readPicture({ ...plain(70, 70, 120), channels: 3 });
  const detail = { ...reading.detail, fraction: 0.12, confidence: 0.9 };
  await here.open.db.write((tx) =>
    saveReading(tx, {
      sha256: 'a'.repeat(64),
      reading: { ...reading, detail },
      workId: 1,
      at,
    }),
  );
  expect(await short()).toMatchObject([{ workId: 1, size: expect.any(String) as string }]);
});

it('judges what is on offer by what a crop leaves', async () => {
  const sha256 = 'c'.repeat(64);
  const row = { workId: 1, sha256, name: 'anew.tif', assumedSpace: null, at };
  await here.open.db.write((tx) => addMaster(tx, row, MASTER));
  expect(await short()).toEqual([]);
  const corner = (x: number, y: number) => ({ x, y });
  const corners = [corner(0, 0), corner(600, 0), corner(600, 800), corner(0, 800)] as const;
  const derivation = { corners: [...corners], flatField: null } as never;
  await here.open.db.write((tx) => addMaster(tx, { ...row, derivation }, MASTER));
  expect(await short()).toMatchObject([{ workId: 1 }]);
});

it('says that an edition sold past a step until its price is kept anew', async () => {
  const { db } = here.open;
  const known = { printing: minor(300), paper: minor(500), capture: null, proofs: null };
  const values = startPrice({ currency: 'EUR', ...known, editionSize: 30 });
  const cost = costOfImpression(values).total;
  const { fees, net } = saleAt(minor(9000), cost, feesOf(values));
  const keep = (kept: string) =>
    db.write(async (tx) => {
      await addPrice(tx, {
        ...{ workId: 1, sizeKey: SIZE, channel: values.channel, values, currency: 'EUR' },
        ...{ cost, fees, price: minor(9000), net, at: kept },
      });
      await addPriceLadder(tx, {
        ...{ workId: 1, currency: 'EUR', at: kept },
        terms: {
          rule: { by: 'hand' },
          ...{
            limitedTimes: 1,
            framedMore: 0,
            framedTimes: 0,
            papers: [],
            steps: { every: 0.05, by: 0.1 },
          },
          ...{ rounding: { step: minor(100), less: minor(0) }, ceiling: null },
          near: { size: 0.15, price: 0.1 },
        },
      });
    });
  const stepped = async () =>
    (await loadTable()).lines.filter((line) => line.what === 'stepped');
  // Two are ordered since: a step is one and a half of thirty.
  await keep('2026-11-02T09:59:00.000Z');
  expect(await stepped()).toMatchObject([
    { sizeKey: SIZE, sold: 2, of: 30, by: expect.closeTo(0.1, 9) as number },
  ]);
  await keep('2026-11-04T09:00:00.000Z');
  expect(await stepped()).toEqual([]);
});
