export const SHEET_NAMES = {
  recipe: 'Recipe',
  proof: 'Proof sheet',
  settings: 'Settings sheet',
  files: 'Files',
  handOver: 'Hand over',
} as const;

export type SheetId = keyof typeof SHEET_NAMES;
export const SHEETS = Object.keys(SHEET_NAMES) as SheetId[];

/** The sheet that an address asks for; the recipe otherwise. */
export const sheetOf = (asked: string | undefined): SheetId =>
  SHEETS.find((s) => s === asked) ?? 'recipe';
