import { Canvas, paintScene } from '@/engine/painted/canvas';
import { chance, noise } from '@/engine/painted/chance';
import { along, mix, rgb, shade, step } from '@/engine/painted/colour';
import type { Rgb } from '@/engine/painted/colour';

/** Gouache: two jugs and a bowl of plums on a striped cloth. */
export function twoJugs(width: number, height: number): Canvas {
  const inside = (x: number, cx: number, half: number) => Math.abs(x - cx) < half;
  const jug = (
    x: number,
    y: number,
    cx: number,
    top: number,
    foot: number,
    wide: number,
  ): number | null => {
    const t = (y - top) / (foot - top);
    if (t < 0 || t > 1) return null;
    const half =
      wide *
      (t < 0.16
        ? 0.52 + 0.16 * Math.cos((t / 0.16) * Math.PI * 0.5)
        : 0.5 + 0.5 * Math.sin(((t - 0.16) / 0.84) * Math.PI * 0.86) ** 0.8);
    return inside(x, cx, half) ? (x - cx) / half : null;
  };
  const colour = (x: number, y: number): Rgb => {
    const one = jug(x, y, 0.33, 0.2, 0.7, 0.115);
    if (one !== null) {
      if (y > 0.46 && y < 0.495)
        return mix(rgb('#c9883a'), rgb('#8a5427'), step(0.1, 0.8, one));
      return along(
        [
          [-1, rgb('#41697a')],
          [-0.35, rgb('#7fa9b0')],
          [-0.1, rgb('#bcd3d0')],
          [0.2, rgb('#5f8d9a')],
          [1, rgb('#274858')],
        ],
        one,
      );
    }
    const handle = Math.hypot((x - 0.225) / 0.075, (y - 0.4) / 0.13);
    if (handle > 0.72 && handle < 1 && x < 0.245)
      return mix(rgb('#5f8d9a'), rgb('#274858'), step(0.38, 0.5, y));
    const two = jug(x, y, 0.56, 0.36, 0.73, 0.1);
    if (two !== null)
      return along(
        [
          [-1, rgb('#c9bda2')],
          [-0.3, rgb('#f3ead6')],
          [0.25, rgb('#d6c8aa')],
          [1, rgb('#8b7c62')],
        ],
        two,
      );
    for (const [px, py] of [
      [0.735, 0.61],
      [0.79, 0.588],
      [0.845, 0.612],
      [0.765, 0.56],
      [0.82, 0.555],
    ] as const) {
      const d = Math.hypot((x - px) / 0.036, (y - py) / 0.048);
      if (d < 1 && y < 0.64)
        return Math.hypot((x - px + 0.012) / 0.01, (y - py + 0.018) / 0.012) < 1
          ? rgb('#d9c3cf')
          : mix(
              rgb('#6b3a5b'),
              rgb('#2f1a33'),
              step(-0.3, 0.9, (x - px) / 0.036 + (y - py) / 0.05),
            );
    }
    const bowl = (y - 0.625) / 0.11;
    if (bowl > 0 && bowl < 1 && inside(x, 0.79, 0.135 * Math.sqrt(1 - bowl * bowl * 0.86)))
      return mix(
        rgb('#d8a24c'),
        rgb('#8d5a25'),
        step(0.72, 0.9, x) + (bowl < 0.12 ? -0.4 : 0),
      );
    const table = 0.6;
    if (y < table) {
      const wall = mix(
        rgb('#9fae8e'),
        rgb('#7c8f76'),
        x * 0.8 + 0.3 * noise(x * 4, y * 4, 3),
      );
      const light = step(0.02, 0, Math.abs(x - 0.2 - y * 0.35) - 0.12);
      return mix(wall, rgb('#d3d8b4'), light * 0.55);
    }
    const cast = [
      [0.44, 0.1],
      [0.655, 0.09],
      [0.93, 0.12],
    ].some(([cx, w]) => Math.hypot((x - cx!) / w!, (y - 0.725) / 0.022) < 1);
    const stripe = Math.floor((x + (y - table) * 0.45) * 15) % 3 === 0;
    const cloth = stripe ? rgb('#b0463a') : rgb('#e9dcc0');
    const edge = y > 0.93 ? 0.72 : 1;
    return shade(cloth, (cast ? 0.62 : 1) * edge);
  };
  const canvas = new Canvas(width, height, rgb('#cdbb98'));
  const mm = width / 400;
  paintScene(
    canvas,
    {
      colour,
      angle: (x, y) =>
        y > 0.6 ? 0.15 : 1.2 * Math.sin(x * 9) + (noise(x * 5, y * 5, 7) - 0.5),
    },
    [
      { width: 7 * mm, long: 2.8, opacity: 0.95, stray: 0.06, cover: 1 },
      { width: 3 * mm, long: 3.6, opacity: 0.92, stray: 0.08, cover: 1 },
      { width: 1.3 * mm, long: 4.5, opacity: 0.85, stray: 0.1, cover: 0.9 },
      { width: 0.6 * mm, long: 7, opacity: 0.6, stray: 0.12, cover: 0.4 },
    ],
    chance(5509),
  );
  canvas.texture(0.07, mm * 0.8, 0.015, 81);
  return canvas;
}
