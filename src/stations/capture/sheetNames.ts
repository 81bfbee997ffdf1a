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

/** The sheet asked for; without a master there are only the plan and the place for one. */
export const sheetOf = (asked: string | undefined, hasMaster: boolean): SheetId => {
  const found = SHEETS.find((s) => s === asked) ?? 'master';
  return hasMaster || found === 'plan' ? found : 'master';
};
