import { and, desc, eq, isNull } from 'drizzle-orm';
import { LAYOUT } from '@/core/size';
import type { CropChoice, JudgedThen, Layout } from '@/core/size';
import type { OpenDatabase, Writing } from '../reading';
import { Refused } from '../refused';
import {
  customers,
  devices,
  materials,
  papers,
  printerInks,
  printers,
  settings,
  undoSteps,
  works,
} from '../schema';
import { tell } from '../log/log';
import { addCropChoice, addSizeEvent } from '../size/sizes';
import { everMoved } from '../stock/stock';

const TABLES = {
  work: works,
  paper: papers,
  device: devices,
  material: materials,
  customer: customers,
  printer: printers,
  printerInk: printerInks,
};
export type EditedTable = keyof typeof TABLES;
type Values = Record<string, string | number | boolean | null>;

/** How one step is taken back. */
export type UndoStep =
  | {
      kind: 'sizes';
      workId: number;
      before: {
        sizeKey: string;
        kind: 'offered' | 'withdrawn';
        layout: Layout;
        judged?: JudgedThen | null;
      }[];
    }
  | {
      kind: 'crop';
      workId: number;
      ratio: string;
      choice: CropChoice | null;
      picture: number;
    }
  | { kind: 'edited'; table: EditedTable; id: number; before: Values; after: Values }
  | { kind: 'removed'; table: EditedTable; row: Values & { id: number } }
  | { kind: 'added'; table: EditedTable; ids: number[] }
  | { kind: 'settings'; before: Record<string, unknown>; after: Record<string, unknown> };

/** The step that adding rows was: taken back, they are taken out, as long as nothing depends on them. */
export const added = (table: EditedTable, ...ids: number[]): UndoStep => ({
  kind: 'added',
  table,
  ids,
});

/** Keeps how to take a step back, in the write that takes it. */
export async function noteUndo(
  tx: Writing,
  undo: { at: string; label: string; step: UndoStep },
): Promise<number> {
  const [row] = await tx.insert(undoSteps).values(undo).returning({ id: undoSteps.id });
  return row!.id;
}

const same = (a: unknown, b: unknown) => JSON.stringify(a) === JSON.stringify(b);

async function currentRow(
  tx: Writing,
  table: EditedTable,
  id: number,
): Promise<Values | undefined> {
  const of = TABLES[table];
  const [row] = await tx.select().from(of).where(eq(of.id, id));
  return row;
}

const onlyOf = (row: Values, keys: Values): Values =>
  Object.fromEntries(Object.keys(keys).map((key) => [key, row[key] ?? null]));

const isForeignKey = (error: unknown): boolean =>
  /FOREIGN KEY/.test(`${String(error)} ${String((error as Error).cause)}`);

/** Takes a row out that nothing depends on. Throws Refused `gone` or `inUse`. */
async function takeOut(
  tx: Writing,
  table: EditedTable,
  id: number,
): Promise<Values & { id: number }> {
  const row = await currentRow(tx, table, id);
  if (!row) throw new Refused('gone');
  const stocked = table === 'paper' || table === 'material';
  if (stocked && (await everMoved(tx, table, id))) throw new Refused('inUse');
  const of = TABLES[table];
  try {
    await tx.delete(of).where(eq(of.id, id));
  } catch (error) {
    if (isForeignKey(error)) throw new Refused('inUse');
    throw error;
  }
  return row as Values & { id: number };
}

async function takeBack(tx: Writing, step: UndoStep, at: string): Promise<void> {
  switch (step.kind) {
    case 'sizes':
      for (const before of step.before)
        await addSizeEvent(tx, {
          sizeKey: before.sizeKey,
          kind: before.kind,
          layout: LAYOUT.read(before.layout),
          judged: before.judged ?? null,
          workId: step.workId,
          reason: before.kind === 'withdrawn' ? 'taken back' : null,
          at,
        });
      return;
    case 'crop': {
      const { workId, ratio, choice, picture } = step;
      return addCropChoice(tx, { workId, ratio, choice, picture, at });
    }
    case 'edited': {
      const row = await currentRow(tx, step.table, step.id);
      if (!row || !same(onlyOf(row, step.after), step.after))
        throw new Refused('changedSince');
      const of = TABLES[step.table];
      await tx.update(of).set(step.before).where(eq(of.id, step.id));
      return;
    }
    case 'removed':
      await tx.insert(TABLES[step.table]).values(step.row as never);
      return;
    case 'added':
      for (const id of step.ids) await takeOut(tx, step.table, id);
      return;
    case 'settings':
      for (const [key, after] of Object.entries(step.after)) {
        const [row] = await tx.select().from(settings).where(eq(settings.key, key));
        if (!same(row?.value, after)) throw new Refused('changedSince');
        const value = step.before[key];
        if (value === undefined) await tx.delete(settings).where(eq(settings.key, key));
        else await tx.update(settings).set({ value }).where(eq(settings.key, key));
      }
  }
}

/** Takes a step back, or the last one that was not. Answers what it was. Throws Refused. */
export async function undoStep(
  tx: Writing,
  id: number | null,
  at: string,
): Promise<string> {
  const [found] = await tx
    .select()
    .from(undoSteps)
    .where(and(isNull(undoSteps.undoneAt), id === null ? undefined : eq(undoSteps.id, id)))
    .orderBy(desc(undoSteps.id))
    .limit(1);
  if (!found) throw new Refused(id === null ? 'nothingToUndo' : 'alreadyUndone');
  await takeBack(tx, found.step as UndoStep, at);
  await tx.update(undoSteps).set({ undoneAt: at }).where(eq(undoSteps.id, found.id));
  await tell(tx, { at, what: 'undone', detail: { what: found.label } });
  return found.label;
}

/** Changes a work or a paper; keeps what was before. Throws Refused when it is not there. */
export async function editRow(
  tx: Writing,
  table: EditedTable,
  id: number,
  after: Values,
  log: { at: string; name: string },
): Promise<UndoStep> {
  const row = await currentRow(tx, table, id);
  if (!row) throw new Refused('gone');
  const of = TABLES[table];
  await tx.update(of).set(after).where(eq(of.id, id));
  const changed = Object.keys(after).filter((key) => !same(row[key], after[key]));
  await tell(tx, {
    at: log.at,
    what: `${table}.edited`,
    workId: table === 'work' ? id : undefined,
    detail: { name: log.name, fields: changed.join(', ') },
  });
  return { kind: 'edited', table, id, before: onlyOf(row, after), after };
}

/** Removes a row that nothing depends on. Throws Refused `gone`, `inUse`. */
export async function removeRow(
  tx: Writing,
  table: EditedTable,
  id: number,
  log: { at: string; name: string },
): Promise<UndoStep> {
  const row = await takeOut(tx, table, id);
  await tell(tx, {
    at: log.at,
    what: `${table}.removed`,
    detail: { name: log.name },
  });
  return { kind: 'removed', table, row };
}

/** A step that can be taken back, and why it cannot any more; null where it can. */
export interface Undoable {
  id: number;
  at: string;
  label: string;
  hindered: 'changedSince' | 'inUse' | 'gone' | null;
}

/** Why a step could not be taken back now. Tried in a write of its own that is given up. */
async function hindrance(
  write: OpenDatabase['write'],
  step: UndoStep,
  at: string,
): Promise<Undoable['hindered']> {
  class GivenUp extends Error {}
  try {
    await write(async (tx) => {
      await takeBack(tx, step, at);
      throw new GivenUp();
    });
    return null;
  } catch (error) {
    if (error instanceof Refused) return error.code as Undoable['hindered'];
    // Given up as it was meant to be; or the disk, or another program, let nothing be tried: the
    // list is shown all the same, and who presses is told.
    return null;
  }
}

/** The newest steps that were not taken back, newest first, and whether each still can be. */
export async function undoables(
  { read, write }: Pick<OpenDatabase, 'read' | 'write'>,
  most: number,
  at: string,
): Promise<Undoable[]> {
  const rows = await read
    .select()
    .from(undoSteps)
    .where(isNull(undoSteps.undoneAt))
    .orderBy(desc(undoSteps.id))
    .limit(most);
  const found: Undoable[] = [];
  for (const { id, at: then, label, step } of rows) {
    const hindered = await hindrance(write, step as UndoStep, at);
    found.push({ id, at: then, label, hindered });
  }
  return found;
}
