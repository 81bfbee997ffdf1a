/** The sheets that lie on the size station, in the order in which they are turned over. */
export const SHEETS = ['ladder', 'fit', 'sheet', 'view', 'enlarge'] as const;
export type SheetId = (typeof SHEETS)[number];

export const SHEET_NAMES: Record<SheetId, string> = {
  ladder: 'Ladder',
  fit: 'Crop',
  sheet: 'Sheet',
  view: 'On the wall',
  enlarge: 'How it enlarges',
};

export const sheetOf = (asked: string | undefined): SheetId =>
  SHEETS.find((s) => s === asked) ?? 'ladder';
