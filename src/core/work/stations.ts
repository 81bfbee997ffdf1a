/** The stations of the rule, in the order of the job. */
export const STATIONS = [
  'capture',
  'size',
  'prepare',
  'proof',
  'edition',
  'price',
  'finish',
  'pack',
] as const;
export type Station = (typeof STATIONS)[number];

export type Mark = 'done' | 'attention' | 'notYet';

/** What is known of a work, as far as the rule needs it. */
export interface WorkFacts {
  masterRead: 'none' | 'reading' | 'ready' | 'failed';
  untagged: boolean;
  offered: number;
  offeredFallingShort: number;
  /** On offer, but the verdict is another one since. */
  offeredReopened: number;
  printFiles: number;
  printFilesFailed: number;
  proofsOut: number;
  proofsApproved: number;
  /** Sizes on offer whose approved proof is no reference any more. */
  referencesLapsed: number;
  editions: number;
  numbersLeft: number;
  priced: number;
  finished: number;
  ordersOpen: number;
  ordersLate: number;
  ordersShipped: number;
}

/** Done, needs attention, or not yet: for each station of one work. */
export function markStations(f: WorkFacts): Record<Station, Mark> {
  const mark = (attention: boolean, done: boolean): Mark =>
    attention ? 'attention' : done ? 'done' : 'notYet';
  return {
    capture: mark(
      f.masterRead === 'failed' || (f.masterRead !== 'none' && f.untagged),
      f.masterRead === 'ready',
    ),
    size: mark(f.offeredFallingShort + f.offeredReopened > 0, f.offered > 0),
    prepare: mark(f.printFilesFailed > 0, f.printFiles > 0),
    proof: mark(f.proofsOut + f.referencesLapsed > 0, f.proofsApproved > 0),
    edition: mark(f.editions > 0 && f.numbersLeft === 0, f.editions > 0),
    price: mark(false, f.priced > 0),
    finish: mark(false, f.finished > 0),
    pack: mark(f.ordersLate > 0 || f.ordersOpen > 0, f.ordersShipped > 0),
  };
}

/** The station to go to next: the first that needs attention, else the first not yet done. */
export const nextStation = (marks: Record<Station, Mark>): Station =>
  STATIONS.find((s) => marks[s] === 'attention') ??
  STATIONS.find((s) => marks[s] === 'notYet') ??
  'pack';
