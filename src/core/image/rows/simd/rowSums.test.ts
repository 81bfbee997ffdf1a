import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import fc from 'fast-check';
import wabt from 'wabt';
import { axisWeights, gaussian } from '../../kernels';
import type { KernelId } from '../../kernels';
import { ROWS_WASM } from './rowsWasm';
import { acrossThree, blurAcross, weighedSum } from '.';

it('the module is what its source says', async () => {
  const { parseWat } = await wabt();
  const text = readFileSync(join(__dirname, 'rows.wat'), 'utf8');
  const { buffer } = parseWat('rows.wat', text, { simd: true }).toBinary({});
  expect(Buffer.from(buffer).toString('base64')).toBe(ROWS_WASM);
});

/** Made-up values, the same every time. */
const wave = (length: number, scale: number) =>
  Float32Array.from({ length }, (_, i) => scale * (1 + Math.sin(i * 12.9898)));

/** As near as 32-bit floats of up to 65535 are, after some sums. */
const near = (found: Float32Array, wanted: readonly number[]) =>
  found.every((v, i) => Math.abs(v - wanted[i]!) < 0.05);

describe('weighedSum', () => {
  it.each([1, 3, 4, 5, 8, 11])('adds %d rows, each by its weight', (count) => {
    const rows = Array.from({ length: count }, (_, k) => wave(17, k + 1));
    const weights = Array.from({ length: count + 2 }, (_, k) => (k % 3 === 0 ? 0 : k / 7));
    const out = new Float32Array(17).fill(99);
    weighedSum(rows, weights, 2, out);
    out.forEach((v, i) => {
      const plain = rows.reduce((sum, row, k) => sum + row[i]! * weights[k + 2]!, 0);
      expect(v).toBeCloseTo(plain, 3);
    });
  });

  it('gives nothing for weights of nothing', () => {
    const out = new Float32Array(3).fill(5);
    weighedSum([wave(3, 1), wave(3, 2)], [0, 0], 0, out);
    expect([...out]).toEqual([0, 0, 0]);
  });
});

it('adds more and longer rows than fit at once the same way', () => {
  const rows = Array.from({ length: 61 }, (_, k) => wave(20_003, k * 500));
  const weights = rows.map((_, k) => Math.cos(k) / 61);
  const out = new Float32Array(20_003);
  weighedSum(rows, weights, 0, out);
  for (const i of [0, 1, 4295, 4296, 4297, 9999, 20_000, 20_002]) {
    const plain = rows.reduce((sum, row, k) => sum + row[i]! * weights[k]!, 0);
    expect(Math.abs(out[i]! - plain)).toBeLessThan(0.05);
  }
});

it('resamples a row as its weights say, whatever was resampled before', () => {
  fc.assert(
    fc.property(
      fc.integer({ min: 1, max: 60 }),
      fc.integer({ min: 1, max: 90 }),
      fc.constantFrom<KernelId>('linear', 'mitchell', 'lanczos3', 'lanczos5'),
      fc.boolean(),
      (source, out, kernel, deep) => {
        const axis = axisWeights({ kernel, source, from: 0, span: source, out });
        const values = wave(source * 3, 30_000);
        const row = deep ? Uint16Array.from(values) : values;
        // The second time the weights are there already.
        for (const scale of [1, 0.5]) {
          const made = new Float32Array(out * 3).fill(-1);
          const now = row.map((v) => v * scale);
          acrossThree(now, axis, made);
          const wanted = Array.from(made, (_, i) => {
            const pixel = Math.floor(i / 3);
            let v = 0;
            for (let k = 0; k < axis.taps; k += 1)
              v +=
                axis.weights[pixel * axis.taps + k]! *
                now[(axis.first[pixel]! + k) * 3 + (i % 3)]!;
            return v;
          });
          expect(near(made, wanted)).toBe(true);
        }
      },
    ),
  );
});

it('blurs a row by its kernel, the ends repeating', () => {
  fc.assert(
    fc.property(
      fc.integer({ min: 1, max: 70 }),
      fc.constantFrom(0.3, 0.8, 2, 10),
      (length, sigma) => {
        const light = wave(length, 30_000);
        const kernel = gaussian(sigma);
        const reach = (kernel.length - 1) / 2;
        const out = new Float32Array(length);
        blurAcross(light, kernel, out);
        const wanted = Array.from(out, (_, x) =>
          kernel.reduce(
            (sum, w, k) =>
              sum + w * light[Math.min(length - 1, Math.max(0, x + k - reach))]!,
            0,
          ),
        );
        expect(near(out, wanted)).toBe(true);
      },
    ),
  );
});
