import { Canvas } from '@/engine/painted/canvas';
import { chance, clouds } from '@/engine/painted/chance';
import { along, mix, rgb, step } from '@/engine/painted/colour';

/** Born digital: starlings gathering over reed beds at dusk. */
export function starlings(width: number, height: number): Canvas {
  const canvas = new Canvas(width, height, [0, 0, 0]);
  canvas.fillSmooth((px, py) => {
    const x = px / width;
    const y = py / height;
    const base = along(
      [
        [0, rgb('#47556d')],
        [0.35, rgb('#8b8f99')],
        [0.6, rgb('#d1a98c')],
        [0.78, rgb('#e9b98a')],
        [1, rgb('#caa184')],
      ],
      y + 0.05 * (clouds(x * 2.4, y * 6, 5) - 0.5),
    );
    const veil = step(0.48, 0.8, clouds(x * 3 + 7, y * 9, 14)) * 0.4 * (1 - y);
    return mix(base, rgb('#f2dac0'), veil);
  }, 8);
  const random = chance(7703);
  const dark = rgb('#231f26');
  const normal = () =>
    Math.sqrt(-2 * Math.log(random() + 1e-9)) * Math.cos(2 * Math.PI * random());
  const u = width / 1000;
  for (let i = 0; i < 52000; i += 1) {
    const t = random();
    const bend = Math.sin(t * 4.4 + 0.4);
    const cx = 0.13 + 0.74 * t;
    const cy = 0.36 + 0.15 * bend - 0.07 * Math.sin(t * 9);
    const wide =
      0.018 + 0.085 * Math.abs(Math.sin(t * 5.2 + 1)) * (0.4 + 0.6 * Math.sin(t * Math.PI));
    const x = (cx + normal() * wide * 0.8) * width;
    const y = (cy + normal() * wide) * height;
    const size = (0.7 + random() * 1.5) * u;
    const a = 0.5 + (random() - 0.5) * 0.9 + bend * 0.4;
    canvas.line(
      x - Math.cos(a) * size * 1.5,
      y - Math.sin(a) * size * 1.1,
      x,
      y,
      size * 0.25,
      size * 0.7,
      dark,
      0.78,
    );
    canvas.line(
      x,
      y,
      x + Math.cos(a + 0.5) * size * 1.5,
      y - Math.sin(a) * size * 0.9,
      size * 0.7,
      size * 0.2,
      dark,
      0.78,
    );
  }
  for (let i = 0; i < 9000; i += 1) {
    const x = random() * width;
    const near = random();
    const foot = height * (0.9 + 0.14 * near);
    const tall = height * (0.05 + 0.14 * near * random());
    const lean = (random() - 0.4) * tall * 0.35;
    const c = mix(rgb('#4c3f3a'), rgb('#1c1719'), near);
    canvas.line(x, foot, x + lean, foot - tall, u * (0.8 + near), u * 0.4, c, 0.85);
    if (random() < 0.2)
      canvas.line(
        x + lean,
        foot - tall,
        x + lean * 1.1,
        foot - tall - height * 0.016,
        u * 2.2,
        u * 1.2,
        c,
        0.85,
      );
  }
  canvas.texture(0, 3, 0.02, 95);
  return canvas;
}
