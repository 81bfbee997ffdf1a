import fc from 'fast-check';
import {
  isCgatsFault,
  isReadingFault,
  parseCgats,
  readingsOf,
  spectrumToXyz,
  writeCgats,
} from '.';
import type { PatchReading } from '.';
import { labOf } from '../../colour';

const FIELDS = ['SAMPLE_ID', 'SAMPLE_NAME', 'LAB_L', 'LAB_A', 'LAB_B'];
const ROWS = [
  ['1', '"A1"', '50', '10.5', '-20.25'],
  ['2', '"A2"', '95.1', '0', '2'],
];
const file = (
  fields: readonly string[],
  rows: readonly (readonly string[])[],
  head: string[] = [],
) =>
  [
    'CGATS.17',
    ...head,
    `NUMBER_OF_FIELDS ${fields.length}`,
    'BEGIN_DATA_FORMAT',
    fields.join(' '),
    'END_DATA_FORMAT',
    `NUMBER_OF_SETS ${rows.length}`,
    'BEGIN_DATA',
    ...rows.map((r) => r.join('\t')),
    'END_DATA',
  ].join('\n');

function read(text: string) {
  const parsed = parseCgats(text);
  return isCgatsFault(parsed) ? parsed : readingsOf(parsed);
}
const patchesOf = (text: string): PatchReading[] => {
  const found = read(text);
  if ('code' in found) throw new Error(JSON.stringify(found));
  return found.patches;
};
const TWO = [
  { name: 'A1', lab: [50, 10.5, -20.25] },
  { name: 'A2', lab: [95.1, 0, 2] },
];

describe('is read however it was written', () => {
  it.each([
    ['by lines of this system', (s: string) => s],
    ['by lines of others', (s: string) => s.replaceAll('\n', '\r\n')],
    ['by lines of before', (s: string) => s.replaceAll('\n', '\r')],
    ['with a mark of its encoding', (s: string) => `\uFEFF${s}`],
    [
      'with remarks and empty lines',
      (s: string) => s.replace('BEGIN_DATA\n', '\n# read twice\nBEGIN_DATA # here\n\n'),
    ],
    [
      'with keywords of its own',
      (s: string) =>
        s.replace('CGATS.17', 'CGATS.17\nKEYWORD "ROOM"\nROOM "the bench # 2"'),
    ],
    [
      'in small letters',
      (s: string) => s.replace('LAB_L LAB_A LAB_B', 'Lab_L Lab_a Lab_b'),
    ],
    [
      'with a set broken over lines',
      (s: string) => s.replace('"A2"\t95.1', '"A2"\n95.1').replace('"A1"\t50', '"A1"\n50'),
    ],
  ])('%s', (_, change) => expect(patchesOf(change(file(FIELDS, ROWS)))).toEqual(TWO));

  it('with fields in another order, and others among them', () => {
    const order = [4, 1, 3, 2];
    const fields = ['RGB_R', ...order.map((i) => FIELDS[i]!), 'REMARKS'];
    const rows = ROWS.map((r) => ['255', ...order.map((i) => r[i]!), '"a word"']);
    expect(patchesOf(file(fields, rows))).toEqual(TWO);
  });

  it('in several tables, the later one without a format of its own', () => {
    const second = ['NUMBER_OF_SETS 1', 'BEGIN_DATA', '3 "B1" 20 1 1', 'END_DATA'].join(
      '\n',
    );
    expect(patchesOf(`${file(FIELDS, ROWS)}\n${second}`)).toEqual([
      ...TWO,
      { name: 'B1', lab: [20, 1, 1] },
    ]);
    const other = file(['SAMPLE_NAME', 'DENSITY'], [['"d"', '1.2']]);
    expect(patchesOf(`${other}\n${file(FIELDS, ROWS)}`)).toEqual(TWO);
  });

  it('by XYZ, and by spectra in parts of one or of a hundred', () => {
    const [patch] = patchesOf(
      file(['SAMPLE_ID', 'XYZ_X', 'XYZ_Y', 'XYZ_Z'], [['7', '96.42', '100', '82.49']]),
    );
    expect(patch!.name).toBe('7');
    [100, 0, 0].forEach((v, i) => expect(patch!.lab[i]).toBeCloseTo(v, 3));
    const bands = Array.from({ length: 36 }, (_, i) => `SPECTRAL_NM${380 + i * 10}`);
    const more = ['SPECTRAL_NM370', ...bands, 'SPECTRAL_NM740'];
    for (const grey of ['0.5', '50']) {
      const [found] = patchesOf(
        file(['SAMPLE_NAME', ...more], [['g', ...more.map(() => grey)]]),
      );
      expect(found!.lab[0]).toBeCloseTo(76.07, 1);
      expect(Math.abs(found!.lab[1])).toBeLessThan(0.1);
      expect(Math.abs(found!.lab[2])).toBeLessThan(0.1);
    }
  });

  it('and written, as it was read', () =>
    fc.assert(
      fc.property(
        fc.uniqueArray(
          fc.record({
            name: fc
              .stringMatching(/^[A-Za-z0-9 ._-]{1,12}$/)
              .filter((s) => s.trim() === s),
            lab: fc.tuple(
              fc.double({ min: 0, max: 100, noNaN: true }),
              fc.double({ min: -120, max: 120, noNaN: true }),
              fc.double({ min: -120, max: 120, noNaN: true }),
            ),
          }),
          { minLength: 1, maxLength: 30, selector: (p) => p.name },
        ),
        (patches) => {
          const text = writeCgats(patches, {
            originator: 'Glassine',
            created: '2026-11-28',
          });
          const back = patchesOf(text);
          expect(back.map((p) => p.name)).toEqual(patches.map((p) => p.name));
          back.forEach((p, i) =>
            p.lab.forEach((v, c) =>
              expect(Math.abs(v - patches[i]!.lab[c]!)).toBeLessThan(0.001),
            ),
          );
        },
      ),
    ));
});

it.each([
  ['nothing', '', 'empty'],
  ['a letter', 'Dear sir, the proof is here.', 'noTable'],
  ['data without fields', 'CGATS.17\nBEGIN_DATA\n1 2 3\nEND_DATA', 'noFormat'],
  [
    'a file that breaks off',
    file(FIELDS, ROWS).replace('END_DATA', '').slice(0, -10),
    'unended',
  ],
  ['a set that is short', file(FIELDS, [ROWS[0]!, ['2', '"A2"', '95.1']]), 'setLength'],
  ['fewer sets than it says', file(FIELDS, ROWS).replace('SETS 2', 'SETS 40'), 'setCount'],
  ['no colours', file(['SAMPLE_NAME', 'LAB_L', 'LAB_A'], [['a', '1', '2']]), 'noColours'],
  ['a decimal comma', file(FIELDS, [['1', 'A', '50,5', '1', '2']]), 'comma'],
  ['a word for a number', file(FIELDS, [['1', 'A', 'n/a', '1', '2']]), 'number'],
  ['L* of 900', file(FIELDS, [['1', 'A', '900', '1', '2']]), 'range'],
  [
    'bands that begin elsewhere',
    file(
      [
        'SAMPLE_NAME',
        ...Array.from({ length: 31 }, (_, i) => `SPECTRAL_NM${400 + i * 10}`),
      ],
      [['a', ...new Array<string>(31).fill('0.5')]],
    ),
    'bands',
  ],
  [
    'bands at every 20',
    file(
      ['SAMPLE_NAME', ...Array.from({ length: 19 }, (_, i) => `NM_${380 + i * 20}`)],
      [['a', ...new Array<string>(19).fill('0.5')]],
    ),
    'bands',
  ],
  ['daylight of 6500 K', file(FIELDS, ROWS, ['ILLUMINATION_NAME "D65"']), 'light'],
  ['an observer of 10 degrees', file(FIELDS, ROWS, ['OBSERVER "10"']), 'light'],
  [
    'two patches of one name',
    file(FIELDS, [ROWS[0]!, ['2', '"A1"', '1', '1', '1']]),
    'twice',
  ],
  ['megabytes of it', 'x'.repeat(8e6 + 1), 'tooLarge'],
])('is refused for its reason: %s', (_, text, code) =>
  expect(read(text)).toMatchObject({ code }),
);

it('never throws, whatever it is given', () =>
  fc.assert(
    fc.property(
      fc.array(
        fc.oneof(
          fc.constantFrom(
            'CGATS.17',
            'BEGIN_DATA',
            'END_DATA',
            'BEGIN_DATA_FORMAT',
            'END_DATA_FORMAT',
            'NUMBER_OF_SETS 2',
            FIELDS.join(' '),
            '"',
            '#',
          ),
          fc.string({ maxLength: 20 }),
        ),
        { maxLength: 14 },
      ),
      (lines) => {
        const found = read(lines.join('\n'));
        expect(
          isReadingFault(found as never) || 'patches' in found || 'code' in found,
        ).toBe(true);
      },
    ),
  ));

it('sums a spectrum as CIE has it: a perfect white is the white of D50', () => {
  const [x, y, z] = spectrumToXyz(new Array<number>(36).fill(1));
  expect(y).toBe(1);
  expect(x).toBeCloseTo(0.9642, 3);
  expect(z).toBeCloseTo(0.8249, 3);
  // What passes nothing below 580 nm is red.
  const red = labOf(
    spectrumToXyz(Array.from({ length: 36 }, (_, i) => (i >= 20 ? 0.8 : 0.03))),
  );
  expect(red[1]).toBeGreaterThan(40);
  expect(red[2]).toBeGreaterThan(30);
});
