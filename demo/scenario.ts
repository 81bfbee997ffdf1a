import { gsm, grams, minor, mm } from '@/core/units';
import type { MaterialRow, NewPaper } from '@/data';

export const ARTIST = 'Senna Quillfeather';
export const STUDIO = 'Senna Quillfeather, Sluice House, Saltreach';

type PaperSeed = Omit<NewPaper, 'createdAt'> & { received: number };

/** What the own printer is told of each kind of paper; it knows none of them by name. */
const MEDIA_SETTINGS: Record<string, string> = {
  matte: 'heavy matte',
  textured: 'heavy textured',
  gloss: 'baryta',
  lustre: 'photo lustre',
};

const paper = (
  name: string,
  maker: string,
  base: string,
  surface: string,
  weight: number,
  thickness: number,
  sheet: [number, number],
  price: number,
  reorderPoint: number,
  received: number,
  note: string,
): PaperSeed => ({
  name,
  maker,
  base,
  surface,
  weight: gsm(weight),
  thickness: mm(thickness),
  sheetWidth: mm(sheet[0]),
  sheetHeight: mm(sheet[1]),
  price: minor(price),
  currency: 'EUR',
  reorderPoint,
  printerSetting: MEDIA_SETTINGS[surface] ?? '',
  permanence: '',
  ...(base === 'cotton'
    ? {
        permanenceYears: 95,
        permanenceSource: `${maker}’s own test`,
        permanenceDisplay: 'behind glass in daylight',
        acidFree: true,
      }
    : {}),
  scuffs: base === 'cotton' && surface === 'matte',
  brightened: base === 'cotton' ? 'no' : 'yes',
  grain: base === 'cotton' ? 'along the long side' : 'not known',
  signedWith: ['matte', 'textured'].includes(surface) ? 'pencil' : 'pigment pen',
  supplier: 'Saltreach Paper Loft',
  // The coated one comes from far.
  deliveryDays: base === 'baryta' ? 21 : 8,
  note,
  received,
});

export const PAPERS: PaperSeed[] = [
  paper(
    'Slackwater Cotton',
    'Ragwater Mill',
    'cotton',
    'matte',
    308,
    0.52,
    [510, 710],
    640,
    10,
    40,
    'Deep blues keep their bloom; the first choice for editions.',
  ),
  paper(
    'Chalkline Baryta',
    'Ragwater Mill',
    'baryta',
    'gloss',
    315,
    0.36,
    [610, 914],
    780,
    8,
    24,
    'Brilliant blacks; fingerprints show.',
  ),
  paper(
    'Reedbed Alpha',
    'Ooze & Daughters',
    'alpha cellulose',
    'matte',
    230,
    0.34,
    [420, 594],
    210,
    15,
    60,
    'The proofing paper: cheap, and close to the cotton in white.',
  ),
  paper(
    'Old Pier Etching',
    'Ooze & Daughters',
    'cotton',
    'textured',
    350,
    0.63,
    [420, 520],
    720,
    12,
    17,
    'Tooth swallows the finest lines of ink drawings.',
  ),
  paper(
    'Estuary Rag',
    'Ragwater Mill',
    'cotton',
    'matte',
    285,
    0.46,
    [420, 594],
    560,
    10,
    58,
    'Flat and even, the best black of all matte papers tried.',
  ),
  paper(
    'Mudlark Lustre',
    'Ooze & Daughters',
    'alpha cellulose',
    'lustre',
    290,
    0.31,
    [297, 420],
    260,
    5,
    10,
    'Sample pack: tried on two photographs, nothing decided.',
  ),
];

type MaterialSeed = Omit<MaterialRow, 'id'> & { received: number };

const flat = (
  kind: 'sleeve' | 'board' | 'mailer',
  w: number,
  h: number,
  mass: number,
  thickness: number,
  cost: number,
  received: number,
): MaterialSeed => ({
  kind,
  name: `${{ sleeve: 'sleeve', board: 'backing board', mailer: 'rigid mailer' }[kind]} ${w / 10} × ${h / 10} cm`,
  width: mm(w),
  height: mm(h),
  thickness: mm(thickness),
  mass: grams(mass),
  cost: minor(cost),
  currency: 'EUR',
  reorderPoint: 20,
  supplier: 'Weir Board and Carton',
  deliveryDays: 4,
  received,
});

const tube = (
  diameter: number,
  length: number,
  mass: number,
  received: number,
): MaterialSeed => ({
  kind: 'tube',
  name: `tube ${diameter} × ${length / 10} cm`.replace(
    `${diameter} ×`,
    `${diameter / 10} ×`,
  ),
  width: mm(diameter),
  height: mm(length),
  thickness: mm(2),
  mass: grams(mass),
  cost: minor(190),
  currency: 'EUR',
  reorderPoint: 8,
  supplier: 'Weir Board and Carton',
  deliveryDays: 4,
  received,
});

export const MATERIALS: MaterialSeed[] = [
  flat('sleeve', 305, 425, 9, 0.1, 22, 120),
  flat('sleeve', 410, 510, 14, 0.1, 30, 120),
  flat('sleeve', 305, 405, 8, 0.1, 20, 120),
  flat('board', 303, 426, 112, 1.5, 60, 90),
  flat('board', 306, 406, 108, 1.5, 60, 90),
  flat('board', 406, 506, 178, 1.5, 85, 90),
  flat('mailer', 320, 440, 190, 3, 140, 75),
  flat('mailer', 430, 530, 310, 3, 190, 75),
  tube(50, 460, 120, 36),
  tube(75, 560, 210, 42),
  tube(75, 760, 290, 24),
];

export const CUSTOMERS = [
  ['Ambrose Tillet', '4 Capstan Row', '2180 Merrowstaithe', 'Ulverreach'],
  ['Jorun Vask', 'Lighthouse Cottages 2', '7710 Gull Stairs', 'Skerrowen Isles'],
  ['Perpetua Lowmarsh', '19 Tannery Bank', '1044 Underweir', 'Ulverreach'],
  ['Ikem Stavely', '31 Upper Ropewalk', '1092 Underweir', 'Ulverreach'],
  ['Greta Oldacre', 'The Old Net Loft', '2186 Nether Ooze', 'Ulverreach'],
  ['Tomas Brindle-Wray', '8 Ferry Steps', '5530 Karrowfell', 'Tarnhollen'],
  ['Miriam Feld', '77 Canal Parade', '5512 Karrowfell', 'Tarnhollen'],
  ['Lucian Ashgrove', '2 Observatory Hill', '1011 Underweir', 'Ulverreach'],
  ['Noor Halloway', '15 Kiln Lane', '3307 Pottlegrave', 'Ulverreach'],
  ['Edda Thornbury', '60 Signal Street', '7702 Gull Stairs', 'Skerrowen Isles'],
  ['Caspar Wend', '11 Sailmakers’ Yard', '2181 Merrowstaithe', 'Ulverreach'],
  ['Olive Penhallick-Moor', '3 Weir Crescent', '1060 Underweir', 'Ulverreach'],
] as const;
