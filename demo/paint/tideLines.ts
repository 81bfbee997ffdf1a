import { Canvas } from '@/engine/painted/canvas';
import { chance, clouds, noise } from '@/engine/painted/chance';
import { along, mix, rgb, shade, step } from '@/engine/painted/colour';
import type { Rgb } from '@/engine/painted/colour';

/** The washes from the horizon down: where each begins, its colour, how far its edge wanders. */
const WASHES: readonly [number, string, number][] = [
  [0.3, '#8fa6a8', 0.012],
  [0.38, '#b99f7c', 0.03],
  [0.47, '#6f8a8b', 0.035],
  [0.57, '#a67f5b', 0.05],
  [0.68, '#4d6a70', 0.05],
  [0.8, '#7b5a43', 0.06],
];

/** Watercolour: ebb over mud flats, wash over wash, darker where each has dried. */
export function tideLines(width: number, height: number): Canvas {
  const canvas = new Canvas(width, height, rgb('#f3efe4'));
  const sky = (x: number, y: number): Rgb =>
    mix(
      along(
        [
          [0, rgb('#c7d2d4')],
          [0.2, rgb('#e6dccb')],
          [0.3, rgb('#efe3cf')],
        ],
        y,
      ),
      rgb('#9fb0b8'),
      step(0.5, 0.75, clouds(x * 3, y * 7, 21)) * 0.55,
    );
  canvas.fillSmooth((px, py) => {
    const [x, y] = [px / width, py / height];
    return WASHES.reduce(
      (under: Rgb, [from, hex, wander], k) => {
        const edge =
          from +
          wander * (clouds(x * 2.2 + k * 5, k, 31 + k, 4) - 0.5) * 2 +
          0.006 * noise(x * 40, k, 7);
        const depth = y - edge;
        if (depth < 0) return under;
        const pooled = 0.86 + 0.3 * clouds(x * 5, y * 11, 61 + k);
        // Pigment gathers along the edge of a drying wash.
        const rim = 1 - 0.22 * Math.exp(-((depth / 0.004) ** 2));
        const thin = step(0, 0.16, depth) * 0.35;
        return mix(under, shade(rgb(hex), pooled * rim), 0.82 - thin);
      },
      sky(x, y),
    );
  }, 3);
  const random = chance(4471);
  const u = width / 1000;
  for (let i = 0; i < 90; i += 1) {
    const y = height * (0.42 + 0.55 * random() ** 0.8);
    const x = width * random();
    const long = (14 + 120 * random()) * u * (y / height);
    canvas.line(
      x,
      y,
      x + long,
      y + (random() - 0.5) * 3 * u,
      u * 0.8,
      u * 2.4,
      rgb('#eee6d4'),
      0.5,
    );
  }
  for (let i = 0; i < 11; i += 1) {
    const x = width * (0.16 + 0.062 * i + 0.012 * random());
    const foot = height * (0.62 + 0.018 * i);
    const tall = height * (0.09 + 0.012 * i) * (0.8 + 0.3 * random());
    canvas.line(
      x,
      foot,
      x + (random() - 0.5) * 9 * u,
      foot - tall,
      4.5 * u,
      3 * u,
      rgb('#3a332d'),
      0.85,
    );
    canvas.line(x, foot, x - 14 * u, foot + tall * 0.5, 3.5 * u, u, rgb('#4b4640'), 0.35);
  }
  canvas.texture(0.12, u * 2.4, 0.014, 33);
  return canvas;
}
