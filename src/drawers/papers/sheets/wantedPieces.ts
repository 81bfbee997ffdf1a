import type { PiecePurpose, PlannedPiece } from '@/core/cut';
import { sheetKind } from '@/core/prepare';
import { nominalSize } from '@/core/size';
import {
  editionFor,
  getPrintFile,
  getSheetFile,
  getWork,
  linesToPrint,
  printFilesOf,
} from '@/data';
import type { LineToPrint, PrintFile, Reading, SheetFile } from '@/data';
import { nominalExtent, ofPrintFile, printedExtent } from '@/studio';
import type { WantedPiece } from './sheetForms';

/** Lines of orders that are offered at once. */
export const MOST_LINES = 200;

const sizeName = (sizeKey: string) => nominalSize(sizeKey)?.label ?? sizeKey;
const NONE = { fileId: null, sheetId: null, lineId: null, order: null, dueOn: null };

/** A print file as a piece. */
const ofFile = (purpose: PiecePurpose, file: PrintFile, title: string): PlannedPiece => {
  const { width, height, ppi } = ofPrintFile(file);
  return {
    ...NONE,
    id: `${purpose}:${file.id}`,
    purpose,
    title,
    size: sizeName(file.sizeKey),
    workId: file.workId,
    sizeKey: file.sizeKey,
    fileId: file.id,
    ...printedExtent({ width, height }, ppi),
    count: 1,
    mayTurn: true,
  };
};

/** A line of an order as a piece: from the newest file of its size, or as large as that is called. */
async function ofLine(db: Reading, line: LineToPrint): Promise<PlannedPiece | null> {
  const file = (await printFilesOf(db, line.workId)).find(
    (f) => f.sizeKey === line.sizeKey,
  );
  const { lineId, order, dueOn, workId, sizeKey, count } = line;
  const about = {
    id: `order:${lineId}`,
    purpose: 'order' as const,
    lineId,
    order,
    dueOn: dueOn.slice(0, 10),
    count,
  };
  if (file) return { ...ofFile('order', file, line.work), ...about };
  const extent = nominalExtent(sizeKey);
  if (!extent) return null;
  const named = { title: line.work, size: sizeName(sizeKey), workId, sizeKey };
  return { ...NONE, ...named, ...extent, mayTurn: true, ...about };
}

const ofSheet = (sheet: SheetFile): PlannedPiece => ({
  ...NONE,
  id: `sheet:${sheet.id}`,
  purpose: 'sheet',
  title: sheet.name,
  size: sheetKind(sheet.content.kind).fileWord,
  workId: null,
  sizeKey: null,
  sheetId: sheet.id,
  ...printedExtent(sheet, sheet.ppi),
  count: 1,
  mayTurn: true,
});

/** What orders wait for on a paper, as pieces. */
export async function waitingPiecesOf(
  db: Reading,
  paperId: number,
): Promise<PlannedPiece[]> {
  const lines = await linesToPrint(db, paperId, MOST_LINES);
  const found = await Promise.all(lines.map((line) => ofLine(db, line)));
  return found.filter((p) => p !== null);
}

/** What a piece is that is wanted for the first time; a sentence where there is no such thing. */
async function found(
  db: Reading,
  paperId: number,
  id: string,
): Promise<PlannedPiece | string> {
  const [purpose, number] = id.split(':') as [PiecePurpose, string];
  const row = Number(number);
  if (purpose === 'order') {
    const line = (await linesToPrint(db, paperId, MOST_LINES)).find(
      (l) => l.lineId === row,
    );
    const piece = line && (await ofLine(db, line));
    return (
      piece ??
      'This line of an order does not wait to be printed on this paper any more: it was printed, shipped or cancelled.'
    );
  }
  if (purpose === 'sheet') {
    const sheet = await getSheetFile(db, row);
    return sheet && sheet.kind !== 'gang' ? ofSheet(sheet) : 'This sheet is not there.';
  }
  const file = await getPrintFile(db, row);
  const work = file && (await getWork(db, file.workId));
  if (!file || !work || file.kind !== 'print')
    return 'This print file is not there. Reload the page.';
  if (purpose === 'edition' && !(await editionFor(db, file.workId, file.sizeKey)))
    return `${work.title}, ${sizeName(file.sizeKey)}: no edition of this size is declared. Declare it at Edition first, or put it on the plan as a card or test.`;
  return ofFile(purpose, file, work.title);
}

/** The pieces that are wanted: those that were there stay what they are, others are looked up. A sentence where one is not to be had. */
export async function wantedPieces(
  db: Reading,
  paperId: number,
  before: readonly PlannedPiece[],
  wanted: readonly WantedPiece[],
): Promise<PlannedPiece[] | string> {
  const pieces: PlannedPiece[] = [];
  for (const { id, count, mayTurn } of wanted) {
    if (pieces.some((p) => p.id === id)) continue;
    const of = before.find((p) => p.id === id) ?? (await found(db, paperId, id));
    if (typeof of === 'string') return of;
    pieces.push({ ...of, count, mayTurn });
  }
  return pieces;
}
