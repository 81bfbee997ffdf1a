import { mkdtemp, rm } from 'node:fs/promises';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { gsm, minor, mm } from '@/core/units';
import { openDatabase } from '../database';
import type { OpenDatabase, Writing } from '../database';
import type { Refused } from '../refused';
import { readLog } from '../log/log';
import { paperWithStock } from '../paper/papersPage';
import { addPaper, getPaper } from '../paper/papers';
import { receiveLot } from '../paper/lots';
import { sheets } from '../../../e2e/support/paperLots';
import { readSettings, saveSettings, storedSettings } from '../settings/settings';
import { plainLayout } from '@/core/size';
import { addSizeEvent, offeredSizes, sizeStands } from '../size/sizes';
import { added, editRow, noteUndo, removeRow, undoStep, undoables } from './undo';
import { addWork, getWork } from '../work/works';

const at = '2026-03-01T10:00:00.000Z';
let home: string;
let db: OpenDatabase;
let workId: number;

beforeEach(async () => {
  home = await mkdtemp(join(tmpdir(), 'undo-'));
  db = await openDatabase(home);
  workId = (
    await db.write((tx) =>
      addWork(tx, {
        title: 'Salt Pans',
        artist: 'A. Person',
        year: 2025,
        kind: 'painting',
        medium: 'tempera',
        width: mm(300),
        height: mm(400),
        price: minor(90_000),
        currency: 'EUR',
        createdAt: at,
      }),
    )
  ).id;
});
afterEach(async () => {
  db.close();
  await rm(home, { recursive: true });
});

const codeOf = (work: (tx: Writing) => Promise<unknown>) =>
  db.write(work).then(
    () => null,
    (e: unknown) => (e as Refused).code,
  );
const log = { at, name: 'Salt Pans' };
const paperOf = (name: string) => ({
  name,
  maker: 'Mill',
  base: 'cotton',
  surface: 'matte',
  weight: gsm(300),
  thickness: mm(0.5),
  sheetWidth: mm(594),
  sheetHeight: mm(841),
  price: minor(900),
  currency: 'EUR',
  reorderPoint: 5,
  printerSetting: '',
  permanence: '',
  note: '',
  createdAt: at,
});
const edit = (medium: string) =>
  db.write(async (tx) => {
    const step = await editRow(tx, 'work', workId, { medium }, log);
    return noteUndo(tx, { at, label: `medium ${medium}`, step });
  });
const mediumNow = async () => (await getWork(db.read, workId))?.medium;

it('takes an edit back once, and writes both down', async () => {
  const step = await edit('casein');
  expect(await mediumNow()).toBe('casein');
  expect(await db.write((tx) => undoStep(tx, step, at))).toBe('medium casein');
  expect(await mediumNow()).toBe('tempera');
  expect(await codeOf((tx) => undoStep(tx, step, at))).toBe('alreadyUndone');
  const lines = await readLog(db.read, {}, 9);
  expect(lines.map((l) => l.what)).toEqual(['undone', 'work.edited', 'work.new']);
  expect(lines[1]!.detail).toEqual({ name: 'Salt Pans', fields: 'medium' });
});

it('steps back through several edits, the last first', async () => {
  await edit('casein');
  await edit('oil');
  await db.write((tx) => undoStep(tx, null, at));
  expect(await mediumNow()).toBe('casein');
  await db.write((tx) => undoStep(tx, null, at));
  expect(await mediumNow()).toBe('tempera');
  expect(await codeOf((tx) => undoStep(tx, null, at))).toBe('nothingToUndo');
});

it('does not take back over a later change of the same fields', async () => {
  const first = await edit('casein');
  await edit('oil');
  expect(await codeOf((tx) => undoStep(tx, first, at))).toBe('changedSince');
  expect(await mediumNow()).toBe('oil');
});

it('brings back what was taken out, under its own number', async () => {
  const removed = await db.write(async (tx) => {
    const step = await removeRow(tx, 'work', workId, log);
    return noteUndo(tx, { at, label: 'taking out', step });
  });
  expect(await getWork(db.read, workId)).toBeUndefined();
  expect(await codeOf((tx) => removeRow(tx, 'work', workId, log))).toBe('gone');
  await db.write((tx) => undoStep(tx, removed, at));
  expect(await getWork(db.read, workId)).toMatchObject({ id: workId, title: 'Salt Pans' });
});

const offer = (kind: 'offered' | 'withdrawn') =>
  db.write((tx) =>
    addSizeEvent(tx, {
      workId,
      sizeKey: 'isoA-A3',
      kind,
      layout: plainLayout('within', mm(20)),
      judged: null,
      reason: kind === 'withdrawn' ? 'too soft' : null,
      at,
    }),
  );

it('keeps a work that something depends on', async () => {
  await offer('offered');
  expect(await codeOf((tx) => removeRow(tx, 'work', workId, log))).toBe('inUse');
  expect(await getWork(db.read, workId)).toBeDefined();
});

it('takes a withdrawal back by offering again, as before', async () => {
  await offer('offered');
  const before = (await sizeStands(db.read, workId, 'isoA-A3'))!;
  await offer('withdrawn');
  expect(await offeredSizes(db.read, workId)).toEqual([]);
  await db.write((tx) =>
    noteUndo(tx, {
      at,
      label: 'withdrawing',
      step: { kind: 'sizes', workId, before: [before] },
    }),
  );
  await db.write((tx) => undoStep(tx, null, at));
  expect(await offeredSizes(db.read, workId)).toMatchObject([
    { sizeKey: 'isoA-A3', layout: plainLayout('within', mm(20)) },
  ]);
});

it('takes settings back to what was stored, or to the defaults', async () => {
  const change = (handlingDays: number) =>
    db.write(async (tx) => {
      const after = { handlingDays };
      const before = await storedSettings(tx, ['handlingDays']);
      await saveSettings(tx, after);
      return noteUndo(tx, {
        at,
        label: 'settings',
        step: { kind: 'settings', before, after },
      });
    });
  const first = await change(5);
  const second = await change(7);
  expect(await codeOf((tx) => undoStep(tx, first, at))).toBe('changedSince');
  await db.write((tx) => undoStep(tx, second, at));
  expect((await readSettings(db.read)).handlingDays).toBe(5);
  await db.write((tx) => undoStep(tx, first, at));
  expect((await readSettings(db.read)).handlingDays).toBe(3);
});

it('edits a paper without touching its stock', async () => {
  const id = await db.write((tx) => addPaper(tx, paperOf('Linen 300')));
  await db.write((tx) => receiveLot(tx, sheets(id, 12, at, 594, 841)));
  const step = await db.write(async (tx) =>
    noteUndo(tx, {
      at,
      label: 'paper',
      step: await editRow(
        tx,
        'paper',
        id,
        { name: 'Linen 310', weight: 310 },
        { at, name: 'x' },
      ),
    }),
  );
  expect(await paperWithStock(db.read, id)).toMatchObject({
    name: 'Linen 310',
    sheets: 12,
  });
  await db.write((tx) => undoStep(tx, step, at));
  expect(await getPaper(db.read, id)).toMatchObject({ name: 'Linen 300', weight: 300 });
});

it('takes what was added out again, as long as nothing depends on it', async () => {
  const step = await db.write((tx) =>
    noteUndo(tx, { at, label: 'taking in', step: added('work', workId) }),
  );
  const listed = async () =>
    (await undoables(db, 9, at)).map((u) => [u.id, u.label, u.hindered]);
  expect(await listed()).toEqual([[step, 'taking in', null]]);
  // That it was looked at changed nothing.
  expect(await getWork(db.read, workId)).toBeDefined();
  await offer('offered');
  expect(await listed()).toEqual([[step, 'taking in', 'inUse']]);
  expect(await codeOf((tx) => undoStep(tx, step, at))).toBe('inUse');
  expect(await getWork(db.read, workId)).toBeDefined();
});

it('lists what can be taken back, newest first, and why a step cannot any more', async () => {
  const first = await edit('casein');
  const second = await edit('oil');
  expect(await undoables(db, 9, at)).toEqual([
    { id: second, at, label: 'medium oil', hindered: null },
    { id: first, at, label: 'medium casein', hindered: 'changedSince' },
  ]);
  expect(await undoables(db, 1, at)).toHaveLength(1);
  await db.write((tx) => undoStep(tx, second, at));
  // Taken back, the later step hinders no more.
  expect(await undoables(db, 9, at)).toEqual([
    { id: first, at, label: 'medium casein', hindered: null },
  ]);
  await db.write((tx) => undoStep(tx, first, at));
  const gone = await db.write(async (tx) => {
    await noteUndo(tx, { at, label: 'added', step: added('work', workId) });
    return removeRow(tx, 'work', workId, log);
  });
  expect(gone).toMatchObject({ kind: 'removed' });
  expect(await undoables(db, 9, at)).toMatchObject([{ label: 'added', hindered: 'gone' }]);
});

it('takes no paper out that has moved', async () => {
  const row = await db.write(async (tx) => {
    const id = await addPaper(tx, paperOf('Oat'));
    await noteUndo(tx, { at, label: 'a list', step: added('paper', id) });
    return id;
  });
  await db.write((tx) => receiveLot(tx, sheets(row, 12, at, 594, 841)));
  expect(await codeOf((tx) => undoStep(tx, null, at))).toBe('inUse');
  expect(await codeOf((tx) => removeRow(tx, 'paper', row, log))).toBe('inUse');
});
