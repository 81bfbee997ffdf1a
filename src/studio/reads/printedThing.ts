import { ppiOf, sheetKind } from '@/core/prepare';
import type { TargetId } from '@/core/prepare';
import { nominalSize } from '@/core/size';
import type { Extent } from '@/core/paper';
import { mmOf } from '@/core/units';
import { getPrintFile, getSheetFile } from '@/data';
import type { PrintFile, Reading, SheetFile } from '@/data';

/** A file as it lies on a sheet. */
export interface PrintedThing {
  name: string;
  sha256: string;
  /** Pixels. */
  width: number;
  height: number;
  ppi: number;
  bits: 8 | 16;
  channels: 3 | 4;
  target: TargetId | null;
}

/** Sizes that are cut are whole to a ten-thousandth of a millimetre. */
const exact = (mm: number) => Math.round(mm * 10_000) / 10_000;

/** How large something is printed, mm. */
export const printedExtent = (of: Extent, ppi: number): Extent => {
  const [width, height] = [of.width, of.height].map((px) => exact(mmOf(px, ppi)));
  return { width: width!, height: height! };
};

export const ofPrintFile = (file: PrintFile): PrintedThing => ({
  name: file.name,
  sha256: file.sha256,
  width: file.width,
  height: file.height,
  ppi: ppiOf(file.recipe),
  bits: file.recipe.file.format === 'jpeg' ? 8 : file.recipe.file.bits,
  channels: file.channels,
  target: file.recipe.convert.target,
});

/** The same of a proof or settings sheet, or of a whole sheet of prints. */
export const ofSheetFile = (file: SheetFile): PrintedThing => {
  const { recipe } = sheetKind(file.content.kind).tried(file.content);
  return {
    name: file.name,
    sha256: file.sha256,
    width: file.width,
    height: file.height,
    ppi: file.ppi,
    bits: recipe?.file.format === 'jpeg' ? 8 : (recipe?.file.bits ?? 16),
    channels: 3,
    target: recipe?.convert.target ?? null,
  };
};

/** The file that a piece of a sheet plan is printed from; null where none is written, or it is gone. */
export async function printedThing(
  db: Reading,
  { fileId, sheetId }: { fileId: number | null; sheetId: number | null },
): Promise<PrintedThing | null> {
  if (fileId !== null) {
    const file = await getPrintFile(db, fileId);
    return file && file.kind === 'print' ? ofPrintFile(file) : null;
  }
  const sheet = sheetId === null ? undefined : await getSheetFile(db, sheetId);
  return sheet ? ofSheetFile(sheet) : null;
}

/** How large a size is printed where no file says it, mm. */
export const nominalExtent = (sizeKey: string): Extent | null => {
  const nominal = nominalSize(sizeKey);
  return nominal ? { width: exact(nominal.width), height: exact(nominal.height) } : null;
};
