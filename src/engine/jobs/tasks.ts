import { checkStored, packArchive, unpackArchive } from '../store/archive';
import { readBoard } from '../decode/boardGrid';
import { decodeMaster } from '../decode/workingCopy';
import { deriveRows } from '../passes/derivePass';
import {
  finishReading,
  inspectBlocks,
  joinReading,
  tileSpectra,
} from '../passes/inspectPass';
import { paintSample } from '../painted/paintSample';
import { encodePass } from '../passes/encodePass';
import { layoutOf, printFileRows } from '../passes/printFilePass';
import type { PrintFileWork } from '../passes/printFilePass';
import { ruleDifference } from '../passes/rulePass';
import { joinStrips } from '../tiff/tiffStrips';
import { reopenPrintFile } from '../passes/reopenPrintFile';
import { hashFile } from '../store/store';
import { colourTable, readPart } from '../passes/patchPass';
import { profilePortrait } from '../colour/profilePortrait';
import { lightnessAt } from '../colour/lightness';
import { reducePicture } from '../passes/reducePass';
import { deflatedSamples, writeSheet } from '../passes/sheetPass';
import { writeGang } from '../passes/gangPass';
import { inkOfPicture } from '../passes/inkPass';
import { figuresPart } from '../passes/proofFigures';
import { proofTile } from '../passes/proofTilePass';
import { softProofRows } from '../passes/softProofPass';
import { changeToTry, measuredOnPaper } from '../colour/onPaper';
import { comparePhotograph } from '../passes/photographPass';
import { stripOf } from '../passes/stripPass';
import { lookAt } from '../passes/lookPass';
import { joinTiles, tileColumns } from '../passes/tilesPass';
import type { Columns, TilesWork } from '../passes/tilesPass';
import type { Progress } from '../progress';

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
  gang: writeGang,
  ink: (input: Parameters<typeof inkOfPicture>[0]) => inkOfPicture(input),
  deflatedSamples,
  reduce: reducePicture,
  ruleDifference: (input: Parameters<typeof ruleDifference>[0]) => ruleDifference(input),
  lightness: (input: { path: string }) => lightnessAt(input.path),
  part: readPart,
  colourTable,
  look: (input: Parameters<typeof lookAt>[0]) => lookAt(input),
  proofFigures: (input: Parameters<typeof figuresPart>[0]) => figuresPart(input),
  proofTile: (input: Parameters<typeof proofTile>[0]) => proofTile(input),
  softProofRows,
  strip: (input: Parameters<typeof stripOf>[0]) => stripOf(input),
  measuredOnPaper: (input: Parameters<typeof measuredOnPaper>[0]) => measuredOnPaper(input),
  changeToTry: (input: Parameters<typeof changeToTry>[0]) => changeToTry(input),
  comparePhotograph,
  profilePortrait: (input: Parameters<typeof profilePortrait>[0]) => profilePortrait(input),
  board: (input: Parameters<typeof readBoard>[0]) => readBoard(input),
  reopen: (input: Parameters<typeof reopenPrintFile>[0]) => reopenPrintFile(input),
  paintSample,
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
