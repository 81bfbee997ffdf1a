export const SHEET_NAMES = {
  cost: 'Cost',
  ladder: 'Ladder',
  routes: 'Who prints',
  many: 'How many',
  channels: 'Channels',
  own: 'One’s own',
} as const;

export type SheetId = keyof typeof SHEET_NAMES;
export const SHEETS = Object.keys(SHEET_NAMES) as SheetId[];

/** The sheet that an address asks for; what an impression costs otherwise. */
export const sheetOf = (asked: string | undefined): SheetId =>
  SHEETS.find((s) => s === asked) ?? 'cost';
