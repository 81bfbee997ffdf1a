import { grams, gsm, minor, mm, size } from '../units';
import {
  NOTHING,
  PACK_RULES,
  SEALED_PARCEL,
  billableWeight,
  checkScales,
  choosePacking,
  countedTwice,
  laidParts,
  liesInside,
  openParcelOf,
  parcelFor,
  parcelOf,
  sealFault,
  splitParcels,
  takenFrom,
} from '.';
import type {
  Contents,
  FlatMaterial,
  FlatPacking,
  GoodsToPack,
  Packing,
  PackingMaterial,
  PrintToPack,
  RolledPacking,
} from '.';

const flat = (
  kind: FlatMaterial['kind'],
  w: number,
  h: number,
  mass: number,
  thickness = 2,
  stock = 5,
) => ({
  id: Number(`${{ sleeve: 1, board: 2, mailer: 3 }[kind]}${w}`),
  kind,
  name: `${kind} ${w / 10} × ${h / 10} cm`,
  ...size(w, h),
  mass: grams(mass),
  thickness: mm(thickness),
  cost: minor(100),
  stock,
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
const print = (over: Partial<PrintToPack> = {}): PrintToPack => ({
  line: 1,
  copies: 1,
  ...size(400, 500),
  weight: gsm(308),
  thickness: mm(0.5),
  certificate: true,
  ...over,
});
const book = (over: Partial<GoodsToPack> = {}): GoodsToPack => ({
  line: 9,
  name: 'book',
  copies: 1,
  mass: grams(420),
  thickness: mm(12),
  ...over,
});
const holding = (...prints: PrintToPack[]): Contents => ({ ...NOTHING, prints });
const pack = (contents: Contents): Packing => {
  const { packing } = choosePacking(contents, materials, PACK_RULES);
  if (!packing) throw new Error('nothing fits');
  return packing;
};
const flatOf = (c: Contents) => pack(c) as FlatPacking;

it('fits in either orientation', () => {
  expect(liesInside(size(500, 400), size(410, 510), 6)).toBe(true);
  expect(liesInside(size(500, 406), size(410, 510), 6)).toBe(false);
});

describe('one way is chosen for all that lies in a parcel', () => {
  it('flat what fits flat, with the smallest board and mailer', () => {
    expect(pack(holding(print()))).toMatchObject({
      way: 'flat',
      spare: 44,
      board: { width: 406 },
    });
  });

  it('several prints share board and mailer; each has its sleeves', () => {
    const both = holding(print(), print({ line: 2, copies: 2, ...size(300, 400) }));
    const packing = flatOf(both);
    expect(packing.sleeves.map((s) => [s.line, s.copies])).toEqual([
      [1, 1],
      [2, 2],
    ]);
    expect(takenFrom(packing)).toEqual([
      { id: 1410, name: 'sleeve 41 × 51 cm', pieces: 3 },
      { id: 2406, name: 'board 40.6 × 50.6 cm', pieces: 1 },
      { id: 3450, name: 'mailer 45 × 55 cm', pieces: 1 },
    ]);
  });

  it('sleeves that run out are lacking, not taken twice', () => {
    const few = materials.map((m) => (m.kind === 'sleeve' ? { ...m, stock: 1 } : m));
    const both = holding(print(), print({ line: 2 }));
    const chosen = choosePacking(both, few, PACK_RULES);
    expect(chosen.packing).toMatchObject({ way: 'rolled' });
    expect('notFlat' in chosen && chosen.notFlat).toEqual(['sleeve']);
  });

  it('rolls what is too large, in a tube wide enough for the heaviest paper', () => {
    const large = print(size(500, 700));
    const chosen = choosePacking(holding(large), materials, PACK_RULES);
    expect(chosen).toMatchObject({
      packing: { way: 'rolled', tube: { diameter: 75 } },
      notFlat: ['tooLarge', 'sleeve', 'mailer'],
    });
    const thin = print({ ...size(500, 700), weight: gsm(190) });
    expect(pack(holding(thin))).toMatchObject({ tube: { diameter: 50 } });
    const mixed = pack(holding(thin, { ...large, line: 2 })) as RolledPacking;
    expect(mixed.tube.diameter).toBe(75);
  });

  it('goods are never rolled, and alone they want the largest mailer', () => {
    const withBook = { ...holding(print(size(500, 700))), goods: [book()] };
    expect(choosePacking(withBook, materials, PACK_RULES)).toMatchObject({
      packing: null,
      lacking: { rolled: ['goodsDoNotRoll'] },
    });
    expect(pack({ ...NOTHING, goods: [book()] })).toMatchObject({
      way: 'flat',
      board: null,
      mailer: { width: 450 },
    });
    const thick = { ...NOTHING, goods: [book({ copies: 3 })] };
    expect(choosePacking(thick, materials, PACK_RULES)).toMatchObject({
      lacking: { flat: ['tooThick'] },
    });
  });

  it('says what is missing, and what would do, when nothing takes it', () => {
    const result = choosePacking(holding(print(size(900, 1200))), materials, PACK_RULES);
    expect(result).toMatchObject({
      packing: null,
      lacking: { rolled: ['tube'] },
      needed: { tubeLength: 940, tubeDiameter: 75, flat: { width: 906, height: 1206 } },
    });
  });
});

describe('a parcel', () => {
  const one = holding(print());
  const parcel = parcelOf(one, pack(one));

  it('is weighed part by part, and what the scales miss is found', () => {
    expect(parcel.parts[0]).toMatchObject({ key: 'print:1', part: 'print' });
    expect(parcel.parts[0]!.mass).toBeCloseTo(61.6);
    expect(parcel.total).toBeCloseTo(61.6 + 14 + 178 + 310 + 30 + 6);
    expect(parcel.depth).toBeCloseTo(6 + 2 + 0.1 + 0.5);
    const short = checkScales(parcel, grams(parcel.total - 31), PACK_RULES);
    expect(short.agrees).toBe(false);
    expect(short.suspects[0]).toMatchObject({ part: 'certificate', line: 1 });
    expect(checkScales(parcel, grams(parcel.total + 9), PACK_RULES).agrees).toBe(true);
    expect(billableWeight(parcel, 1)).toBeCloseTo(
      parcel.width * parcel.height * parcel.depth,
    );
    expect(billableWeight(parcel, 5000)).toBe(parcel.total);
  });

  it('counts copies, goods and extras along, and thickens with them', () => {
    const much: Contents = {
      prints: [print({ copies: 2, certificate: false })],
      goods: [book()],
      extras: [{ name: 'postcard', mass: grams(6) }],
    };
    const whole = parcelOf(much, pack(much));
    expect(whole.total).toBeCloseTo(2 * 61.6 + 420 + 2 * 14 + 178 + 310 + 6 + 6);
    expect(whole.depth).toBeCloseTo(6 + 2 + 2 * 0.1 + 2 * 0.5 + 12);
    expect(whole.parts.map((p) => p.part)).not.toContain('certificate');
  });

  it('wants every part ticked in both counts, the last tick standing', () => {
    const all = (count: 'first' | 'second') =>
      parcel.parts.map((p) => ({ line: p.key, count, on: true }));
    expect(countedTwice(parcel.parts, all('first'))).toBe(false);
    const both = [...all('first'), ...all('second')];
    expect(countedTwice(parcel.parts, both)).toBe(true);
    const back = [...both, { line: 'note', count: 'second' as const, on: false }];
    expect(countedTwice(parcel.parts, back)).toBe(false);
    expect(laidParts(parcel.parts, back).map((p) => p.part)).not.toContain('note');
  });

  it('another mailer opens its own count again, and no other', () => {
    const ticks = (['first', 'second'] as const).flatMap((count) =>
      parcel.parts.map((p) => ({ line: p.key, count, on: true })),
    );
    const shelf = materials.map((m) =>
      m.kind === 'mailer' ? { ...m, id: 77, name: 'other mailer' } : m,
    );
    const { packing } = choosePacking(one, shelf, PACK_RULES);
    const open = parcelOf(one, packing!).parts.filter((p) => !countedTwice([p], ticks));
    expect(open.map((p) => p.key)).toEqual(['mailer:77']);
  });
});

describe('a parcel that is not sealed', () => {
  const contents = holding(print());
  const keys = parcelOf(contents, pack(contents)).parts.map((p) => p.key);
  const both = keys.flatMap((line) =>
    (['first', 'second'] as const).map((count) => ({ line, count, on: true })),
  );
  const { total } = parcelOf(contents, pack(contents));
  const open = (ticks = both, weighed: number | null = total, of = contents) =>
    openParcelOf(
      of,
      { ticks, weighed: weighed === null ? null : grams(weighed) },
      materials,
      PACK_RULES,
    );

  it.each([
    [open(), 1, null],
    [open(), 0, 'emptyParcel'],
    [open(both, total, holding(print(size(4000, 5000)))), 1, 'emptyParcel'],
    [open(both.slice(1)), 1, 'notCounted'],
    [open(both, null), 1, 'notWeighed'],
    [open(both, total - PACK_RULES.scaleTolerance - 1), 1, 'scalesDisagree'],
    [open(both, total - PACK_RULES.scaleTolerance), 1, null],
  ])(
    '%# is sealed only when all was counted twice and the scales agree',
    (of, lines, fault) => {
      expect(sealFault(of, lines)).toBe(fault);
    },
  );

  it('what cannot be packed is neither counted nor weighed, and says what is lacking', () => {
    const huge = open(both, total, holding(print(size(4000, 5000))));
    expect(huge).toMatchObject({ parcel: null, counted: false, scales: null });
    expect(huge.chosen.packing).toBeNull();
  });
});

describe('an order is split into parcels', () => {
  const large = print({ line: 2, ...size(600, 900) });

  it('what lies flat together, what is rolled together, goods with the flat', () => {
    expect(splitParcels([print(), large], [book()], materials, PACK_RULES)).toEqual([
      [1, 9],
      [2],
    ]);
    expect(splitParcels([large], [book()], materials, PACK_RULES)).toEqual([[2], [9]]);
  });

  it('a parcel is begun anew where one is full', () => {
    const six = [1, 2, 3, 4, 5, 6].map((line) => print({ line }));
    const rich = materials.map((m) => ({ ...m, stock: 50 }));
    expect(splitParcels(six, [], rich, PACK_RULES)).toEqual([[1, 2, 3, 4, 5], [6]]);
  });

  it('one more thing goes where it travels the same way; an empty parcel takes anything', () => {
    const parcels = [holding(large), holding(print())];
    expect(parcelFor({ print: print({ line: 3 }) }, parcels, materials, PACK_RULES)).toBe(
      1,
    );
    expect(parcelFor({ goods: book() }, [holding(large)], materials, PACK_RULES)).toBe(-1);
    expect(parcelFor({ goods: book() }, [NOTHING], materials, PACK_RULES)).toBe(0);
  });

  it('by the limit alone, as long as the shelf is empty', () => {
    expect(splitParcels([print(), large], [], [], PACK_RULES)).toEqual([[1], [2]]);
  });
});

it('a sealed parcel of before its parts were written down can still be read', () => {
  const stored = JSON.parse(
    '{"way":"flat","notFlat":[],"spare":null,"quotes":[],"lines":[{"line":1,"title":"Slack Water","label":"1/30","sizeKey":"metricFrames-30x40","sheet":null,"paper":"Linen 300","copies":1,"price":8000,"currency":"EUR"}],"to":{"name":"Reader 1","street":"1 Capstan Row","town":"2180 Merrowstaithe","country":"Ulverreach"}}',
  ) as object;
  const read = SEALED_PARCEL.read(stored);
  expect(read).toMatchObject({ way: 'flat', parts: null, total: null, note: '' });
  expect(read.lines[0]).toMatchObject({ title: 'Slack Water', price: 8000 });
  expect(SEALED_PARCEL.read(SEALED_PARCEL.write(read))).toEqual(read);
  expect(() => SEALED_PARCEL.read({ ...stored, way: 'by balloon' })).toThrow(/not whole/);
});
