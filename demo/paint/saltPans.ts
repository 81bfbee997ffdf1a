import { Canvas, paintScene } from '@/engine/painted/canvas';
import { chance, clouds, hash, noise } from '@/engine/painted/chance';
import { along, mix, rgb, shade, step } from '@/engine/painted/colour';
import type { Rgb } from '@/engine/painted/colour';

const HORIZON = 0.37;
const SKY: [number, Rgb][] = [
  [0, rgb('#5c7794')],
  [0.4, rgb('#96a5ac')],
  [0.7, rgb('#d8c3a4')],
  [0.9, rgb('#edc08a')],
  [1, rgb('#f0b47c')],
];
const BRINES = [
  '#b9857a',
  '#c79a86',
  '#8f9c98',
  '#a8a184',
  '#7f93a0',
  '#c4ab95',
  '#9d7f7c',
].map(rgb);
const EARTH = rgb('#4b4137');
const BANK = rgb('#6d6049');

function sky(x: number, t: number): Rgb {
  const base = along(SKY, t);
  const bank = clouds(x * 3.1 + 4, t * 9 + 2, 11);
  const lit = mix(rgb('#f4dcc0'), rgb('#e9a67c'), t);
  const dark = mix(rgb('#6f7f90'), rgb('#a58c84'), t);
  return mix(
    mix(base, lit, step(0.5, 0.72, bank) * 0.75),
    dark,
    step(0.62, 0.35, bank) * 0.4,
  );
}

/** Cones of raked salt along a bank: [x, foot, half width, height]. */
const HEAPS = [
  [0.12, 0.475, 0.034, 0.05],
  [0.2, 0.48, 0.042, 0.062],
  [0.295, 0.488, 0.05, 0.072],
  [0.415, 0.5, 0.062, 0.09],
] as const;

function heap(x: number, y: number): Rgb | null {
  for (const [cx, foot, half, tall] of HEAPS) {
    const up = (foot - y) / tall;
    if (up < 0 || up > 1) continue;
    const wide = half * (1 - up) * (1 + 0.06 * (noise(y * 90, cx * 50, 3) - 0.5));
    if (Math.abs(x - cx) > wide) continue;
    const side = (x - cx) / Math.max(wide, 1e-6);
    return mix(rgb('#8d94a0'), rgb('#f7eee0'), step(-0.5, 0.75, side + (up - 0.4) * 0.3));
  }
  return null;
}

function shed(x: number, y: number): Rgb | null {
  const in0 = x > 0.7 && x < 0.86 && y > 0.335 && y < 0.405;
  const roof = y > 0.3 && y <= 0.338 && Math.abs(x - 0.78) < 0.02 + (y - 0.3) * 2.1;
  if (roof) return shade(rgb('#8c5642'), 0.8 + 0.4 * noise(x * 120, y * 30, 9));
  if (!in0) return null;
  if (x > 0.765 && x < 0.79 && y > 0.362) return rgb('#2c2622');
  return shade(rgb('#5a4a3d'), 0.85 + 0.3 * hash(Math.floor(x * 130), 0, 2));
}

function pans(x: number, y: number): Rgb {
  const depth = 0.06 / (y - HORIZON + 0.012);
  const across = (x - 0.56) * depth * 13 + 0.12 * Math.sin(depth * 2.2);
  const row = Math.log2(depth * 3 + 0.2) * 3.1 + 40;
  const column = across * 0.82 + Math.floor(row) * 0.37;
  const fx = column - Math.floor(column);
  const fy = row - Math.floor(row);
  const thin = 0.05 + 0.02 * noise(column * 5, row * 5, 4);
  const bank = Math.min(fx, 1 - fx) < thin || Math.min(fy, 1 - fy) < thin * 1.35;
  if (bank) {
    const lit = Math.min(fy, 1 - fy) === 1 - fy;
    return mix(EARTH, BANK, lit ? 0.9 : 0.25 + 0.4 * noise(x * 80, y * 80, 8));
  }
  const brine =
    BRINES[Math.floor(hash(Math.floor(column), Math.floor(row), 21) * BRINES.length)]!;
  const mirror = sky(
    x + 0.012 * Math.sin(y * 400),
    1 - Math.min(1, ((y - HORIZON) / (1 - HORIZON)) * 1.15),
  );
  const crust = step(0.62, 0.8, noise(column * 9, row * 9, 31)) * 0.5;
  const wet = mix(mirror, brine, 0.28 + 0.3 * hash(Math.floor(column), Math.floor(row), 7));
  return mix(wet, rgb('#efe6d8'), crust * step(0.4, 0.1, Math.min(fx, fy)));
}

function colour(x: number, y: number): Rgb {
  const white = heap(x, y);
  if (white) return white;
  const built = shed(x, y);
  if (built) return built;
  const shore = HORIZON + 0.006 * noise(x * 9, 0, 2);
  if (y < shore - 0.012) return sky(x, y / HORIZON);
  if (y < shore) return mix(rgb('#6f7a80'), rgb('#8e8f8a'), noise(x * 40, y * 300, 6));
  const wrack = y > 0.93 + 0.03 * noise(x * 7, 3, 5);
  if (wrack) return mix(rgb('#3b3a2d'), rgb('#7d7550'), noise(x * 60, y * 22, 13));
  return pans(x, y);
}

const angle = (x: number, y: number): number => {
  if (y < HORIZON) return -0.12 + (noise(x * 3, y * 5, 17) - 0.5) * 1.1;
  if (y > 0.93) return 1.35 + (noise(x * 20, y * 5, 18) - 0.5) * 1.2;
  return heap(x, y) ? 1.1 : (noise(x * 6, y * 9, 19) - 0.5) * 0.3;
};

/** Egg tempera: evening over salt pans, the pools each with the sky and a brine of its own. */
export function saltPans(width: number, height: number): Canvas {
  const canvas = new Canvas(width, height, rgb('#d9c8ab'));
  const mm = width / 300;
  const random = chance(1107);
  paintScene(
    canvas,
    { colour, angle },
    [
      { width: 6 * mm, long: 3.2, opacity: 0.85, stray: 0.1, cover: 1 },
      { width: 2.4 * mm, long: 4, opacity: 0.8, stray: 0.14, cover: 1 },
      { width: 1 * mm, long: 5.5, opacity: 0.78, stray: 0.17, cover: 1 },
      { width: 0.42 * mm, long: 8, opacity: 0.72, stray: 0.22, cover: 0.8 },
    ],
    random,
  );
  canvas.texture(0.06, mm * 0.35, 0.018, 71);
  return canvas;
}
