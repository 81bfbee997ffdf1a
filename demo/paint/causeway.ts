import { Canvas } from '@/engine/painted/canvas';
import { chance, clouds, noise } from '@/engine/painted/chance';
import { along, mix, rgb, shade, step } from '@/engine/painted/colour';

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
