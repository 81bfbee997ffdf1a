import { Canvas } from '@/engine/painted/canvas';
import { chance, noise } from '@/engine/painted/chance';
import { rgb } from '@/engine/painted/colour';

/** Linocut in two colours: a pear branch, cut out of the block, with the gouge's flecks left standing. */
export function pearBranch(width: number, height: number): Canvas {
  const u = width / 1000;
  const ink = rgb('#1d2a2b');
  const paper = rgb('#efe7d3');
  const pear = rgb('#c98f2d');
  const canvas = new Canvas(width, height, paper);
  const border = 70 * u;
  canvas.fill((x, y) => {
    const edge = Math.min(x, y, width - x, height - y) - border;
    return edge + 3 * u * noise(x / (9 * u), y / (9 * u), 5) > 0 ? ink : paper;
  });
  const random = chance(9127);
  /** Short cuts of the gouge that follow the block around the branch. */
  for (let i = 0; i < 1500; i += 1) {
    const x = border * 1.4 + random() * (width - border * 2.8);
    const y = border * 1.4 + random() * (height - border * 2.8);
    const a = noise(x / (210 * u), y / (210 * u), 11) * 7;
    const long = (8 + 26 * random()) * u;
    canvas.line(
      x,
      y,
      x + Math.cos(a) * long,
      y + Math.sin(a) * long,
      3.4 * u,
      0.6 * u,
      paper,
      1,
    );
  }
  /** A filled leaf or fruit: round dabs along a bent spine, widest at `belly`. */
  const body = (
    x: number,
    y: number,
    angle: number,
    long: number,
    wide: number,
    belly: number,
    colour: typeof ink,
  ) => {
    const steps = 160;
    for (let i = 0; i <= steps; i += 1) {
      const t = i / steps;
      const round = Math.sin(Math.PI * t ** belly) ** 0.8;
      const bend = 0.3 * (t - 0.5);
      const px = x + Math.cos(angle + bend) * long * t;
      const py = y + Math.sin(angle + bend) * long * t;
      canvas.dab(px, py, Math.max(u, wide * round), colour, 1, 0.04);
    }
  };
  const leaf = (x: number, y: number, angle: number, long: number) => {
    body(x, y, angle, long, long * 0.25, 0.85, paper);
    canvas.line(
      x,
      y,
      x + Math.cos(angle) * long * 0.9,
      y + Math.sin(angle) * long * 0.9,
      4 * u,
      u,
      ink,
    );
    for (let k = 1; k < 8; k += 1)
      for (const way of [-1, 1]) {
        const t = k / 9;
        const [px, py] = [x + Math.cos(angle) * long * t, y + Math.sin(angle) * long * t];
        const side = long * 0.2 * Math.sin(Math.PI * t);
        const a = angle + way * 0.9;
        canvas.line(
          px,
          py,
          px + Math.cos(a) * side,
          py + Math.sin(a) * side,
          2.4 * u,
          0.7 * u,
          ink,
        );
      }
  };
  let [x, y, a] = [width * 0.06, height * 0.28, 0.32];
  for (let i = 0; i < 40; i += 1) {
    a += (random() - 0.5) * 0.16 - 0.004;
    const [nx, ny] = [x + Math.cos(a) * 20 * u, y + Math.sin(a) * 20 * u];
    canvas.line(x, y, nx, ny, (26 - i * 0.4) * u, (25.6 - i * 0.4) * u, paper, 1);
    if (i % 5 === 3) {
      const way = i % 2 === 0 ? -1 : 1;
      leaf(nx, ny, a + way * (0.7 + random() * 0.5), (150 + 90 * random()) * u);
    }
    if (i === 11 || i === 22 || i === 33) {
      const drop = 46 * u;
      canvas.line(nx, ny, nx + 5 * u, ny + drop, 8 * u, 6 * u, paper, 1);
      body(nx + 5 * u, ny + drop, Math.PI / 2 - 0.1, 265 * u, 92 * u, 1.7, pear);
      for (let k = 0; k < 60; k += 1)
        canvas.dab(
          nx + (20 + 56 * random()) * u,
          ny + drop + (90 + 130 * random()) * u,
          2.6 * u * random(),
          ink,
          0.9,
        );
    }
    [x, y] = [nx, ny];
  }
  canvas.texture(0.05, u * 1.4, 0.018, 12);
  return canvas;
}
