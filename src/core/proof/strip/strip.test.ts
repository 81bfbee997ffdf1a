import fc from 'fast-check';
import { colourDifference, hueOf } from '../../colour';
import type { Vector } from '../../colour';
import {
  STRIP_PATCHES,
  asMeasured,
  chooseStrip,
  layOutStrip,
  mainColours,
  overPaper,
  readAgainstPaper,
} from '.';

const lab = fc.tuple(
  fc.double({ min: 5, max: 98, noNaN: true }),
  fc.double({ min: -50, max: 50, noNaN: true }),
  fc.double({ min: -50, max: 50, noNaN: true }),
) as fc.Arbitrary<Vector>;

it('has as many patches for every picture, each of its own name, paper and black first', () =>
  fc.assert(
    fc.property(fc.array(lab, { maxLength: 80 }), (labs) => {
      const strip = chooseStrip(labs, new Array<number>(labs.length).fill(3));
      expect(strip).toHaveLength(STRIP_PATCHES);
      expect(new Set(strip.map((p) => p.name)).size).toBe(STRIP_PATCHES);
      expect(strip.slice(0, 2)).toEqual([
        { name: 'paper', kind: 'paper', lab: [100, 0, 0] },
        { name: 'black', kind: 'black', lab: [0, 0, 0] },
      ]);
    }),
    { numRuns: 40 },
  ));

it('finds the main colours of a picture, and its extremes', () => {
  const middles: Vector[] = [
    [40, 30, 20],
    [70, -20, 30],
    [55, 5, -35],
  ];
  const labs = middles.flatMap((m, k) =>
    Array.from({ length: 50 }, (_, i): Vector => [
      m[0] + ((i * 7) % 5) - 2,
      m[1] + ((i * 3 + k) % 5) - 2,
      m[2] + ((i * 11) % 5) - 2,
    ]),
  );
  const weights = labs.map((_, i) => (i < 50 ? 5 : 1));
  const found = mainColours(labs, weights, 3);
  expect(found.map((c) => c.weight)).toEqual([250, 50, 50]);
  for (const middle of middles)
    expect(Math.min(...found.map((c) => colourDifference(c.lab, middle)))).toBeLessThan(1);
  const strip = chooseStrip([...labs, [97, 0, 2], [44, -38, -20]], [...weights, 1, 1]);
  const named = new Map(strip.map((p) => [p.name, p.lab]));
  expect(named.get('lightest')).toEqual([97, 0, 2]);
  const hue = hueOf(-38, -20)!;
  expect(named.get(`fullest ${hue}`)).toEqual([44, -38, -20]);
});

it('lies in rows that fill it', () => {
  const { width, height, side, places } = layOutStrip(300);
  expect([width, height]).toEqual([12 * side, 3 * side]);
  expect(places).toHaveLength(STRIP_PATCHES);
  expect(places.at(-1)).toEqual({
    left: 11 * side,
    top: 2 * side,
    width: side,
    height: side,
  });
});

describe('a reading of it', () => {
  const strip = chooseStrip([], []);
  const paper: Vector = [95, 0.5, 3];
  const measured = strip.map(({ name, lab: of }) => ({ name, lab: asMeasured(of, paper) }));

  it('is taken over the white of its paper', () => {
    const read = readAgainstPaper(strip, measured);
    if ('code' in read) throw new Error(read.code);
    expect([read.missing, read.paper.map((v) => +v.toFixed(9))]).toEqual([[], paper]);
    read.patches.forEach((p, i) =>
      expect(colourDifference(p.lab, strip[i]!.lab)).toBeLessThan(1e-6),
    );
    fc.assert(
      fc.property(lab, (of) => {
        expect(colourDifference(overPaper(asMeasured(of, paper), paper), of)).toBeLessThan(
          1e-5,
        );
      }),
    );
  });

  it('may lack some patches, names them, and is none when most are missing or no paper is there', () => {
    const less = readAgainstPaper(strip, measured.slice(0, -2));
    expect(less).toMatchObject({ missing: strip.slice(-2).map((p) => p.name) });
    const other = measured.map((p) => ({
      ...p,
      name: p.name.toUpperCase().replace(' ', '_'),
    }));
    expect(readAgainstPaper(strip, other)).toMatchObject({ missing: [] });
    expect(readAgainstPaper(strip, measured.slice(0, 3))).toEqual({
      code: 'few',
      found: 3,
      wanted: 36,
      first: strip[3]!.name,
    });
    expect(readAgainstPaper(strip, measured.slice(1))).toEqual({ code: 'noPaper' });
    const dark = measured.map((p) =>
      p.name === 'paper' ? { ...p, lab: [20, 0, 0] as Vector } : p,
    );
    expect(readAgainstPaper(strip, dark)).toEqual({ code: 'darkPaper', lightness: 20 });
  });
});
