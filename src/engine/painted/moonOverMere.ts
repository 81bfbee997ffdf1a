import { Canvas, paintScene } from './canvas';
import { chance, clouds, noise } from './chance';
import { along, mix, rgb, step } from './colour';
import type { Rgb } from './colour';

/** Pastel, photographed with a telephone: moon over a mere. */
export function moonOverMere(width: number, height: number): Canvas {
  const colour = (x: number, y: number): Rgb => {
    const moon = Math.hypot(x - 0.62, (y - 0.27) * (height / width));
    if (moon < 0.055) return rgb('#f6ecc8');
    const glow = Math.exp(-((moon / 0.2) ** 2));
    if (y < 0.56) {
      const bank = y > 0.5 - 0.05 * clouds(x * 5, 1, 3);
      return bank
        ? rgb('#20283a')
        : mix(
            along(
              [
                [0, rgb('#1f2c4c')],
                [0.5, rgb('#54648a')],
              ],
              y,
            ),
            rgb('#e8d9b0'),
            glow * 0.7,
          );
    }
    const path =
      Math.exp(-(((x - 0.62) / (0.05 + (y - 0.56) * 0.28)) ** 2)) *
      step(0.35, 0.75, noise(x * 9, y * 90, 4));
    return mix(
      mix(rgb('#3c4a6c'), rgb('#172036'), (y - 0.56) * 2.2),
      rgb('#f0e3ba'),
      path * 0.9,
    );
  };
  const canvas = new Canvas(width, height, rgb('#3a4056'));
  paintScene(
    canvas,
    { colour, angle: (x, y) => (y < 0.56 ? -0.5 + x : 0.02) },
    [
      { width: width / 45, long: 3, opacity: 0.75, stray: 0.12, cover: 1 },
      { width: width / 130, long: 5, opacity: 0.7, stray: 0.2, cover: 0.9 },
    ],
    chance(6602),
  );
  canvas.texture(0.16, 3.2, 0.03, 91);
  return canvas;
}
