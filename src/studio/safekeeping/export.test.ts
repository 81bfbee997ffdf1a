import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { parse } from 'csv-parse/sync';
import { inProcess } from '../../../e2e/support/inProcess';
import type { InProcess } from '../../../e2e/support/inProcess';
import { bareCell } from '@/core/csv';
import { tell } from '@/data';
import { exportEverything } from './export';

/** More than are read at a time. */
const LINES = 2300;
const FORMULA = '=HYPERLINK("http://elsewhere.example")';

let here: InProcess;
let folder: string;
let counts: Record<string, number>;
beforeAll(async () => {
  here = await inProcess();
  await here.open.db.write(async (tx) => {
    for (let i = 0; i < LINES; i += 1)
      await tell(tx, {
        at: '2026-11-05T10:00:00.000Z',
        what: i === 1000 ? FORMULA : `line ${i}`,
        detail: { i },
      });
  });
  folder = join(here.open.home, 'out');
  counts = await exportEverything(here.open.db.read, folder);
});
afterAll(() => here.end());

const json = (name: string) =>
  JSON.parse(readFileSync(join(folder, `${name}.json`), 'utf8')) as Record<
    string,
    string | number | null
  >[];
const csv = (name: string) =>
  parse(readFileSync(join(folder, `${name}.csv`), 'utf8'), {
    columns: true,
  }) as unknown as Record<string, string>[];

it('writes every row of every table of facts, once', async () => {
  expect(Object.keys(counts)).toEqual([...Object.keys(counts)].sort());
  expect(Object.keys(counts)).toEqual(
    expect.arrayContaining(['ledger', 'log_line', 'orders', 'paper', 'work']),
  );
  for (const [name, count] of Object.entries(counts)) {
    const [row] = await here.rows<{ n: number }>(`SELECT count(*) AS n FROM "${name}"`);
    expect([name, count, json(name).length, csv(name).length]).toEqual([
      name,
      row!.n,
      row!.n,
      row!.n,
    ]);
  }
});

it('leaves out what follows from the facts, and work that is done', () => {
  for (const name of ['job', 'stock_now', 'size_now', 'undo_step'])
    expect(counts).not.toHaveProperty(name);
});

it('loses and doubles nothing where one part of a long table ends', () => {
  const lines = json('log_line').slice(-LINES);
  expect(lines.map((l) => (JSON.parse(l.detail as string) as { i: number }).i)).toEqual(
    Array.from({ length: LINES }, (_, i) => i),
  );
});

it('keeps values as they are stored, and no cell is a formula', () => {
  const stored = json('log_line');
  const cells = csv('log_line');
  const at = stored.findIndex((l) => l.what === FORMULA);
  expect(at).toBeGreaterThan(0);
  expect(cells[at]!.what).toBe(`'${FORMULA}`);
  expect(bareCell(cells[at]!.what!)).toBe(FORMULA);
  for (const [i, line] of cells.entries())
    for (const [column, cell] of Object.entries(line))
      if (bareCell(cell) !== String(stored[i]![column] ?? ''))
        throw new Error(`line ${i}, ${column}: ${cell}`);
});
