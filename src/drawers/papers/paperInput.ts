import type { ValueOf } from '@/core/input';
import { choice, decimal, defineForm, length, money, text, whole } from '@/core/input';
import { BASES, SURFACES } from './kinds';

/** What is noted of a paper, typed by hand or brought in a list. */
export const PAPER_FIELDS = {
  name: text('Name', { max: 80 }),
  maker: text('Maker', { max: 80 }),
  base: choice('Base', BASES),
  surface: choice('Surface', SURFACES),
  weight: whole('Weight', { min: 40, max: 1200 }, 'g/m²'),
  thickness: decimal('Thickness', { above: 0, max: 5 }, 'mm'),
  sheetWidth: length('Sheet width', { above: 0, max: 5000 }),
  sheetHeight: length('Sheet height', { above: 0, max: 5000 }),
  price: money('Price a sheet', { min: 0, max: 1e8 }),
  reorderPoint: whole('Reorder at', { min: 0, max: 10_000 }, 'sheets'),
  printerSetting: text('Printer setting', { min: 0, max: 120 }),
  permanence: text('Permanence', { min: 0, max: 240 }),
  note: text('Note', { min: 0, max: 400 }),
};

export type PaperInput = ValueOf<typeof PAPER_FIELDS>;
export const paperInput = defineForm(PAPER_FIELDS);
