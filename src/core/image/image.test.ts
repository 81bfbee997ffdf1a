import fc from 'fast-check';
import { KERNEL_IDS, axisWeights, gaussian, lanczos3, sniff, zoomLevels } from '.';

const bytes = (text: string) => Uint8Array.from(text, (c) => c.charCodeAt(0));

it.each([
  ['II*\0....', 'tiff'],
  ['MM\0+....', 'tiff'],
  ['\xff\xd8\xff\xe0', 'jpeg'],
  ['GIF89a', 'gif'],
  ['RIFF....WEBP', 'webp'],
  ['%PDF-1.7', 'pdf'],
  ['', 'empty'],
  ['hello', 'unknown'],
] as const)('sniffs %j as %s', (head, kind) => expect(sniff(bytes(head))).toBe(kind));

it('tells an animated PNG by the chunk before its pixels', () => {
  const signature = '\x89PNG\r\n\x1a\n';
  const chunk = (type: string) => `\0\0\0\x02${type}ab....`;
  expect(sniff(bytes(`${signature}${chunk('IHDR')}${chunk('IDAT')}`))).toBe('png');
  expect(sniff(bytes(`${signature}${chunk('IHDR')}${chunk('acTL')}${chunk('IDAT')}`))).toBe(
    'animatedPng',
  );
});

it('lanczos is 1 at home, 0 at its neighbours', () => {
  expect(lanczos3(0)).toBe(1);
  [1, 2, 3, 4].forEach((x) => expect(lanczos3(x)).toBeCloseTo(0, 12));
  expect(lanczos3(0.5)).toBeCloseTo((3 * 1 * 0.5) / (Math.PI / 2) ** 2, 12);
});

it('axis weights always sum to one and stay inside the picture', () => {
  fc.assert(
    fc.property(
      fc.integer({ min: 1, max: 200 }),
      fc.integer({ min: 1, max: 300 }),
      fc.double({ min: 0, max: 0.4, noNaN: true }),
      fc.constantFrom(...KERNEL_IDS),
      (source, out, lost, kernel) => {
        const [from, span] = [source * lost, source * (1 - 2 * lost)];
        const axis = axisWeights({ kernel, source, from, span, out });
        for (let i = 0; i < out; i += 1) {
          const own = axis.weights.subarray(i * axis.taps, (i + 1) * axis.taps);
          expect(own.reduce((t, w) => t + w, 0)).toBeCloseTo(1, 4);
          expect(axis.first[i]! + axis.taps).toBeLessThanOrEqual(source);
        }
      },
    ),
    { numRuns: 60 },
  );
});

it('copies at factor one', () => {
  const axis = axisWeights({ kernel: 'lanczos3', source: 20, from: 0, span: 20, out: 20 });
  for (let i = 0; i < 20; i += 1) {
    const at = i - axis.first[i]!;
    expect(axis.weights[i * axis.taps + at]).toBeCloseTo(1, 6);
  }
});

it('a Gaussian sums to one and is even', () => {
  const g = gaussian(1.2);
  expect(g.reduce((t, w) => t + w, 0)).toBeCloseTo(1, 6);
  expect(g[0]).toBe(g[g.length - 1]);
});

it('halves down to one pixel', () => {
  const levels = zoomLevels(1000, 600, 256);
  expect(levels[0]).toEqual({ level: 10, width: 1000, height: 600, columns: 4, rows: 3 });
  expect(levels.at(-1)).toEqual({ level: 0, width: 1, height: 1, columns: 1, rows: 1 });
});
