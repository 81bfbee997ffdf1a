import { BARYTA, COTTON, ETCHING, RAG, SALT, SMALL, WEED } from './year';

export interface EditionPlan {
  name: string;
  sizeKey: string;
  paper: number;
  /** N, or 0 for an open edition. */
  of: number;
  artistsProofs: number;
  declared: number;
  /** What differs from the usual price sheet. */
  price: Record<string, string>;
  /** Printed in runs: days ago and how many. */
  runs: [number, number][];
  proofsPrinted?: number;
  /** Days ago on which one impression each was sold. */
  sold: number[];
}

export const EDITIONS: EditionPlan[] = [
  {
    name: 'saltPans',
    sizeKey: SALT,
    paper: COTTON,
    of: 30,
    artistsProofs: 3,
    declared: 348,
    price: {},
    runs: [
      [345, 8],
      [240, 8],
      [110, 8],
    ],
    proofsPrinted: 2,
    sold: [331, 268, 199, 142, 88, 51, 30],
  },
  {
    name: 'coiledLines',
    sizeKey: 'isoA-A3',
    paper: ETCHING,
    of: 0,
    artistsProofs: 0,
    declared: 334,
    price: { printing: '4', paper: '7.20', expectedImpressions: '60', margin: '35' },
    runs: [
      [332, 15],
      [255, 15],
      [178, 16],
      [80, 16],
    ],
    sold: [322, 297, 260, 233, 190, 151, 118, 77, 40, 24],
  },
  {
    name: 'featherWeed',
    sizeKey: WEED,
    paper: COTTON,
    of: 12,
    artistsProofs: 2,
    declared: 314,
    price: { printing: '7', expectedImpressions: '12', margin: '55' },
    runs: [
      [312, 6],
      [165, 5],
    ],
    sold: [301, 244, 187, 121, 63],
  },
  {
    name: 'saltPans',
    sizeKey: SMALL,
    paper: COTTON,
    of: 50,
    artistsProofs: 5,
    declared: 308,
    price: { printing: '5', paper: '3.20' },
    runs: [
      [305, 16],
      [196, 16],
      [90, 14],
    ],
    sold: [292, 263, 229, 182, 146, 109, 72, 35, 16],
  },
  {
    name: 'tideLines',
    sizeKey: WEED,
    paper: COTTON,
    of: 60,
    artistsProofs: 4,
    declared: 275,
    price: { printing: '7', expectedImpressions: '60', margin: '50' },
    runs: [
      [272, 15],
      [160, 15],
      [60, 14],
    ],
    sold: [254, 220, 176, 139, 96, 58, 22],
  },
  {
    name: 'pearBranch',
    sizeKey: SMALL,
    paper: RAG,
    of: 0,
    artistsProofs: 0,
    declared: 247,
    price: { printing: '4', paper: '4.10', expectedImpressions: '60', margin: '40' },
    runs: [
      [244, 18],
      [150, 18],
      [66, 16],
    ],
    sold: [235, 208, 173, 132, 101, 67, 33],
  },
  {
    name: 'starlings',
    sizeKey: 'isoA-A2',
    paper: BARYTA,
    of: 40,
    artistsProofs: 3,
    declared: 180,
    price: { printing: '11', paper: '7.80', expectedImpressions: '40' },
    runs: [
      [176, 16],
      [84, 15],
    ],
    sold: [168, 144, 112, 79, 47, 19],
  },
  {
    name: 'buoyYard',
    sizeKey: SALT,
    paper: COTTON,
    of: 35,
    artistsProofs: 3,
    declared: 148,
    price: { printing: '9', expectedImpressions: '35', margin: '50' },
    runs: [
      [145, 14],
      [56, 14],
    ],
    sold: [133, 91, 44],
  },
];

/** Orders that are still open: which edition, days ago, how far it has come, and through whom. */
export const OPEN_ORDERS: [
  number,
  number,
  'placed' | 'counted' | 'weighedShort',
  string,
][] = [
  [0, 9, 'placed', 'own site'],
  [2, 2, 'weighedShort', 'own site'],
  [1, 2, 'counted', 'marketplace'],
  [6, 1, 'placed', 'gallery'],
  [7, 1, 'placed', 'own site'],
  [4, 1, 'placed', 'own site'],
];

export const CHANNELS = [
  'own site',
  'own site',
  'gallery',
  'fair',
  'own site',
  'marketplace',
];

/** Deliveries of paper after the first stock: days ago, paper, sheets. */
export const DELIVERIES: [number, number, number][] = [
  [320, COTTON, 60],
  [258, ETCHING, 26],
  [205, COTTON, 60],
  [62, COTTON, 30],
  [120, ETCHING, 28],
  [98, BARYTA, 12],
];
