import { mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { writeCgats } from '@/core/proof';
import type { CgatsFault, PatchReading, ReadingFault, StripFault } from '@/core/proof';
import { shiftWords, stripFaultWords } from '../words/stripWords';
import { compareStripFiles } from './stripFiles';

const folder = mkdtempSync(join(tmpdir(), 'strips-'));
afterAll(() => rmSync(folder, { recursive: true }));
const put = (name: string, text: string) => {
  writeFileSync(join(folder, name), text);
  return join(folder, name);
};
const strip = (name: string, patches: PatchReading[]) =>
  put(name, writeCgats(patches, { originator: 'a test', created: '2026-11-28' }));

const REFERENCE: PatchReading[] = [
  { name: 'A1', lab: [50, 20, 10] },
  { name: 'A2', lab: [20, 0, -30] },
];
const reference = strip('reference.cgats', REFERENCE);

it('answers what drifted, by how much, in figures and words', async () => {
  const reading = strip('reading.cgats', [
    { name: 'A1', lab: [48, 20, 10] },
    { name: 'A2', lab: [20, 0, -30] },
  ]);
  expect(await compareStripFiles(reading, reference)).toMatchObject({
    passes: true,
    limits: { mean: 2, worst: 5 },
    worst: 'A1',
    byTone: {
      shadows: { patches: 1, mean: 0, words: '' },
      midtones: { dL: -2, words: '2.0 darker' },
      highlights: null,
    },
    patches: [
      { name: 'A1', dL: -2 },
      { name: 'A2', difference: 0 },
    ],
  });
});

it('says in a sentence what is wrong with either file', async () => {
  const short = strip('short.cgats', REFERENCE.slice(0, 1));
  await expect(compareStripFiles(short, reference)).rejects.toThrow(/1 of 2 patches/);
  await expect(compareStripFiles(reference, join(folder, 'gone'))).rejects.toThrow(
    /no such file/,
  );
  const words = put('words.txt', 'no readings');
  await expect(compareStripFiles(words, reference)).rejects.toThrow(/no table of readings/);
  const comma = put(
    'comma.cgats',
    writeCgats(REFERENCE, { originator: 'x', created: '' }).replace('50.000', '50,000'),
  );
  await expect(compareStripFiles(comma, reference)).rejects.toThrow(
    /a point for the decimals/,
  );
});

it.each<CgatsFault | ReadingFault | StripFault>([
  { code: 'empty' },
  { code: 'tooLarge', most: 8e6 },
  { code: 'noTable' },
  { code: 'noFormat', line: 3 },
  { code: 'unended', section: 'DATA', line: 9 },
  { code: 'setLength', line: 4, found: 3, wanted: 5 },
  { code: 'setCount', found: 3, said: 40 },
  { code: 'noColours', fields: ['RGB_R'] },
  { code: 'number', field: 'LAB_L', value: 'n/a', set: 2 },
  { code: 'range', field: 'LAB_L', value: 900, set: 2 },
  { code: 'bands', first: 400, last: 700, step: 10 },
  { code: 'light', said: 'D65' },
  { code: 'twice', name: 'A1' },
])('names the file, what is wrong, and what to do: $code', (fault) => {
  const words = stripFaultWords('strip.cgats', fault);
  expect(words).toMatch(/^strip\.cgats/);
  expect(words).toMatch(/\.$/);
  expect(words).not.toMatch(/undefined|NaN/);
});

it('says only shifts that are seen', () => {
  expect(shiftWords({ lightness: 0.2, red: -1.24, yellow: 3, chroma: -0.6 })).toBe(
    '1.2 greener, 3.0 yellower, 0.6 duller',
  );
});
