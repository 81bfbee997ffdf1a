import type { Fit } from '@/core/size';
import type { CropPlan, Round } from './tradeSteps';

export const SALT = 'metricFrames-50x70';
export const SMALL = 'metricFrames-30x40';
export const WEED = 'metricFrames-40x50';
const LARGE = 'metricFrames-70x100';

/** Papers by their place in the scenario. */
export const COTTON = 0;
export const BARYTA = 1;
const ALPHA = 2;
export const ETCHING = 3;
export const RAG = 4;

/** Sizes put on offer: work, days ago, and each size with its border in mm. */
export const OFFERED: { name: string; days: number; sizes: [string, number, Fit][] }[] = [
  {
    name: 'saltPans',
    days: 358,
    sizes: [
      [SMALL, 15, 'within'],
      [SALT, 25, 'within'],
      [LARGE, 30, 'within'],
    ],
  },
  {
    name: 'coiledLines',
    days: 340,
    sizes: [
      ['isoA-A4', 12, 'within'],
      ['isoA-A3', 20, 'within'],
    ],
  },
  { name: 'featherWeed', days: 322, sizes: [[WEED, 20, 'within']] },
  {
    name: 'tideLines',
    days: 290,
    sizes: [
      [SMALL, 15, 'within'],
      [WEED, 20, 'within'],
    ],
  },
  { name: 'pearBranch', days: 254, sizes: [[SMALL, 15, 'within']] },
  {
    name: 'moonOverMere',
    days: 230,
    sizes: [
      ['metricFrames-13x18', 10, 'within'],
      ['metricFrames-24x30', 12, 'within'],
    ],
  },
  { name: 'starlings', days: 206, sizes: [['isoA-A2', 25, 'within']] },
  {
    name: 'buoyYard',
    days: 160,
    sizes: [
      [SMALL, 12, 'within'],
      [SALT, 20, 'within'],
    ],
  },
  {
    name: 'causeway',
    days: 30,
    sizes: [
      [SMALL, 15, 'within'],
      [SALT, 20, 'fill'],
    ],
  },
];

/** Crops that were chosen: the far end of the causeway is marked to stay. */
export const CROPS: ({ name: string } & CropPlan)[] = [
  {
    name: 'causeway',
    ratio: '5:7',
    choice: { x: 0.5, y: 0.45, zoom: 0.94 },
    area: { left: 0.47, top: 0.42, width: 0.14, height: 0.12 },
    days: 29,
  },
];

/** Sizes that the studio's own frames come in. */
export const OWN_SIZES = ['own-42x60cm', 'own-9.5x12in'];

/** Print files: work, size, colour space, days ago. */
export const FILES: [string, string, 'a98-rgb' | 'srgb', number][] = [
  ['saltPans', SALT, 'a98-rgb', 356],
  ['featherWeed', WEED, 'a98-rgb', 320],
  ['coiledLines', 'isoA-A3', 'a98-rgb', 338],
  ['starlings', 'isoA-A2', 'srgb', 204],
  ['tideLines', WEED, 'a98-rgb', 288],
  ['pearBranch', SMALL, 'a98-rgb', 252],
  ['tideLines', SMALL, 'a98-rgb', 230],
  ['coiledLines', 'isoA-A4', 'a98-rgb', 228],
  ['moonOverMere', 'metricFrames-24x30', 'a98-rgb', 226],
];

const home = 'own printer';
const away = 'Weir Lane Print Room';
const round = (
  paper: number,
  sent: number,
  back: number,
  cost: number,
  seen: string,
  toChange = '',
  route = home,
): Round => ({
  paper,
  sent,
  back,
  cost,
  seen,
  route,
  toChange,
  verdict: toChange === '' ? 'approved' : 'changeAndRepeat',
});

export const PROOFS: { name: string; sizeKey: string; rounds: Round[] }[] = [
  {
    name: 'saltPans',
    sizeKey: SALT,
    rounds: [
      round(
        COTTON,
        354,
        353,
        900,
        'Pools greyer than the panel, shed roof a little brown.',
        'Warm the midtones a touch, open the shadows of the shed.',
      ),
      {
        ...round(
          COTTON,
          350,
          349,
          900,
          'Pinks of the pools agree; sky close enough to forget.',
        ),
        remarks: 'midtones warmer, shadows opened',
      },
    ],
  },
  {
    name: 'saltPans',
    sizeKey: SMALL,
    rounds: [round(COTTON, 310, 309, 600, 'As the large one.')],
  },
  {
    name: 'coiledLines',
    sizeKey: 'isoA-A3',
    rounds: [round(ETCHING, 336, 335, 700, 'Lines hold, paper tone right.')],
  },
  {
    name: 'featherWeed',
    sizeKey: WEED,
    rounds: [
      round(ALPHA, 318, 318, 300, 'Blue too violet on alpha.', 'Try the cotton.'),
      round(COTTON, 316, 315, 800, 'Blue as deep as the cyanotype, filaments clean.'),
    ],
  },
  {
    name: 'tideLines',
    sizeKey: WEED,
    rounds: [
      round(
        ALPHA,
        286,
        286,
        300,
        'The lowest wash closes up; sky too cold.',
        'Lift the shadows by a third of a stop, warm the lights.',
      ),
      round(
        COTTON,
        282,
        281,
        800,
        'Sky right. Posts a little soft beside the sheet.',
        'Sharpen once more at the output, radius 0.8 px.',
      ),
      round(COTTON, 278, 277, 800, 'Posts as crisp as the brush left them.'),
    ],
  },
  {
    name: 'pearBranch',
    sizeKey: SMALL,
    rounds: [round(RAG, 250, 249, 500, 'Black flat and deep, ochre exactly the ink.')],
  },
  {
    name: 'starlings',
    sizeKey: 'isoA-A2',
    rounds: [
      round(
        BARYTA,
        202,
        193,
        1800,
        'Dusk a little dark in the reeds, birds crisp.',
        'Open the lowest tenth.',
        away,
      ),
      round(BARYTA, 190, 182, 1800, 'Reeds open, dusk keeps its glow.', '', away),
    ],
  },
  {
    name: 'buoyYard',
    sizeKey: SALT,
    rounds: [
      round(
        COTTON,
        156,
        155,
        900,
        'The red is out of reach of this paper; duller than the canvas.',
        'Accept the red, hold the yellow: perceptual instead of relative.',
      ),
      round(COTTON, 152, 151, 900, 'Yellow holds, red as near as cotton comes.'),
    ],
  },
  {
    name: 'causeway',
    sizeKey: SALT,
    rounds: [
      {
        paper: BARYTA,
        sent: 9,
        cost: 2400,
        route: away,
        remarks: 'resolution proof for the enlargement',
      },
    ],
  },
  {
    name: 'buoyYard',
    sizeKey: SMALL,
    rounds: [
      { paper: RAG, sent: 3, cost: 500, route: home, remarks: 'last sheets of the rag' },
    ],
  },
];
