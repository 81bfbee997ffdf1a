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
  undoInkEvent,
} from '@/data';
import type { NewPaper } from '@/data';
import { todayOf } from '@/studio';
import { purchasesCsv, purchasesDocument } from './documents';
import { noteAllOrdered, noteNotComing, noteOrdered } from './actions';
import { loadPurchases } from './view';
import { insteadWords, leftWords, listSeen, quantityWords } from './words';

jest.mock('next/cache', () => ({ revalidatePath: () => undefined }));

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

describe('what was ordered', () => {
  const names = async () => (await lists('90')).flatMap((l) => l.lines.map((p) => p.name));
  const coming = async () =>
    (await loadPurchases({})).coming.map(({ name, href, late }) => ({ name, href, late }));
  const ink = { kind: 'ink', ref: '1', name: 'Cyan, Heron 24', supplier: 'Weir Board' };
  const order = (typed: Record<string, string> = {}) =>
    noteOrdered({ ...ink, quantity: '2', orderedOn: today, comesOn: '', ...typed });

  it('begins with what the list proposes, and the day by which it takes to come', async () => {
    const { ordering } = await loadPurchases({ within: '90', ordered: 'ink:1' });
    expect(ordering).toMatchObject({
      name: 'Cyan, Heron 24',
      quantity: 1,
      comesOn: daysAfter(today, 5),
    });
    const paper = await loadPurchases({ within: '90', ordered: 'paper:2' });
    expect(paper.ordering).toMatchObject({
      name: 'Flax 310',
      comesOn: daysAfter(today, 8),
    });
    expect((await loadPurchases({ ordered: 'ink:7' })).ordering).toBeUndefined();
  });

  it('is refused in words where it makes no sense', async () => {
    const cases: [Record<string, string>, RegExp][] = [
      [{ orderedOn: daysAfter(today, 1) }, /still to come/],
      [{ comesOn: daysAfter(today, -1) }, /before it was ordered/],
      [{ quantity: '0' }, /How many/],
      [{ ref: '99' }, /not there any more/],
      [{ kind: 'frame' }, /Kind/],
    ];
    for (const [typed, why] of cases)
      expect(await order(typed)).toMatchObject({
        ok: false,
        message: expect.stringMatching(why) as string,
      });
    expect(await coming()).toEqual([]);
  });

  it('is on its way, once, until it is bought', async () => {
    expect(await names()).toContain('Cyan, Heron 24');
    const late = { orderedOn: daysAfter(today, -9), comesOn: daysAfter(today, -1) };
    expect(await order(late)).toMatchObject({ ok: true });
    expect(await names()).not.toContain('Cyan, Heron 24');
    const href = '/printers?printer=1&ink=1';
    expect(await coming()).toEqual([{ name: 'Cyan, Heron 24', href, late: true }]);
    expect(await order()).toMatchObject({
      ok: false,
      message: expect.stringMatching(/ordered already/) as string,
    });
    const at = new Date(Date.now() + 1000).toISOString();
    const bought = { printerId: 1, inkId: 1, kind: 'bought' as const, times: 1, at };
    const id = await here.open.db.write((tx) =>
      addInkEvent(tx, { ...bought, day: today, price: minor(1690), currency: 'EUR' }),
    );
    expect(await coming()).toEqual([]);
    // What was noted as bought by mistake did not come.
    await here.open.db.write((tx) => undoInkEvent(tx, { id, at }));
    expect(await coming()).toHaveLength(1);
    expect(await noteNotComing({ purchaseId: '1' })).toMatchObject({ ok: true });
    expect(await coming()).toEqual([]);
    expect(await names()).toContain('Cyan, Heron 24');
    expect(await noteNotComing({ purchaseId: '1' })).toMatchObject({
      ok: false,
      message: expect.stringMatching(/not on its way any more/) as string,
    });
  });

  it('a whole list is ordered at once, as it stood', async () => {
    const { lists: all } = await loadPurchases({ within: '90' });
    const list = all.find((l) => l.supplier === 'Weir Board')!;
    const sent = { supplier: 'Weir Board', within: '90', seen: listSeen(list.lines) };
    expect(sent.seen.split(' ').sort()).toEqual(['ink:1×1', 'material:1×10']);
    expect(await noteAllOrdered({ ...sent, seen: 'ink:1×2' })).toMatchObject({
      ok: false,
      message: expect.stringMatching(/another by now/) as string,
    });
    expect(await coming()).toEqual([]);
    expect(await noteAllOrdered(sent)).toMatchObject({ ok: true, value: 2 });
    expect(await names()).toEqual(['Flax 310']);
    const { coming: both } = await loadPurchases({});
    // An ink takes five days to come; of the tube nobody said.
    expect(both.map((p) => [p.kind, p.quantity, p.comesOn])).toEqual([
      ['ink', 1, daysAfter(today, 5)],
      ['material', 10, null],
    ]);
    // Pressed twice it is not ordered twice.
    expect(await noteAllOrdered(sent)).toMatchObject({ ok: false });
    for (const { id } of both)
      expect(await noteNotComing({ purchaseId: String(id) })).toMatchObject({ ok: true });
  });

  it('of packing and paper it ends with what comes in afterwards, not with what goes out', async () => {
    const tube = { kind: 'material', ref: '1', name: 'tube 9 × 60 cm' };
    const flax = { kind: 'paper', ref: '2', name: 'Flax 310' };
    for (const what of [tube, flax]) expect(await order(what)).toMatchObject({ ok: true });
    expect((await coming()).map((p) => p.href)).toEqual([
      '/materials?material=1',
      '/papers?paper=2',
    ]);
    const at = new Date(Date.now() + 1000).toISOString();
    const moved = { of: 'material' as const, ref: 1, reason: 'a parcel', at };
    const { db } = here.open;
    await db.write((tx) => moveStock(tx, { ...moved, pieces: -1 }));
    expect(await coming()).toHaveLength(2);
    await db.write((tx) => moveStock(tx, { ...moved, pieces: 1 }));
    await db.write((tx) => receiveLot(tx, sheets(2, 1, at)));
    expect(await coming()).toEqual([]);
  });
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
