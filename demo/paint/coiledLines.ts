import { Canvas } from '@/engine/painted/canvas';
import { chance, noise } from '@/engine/painted/chance';
import { rgb, step } from '@/engine/painted/colour';

/** Ink drawing: three coils of rope on a quay, hatched. */
export function coiledLines(width: number, height: number): Canvas {
  const paper = rgb('#efe8d8');
  const canvas = new Canvas(width, height, paper);
  const ink = rgb('#1d1a1c');
  const random = chance(2214);
  const u = width / 1000;
  /** One turn of rope: its body wiped clean of what lies under it, then laid strand by strand. */
  const turn = (
    cx: number,
    cy: number,
    rx: number,
    ry: number,
    thick: number,
    wobble: number,
  ) => {
    const at = (a: number) => {
      const w = 1 + (noise(Math.cos(a) * 2 + 9, Math.sin(a) * 2 + 9, wobble) - 0.5) * 0.06;
      return [cx + rx * w * Math.cos(a), cy + ry * w * Math.sin(a)] as const;
    };
    const around = Math.PI * (rx + ry);
    const body = Math.ceil(around / (thick * 0.2));
    for (let i = 0; i < body; i += 1) {
      const [x, y] = at((i / body) * 2 * Math.PI);
      canvas.dab(x, y, thick * 0.54, ink, 0.9, 0.08);
    }
    for (let i = 0; i < body; i += 1) {
      const [x, y] = at((i / body) * 2 * Math.PI);
      canvas.dab(x, y, thick * 0.49, paper, 1, 0.08);
    }
    const strands = Math.ceil(around / (thick * 0.3));
    for (let i = 0; i < strands; i += 1) {
      const a = (i / strands) * 2 * Math.PI;
      const [x, y] = at(a);
      const along = Math.atan2(ry * Math.cos(a), -rx * Math.sin(a));
      const dark = step(-0.7, 0.9, Math.sin(a) * 0.5 + Math.cos(a) * 0.45);
      const lean = along + 0.85;
      const ex = Math.cos(lean) * thick * 0.44;
      const ey = Math.sin(lean) * thick * 0.44;
      canvas.line(
        x - ex,
        y - ey,
        x + ex,
        y + ey,
        u * (0.8 + dark * 2),
        u * (0.7 + dark),
        ink,
        0.9,
      );
      for (let k = 1; k <= Math.round(dark * 5); k += 1) {
        const off = (k / 6) * thick * 0.24;
        const sx = x + Math.cos(along) * off;
        const sy = y + Math.sin(along) * off;
        canvas.line(
          sx + ex * 0.1,
          sy + ey * 0.1,
          sx + ex * 0.95,
          sy + ey * 0.95,
          u * 0.8,
          u * 0.6,
          ink,
          0.75,
        );
      }
    }
  };
  const shadow = (cx: number, cy: number, rx: number, ry: number) => {
    for (let i = 0; i < 700; i += 1) {
      const t = random() * 2 - 1;
      const half = Math.sqrt(1 - t * t) * ry;
      const x = cx + t * rx;
      const y = cy + (random() * 2 - 1) * half;
      canvas.line(x - 22 * u, y - 5 * u, x + 22 * u, y + 5 * u, u, u * 1.2, ink, 0.55);
    }
  };
  const coil = (
    cx: number,
    cy: number,
    rx: number,
    thick: number,
    layers: number,
    rounds: number,
  ) => {
    shadow(cx + rx * 0.26, cy + rx * 0.2, rx * 1.12, rx * 0.42);
    for (let layer = 0; layer < layers; layer += 1)
      for (let r = 0; r < rounds; r += 1) {
        const inner = rx - (rounds - 1 - r) * thick;
        turn(
          cx + (noise(layer, r, 4) - 0.5) * thick * 0.5,
          cy - layer * thick * 0.62,
          inner,
          inner * 0.46,
          thick,
          layer * 7 + r,
        );
      }
  };
  // Planks of the quay, before anything stands on them.
  for (let p = 0; p < 9; p += 1) {
    const y = height * (0.16 + 0.83 * (p / 9) ** 1.25);
    const next = height * (0.16 + 0.83 * ((p + 1) / 9) ** 1.25);
    let px = width * 0.05;
    for (let i = 1; i <= 60; i += 1) {
      const x = width * (0.05 + (0.9 * i) / 60);
      canvas.line(
        px,
        y + 3 * u * noise(i, p, 2),
        x,
        y + 3 * u * noise(i + 1, p, 2),
        u * 2,
        u * 1.6,
        ink,
        0.85,
      );
      px = x;
    }
    for (let k = 0; k < 110; k += 1) {
      const x = width * (0.05 + 0.9 * random());
      const gy = y + (next - y) * random();
      const long = (14 + random() * 95) * u;
      canvas.line(
        x,
        gy,
        Math.min(width * 0.95, x + long),
        gy + (random() - 0.5) * 4 * u,
        u * 0.5,
        u * (0.5 + random()),
        ink,
        0.3 + 0.35 * random(),
      );
    }
  }
  coil(width * 0.38, height * 0.36, width * 0.24, width * 0.05, 3, 3);
  coil(width * 0.68, height * 0.56, width * 0.2, width * 0.042, 4, 3);
  coil(width * 0.37, height * 0.8, width * 0.27, width * 0.058, 3, 3);
  for (let i = 0; i < 320; i += 1)
    canvas.dab(
      random() * width,
      random() * height,
      (0.5 + random() * 1.5) * u,
      ink,
      0.6 * random(),
      0.4,
    );
  canvas.texture(0.05, u * 3.2, 0.016, 31);
  return canvas;
}
