import { inProcess } from '../../../e2e/support/inProcess';
import type { InProcess } from '../../../e2e/support/inProcess';
import { sheets } from '../../../e2e/support/paperLots';
import { printer } from '../../../e2e/support/printers';
import { daysAfter } from '@/core/days';
import { gsm, minor, mm } from '@/core/units';
import {
  addInkEvent,
  addMaterial,
  addPaper,
  addPaperFormat,
  addPrinter,
  addPrinterInk,
  editRow,
  moveStock,
  readSettings,
  receiveLot,
  takeFromLot,
} from '@/data';
import type { NewPaper } from '@/data';
import { todayOf } from '@/studio';
import { purchasesCsv, purchasesDocument } from './documents';
import { loadPurchases } from './view';
import { insteadWords, leftWords, quantityWords } from './words';

let here: InProcess;
let today: string;
beforeAll(async () => {
  here = await inProcess({ empty: true });
  today = todayOf(await readSettings(here.open.db.read));
});
afterAll(() => here.end());

const instant = (daysAgo: number) => `${daysAfter(today, -daysAgo)}T10:00:00.000Z`;
const PAPER: NewPaper = {
  name: 'Linen 300',
  maker: 'Ragwater Mill',
  base: 'cotton',
  surface: 'matte',
  weight: gsm(300),
  thickness: mm(0.5),
  sheetWidth: mm(300),
  sheetHeight: mm(400),
  price: minor(400),
  currency: 'EUR',
  reorderPoint: 0,
  printerSetting: '',
  permanence: '',
  note: '',
  supplier: 'Ragwater Mill',
  deliveryDays: 8,
  createdAt: '2026-01-01T10:00:00.000Z',
};

const lists = async (within = '30') =>
  (await loadPurchases({ within })).lists.map(({ supplier, lines, totals }) => ({
    supplier,
    lines: lines.map(({ name, quantity, orderBy }) => ({ name, quantity, orderBy })),
    totals: totals.map((t) => t.amount),
  }));

it('is empty while nothing runs out', async () => {
  expect(await lists()).toEqual([]);
  const { bytes } = await purchasesDocument({});
  expect(bytes.subarray(0, 5).toString()).toBe('%PDF-');
});

it('gathers paper, packing and ink by who sells them, what presses first', async () => {
  const { db } = here.open;
  await db.write(async (tx) => {
    const paperId = await addPaper(tx, PAPER);
    await receiveLot(tx, sheets(paperId, 20, instant(60)));
    // 10 sheets over 10 weeks: one a week, ten left.
    for (let week = 10; week > 0; week -= 1)
      await takeFromLot(tx, {
        lotId: 1,
        amount: 1,
        kind: 'test',
        reason: 'a test',
        at: instant(week * 5 + 20),
      });
    const material = {
      kind: 'tube' as const,
      name: 'tube 9 × 60 cm',
      width: mm(90),
      height: mm(600),
      thickness: mm(2),
      mass: 300 as never,
      cost: minor(190),
      currency: 'EUR',
      reorderPoint: 8,
      supplier: 'Weir Board',
    };
    const tube = await addMaterial(tx, material, instant(60));
    const moved = { of: 'material' as const, ref: tube, reason: 'counted' };
    await moveStock(tx, { ...moved, pieces: 6, at: instant(60) });
    const printerId = await addPrinter(tx, printer('Heron 24', { supplier: 'weir board' }));
    const ink = { printerId, name: 'Cyan', role: 'cyan' as const, papers: 'all' as const };
    const inkId = await addPrinterInk(
      tx,
      { ...ink, ml: 26, price: minor(1690), currency: 'EUR' },
      { at: instant(60), printer: 'Heron 24' },
    );
    const at = instant(0);
    const day = daysAfter(today, -60);
    await addInkEvent(tx, { printerId, inkId, kind: 'changed', day, ml: 26, at });
    const clean = { printerId, inkId: null, kind: 'cleaned' as const, times: 20, at };
    await addInkEvent(tx, { ...clean, day: daysAfter(today, -30) });
  });
  const found = await lists('90');
  expect(found.map((l) => l.supplier)).toEqual(['Weir Board', 'Ragwater Mill']);
  expect(found[0]!.lines.map((l) => l.name).sort()).toEqual([
    'Cyan, Heron 24',
    'tube 9 × 60 cm',
  ]);
  // Twice the reorder point of 8 is wanted, 6 are there: ten tubes and a cartridge.
  expect(found[0]!.totals).toEqual([10 * 190 + 1690]);
  const [paper] = found[1]!.lines;
  expect(paper).toMatchObject({ name: 'Linen 300' });
  expect(paper!.orderBy! > today).toBe(true);
  // Within fewer days the paper can wait.
  expect((await lists('7')).map((l) => l.supplier)).toEqual(['Weir Board']);
});

it('says as what else as much of a paper costs less', async () => {
  const { db } = here.open;
  const roll = { kind: 'roll' as const, width: mm(610), height: mm(15_000), core: null };
  const priced = { currency: 'EUR', supplier: '', sold: true, day: today, at: instant(0) };
  const line = async () =>
    (await loadPurchases({ within: '90' })).lists
      .flatMap((l) => l.lines)
      .find((p) => p.name === 'Linen 300')!;
  const before = await line();
  expect(before).toMatchObject({ each: 400, instead: null, as: { width: 300 } });
  await db.write((tx) =>
    addPaperFormat(tx, { paperId: 1, ...roll, ...priced, price: minor(500) }),
  );
  const { instead, quantity } = await line();
  expect(instead).toMatchObject({ quantity: 1, price: 500, format: { kind: 'roll' } });
  expect(quantity * 400).toBeGreaterThan(500);
  expect(insteadWords(instead!, 'a roll', (m) => `${m} c`)).toBe(
    'or 1 × a roll: 500 c, before it is cut',
  );
  // A newer price of its own sheet is what one costs.
  const sheet = { kind: 'sheet' as const, width: mm(300), height: mm(400), core: null };
  await db.write((tx) =>
    addPaperFormat(tx, { paperId: 1, ...sheet, ...priced, price: minor(450) }),
  );
  expect((await line()).each).toBe(450);
});

it('asks for what takes the place of a paper that is no longer made', async () => {
  const { db } = here.open;
  await db.write(async (tx) => {
    const other = { ...PAPER, name: 'Flax 310', supplier: '', maker: 'Flaxmere' };
    const id = await addPaper(tx, other);
    const gone = { discontinuedAt: instant(1), replacementId: id };
    await editRow(tx, 'paper', 1, gone, { at: instant(1), name: 'Linen 300' });
  });
  const names = (await lists('90')).flatMap((l) => l.lines.map((p) => p.name));
  expect(names).toContain('Flax 310');
  expect(names).not.toContain('Linen 300');
});

it('is taken out as a table and on paper, with the same lines', async () => {
  const { heads, rows } = await purchasesCsv({ within: '90' });
  expect(heads).toContain('order by');
  expect(rows.every((r) => r.length === heads.length)).toBe(true);
  const tube = rows.find((r) => r[3] === 'tube 9 × 60 cm')!;
  expect(tube.slice(7)).toEqual([10, 1.9, 19, 'EUR']);
  expect((await purchasesDocument({ within: '90' })).name).toBe(
    `to-be-ordered_${today}.pdf`,
  );
});

it('counts things as they are counted', () => {
  expect(quantityWords({ kind: 'paper', quantity: 1 })).toBe('1 sheet');
  expect(quantityWords({ kind: 'ink', quantity: 2 })).toBe('2 pieces');
  expect(leftWords({ kind: 'ink', left: 0 })).toBe('0 ready');
  expect(leftWords({ kind: 'material', left: 3 })).toBe('3 left');
});
