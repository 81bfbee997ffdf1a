import { RGB_SPACES, decoded, encodedLight } from '../../colour';
import { addDifference, halve, intoEightBits, intoSixteenBits } from './rowMath';

describe('addDifference', () => {
  const light = Float32Array.of(100, 200, 300);
  const blur = Float32Array.of(90, 230, 301);

  it('moves all channels of a pixel by the same, where the difference exceeds the floor', () => {
    const samples = new Float32Array(9).fill(1000);
    addDifference(samples, light, blur, 3, 0.5, 5);
    expect([...samples]).toEqual([1005, 1005, 1005, 985, 985, 985, 1000, 1000, 1000]);
  });

  it('does the same to grey', () => {
    const samples = new Float32Array(3).fill(1000);
    addDifference(samples, light, blur, 1, 1, 0);
    expect([...samples]).toEqual([1010, 970, 999]);
  });
});

describe('rounding', () => {
  it('brings every 16-bit value to the nearest 8-bit value', () => {
    const deep = Uint16Array.from({ length: 65536 }, (_, v) => v);
    const out = new Uint8Array(65536);
    intoEightBits(deep, 0, 65536, out, 0);
    const wrong = out.findIndex((v, i) => v !== Math.round((i * 255) / 65535));
    expect(wrong).toBe(-1);
  });

  it('takes a part of the samples to a place', () => {
    const out = new Uint8Array(5).fill(7);
    intoEightBits(Uint16Array.of(0, 257, 514, 771), 1, 2, out, 3);
    expect([...out]).toEqual([7, 7, 7, 1, 2]);
  });

  it('clips what overshoots 16 bits', () => {
    const out = new Uint16Array(6);
    intoSixteenBits(Float32Array.of(-20, 0.4, 0.6, 65534.7, 70000), out, 1);
    expect([...out]).toEqual([0, 0, 0, 1, 65535, 65535]);
  });
});

describe('halve', () => {
  it.each([
    [1, 1],
    [2, 1],
    [5, 3],
    [6, 4],
    [7, 7],
  ])(
    'is the mean light of 2 x 2, the odd edge counting twice: %d x %d',
    (width, height) => {
      const source = Uint8Array.from(
        { length: width * height * 3 },
        (_, i) => (i * 97) % 256,
      );
      const out = halve(source, width, height);
      const [w, h] = [Math.ceil(width / 2), Math.ceil(height / 2)];
      const at = (x: number, y: number, c: number) =>
        source[(Math.min(y, height - 1) * width + Math.min(x, width - 1)) * 3 + c]!;
      expect(out).toHaveLength(w * h * 3);
      for (let y = 0; y < h; y += 1)
        for (let x = 0; x < w; x += 1)
          for (let c = 0; c < 3; c += 1) {
            const four = [0, 1].flatMap((dy) =>
              [0, 1].map((dx) => at(2 * x + dx, 2 * y + dy, c)),
            );
            const { curve } = RGB_SPACES.srgb;
            const mean = four.reduce((a, b) => a + decoded(curve, b / 255), 0) / 4;
            const wanted = 255 * encodedLight(curve, mean);
            expect(Math.abs(out[(y * w + x) * 3 + c]! - wanted)).toBeLessThanOrEqual(0.53);
          }
    },
  );
});
