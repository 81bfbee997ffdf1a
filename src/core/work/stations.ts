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

/** Why a station needs attention. */
export type Attention =
  | 'unread'
  | 'untagged'
  | 'fallsShort'
  | 'reopened'
  | 'checksFailed'
  | 'proofsOut'
  | 'referencesLapsed'
  | 'numbersGone'
  | 'ordersLate'
  | 'ordersOpen';

/** What of each station needs attention, and how much of it there is; what there is none of is left out. */
export function attentionOf(f: WorkFacts): Record<Station, [Attention, number][]> {
  const some = (...all: [Attention, number][]) => all.filter(([, n]) => n > 0);
  return {
    capture: some(
      ['unread', Number(f.masterRead === 'failed')],
      ['untagged', Number(f.masterRead !== 'none' && f.untagged)],
    ),
    size: some(['fallsShort', f.offeredFallingShort], ['reopened', f.offeredReopened]),
    prepare: some(['checksFailed', f.printFilesFailed]),
    proof: some(['proofsOut', f.proofsOut], ['referencesLapsed', f.referencesLapsed]),
    edition: some(['numbersGone', Number(f.editions > 0 && f.numbersLeft === 0)]),
    price: [],
    finish: [],
    pack: some(['ordersLate', f.ordersLate], ['ordersOpen', f.ordersOpen - f.ordersLate]),
  };
}

/** Done, needs attention, or not yet: for each station of one work. */
export function markStations(f: WorkFacts): Record<Station, Mark> {
  const attention = attentionOf(f);
  const done: Record<Station, boolean> = {
    capture: f.masterRead === 'ready',
    size: f.offered > 0,
    prepare: f.printFiles > 0,
    proof: f.proofsApproved > 0,
    edition: f.editions > 0,
    price: f.priced > 0,
    finish: f.finished > 0,
    pack: f.ordersShipped > 0,
  };
  const mark = (s: Station): Mark =>
    attention[s].length > 0 ? 'attention' : done[s] ? 'done' : 'notYet';
  return Object.fromEntries(STATIONS.map((s) => [s, mark(s)])) as Record<Station, Mark>;
}

/** The station to go to next: the first that needs attention, else the first not yet done. */
export const nextStation = (marks: Record<Station, Mark>): Station =>
  STATIONS.find((s) => marks[s] === 'attention') ??
  STATIONS.find((s) => marks[s] === 'notYet') ??
  'pack';
