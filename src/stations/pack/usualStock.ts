import { grams, minor, mm } from '@/core/units';
import type { MaterialRow } from '@/data';

type Usual = Omit<MaterialRow, 'id'>;

/** Sheets that are usually sent flat, short side then long side, mm. */
const SHEETS = [
  [210, 297],
  [300, 400],
  [297, 420],
  [400, 500],
] as const;

const BOARD_GSM = 900;

const flat = (
  kind: 'sleeve' | 'board' | 'mailer',
  w: number,
  h: number,
  gsm: number,
  thickness: number,
): Usual => ({
  kind,
  name: `${{ sleeve: 'sleeve', board: 'backing board', mailer: 'rigid mailer' }[kind]} ${w / 10} × ${h / 10} cm`,
  width: mm(w),
  height: mm(h),
  thickness: mm(thickness),
  mass: grams(Math.round(((w * h) / 1e6) * gsm)),
  cost: minor(0),
});

const tube = (diameter: number, length: number, mass: number): Usual => ({
  kind: 'tube',
  name: `tube ${diameter / 10} × ${length / 10} cm`,
  width: mm(diameter),
  height: mm(length),
  thickness: mm(2),
  mass: grams(mass),
  cost: minor(0),
});

/** A small stock to begin with: sleeve, board and mailer for common sheets, and four tubes. */
export const USUAL_STOCK: Usual[] = [
  ...SHEETS.flatMap(([w, h]) => [
    flat('sleeve', w + 5, h + 5, 65, 0.1),
    flat('board', w + 6, h + 6, BOARD_GSM, 1.5),
    flat('mailer', w + 20, h + 30, 1350, 3),
  ]),
  tube(50, 460, 120),
  tube(75, 560, 210),
  tube(75, 760, 290),
  tube(100, 1100, 520),
];

/** Pieces of each to begin with. */
export const USUAL_PIECES = 5;
