import { grams } from '../units';
import {
  customerKey,
  extrasField,
  itemField,
  lineFault,
  readExtras,
  readItem,
  refusesCancel,
  refusesChange,
  refusesLineChange,
  refusesReturn,
  shareOut,
  stateAfterReturn,
} from '.';
import type { LineFacts, LineStands } from '.';

describe('a line is held against what the studio knows', () => {
  const facts: LineFacts = {
    kind: 'impression',
    quantity: 1,
    name: '',
    work: true,
    paper: true,
    sizeAsked: null,
    sizePrinted: 'isoA-A3',
    offered: true,
    edition: 'limited',
  };
  it.each<[Partial<LineFacts>, string | null]>([
    [{}, null],
    [{ sizeAsked: 'isoA-A3' }, null],
    [{ sizeAsked: 'isoA-A0' }, 'otherSize'],
    [{ sizePrinted: null }, 'notNumbered'],
    [{ work: false }, 'noWork'],
    [{ paper: false }, 'noPaper'],
    [{ quantity: 2 }, 'noQuantity'],
    [{ kind: 'openPrint', sizePrinted: null, edition: null, quantity: 3 }, null],
    [{ kind: 'openPrint', edition: 'open' }, null],
    [{ kind: 'openPrint', edition: 'limited' }, 'limited'],
    [{ kind: 'openPrint', edition: null, offered: false }, 'notOffered'],
    [{ kind: 'goods', name: 'cards', work: false, paper: false }, null],
    [{ kind: 'goods', name: '  ' }, 'noName'],
    [{ kind: 'goods', name: 'cards', quantity: 0 }, 'noQuantity'],
  ])('%j: %s', (over, fault) => {
    expect(lineFault({ ...facts, ...over })).toBe(fault);
  });
});

describe('what can still be changed', () => {
  const open: LineStands = { state: 'open', sealed: false, shipped: false };
  it('an open or sealed order changes, a gone or cancelled one does not', () => {
    expect(['open', 'sealed'].map((s) => refusesChange(s as never))).toEqual([null, null]);
    expect(refusesChange('shipped')).toBe('shipped');
    expect(refusesChange('cancelled')).toBe('cancelled');
  });
  it('a sealed line stays as it was sealed', () => {
    expect(refusesLineChange('open', open)).toBeNull();
    expect(refusesLineChange('open', { ...open, sealed: true })).toBe('sealedLine');
    expect(refusesLineChange('open', { ...open, state: 'removed' })).toBe('lineGone');
  });
  it('what has left is never cancelled', () => {
    expect(refusesCancel('open', [open, { ...open, sealed: true }])).toBeNull();
    expect(refusesCancel('open', [open, { ...open, shipped: true }])).toBe('shipped');
  });
  it('only what has left comes back, once, and not for more than it cost', () => {
    const gone: LineStands = { state: 'shipped', sealed: true, shipped: true };
    expect(refusesReturn(gone, 9000, 9000)).toBeNull();
    expect(refusesReturn(gone, 9000, 9001)).toBe('refundTooMuch');
    expect(refusesReturn(open, 9000, 0)).toBe('notShipped');
    expect(refusesReturn({ ...gone, state: 'damaged' }, 9000, 0)).toBe('backAlready');
    expect((['whole', 'damaged', 'lost'] as const).map(stateAfterReturn)).toEqual([
      'returned',
      'damaged',
      'lost',
    ]);
  });
});

it('a customer is one by name and address, however they are written', () => {
  const key = (name: string, street = '3 Weir Lane') =>
    customerKey({ name, street, town: 'Staithe', country: 'Ulverreach' });
  expect(key('ORLA  Brandt')).toBe(key('Orla Brandt'));
  expect(key('Édouard Tillet', '3, Weir Lane.')).toBe(key('edouard tillet'));
  expect(key('Orla Brandt', '4 Weir Lane')).not.toBe(key('Orla Brandt'));
  // A bar within a name moves nothing from one part into another.
  expect(key('Orla|3 Weir Lane', '')).not.toBe(key('Orla'));
});

it('shares an amount out to the last cent', () => {
  expect(shareOut(100, [1, 1, 1])).toEqual([34, 33, 33]);
  expect(shareOut(500, [8000, 2000])).toEqual([400, 100]);
  expect(shareOut(5, [0, 0])).toEqual([3, 2]);
  expect(shareOut(5, [])).toEqual([]);
});

it('reads what is put in as well, with its weight where that is said', () => {
  expect(readExtras('postcard 6 g, ribbon; test strip 2.5 g,', 'en-GB')).toEqual([
    { name: 'postcard', mass: 6 },
    { name: 'ribbon', mass: 0 },
    { name: 'test strip', mass: 2.5 },
  ]);
});

const bench = { units: 'metric', currency: 'EUR', locale: 'en-GB' } as const;

it('reads the weights of extras in either system, and writes them so that they are read back', () => {
  expect(readExtras('postcard 0.25 oz, ribbon', 'en-US')).toEqual([
    { name: 'postcard', mass: 7.087381 },
    { name: 'ribbon', mass: 0 },
  ]);
  const field = extrasField({ title: 'Put in', example: 'names' });
  const inch = { units: 'inch', currency: 'USD', locale: 'en-US' } as const;
  const written = field.write(readExtras('postcard 0.25 oz, leaf 6 g', 'en-US'), inch);
  expect(written).toBe('postcard 0.25 oz, leaf 6 g');
  expect(field.listed!('postcard 1,5 g, ribbon; leaf')).toEqual([
    'postcard 1,5 g',
    ' ribbon',
    ' leaf',
  ]);
});

it('extras that are too many, too long or too heavy are not read; what is read is written back', () => {
  const field = extrasField({ title: 'Put in', example: 'names' });
  const typed = 'postcard 6 g, ribbon';
  expect(field.write(readExtras(typed, 'en-GB'), bench)).toBe(typed);
  expect(field.read(Array(20).fill('card').join(','), bench)).toHaveLength(20);
  expect(field.read(Array(21).fill('card').join(','), bench)).toBeNull();
  expect(field.read('a'.repeat(121), bench)).toBeNull();
  expect(field.read('anvil 50001 g', bench)).toBeNull();
  // 1,5 g is written as elsewhere: the weight is not guessed.
  expect(field.read('ribbon 1,5 g', bench)).toBeNull();
  const inGerman = { ...bench, locale: 'de-DE' };
  expect(field.read('Band 1,5 g, Karte', inGerman)).toEqual([
    { name: 'Band', mass: 1.5 },
    { name: 'Karte', mass: 0 },
  ]);
  expect(field.write([{ name: 'Band', mass: grams(1.5) }], inGerman)).toBe('Band 1,5 g');
  expect(field.read('', bench)).toEqual([]);
});

it.each([
  ['3:ap:2', { of: 'impression', editionId: 3, series: 'ap', number: 2 }],
  ['3:number:2:isoA-A3', { of: 'impression', number: 2, sizeKey: 'isoA-A3' }],
  ['7:isoA-A3', { of: 'openPrint', workId: 7, sizeKey: 'isoA-A3' }],
])('reads what a list of prints sends: %s', (typed, item) => {
  const read = readItem(typed);
  expect(read).toMatchObject(item);
  expect(itemField({ title: 'Print', example: 'one' }).write(read!, bench)).toBe(typed);
});

it.each(['', 'nonsense', '3', '3:', ':isoA-A3', '9007199254740993:ap:1', '3:ap:-1x:y:z'])(
  'reads nothing from “%s”',
  (typed) => expect(readItem(typed)).toBeNull(),
);
