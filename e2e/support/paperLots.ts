import { minor, mm } from '@/core/units';
import type { LotRow } from '@/data';

/** A delivery of sheets. */
export const sheets = (
  paperId: number,
  pieces: number,
  at: string,
  width = 300,
  height = 400,
): Omit<LotRow, 'id' | 'printedSheetId' | 'core'> => ({
  paperId,
  kind: 'sheet',
  name: 'a delivery',
  width: mm(width),
  height: mm(height),
  pieces,
  price: minor(400),
  currency: 'EUR',
  supplier: '',
  leftOver: false,
  at,
});

/** A roll. */
export const roll = (paperId: number, width: number, length: number, at: string) => ({
  ...sheets(paperId, 1, at, width, length),
  kind: 'roll' as const,
  price: minor(8400),
});
