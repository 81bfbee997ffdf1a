import { mkdtemp, rm } from 'node:fs/promises';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { USUAL_STATS } from '@/core/ink';
import { gsm, minor, mm } from '@/core/units';
import { sheets } from '../../../e2e/support/paperLots';
import { printer } from '../../../e2e/support/printers';
import { openDatabase } from '../database';
import type { OpenDatabase } from '../database';
import { readLog } from '../log/log';
import { lastUses, putBack, receiveLot, takeFromLot } from '../paper/lots';
import { addPaper } from '../paper/papers';
import { addRoute } from '../prepare/errands';
import { addProofRound } from '../proof/proofs';
import { addWork } from '../work/works';
import { addInkDemand, inkDemandsOf, lastInkDemand, pictureKey } from './inkDemands';
import { addInkEvent, inkEventsOf, undoInkEvent } from './inkEvents';
import type { NewInkEvent } from './inkEvents';
import { printedHere } from './printedHere';
import { addPrinter, addPrinterInk, ownPrinterOf } from './printers';

const at = '2026-11-02T10:00:00.000Z';
let home: string;
let db: OpenDatabase;
let workId: number;
let paperId: number;
let printerId: number;
let inkId: number;

beforeEach(async () => {
  home = await mkdtemp(join(tmpdir(), 'inks-'));
  db = await openDatabase(home);
  await db.write(async (tx) => {
    const wants = { leastPpi: 0, target: 'srgb', press: '', bits: 8, format: 'tiff' };
    for (const [name, kind] of [
      ['The Heron', 'ownPrinter'],
      ['Weir Lane', 'printStudio'],
    ] as const)
      await addRoute(tx, { name, kind, folder: '', inkSet: '', wants: wants as never, at });
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
    }));
    paperId = await addPaper(tx, {
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
      createdAt: at,
    });
    await receiveLot(tx, sheets(paperId, 20, at));
    printerId = await addPrinter(tx, printer('Heron 24', { route: 'The Heron' }));
    const ink = { name: 'Cyan', role: 'cyan' as const, papers: 'all' as const, ml: 80 };
    inkId = await addPrinterInk(
      tx,
      { ...ink, printerId, price: minor(4000), currency: 'EUR' },
      { at, printer: 'Heron 24' },
    );
  });
});
afterEach(async () => {
  db.close();
  await rm(home, { recursive: true });
});

const note = (event: Partial<NewInkEvent> & Pick<NewInkEvent, 'kind' | 'day'>) =>
  db.write((tx) => addInkEvent(tx, { printerId, inkId, at, ...event }));
const days = async () => (await inkEventsOf(db.read, printerId)).map((e) => e.day);

describe('what is noted of an ink', () => {
  it('comes by its day, and a change only after the last one', async () => {
    await note({ kind: 'changed', day: '2026-03-01', ml: 80 });
    await note({ kind: 'gauge', day: '2026-02-01', share: 0.3 });
    expect(await days()).toEqual(['2026-02-01', '2026-03-01']);
    for (const day of ['2026-02-20', '2026-03-01'])
      await expect(note({ kind: 'changed', day, ml: 80 })).rejects.toThrow('changedLater');
    await note({ kind: 'changed', day: '2026-03-02', ml: 80 });
    expect(await days()).toHaveLength(3);
  });

  it('is taken back once, and stays in the book', async () => {
    const id = await note({ kind: 'changed', day: '2026-03-01', ml: 80 });
    await db.write((tx) => undoInkEvent(tx, { id, at }));
    expect(await days()).toEqual([]);
    await expect(db.write((tx) => undoInkEvent(tx, { id, at }))).rejects.toThrow(
      'backAlready',
    );
    await expect(db.write((tx) => undoInkEvent(tx, { id: 99, at }))).rejects.toThrow(
      'gone',
    );
    // A change of before may be noted now.
    await note({ kind: 'changed', day: '2026-02-01', ml: 80 });
    expect((await readLog(db.read, {}, 9)).map((l) => l.what)).toEqual(
      expect.arrayContaining(['ink.changed', 'ink.undone', 'printer.new']),
    );
    await expect(db.read.run('DELETE FROM ink_event')).rejects.toThrow();
    await expect(db.read.run("UPDATE ink_event SET day = 'x'")).rejects.toThrow();
  });
});

it('an estimate is kept once', async () => {
  const picture = { sha256: 'a'.repeat(64), profile: '' };
  const stats = USUAL_STATS;
  expect(await lastInkDemand(db.read)).toBe(0);
  await db.write((tx) => addInkDemand(tx, { ...picture, stats, at }));
  await db.write((tx) => addInkDemand(tx, { ...picture, stats, at }));
  expect(await lastInkDemand(db.read)).toBe(1);
  const known = await inkDemandsOf(db.read, [picture, { ...picture, profile: 'b' }]);
  expect([...known]).toEqual([[pictureKey(picture), stats]]);
});

it('the own printer is that of the own route, else one without a route', async () => {
  expect((await ownPrinterOf(db.read))?.id).toBe(printerId);
  await db.write((tx) => addPrinter(tx, printer('Aside')));
  expect((await ownPrinterOf(db.read))?.id).toBe(printerId);
});

describe('what was printed here', () => {
  const round = (n: number, more: object = {}) =>
    db.write((tx) =>
      addProofRound(tx, {
        workId,
        sizeKey: 'metricFrames-30x40',
        paperId,
        round: n,
        route: 'The Heron',
        printFileId: null,
        sheetId: null,
        cost: minor(0),
        currency: 'EUR',
        remarks: '',
        sentAt: at,
        ...more,
      }),
    );
  const found = (own = true) =>
    printedHere(db.read, { routes: ['the heron', ''], own, since: '2026-01-01' });

  it('is what went by its routes; what a lab prints is not in it', async () => {
    await round(1);
    await round(2, { route: 'Weir Lane' });
    await round(3, { route: '' });
    await round(4, { sentAt: '2026-11-03T10:00:00.000Z' });
    expect(await found()).toMatchObject([
      { day: '2026-11-02', sizeKey: 'metricFrames-30x40', paperId, count: 2, area: null },
      { day: '2026-11-03', count: 1 },
    ]);
  });

  it('is not what was put back, as it was never printed', async () => {
    await round(1);
    const [use] = await lastUses(db.read, paperId, 1);
    await db.write((tx) => putBack(tx, { useId: use!.id, reason: 'not printed', at }));
    expect(await found()).toEqual([]);
  });

  it('is tests and spoiled sheets that were taken by hand, by their area', async () => {
    for (const kind of ['test', 'spoiled', 'other'] as const)
      await db.write((tx) =>
        takeFromLot(tx, { lotId: 1, amount: 0.5, kind, reason: 'by hand', at }),
      );
    const tests = await found();
    expect(tests).toHaveLength(2);
    expect(tests[0]!.area).toBeCloseTo(0.5 * 0.3 * 0.4, 9);
    // Another printer did not print them.
    expect(await found(false)).toEqual([]);
  });
});
