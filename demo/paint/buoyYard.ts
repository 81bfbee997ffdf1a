import { Canvas, paintScene } from '@/engine/painted/canvas';
import { chance, clouds, noise } from '@/engine/painted/chance';
import { along, mix, rgb, shade, step } from '@/engine/painted/colour';
import type { Rgb } from '@/engine/painted/colour';

/** Place, foot, half width and height of a buoy, its two colours, and whether it is a cone. */
const BUOYS: readonly [number, number, number, number, string, string, boolean][] = [
  [0.13, 0.66, 0.075, 0.3, '#2f6b4f', '#f0e7d2', true],
  [0.86, 0.64, 0.08, 0.27, '#b83a2c', '#f0e7d2', false],
  [0.62, 0.69, 0.085, 0.36, '#d7a526', '#22262b', true],
  [0.33, 0.78, 0.105, 0.42, '#b83a2c', '#efe4c8', false],
  [0.79, 0.86, 0.115, 0.4, '#2f6b4f', '#2f6b4f', true],
  [0.5, 0.93, 0.1, 0.34, '#d7a526', '#d7a526', false],
];

/** Oil on canvas: sea marks laid up for painting on the quay. */
export function buoyYard(width: number, height: number): Canvas {
  const lit = (c: Rgb, across: number, rust: number): Rgb =>
    mix(
      along(
        [
          [-1, shade(c, 0.62)],
          [-0.45, mix(c, rgb('#ffffff'), 0.22)],
          [0.1, c],
          [1, shade(c, 0.4)],
        ],
        across,
      ),
      rgb('#7a4a2c'),
      rust,
    );
  const colour = (x: number, y: number): Rgb => {
    for (const [cx, foot, half, tall, body, band, cone] of [...BUOYS].reverse()) {
      const t = (foot - y) / tall;
      const mast = t >= 1 && t < 1.3 && Math.abs(x - cx) < 0.007;
      if (mast || (t >= 1.3 && Math.hypot((x - cx) / 0.022, (t - 1.36) / 0.07) < 1))
        return rgb('#2a2d31');
      if (t < 0 || t > 1) continue;
      const wide = half * (cone ? 1 - 0.72 * t : t > 0.84 ? 0.9 : t < 0.1 ? 1.08 : 1);
      if (Math.abs(x - cx) > wide) continue;
      const rust = step(0.55, 0.8, clouds(x * 14, y * 20, 17)) * (1 - t) * 0.8;
      const striped = t > 0.4 && t < 0.62;
      return lit(rgb(striped ? band : body), (x - cx) / wide, rust);
    }
    if (y < 0.46) {
      const shed = y > 0.24 + (x > 0.55 ? 0.05 : 0) && y < 0.45 && x > 0.42;
      if (shed) return Math.floor(x * 60) % 2 === 0 ? rgb('#77726a') : rgb('#837d72');
      return mix(
        mix(rgb('#9cb6c6'), rgb('#dfe0d2'), y * 2.1),
        rgb('#f4efe2'),
        step(0.5, 0.72, clouds(x * 4, y * 8, 4)) * 0.7,
      );
    }
    const water = y < 0.52 && x < 0.42;
    if (water) return mix(rgb('#5f8496'), rgb('#a8c0c4'), noise(x * 12, y * 120, 9));
    const cast = BUOYS.some(
      ([cx, foot, half]) =>
        Math.hypot((x - cx - half * 0.7) / (half * 1.7), (y - foot) / 0.02) < 1,
    );
    const joint = Math.abs(((y * 17) % 1) - 0.5) < 0.03;
    return shade(
      mix(rgb('#b9ae99'), rgb('#93886f'), noise(x * 7, y * 9, 2)),
      (cast ? 0.55 : 1) * (joint ? 0.82 : 1),
    );
  };
  const canvas = new Canvas(width, height, rgb('#b4a684'));
  const mm = width / 500;
  paintScene(
    canvas,
    { colour, angle: (x, y) => (y > 0.46 ? 1.3 + 0.4 * Math.sin(x * 8) : 0.2) },
    [
      { width: 10 * mm, long: 2.6, opacity: 0.95, stray: 0.06, cover: 1 },
      { width: 4 * mm, long: 3.2, opacity: 0.92, stray: 0.09, cover: 1 },
      { width: 1.7 * mm, long: 4.2, opacity: 0.88, stray: 0.1, cover: 0.95 },
    ],
    chance(2206),
  );
  canvas.texture(0.14, mm * 0.9, 0.012, 58);
  return canvas;
}
