import { mkdtemp, rm } from 'node:fs/promises';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { gsm, minor, mm } from '@/core/units';
import { roll, sheets } from '../../../e2e/support/paperLots';
import { openDatabase } from '../database';
import type { OpenDatabase } from '../database';
import { readLog } from '../log/log';
import { readEntries } from '../log/printEntries';
import { addRoute } from '../prepare/errands';
import { addProofRound } from '../proof/proofs';
import { addWork } from '../work/works';
import { lastUses, lotsOf, paperOfEntries, putBack, receiveLot } from './lots';
import { addPaper } from './papers';
import { takeForPrints } from './takePaper';

const at = '2026-11-02T10:00:00.000Z';
let home: string;
let db: OpenDatabase;
let workId: number;
let paperId: number;

beforeEach(async () => {
  home = await mkdtemp(join(tmpdir(), 'taken-'));
  db = await openDatabase(home);
  await db.write(async (tx) => {
    const wants = {
      leastPpi: 0,
      target: 'srgb',
      press: '',
      bits: 8,
      format: 'tiff',
    } as never;
    for (const [name, kind] of [
      ['Own printer', 'ownPrinter'],
      ['Weir Lane', 'printStudio'],
    ] as const)
      await addRoute(tx, { name, kind, folder: '', inkSet: '', wants, at });
    ({ id: workId } = await addWork(tx, {
      title: 'Old Quay',
      artist: 'Senna Quillfeather',
      year: 2024,
      kind: 'painting',
      medium: 'Oil',
      width: mm(300),
      height: mm(400),
      price: minor(100),
      currency: 'EUR',
      createdAt: at,
    } as never));
    paperId = await addPaper(tx, {
      name: 'Linen 300',
      maker: 'Ragwater Mill',
      base: 'cotton',
      surface: 'matte',
      weight: gsm(300),
      thickness: mm(0.5),
      sheetWidth: mm(420),
      sheetHeight: mm(594),
      price: minor(500),
      currency: 'EUR',
      reorderPoint: 5,
      printerSetting: '',
      permanence: '',
      note: '',
      createdAt: at,
    });
  });
});
afterEach(async () => {
  db.close();
  await rm(home, { recursive: true });
});

let round = 0;
const proof = (sizeKey: string, route: string) =>
  db.write((tx) =>
    addProofRound(tx, {
      workId,
      sizeKey,
      paperId,
      round: (round += 1),
      route,
      printFileId: null,
      cost: minor(0),
      currency: 'EUR',
      remarks: '',
      sentAt: at,
    }),
  );
const come = (lot: ReturnType<typeof sheets>) => db.write((tx) => receiveLot(tx, lot));
const left = async () => (await lotsOf(db.read, paperId, true)).map((l) => l.left);

it('takes the share of a sheet that a proof printed here is, at its share of the price', async () => {
  await come(sheets(paperId, 10, at, 420, 594));
  await proof('isoA-A3', 'own printer');
  await proof('isoA-A4', '');
  expect(await left()).toEqual([10 - 1 / 2 - 1 / 4]);
  const [a4, a3] = await readEntries(db.read, {}, 9);
  const took = await paperOfEntries(db.read, [a3!.id, a4!.id]);
  expect(took.get(a3!.id)).toMatchObject({ amount: 0.5, cost: 200, lot: 'a delivery' });
  expect(took.get(a4!.id)).toMatchObject({ amount: 0.25, cost: 100 });
});

it('takes nothing for what is printed elsewhere, or where no lot is kept', async () => {
  await proof('isoA-A4', 'Own printer');
  await come(sheets(paperId, 10, at, 420, 594));
  await proof('isoA-A4', 'Weir Lane');
  await proof('isoA-A4', 'somebody that nobody knows');
  expect(await left()).toEqual([10]);
  const said = await readLog(db.read, {}, 50);
  expect(said.filter((l) => l.what.startsWith('lot.')).map((l) => l.what)).toEqual([
    'lot.received',
  ]);
});

it('goes on to the next lot, and says in the log where none has enough, or is as large', async () => {
  await come(sheets(paperId, 1, at, 297, 420));
  await come(roll(paperId, 610, 500, at));
  await proof('isoA-A3', '');
  await proof('isoA-A3', '');
  expect(await left()).toEqual([0, 500 - 297]);
  await proof('isoA-A3', '');
  await proof('isoA-A0', '');
  expect(await left()).toEqual([0, 500 - 297]);
  const said = await readLog(db.read, {}, 50);
  expect(said.filter((l) => l.what === 'lot.notTaken').map((l) => l.detail.why)).toEqual([
    'tooLarge',
    'notEnough',
  ]);
});

it('puts back what a print took that was not made, once', async () => {
  await come(sheets(paperId, 10, at, 420, 594));
  await proof('isoA-A4', '');
  const [use] = await lastUses(db.read, paperId, 1);
  const back = () =>
    db.write((tx) => putBack(tx, { useId: use!.id, reason: 'not printed', at }));
  await back();
  expect(await left()).toEqual([10]);
  await expect(back()).rejects.toThrow('backAlready');
  expect((await paperOfEntries(db.read, [use!.entryId!])).size).toBe(0);
  expect((await lastUses(db.read, paperId, 2)).map((u) => [u.amount, u.isBack])).toEqual([
    [-0.25, false],
    [0.25, true],
  ]);
});

it('prints that stand nowhere else take their paper together, over several lots, or none of it', async () => {
  await come(sheets(paperId, 1, at, 420, 594));
  await come(sheets(paperId, 2, at, 420, 594));
  const of = { paperId, extent: { width: 297, height: 420 }, kind: 'spoiled' as const, at };
  const take = (prints: number) =>
    db.write((tx) => takeForPrints(tx, { ...of, prints, reason: 'a smear' }));
  expect(await take(3)).toMatchObject([
    { lot: { id: 1 }, amount: 1 },
    { lot: { id: 2 }, amount: 0.5 },
  ]);
  expect(await left()).toEqual([0, 1.5]);
  expect(await take(4)).toBe('notEnough');
  expect(await left()).toEqual([0, 1.5]);
  const [use] = await lastUses(db.read, paperId, 1);
  expect(use).toMatchObject({ kind: 'spoiled', amount: 0.5, cost: 200, reason: 'a smear' });
  await db.write((tx) => putBack(tx, { useId: use!.id, reason: 'not printed', at }));
  expect(await left()).toEqual([0, 2]);
});
