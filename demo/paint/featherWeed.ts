import { Canvas } from '@/engine/painted/canvas';
import { chance, clouds, noise } from '@/engine/painted/chance';
import { mix, rgb, shade, step } from '@/engine/painted/colour';

/** Cyanotype: three plumes of red weed, laid on the coated sheet. */
export function featherWeed(width: number, height: number): Canvas {
  const u = width / 1000;
  const blue = rgb('#123a63');
  const pale = rgb('#dfe8ea');
  const paper = rgb('#ece8dc');
  const canvas = new Canvas(width, height, paper);
  const coat = (x: number, y: number) =>
    shade(blue, 0.85 + 0.3 * clouds(x / (260 * u), y / (170 * u), 8));
  canvas.fillSmooth(coat, 8);
  const margin = 95 * u;
  canvas.overlay(0, height, (x, y, there) => {
    const edge = Math.min(x, width - x, y, height - y) / u;
    if (edge * u > margin) return null;
    const ragged =
      42 +
      34 * clouds(x / (90 * u), y / (90 * u), 3, 3) +
      16 * noise(x / (5 * u), y / (22 * u), 4);
    return mix(paper, there, step(ragged - 3, ragged + 5, edge));
  });
  const random = chance(3321);
  /** A plume: a bent stem with feathered side branches, longest below its middle. */
  const plume = (
    x: number,
    y: number,
    angle: number,
    length: number,
    bend: number,
    depth: number,
  ) => {
    const parts = depth === 0 ? 54 : depth === 1 ? 22 : 7;
    let a = angle;
    let px = x;
    let py = y;
    const thick = u * [7, 2.8, 1.1][depth]!;
    for (let i = 0; i < parts; i += 1) {
      const t = i / parts;
      a += bend / parts + (random() - 0.5) * 0.05;
      const nx = px + (Math.cos(a) * length) / parts;
      const ny = py + (Math.sin(a) * length) / parts;
      const w = Math.max(u * 0.5, thick * (1 - 0.8 * t));
      canvas.line(px, py, nx, ny, w, w, mix(pale, blue, 0.05 + 0.12 * depth), 0.75);
      const side =
        length * [0.34, 0.3, 0][depth]! * Math.sin(Math.PI * (0.1 + 0.88 * t)) ** 0.8;
      if (depth < 2 && side > u * 2 && (depth === 1 || i > 3))
        for (const way of [-1, 1])
          plume(
            nx,
            ny,
            a + way * (0.85 + random() * 0.25),
            side * (0.8 + random() * 0.35),
            -way * 0.75,
            depth + 1,
          );
      px = nx;
      py = ny;
    }
  };
  plume(width * 0.33, height * 0.88, -1.45, height * 0.72, -0.35, 0);
  plume(width * 0.6, height * 0.9, -1.72, height * 0.56, 0.5, 0);
  plume(width * 0.72, height * 0.89, -1.1, height * 0.3, -0.5, 0);
  canvas.texture(0.07, u * 1.6, 0.02, 47);
  return canvas;
}
