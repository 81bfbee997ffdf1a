import { writeAmount } from '@/core/input';
import type { NewPaper } from '@/data';

/** An empty form, with what is usual where there is something usual. */
export const NO_PAPER: Record<string, string> = {
  name: '',
  maker: '',
  base: 'cotton',
  surface: 'matte',
  weight: '300',
  thickness: '0.5',
  sheetWidth: '',
  sheetHeight: '',
  price: '',
  reorderPoint: '5',
  printerSetting: '',
  permanence: '',
  note: '',
};

/** A paper as it stands in its form: lengths in millimetres, so that nothing is rounded. */
export const paperForm = (
  paper: Omit<NewPaper, 'createdAt'>,
  currency: string,
): Record<string, string> => ({
  name: paper.name,
  maker: paper.maker,
  base: paper.base,
  surface: paper.surface,
  weight: String(paper.weight),
  thickness: String(paper.thickness),
  sheetWidth: `${paper.sheetWidth} mm`,
  sheetHeight: `${paper.sheetHeight} mm`,
  price: paper.currency === currency ? writeAmount(paper.price, currency) : '',
  reorderPoint: String(paper.reorderPoint),
  printerSetting: paper.printerSetting,
  permanence: paper.permanence,
  note: paper.note,
});

/** The fields by their names on the form, and as heads of a list. */
export const PAPER_TITLES: Record<string, string> = {
  name: 'Name',
  maker: 'Maker',
  base: 'Base',
  surface: 'Surface',
  weight: 'Weight',
  thickness: 'Thickness',
  sheetWidth: 'Sheet width',
  sheetHeight: 'Sheet height',
  price: 'Price a sheet',
  reorderPoint: 'Reorder at',
  printerSetting: 'Printer setting',
  permanence: 'Permanence',
  note: 'Note',
};
