import fc from 'fast-check';
import { RGB_SPACES, SPACE_IDS, iccProfile, readMatrixProfile } from '.';

/** The tag of a name in a profile: where its bytes are. */
function tagAt(icc: Uint8Array, name: string): number {
  const view = new DataView(icc.buffer, icc.byteOffset);
  for (let i = 0; i < view.getUint32(128); i += 1) {
    const entry = 132 + i * 12;
    if (String.fromCharCode(...icc.subarray(entry, entry + 4)) === name)
      return view.getUint32(entry + 4);
  }
  throw new Error(`no ${name}`);
}

const whole = () => Uint8Array.from(iccProfile(RGB_SPACES['display-p3']));

/** The profile with another curve for red: put behind the rest, and its entry led there. */
function withRed(curve: Uint8Array): Uint8Array {
  const base = whole();
  const icc = new Uint8Array(base.length + curve.length);
  icc.set(base);
  icc.set(curve, base.length);
  const view = new DataView(icc.buffer);
  for (let i = 0; i < view.getUint32(128); i += 1) {
    const entry = 132 + i * 12;
    if (String.fromCharCode(...icc.subarray(entry, entry + 4)) === 'rTRC')
      view.setUint32(entry + 4, base.length);
  }
  return icc;
}

const tag = (name: string, bytes: number) => {
  const data = new Uint8Array(12 + bytes);
  data.set([...name].map((c) => c.charCodeAt(0)));
  return { data, view: new DataView(data.buffer) };
};
function parametric(kind: number, values: number[]): Uint8Array {
  const { data, view } = tag('para', values.length * 4);
  view.setUint16(8, kind);
  values.forEach((v, i) => view.setInt32(12 + i * 4, Math.round(v * 65536)));
  return data;
}
function sampled(values: number[]): Uint8Array {
  const { data, view } = tag('curv', values.length * 2);
  view.setUint32(8, values.length);
  values.forEach((v, i) => view.setUint16(12 + i * 2, v));
  return data;
}
const red = (curve: Uint8Array) => readMatrixProfile(withRed(curve))!.curves[0];

// ICC.1:2010, table 65; values that 16.16 holds exactly.
const [g, a, b, c, d, e, f] = [2, 0.75, 0.25, 0.125, 0.5, 0.0625, 0.03125];
it.each([
  [0, [g], (x: number) => x ** g],
  [1, [g, a, -b], (x: number) => (x >= b / a ? (a * x - b) ** g : 0)],
  [2, [g, a, -b, c], (x: number) => (x >= b / a ? (a * x - b) ** g + c : c)],
  [3, [g, a, b, c, d], (x: number) => (x >= d ? (a * x + b) ** g : c * x)],
  [4, [g, a, b, c, d, e, f], (x: number) => (x >= d ? (a * x + b) ** g + e : c * x + f)],
] as [number, number[], (x: number) => number][])(
  'a parametric curve of kind %d is its formula',
  (kind, values, formula) => {
    const curve = red(parametric(kind, values));
    for (let x = 0; x <= 1; x += 1 / 64) expect(curve(x)).toBeCloseTo(formula(x), 9);
  },
);

it('a sampled curve is straight from sample to sample, one number a gamma, none the line itself', () => {
  const curve = red(sampled([0, 16384, 65535]));
  expect(curve(0.25)).toBeCloseTo(8192 / 65535, 9);
  expect(curve(0.75)).toBeCloseTo((16384 + 65535) / 2 / 65535, 9);
  expect([curve(-1), curve(2)]).toEqual([0, 1]);
  expect(red(sampled([0x0240]))(0.5)).toBeCloseTo(0.5 ** 2.25, 9);
  expect(red(sampled([]))(0.3)).toBe(0.3);
});

it.each([
  ['a curve of no known kind', () => withRed(parametric(9, [1]))],
  ['a table longer than the file', () => withRed(sampled([1, 2, 3]).subarray(0, 14))],
  ['a curve that is neither', () => withRed(tag('mft2', 8).data)],
  [
    'a profile of a printer',
    () => {
      const icc = whole();
      icc.set(
        [...'CMYK'].map((ch) => ch.charCodeAt(0)),
        16,
      );
      return icc;
    },
  ],
  [
    'colorants that do not make white',
    () => {
      const icc = whole();
      new DataView(icc.buffer).setInt32(tagAt(icc, 'gXYZ') + 12, 3 * 65536);
      return icc;
    },
  ],
])('%s is not taken for a matrix profile', (_, make) =>
  expect(readMatrixProfile(make())).toBeNull(),
);

it('never reads past the end, wherever a profile breaks off or is wrong', () => {
  const { length } = whole();
  fc.assert(
    fc.property(fc.nat(length - 1), fc.nat(length - 1), fc.nat(255), (cut, at, byte) => {
      const icc = whole();
      icc[at] = byte;
      const found = readMatrixProfile(icc.slice(0, cut));
      if (found) expect(found.curves).toHaveLength(3);
    }),
    { numRuns: 400 },
  );
});

it.each(SPACE_IDS)('%s: its colorants make the white of the page', (id) => {
  const { toXyz, curves } = readMatrixProfile(iccProfile(RGB_SPACES[id]))!;
  const white = toXyz.map((row) => row.reduce((sum, v) => sum + v, 0));
  [0.9642, 1, 0.8249].forEach((v, i) => expect(white[i]).toBeCloseTo(v, 3));
  for (const curve of curves) {
    expect(curve(0)).toBeCloseTo(0, 6);
    expect(curve(1)).toBeCloseTo(1, 4);
  }
});
