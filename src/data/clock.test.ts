import { inProcess, SIZE } from '../../e2e/support/inProcess';
import type { InProcess } from '../../e2e/support/inProcess';
import { startPrice } from '@/core/price';
import { minor } from '@/core/units';
import { loadTable } from '@/drawers/table/view';
import {
  addPrice,
  assignNumber,
  checkLedger,
  getEdition,
  pricesOf,
  readLog,
  spoilImpression,
} from '.';

/** Instants of a clock that was a year ahead and was then set back. */
const AHEAD = '2031-05-01T10:00:00.000Z';
const SET_BACK = '2026-11-02T09:00:00.000Z';

let here: InProcess;
beforeAll(async () => {
  here = await inProcess({ editionOf: 9, numbered: 0, orders: 0 });
});
afterAll(() => here.end());

const number = (at: string) =>
  here.open.db.write((tx) =>
    assignNumber(tx, { editionId: here.editionId, series: 'number', sizeKey: SIZE, at }),
  );
const price = (at: string, gross: number) =>
  here.open.db.write((tx) =>
    addPrice(tx, {
      workId: 1,
      sizeKey: SIZE,
      channel: 'own site',
      values: startPrice({
        currency: 'EUR',
        printing: null,
        paper: null,
        capture: null,
        proofs: null,
        editionSize: null,
      }),
      currency: 'EUR',
      cost: minor(0),
      fees: minor(0),
      price: minor(gross),
      net: minor(gross),
      at,
    }),
  );

it('numbers go on where they were, and the ledger holds', async () => {
  expect(await number(AHEAD)).toBe(1);
  expect(await number(SET_BACK)).toBe(2);
  await here.open.db.write((tx) =>
    spoilImpression(tx, {
      editionId: here.editionId,
      series: 'number',
      number: 2,
      reason: 'x',
      at: AHEAD,
    }),
  );
  expect(await number(SET_BACK)).toBe(2);
  expect(await number(SET_BACK)).toBe(3);
  expect((await checkLedger(here.open.db.read)).sound).toBe(true);
  const edition = (await getEdition(here.open.db.read, here.editionId))!;
  expect(edition.impressions.map((i) => [i.number, i.state, i.printing])).toEqual([
    [1, 'numbered', 1],
    [2, 'numbered', 2],
    [3, 'numbered', 1],
  ]);
});

it('what was said last holds, whatever the clock said when', async () => {
  await price(AHEAD, 9000);
  await price(SET_BACK, 8000);
  expect(await pricesOf(here.open.db.read, 1)).toMatchObject([{ price: 8000 }]);
  // The log book goes by the days that were noted; nothing of it is missing.
  const lines = await readLog(here.open.db.read, { workId: 1 }, 50);
  expect(lines.filter((l) => l.what === 'price.set').map((l) => l.at)).toEqual([
    AHEAD,
    SET_BACK,
  ]);
});

it('the table says that the clock is behind what was written', async () => {
  const { lines } = await loadTable();
  expect(lines).toContainEqual({ what: 'clock', urgency: 'due', last: AHEAD });
});
