import { Canvas, paintScene } from './canvas';
import { chance, clouds, noise } from './chance';
import { along, mix, rgb, shade, step } from './colour';
import type { Rgb } from './colour';

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

/** Photograph: a tidal causeway going off into fog, headlands behind it. */
export function causeway(width: number, height: number): Canvas {
  const canvas = new Canvas(width, height, [0.7, 0.7, 0.7]);
  const ridge = (layer: number) => {
    const line = new Float32Array(width);
    for (let x = 0; x < width; x += 1) {
      const t = x / width;
      line[x] =
        0.47 -
        (5 - layer) * 0.012 -
        0.17 *
          (0.35 + layer * 0.1) *
          Math.max(
            0,
            clouds(t * (2 + layer * 0.8) + layer * 13, layer, 60 + layer, 8) -
              0.36 -
              0.1 * Math.cos(t * 3 + layer),
          );
    }
    return line;
  };
  const ridges = [1, 2, 3, 4].map(ridge);
  const shore = 0.475;
  const highest = Math.min(...ridges.map((line) => line.reduce((a, b) => Math.min(a, b))));
  const airAt = (y: number) =>
    along(
      [
        [0, rgb('#8b97a0')],
        [0.25, rgb('#b4b7b4')],
        [0.46, rgb('#d9d2c4')],
        [1, rgb('#d5cfc2')],
      ],
      y,
    );
  const sunAt = (x: number, y: number) =>
    Math.exp(-(((x - 0.66) / 0.34) ** 2) - ((y - 0.33) / 0.26) ** 2);
  canvas.fillSmooth((px, py) => {
    const x = px / width;
    const y = py / height;
    return mix(
      airAt(y + 0.04 * (clouds(x * 3, y * 5, 2, 4) - 0.5)),
      rgb('#fbeed6'),
      0.75 * sunAt(x, y),
    );
  }, 8);
  canvas.overlay(
    Math.floor(highest * height),
    Math.ceil(shore * height),
    (px, py, there) => {
      const y = py / height;
      let c = there;
      for (let i = 0; i < ridges.length; i += 1) {
        if (y < ridges[i]![px]!) continue;
        const fog = 0.84 - i * 0.14 + 0.22 * step(0.05, 0, shore - y);
        c = mix(shade(rgb('#4d5a5c'), 0.85 + 0.3 * noise(px / 9, py / 7, 90 + i)), c, fog);
      }
      return c;
    },
  );
  canvas.overlay(Math.ceil(shore * height), height, (px, py) => {
    const x = px / width;
    const y = py / height;
    const sun = sunAt(x, y);
    const depth = 1 / (y - shore + 0.02);
    // The causeway: wet stones that narrow into the distance.
    const middle = 0.57 - 0.23 * (y - shore) + 0.014 * Math.sin(depth * 0.8);
    const half = 0.004 + 0.24 * (y - shore) ** 1.25;
    const off = (x - middle) / half;
    if (Math.abs(off) < 1 + 0.14 * (noise(px / 17, py / 9, 40) - 0.5)) {
      const stone = noise(off * 7 + 40, depth * 9, 41);
      const joint = noise(off * 14 + 9, depth * 19, 42);
      let wet = shade(
        mix(rgb('#3c3d3b'), rgb('#8b867b'), stone),
        0.55 + 0.75 * noise(px / 3.1, py / 2.6, 43),
      );
      wet = mix(wet, rgb('#232424'), step(0.6, 0.72, joint));
      wet = mix(
        wet,
        rgb('#fff0d5'),
        sun * 0.35 + 0.4 * step(0.7, 0.86, stone) * step(0.9, 0.5, y),
      );
      return mix(wet, airAt(y), step(0.2, 0, y - shore) * 0.88);
    }
    const ripple =
      clouds(x * depth * 5 + 2, depth * 6.5, 30, 4) +
      0.35 * noise(px / 5, py / 2.2, 33) * step(0.48, 0.9, y);
    const mirror = mix(rgb('#dcd3c2'), rgb('#7d8787'), (y - shore) * 1.7);
    let water = mix(mirror, rgb('#59646a'), step(0.5, 0.92, ripple) * 0.75);
    water = mix(
      water,
      rgb('#fff3dc'),
      sun * 0.5 +
        0.55 *
          step(0.62, 0.2, ripple) *
          Math.exp(-(((x - 0.66) / 0.13) ** 2)) *
          (y - shore + 0.25),
    );
    return mix(water, airAt(y), step(0.12, 0, y - shore) * 0.85);
  });
  const random = chance(4410);
  for (let i = 0; i < 26; i += 1) {
    const t = i / 26;
    const y = shore + 0.012 + 0.42 * t ** 2.1;
    const x = 0.57 - 0.23 * (y - shore) - (0.012 + 0.28 * (y - shore) ** 1.2);
    const tall = 0.018 + 0.22 * (y - shore);
    const wide = width * (0.0012 + 0.012 * (y - shore));
    const fog = step(0.16, 0, y - shore) * 0.8;
    const lean = (random() - 0.5) * 0.05 * tall * width;
    for (let k = 0; k < 5; k += 1)
      canvas.line(
        x * width + (k - 2) * wide * 0.2,
        y * height,
        x * width + lean + (k - 2) * wide * 0.2,
        (y - tall) * height,
        wide * 0.34,
        wide * 0.28,
        mix(shade(rgb('#2c2c2b'), 0.8 + 0.12 * k), rgb('#d9d2c4'), fog),
        0.95,
      );
  }
  canvas.texture(0, 4, 0.03, 55);
  return canvas;
}

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
