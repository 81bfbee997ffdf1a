import type { MasterFacts } from '../image';
import { size } from '../units';
import { adviseSize, adviseTags, sampledPpi } from '.';

const facts: MasterFacts = {
  format: 'tiff',
  width: 7087,
  height: 9449,
  bitsPerChannel: 16,
  channels: 3,
  colourModel: 'rgb',
  ppiTag: 600,
  iccDescription: 'ROMM RGB',
  orientation: 1,
  bytes: 1,
};
const codes = (
  over: Partial<MasterFacts>,
  original = size(300, 400),
  space: string | null = null,
) => {
  const given = { ...facts, ...over };
  const { across, down } = sampledPpi(given, original);
  return [
    ...adviseTags(given, Math.min(across, down), space),
    ...adviseSize(given, original, 300),
  ].map((c) => c.code);
};

it('samples 600 ppi from 30 x 40 cm', () => {
  expect(sampledPpi(facts, size(300, 400)).across).toBeCloseTo(600, 0);
});

it('has nothing to say about a good master', () => expect(codes({})).toEqual([]));

it('names what is missing or odd', () => {
  expect(codes({ iccDescription: null, bitsPerChannel: 8, ppiTag: null })).toEqual([
    'untagged',
    'eightBits',
    'ppiAbsent',
  ]);
  expect(codes({ iccDescription: null }, size(300, 400), 'srgb')).toEqual([]);
  expect(codes({ ppiTag: 72 })).toEqual(['ppiWrong']);
  expect(codes({ width: 6800 })).toContain('proportion');
  expect(codes({ width: 1200, height: 1600, ppiTag: null })).toEqual([
    'ppiAbsent',
    'small',
  ]);
  expect(codes({ ppiTag: 1 })).toEqual(['ppiNonsense']);
  expect(codes({ iccRemark: 'output' })).toEqual(['strangeProfile']);
});
