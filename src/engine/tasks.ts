import { checkStored, packArchive, unpackArchive } from './archive';
import { readBoard } from './boardGrid';
import { decodeMaster } from './workingCopy';
import { deriveRows } from './derivePass';
import { finishReading, inspectBlocks, joinReading, tileSpectra } from './inspectPass';
import { encodePass } from './encodePass';
import { layoutOf, printFileRows } from './printFilePass';
import type { PrintFileWork } from './printFilePass';
import { joinStrips } from './tiffStrips';
import { reopenPrintFile } from './reopenPrintFile';
import { hashFile } from './store';
import { colourTable, readPart } from './patchPass';
import { lightnessAt } from './lightness';
import { reducePicture } from './reducePass';
import { deflatedSamples, writeSheet } from './sheetPass';
import { lookAt } from './lookPass';
import { joinTiles, tileColumns } from './tilesPass';
import type { Columns, TilesWork } from './tilesPass';
import type { Progress } from './progress';

/**
 * Heavy work that runs in a worker thread. What goes in and comes out is plain data, so
 * that it can be posted.
 */
export const TASKS = {
  decode: decodeMaster,
  tileColumns: (input: { work: TilesWork; columns: Columns }, progress: Progress) =>
    tileColumns(input.work, input.columns, progress),
  joinTiles,
  inspectBlocks,
  joinReading,
  tileSpectra,
  finishReading,
  deriveRows: (
    input: {
      work: Parameters<typeof deriveRows>[0];
      range: Parameters<typeof deriveRows>[1];
    },
    progress: Progress,
  ) => deriveRows(input.work, input.range, progress),
  printFileRows: (
    input: {
      work: Parameters<typeof printFileRows>[0];
      range: Parameters<typeof printFileRows>[1];
    },
    progress: Progress,
  ) => printFileRows(input.work, input.range, progress),
  joinStrips: ({
    work,
    parts,
  }: {
    work: PrintFileWork;
    parts: Parameters<typeof joinStrips>[2];
  }) => joinStrips(work.target, layoutOf(work), parts),
  encode: encodePass,
  sheet: writeSheet,
  deflatedSamples,
  reduce: reducePicture,
  lightness: (input: { path: string }) => lightnessAt(input.path),
  part: readPart,
  colourTable,
  look: (input: Parameters<typeof lookAt>[0]) => lookAt(input),
  board: (input: Parameters<typeof readBoard>[0]) => readBoard(input),
  reopen: (input: Parameters<typeof reopenPrintFile>[0]) => reopenPrintFile(input),
  pack: packArchive,
  unpack: unpackArchive,
  checkStored,
  /** Nothing: starts a thread ahead of its first work. */
  rest: (_: null) => Promise.resolve(),
  hash: (input: { path: string }) => hashFile(input.path),
};

export type TaskName = keyof typeof TASKS;
export type TaskInput<K extends TaskName> = Parameters<(typeof TASKS)[K]>[0];
export type TaskResult<K extends TaskName> = Awaited<ReturnType<(typeof TASKS)[K]>>;

/** What goes to a worker: one task at a time. */
export interface Order<K extends TaskName = TaskName> {
  task: K;
  input: TaskInput<K>;
}

export const runTask = <K extends TaskName>(
  { task, input }: Order<K>,
  progress: Progress,
): Promise<TaskResult<K>> =>
  (TASKS[task] as (i: TaskInput<K>, p: Progress) => Promise<TaskResult<K>>)(
    input,
    progress,
  );
