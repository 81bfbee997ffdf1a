export const SHEET_NAMES = {
  paper: 'On paper',
  rounds: 'Rounds',
  measured: 'Measured',
  photographed: 'Photographed',
} as const;

export type SheetId = keyof typeof SHEET_NAMES;
export const SHEETS = Object.keys(SHEET_NAMES) as SheetId[];

/** The sheet that an address asks for; the picture on paper otherwise. */
export const sheetOf = (asked: string | undefined): SheetId =>
  SHEETS.find((s) => s === asked) ?? 'paper';
