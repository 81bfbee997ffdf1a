/** The sheets that lie on the capture station, in the order in which they are turned over. */
export const SHEETS = [
  'plan',
  'master',
  'detail',
  'specks',
  'tone',
  'edges',
  'light',
  'versions',
] as const;
export type SheetId = (typeof SHEETS)[number];

export const SHEET_NAMES: Record<SheetId, string> = {
  plan: 'Plan',
  master: 'Master',
  detail: 'Detail',
  specks: 'Specks',
  tone: 'Tone',
  edges: 'Edges',
  light: 'Light',
  versions: 'Versions',
};

/** The sheet asked for; else the plan while there is no master, and then the master. */
export const sheetOf = (asked: string | undefined, hasMaster: boolean): SheetId => {
  const found = SHEETS.find((s) => s === asked);
  return found ?? (hasMaster ? 'master' : 'plan');
};
