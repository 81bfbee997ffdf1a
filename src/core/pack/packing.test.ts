import { daysUntil, promisedDay } from '../order';
import { grams, gsm, minor, mm, size } from '../units';
import {
  PACK_RULES,
  billableWeight,
  checkScales,
  choosePacking,
  countedTwice,
  liesInside,
  parcelWeight,
  pickList,
} from '.';
import type { FlatMaterial, Packing, PackingMaterial } from '.';

const flat = (
  kind: FlatMaterial['kind'],
  w: number,
  h: number,
  mass: number,
  thickness = 2,
) => ({
  id: w,
  kind,
  name: `${kind} ${w / 10} × ${h / 10} cm`,
  ...size(w, h),
  mass: grams(mass),
  thickness: mm(thickness),
  cost: minor(100),
  stock: 5,
});
const tube = (diameter: number, length: number, stock = 3) => ({
  id: length,
  kind: 'tube' as const,
  name: `tube ${diameter} mm`,
  diameter: mm(diameter),
  length: mm(length),
  mass: grams(240),
  wall: mm(2),
  cost: minor(180),
  stock,
});
const materials: PackingMaterial[] = [
  flat('sleeve', 410, 510, 14, 0.1),
  flat('board', 406, 506, 178),
  flat('board', 600, 800, 400),
  flat('mailer', 450, 550, 310, 3),
  tube(50, 700),
  tube(75, 760),
];
const print = { ...size(400, 500), weight: gsm(308), thickness: mm(0.5) };
const pack = (over = {}): Packing => {
  const packing = choosePacking({ ...print, ...over }, materials, PACK_RULES);
  if (packing.way === 'none') throw new Error('nothing fits');
  return packing;
};

it('fits in either orientation', () => {
  expect(liesInside(size(500, 400), size(410, 510), 6)).toBe(true);
  expect(liesInside(size(500, 406), size(410, 510), 6)).toBe(false);
});

it('takes flat what fits flat, with the smallest board and mailer', () => {
  expect(pack()).toMatchObject({ way: 'flat', spare: 44, board: { width: 406 } });
});

it('rolls what is too large, in a tube wide enough for the paper', () => {
  expect(pack(size(500, 700))).toMatchObject({
    way: 'rolled',
    why: 'tooLargeFlat',
    tube: { diameter: 75 },
  });
  expect(pack({ ...size(500, 700), weight: gsm(190) })).toMatchObject({
    tube: { diameter: 50 },
  });
});

it('says what is missing when nothing takes it', () => {
  const result = choosePacking({ ...print, ...size(900, 1200) }, materials, PACK_RULES);
  expect(result).toMatchObject({
    way: 'none',
    missing: ['tube'],
    needed: { tubeLength: 940 },
  });
});

it('weighs the parcel part by part and finds what the scales miss', () => {
  const parcel = parcelWeight(print, pack());
  expect(parcel.parts[0]?.mass).toBeCloseTo(61.6);
  expect(parcel.total).toBeCloseTo(61.6 + 14 + 178 + 310 + 30 + 6);
  expect(parcel.depth).toBeCloseTo(6 + 2 + 0.1 + 0.5);
  expect(checkScales(parcel, grams(parcel.total - 31), PACK_RULES)).toMatchObject({
    agrees: false,
    suspects: ['certificate'],
  });
  expect(checkScales(parcel, grams(parcel.total + 9), PACK_RULES).agrees).toBe(true);
  expect(billableWeight(parcel, 1)).toBeCloseTo(
    parcel.width * parcel.height * parcel.depth,
  );
  expect(billableWeight(parcel, 5000)).toBe(parcel.total);
});

it('wants every line ticked in both counts, the last tick standing', () => {
  const lines = pickList(pack(), '7/30', 'Cotton');
  const all = (count: 'first' | 'second') =>
    lines.map((l) => ({ line: l.id, count, on: true }));
  expect(countedTwice(lines, all('first'))).toBe(false);
  const both = [...all('first'), ...all('second')];
  expect(countedTwice(lines, both)).toBe(true);
  expect(countedTwice(lines, [...both, { line: 'note', count: 'second', on: false }])).toBe(
    false,
  );
});

it('promises working days', () => {
  expect(promisedDay('2026-11-20', 3)).toBe('2026-11-25');
  expect(daysUntil('2026-11-25', '2026-11-23T18:00:00Z')).toBe(2);
});
