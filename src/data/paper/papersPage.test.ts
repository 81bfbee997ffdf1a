import { mkdtemp, rm } from 'node:fs/promises';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { gsm, minor, mm } from '@/core/units';
import { openDatabase } from '../database';
import type { OpenDatabase } from '../database';
import { ALL, PAGE_LINES } from '../page';
import { lastUses, lotsOf, receiveLot, takeFromLot } from './lots';
import { sheets } from '../../../e2e/support/paperLots';
import type { Writing } from '../reading';
import { addPaper, paperNamed } from './papers';
import { editRow } from '../running/undo';
import {
  paperCounts,
  paperWithStock,
  papersLow,
  papersPage,
  papersToPrintOn,
} from './papersPage';

const at = '2026-11-02T10:00:00.000Z';
const MANY = 75;
let home: string;
let db: OpenDatabase;
const sheetsOf = (n: number) => (n * 7) % 23;
const reorderAt = (n: number) => n % 10;

async function useFirst(tx: Writing, paperId: number, amount: number) {
  const [lot] = await lotsOf(tx, paperId);
  await takeFromLot(tx, { lotId: lot!.id, amount, kind: 'test', reason: 'counted', at });
}

beforeAll(async () => {
  home = await mkdtemp(join(tmpdir(), 'papers-'));
  db = await openDatabase(home);
  await db.write(async (tx) => {
    for (let n = 1; n <= MANY; n += 1) {
      const ref = await addPaper(tx, {
        // Not in the order in which they came, and however they are capitalised.
        name: `${n % 2 ? 'Sheet' : 'SHEET'} ${String((n * 31) % 100).padStart(2, '0')}`,
        maker: n % 3 ? 'Vatmill' : 'Ragwater Mill',
        base: 'cotton',
        surface: n % 4 ? 'matte' : 'gloss',
        weight: gsm(200 + n),
        thickness: mm(0.4),
        sheetWidth: mm(300 + n),
        sheetHeight: mm(400),
        price: minor(100 * ((n * 13) % 50)),
        currency: 'EUR',
        reorderPoint: reorderAt(n),
        printerSetting: '',
        permanence: '',
        note: '',
        createdAt: at,
      });
      // In by twos and out by one: what is left is the sum of all movements.
      for (const pieces of [sheetsOf(n) + 1, -1])
        if (sheetsOf(n) > 0)
          await (pieces > 0
            ? receiveLot(tx, sheets(ref, pieces, at, 300 + n))
            : useFirst(tx, ref, -pieces));
    }
    await editRow(tx, 'paper', 5, { discontinuedAt: at }, { at, name: 'x' });
    await editRow(tx, 'paper', 23, { discontinuedAt: at }, { at, name: 'x' });
  });
});
afterAll(async () => {
  db.close();
  await rm(home, { recursive: true });
});

const asked = (over: Partial<typeof ALL> = {}) => papersPage(db.read, { ...ALL, ...over });
async function everyPaper(over: Partial<typeof ALL> = {}) {
  const pages = await Promise.all([1, 2, 3, 4].map((page) => asked({ ...over, page })));
  expect(pages.every((p) => p.rows.length <= PAGE_LINES)).toBe(true);
  return pages.flatMap((p) => p.rows);
}
const rising = (values: (string | number)[]) =>
  values.every((v, i) => i === 0 || values[i - 1]! <= v);

it('pages by name, however it is capitalised, every paper once', async () => {
  const all = await everyPaper();
  expect(all).toHaveLength(MANY);
  expect(new Set(all.map((p) => p.id)).size).toBe(MANY);
  expect(rising(all.map((p) => p.name.toLowerCase()))).toBe(true);
  expect((await asked()).total).toBe(MANY);
});

it('counts what is left as the movements tell, and what that means as the core has it', async () => {
  for (const paper of await everyPaper()) {
    expect(paper.sheets).toBe(sheetsOf(paper.id));
    const level =
      paper.sheets <= 0 ? 'out' : paper.sheets <= reorderAt(paper.id) ? 'low' : 'enough';
    expect(paper.level).toBe(level);
  }
  const low = (await everyPaper()).filter((p) => p.level !== 'enough').length;
  expect(await paperCounts(db.read)).toEqual({ all: MANY, low });
});

it.each([
  ['weight', (p: { weight: number }) => p.weight],
  ['price', (p: { price: number }) => p.price],
  ['sheets', (p: { sheets: number }) => p.sheets],
  ['surface', (p: { surface: string }) => p.surface],
] as const)('sorts by %s up and down', async (sort, value) => {
  const up = (await everyPaper({ sort })).map((p) => value(p as never));
  const down = (await everyPaper({ sort, down: true })).map((p) => value(p as never));
  expect(rising(up)).toBe(true);
  expect(rising(down.reverse())).toBe(true);
});

it('finds by name, maker and surface', async () => {
  expect((await asked({ find: 'ragwater' })).total).toBe(25);
  expect((await asked({ find: 'gloss ragwater' })).total).toBe(6);
  expect((await asked({ find: 'nothing such' })).rows).toEqual([]);
});

it('shows what is to be reordered, the scarcest first, and forgets what is gone for good', async () => {
  const low = await papersLow(db.read, 50);
  expect(low.every((p) => p.level !== 'enough')).toBe(true);
  expect(rising(low.map((p) => p.sheets - p.reorderPoint))).toBe(true);
  // 23 is discontinued and used up; 5 is discontinued with sheets left.
  expect(sheetsOf(23)).toBe(0);
  expect(low.map((p) => p.id)).not.toContain(23);
  const usable = (await papersToPrintOn(db.read, 200)).map((p) => p.id);
  expect(usable).toContain(5);
  expect(usable).not.toContain(23);
  expect(usable).toHaveLength(MANY - 1);
  expect(await papersToPrintOn(db.read, 10)).toHaveLength(10);
});

it('knows one paper by its number or its name', async () => {
  expect(await paperWithStock(db.read, 7)).toMatchObject({ id: 7, sheets: sheetsOf(7) });
  expect(await paperWithStock(db.read, 999)).toBeNull();
  const { name } = (await paperWithStock(db.read, 7))!;
  expect((await paperNamed(db.read, name.toUpperCase()))?.id).toBe(7);
  expect(await paperNamed(db.read, 'no such sheet')).toBeUndefined();
});

it('tells what took of its lots last, and what is left of each', async () => {
  expect(await lastUses(db.read, 7, 9)).toMatchObject([{ amount: 1, reason: 'counted' }]);
  expect(await lotsOf(db.read, 7)).toMatchObject([
    { pieces: sheetsOf(7) + 1, left: sheetsOf(7) },
  ]);
});
