import { PACK_RULES, checkScales, choosePacking, parcelOf } from '@/core/pack';
import type { ChosenPacking, Contents, NoPacking, PackingMaterial } from '@/core/pack';
import { grams, gsm, mm } from '@/core/units';
import { SHELF } from '../../../../e2e/support/shelf';
import { formatOf } from '@/shell/figures/format';
import { packingWords, partWords, scaleWords, sealedWords } from './words';

const format = formatOf({
  units: 'metric',
  locale: 'en-GB',
  currency: 'EUR',
  timeZone: 'UTC',
});
const plain = (text: string) => text.replaceAll('\u202f', ' ');

const print = (line: number, width: number, height: number, copies = 1) => ({
  line,
  copies,
  width: mm(width),
  height: mm(height),
  weight: gsm(308),
  thickness: mm(0.5),
  certificate: true,
});
const prints = (...of: Contents['prints']): Contents => ({
  prints: of,
  goods: [],
  extras: [],
});
const tubes = SHELF.filter((m) => m.kind === 'tube');
const say = (chosen: ChosenPacking | NoPacking) => packingWords(chosen, format).map(plain);

const small = prints(print(1, 300, 400));
const chosen = choosePacking(small, SHELF, PACK_RULES) as ChosenPacking;
const parcel = parcelOf(small, chosen.packing);
const mass = (part: string) => parcel.parts.find((p) => p.part === part)!.mass;

it.each([
  [0, /^The scales agree: 0 g apart/],
  [14, /^The scales agree: 14 g apart/],
  [
    0 - mass('certificate'),
    /30 g too light\. That is what the certificate in its folder weighs/,
  ],
  [0 - mass('board'), /too light\. That is what the backing board weighs: is it in\?/],
  [-75, /too light\. Something is missing: look again before sealing\./],
  [90, /90 g too heavy\. Something is in that does not belong/],
])('%d g off, the scales say %s', (off, words) => {
  const check = checkScales(parcel, grams(parcel.total + off), PACK_RULES);
  expect(plain(scaleWords(check, format))).toMatch(words);
});

it.each([
  ['a small print', small, SHELF, /^Flat, /, /fits with .* to spare on the short side/],
  ['no mailer', small, tubes, /^Rolled, /, /no flat mailer in stock takes it; .* end play/],
  [
    'a large one',
    prints(print(1, 700, 1000)),
    SHELF,
    /^Rolled, /,
    /too large to travel flat; .* end play/,
  ],
  [
    'an empty shelf',
    small,
    [],
    /^Nothing in stock takes it$/,
    /^Order a tube of .* or more, .* long; or flat: sleeve, board, mailer for 30.6 × 40.6 cm\.$/,
  ],
  [
    'a large one and an empty shelf',
    prints(print(1, 700, 1000)),
    [],
    /^Nothing in stock takes it$/,
    /^Order a tube of .* or more, .* long\.$/,
  ],
] as [string, Contents, PackingMaterial[], RegExp, RegExp][])(
  'how it is packed, and why: %s',
  (_what, contents, shelf, head, reason) => {
    const [first, second] = say(choosePacking(contents, shelf, PACK_RULES));
    expect(first).toMatch(head);
    expect(second).toMatch(reason);
  },
);

const line = (id: number, label: string | null) => ({
  id,
  work: `Work ${id}`,
  label,
  sizeLabel: '30 × 40 cm',
  paper: 'Heron Press Cotton',
  name: null,
});

it('a part is named with the print it belongs to once there are several', () => {
  const both = prints(print(1, 300, 400), { ...print(2, 300, 400, 3), certificate: false });
  const { packing } = choosePacking(both, SHELF, PACK_RULES) as ChosenPacking;
  const { parts } = parcelOf(both, packing);
  const lines = [line(1, '3/30'), line(2, null)];
  const words = parts.map((p) => partWords(p, lines));
  expect(words).toEqual(
    expect.arrayContaining([
      'print Work 1 3/30, numbered and signed, on Heron Press Cotton',
      '3 × print Work 2, 30 × 40 cm, on Heron Press Cotton',
      'certificate in its folder of Work 1 3/30',
      'note, handwritten',
    ]),
  );
  // No two things to gather are called the same.
  expect(new Set(words).size).toBe(words.length);
  expect(parcel.parts.map((p) => partWords(p, lines.slice(0, 1)))).toContain(
    'certificate in its folder',
  );
});

it('a sealed parcel says how it was packed, and what is not known of it', () => {
  const sealed = { way: 'flat', spare: 24, parts: parcel.parts } as never;
  expect(sealedWords(sealed, format).map(plain)).toEqual([
    expect.stringMatching(/^Flat, /),
    'as it was sealed, with 24 mm to spare',
  ]);
  const old = { way: 'rolled', spare: null, parts: null } as never;
  expect(sealedWords(old, format)).toEqual([
    'Rolled',
    'sealed before parts were written down: its packing slip has them',
  ]);
});
