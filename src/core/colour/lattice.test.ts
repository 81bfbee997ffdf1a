import { lattice, lightnessAxis } from '.';
import type { ExactColours } from '.';

/** A conversion that is straight below the middle of red and bends there. */
const bent: ExactColours = (input, pixels) => {
  const out = new Float32Array(pixels * 3);
  for (let i = 0; i < out.length; i += 3) {
    const [r, g, b] = [input[i]!, input[i + 1]!, input[i + 2]!];
    out[i] = Math.min(30_000, r);
    out[i + 1] = 0.5 * g + 0.25 * b;
    out[i + 2] = b;
  }
  return out;
};

const samples = Uint16Array.from({ length: 3000 }, (_, i) => (i * 7919 + 13) % 65536);
const plan = { channels: 3, outs: 3, exact: bent } as const;

it('gives what the exact way gives where it is straight, and nearly so where it bends', () => {
  const grid = lattice({ ...plan, tolerance: 100 });
  const [looked, exact] = [new Float32Array(3000), bent(samples, 1000)];
  grid.convert(samples, looked, 1000);
  looked.forEach((v, i) =>
    expect(Math.abs(v - exact[i]!)).toBeLessThan(i % 3 === 0 ? 100 : 1),
  );
  // Only blocks in which it bends are fine.
  const { blocks, fine } = grid.met();
  expect(fine).toBeGreaterThan(0);
  expect(fine).toBeLessThan(blocks / 4);
});

it('rough, it is as exact where the way is straight, and asks an eighth as much', () => {
  const asked = (tolerance: number | 'rough') => {
    let n = 0;
    const exact: ExactColours = (input, pixels) => {
      n += pixels;
      return bent(input, pixels);
    };
    const out = new Float32Array(3000);
    lattice({ ...plan, exact, tolerance }).convert(samples, out, 1000);
    const wanted = bent(samples, 1000);
    out.forEach((v, i) => i % 3 > 0 && expect(Math.abs(v - wanted[i]!)).toBeLessThan(1));
    return n;
  };
  expect(asked('rough')).toBeLessThan(asked(Infinity) / 6);
});

it('reckons only the blocks that a picture meets', () => {
  let asked = 0;
  const grid = lattice({
    ...plan,
    tolerance: 100,
    exact: (input, pixels) => {
      asked += pixels;
      return bent(input, pixels);
    },
  });
  expect(asked).toBe(0);
  const grey = Uint16Array.from({ length: 300 }, () => 20_000);
  const out = new Float32Array(300);
  grid.convert(grey, out, 100);
  expect(grid.met().blocks).toBe(1);
  const once = asked;
  grid.convert(grey, out, 100);
  expect(asked).toBe(once);
});

it('holds the ends of the scale, whatever the axes', () => {
  const axes = [0, 1, 2].map(() => lightnessAxis((v) => v));
  for (const by of [undefined, axes]) {
    const grid = lattice({ ...plan, tolerance: 100, ...(by && { axes: by }) });
    const out = new Float32Array(6);
    grid.convert(Uint16Array.from([0, 0, 0, 65535, 65535, 65535]), out, 2);
    expect([...out].map(Math.round)).toEqual([0, 0, 0, 30_000, 49_151, 65_535]);
  }
});

it('is as fine in the shadows of light that is not encoded', () => {
  const square: ExactColours = (input, pixels) =>
    Float32Array.from({ length: pixels * 3 }, (_, i) => 255 * Math.sqrt(input[i]!));
  const axes = [0, 1, 2].map(() => lightnessAxis((v) => v));
  const dark = Uint16Array.from({ length: 600 }, (_, i) => i);
  const exact = square(dark, 200);
  const off = (by?: Float32Array[]) => {
    const grid = lattice({
      channels: 3,
      outs: 3,
      exact: square,
      tolerance: Infinity,
      ...(by && { axes: by }),
    });
    const out = new Float32Array(600);
    grid.convert(dark, out, 200);
    return Math.max(...out.map((v, i) => Math.abs(v - exact[i]!)));
  };
  expect(off(axes)).toBeLessThan(off() / 2.5);
});

it('takes each of the colours of a grey picture by itself', () => {
  const grid = lattice({
    channels: 1,
    outs: 1,
    exact: (input) => Float32Array.from(input, (v) => v / 3),
    tolerance: 100,
  });
  const out = new Float32Array(3);
  grid.convert(Uint16Array.from([0, 12_345, 65_535]), out, 3);
  expect([...out]).toEqual([0, 4115, 21_845]);
});
