import { mkdtemp, rm } from 'node:fs/promises';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { USUAL_RULES } from '@/core/cut';
import { minor } from '@/core/units';
import { lastingOf } from '@/studio/reads/paperLasting';
import { seedStudio } from '../../../e2e/support/seedStudio';
import { sheets } from '../../../e2e/support/paperLots';
import { openDatabase } from '../database';
import type { OpenDatabase } from '../database';
import { takeOrder } from '../order/takeOrder';
import { receiveLot, takeFromLot } from '../paper/lots';
import { paperWithStock } from '../paper/papersPage';
import { addSheetPlan } from './sheetPlans';
import { linesToPrint, printsToCome } from './toPrint';

let home: string;
let db: OpenDatabase;
beforeEach(async () => {
  home = await mkdtemp(join(tmpdir(), 'toprint-'));
  await seedStudio(home, { editionOf: 30, numbered: 0, orders: 0 });
  db = await openDatabase(home);
});
afterEach(async () => {
  db.close();
  await rm(home, { recursive: true });
});

it('what orders and plans wait for is taken off what is left of a paper', async () => {
  const at = '2026-11-02T10:00:00.000Z';
  await db.write(async (tx) => {
    await receiveLot(tx, sheets(1, 40, at, 594, 841));
    const use = { lotId: 1, kind: 'print' as const, reason: 'printed' };
    await takeFromLot(tx, { ...use, amount: 8, at: '2026-11-03T10:00:00.000Z' });
    const line = {
      kind: 'openPrint',
      workId: 1,
      sizeKey: 'isoA-A4',
      paperId: 1,
      quantity: 8,
    };
    const priced = { ...line, price: minor(4000), currency: 'EUR' };
    const customer = { name: 'Tamsin', street: 'Lane', town: 'Weir', country: 'DE' };
    const order = { customer, channel: 'own site', wish: '', note: '', extras: [] };
    await takeOrder(tx, { ...order, placedAt: at, dueOn: '2026-12-02' }, priced as never);
    const piece = { sizeKey: 'isoA-A3', count: 2 };
    const pieces = [
      { ...piece, id: 'edition:1', purpose: 'edition' },
      // What is on a plan for an order is counted with the order.
      { ...piece, id: 'order:1', purpose: 'order' },
    ];
    const state = {
      pieces,
      rules: USUAL_RULES,
      lots: null,
      begun: [],
      locks: [],
      stock: [],
    };
    const planned = { ...state, plan: null, stopped: false } as never;
    await addSheetPlan(tx, { paperId: 1, state: planned, at });
  });
  expect(await linesToPrint(db.read, 1, 9)).toMatchObject([{ order: '0401', count: 8 }]);
  expect(await printsToCome(db.read, [1])).toEqual([
    { paperId: 1, sizeKey: 'isoA-A4', count: 8 },
    { paperId: 1, sizeKey: 'isoA-A3', count: 2 },
  ]);
  const paper = (await paperWithStock(db.read, 1))!;
  const lasting = (await lastingOf(db.read, [paper], '2026-11-30')).get(1)!;
  // Of an A1 sheet eight are A4, four A3: 1 + 0.5 sheets of the 32 that are left.
  expect(lasting.coming).toBeCloseTo(1.5, 9);
  expect(lasting.weeks).toBeCloseTo((32 - 1.5) / lasting.perWeek, 6);
});
