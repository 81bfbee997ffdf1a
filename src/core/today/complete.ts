/** What a studio needs before it can go all the way, in the order in which it is needed. */
export const PARTS = ['work', 'device', 'paper', 'printer', 'route', 'backup'] as const;
export type StudioPart = (typeof PARTS)[number];

export interface StudioHas {
  works: number;
  devices: number;
  papers: number;
  /** Routes on which is printed here, and those on which it is printed elsewhere. */
  printers: number;
  labs: number;
  /** Where backups go; empty where that was not said. */
  backupFolder: string;
}

/**
 * Which parts a studio has; each ticks itself.
 * @example studioParts({ works: 1, devices: 0, papers: 0, printers: 0, labs: 0, backupFolder: '' }).work // true
 */
export const studioParts = (has: StudioHas): Record<StudioPart, boolean> => ({
  work: has.works > 0,
  device: has.devices > 0,
  paper: has.papers > 0,
  printer: has.printers > 0,
  route: has.labs > 0,
  backup: has.backupFolder !== '',
});
