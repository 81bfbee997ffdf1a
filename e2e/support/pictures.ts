import { chance } from '../../demo/capture/dust';
import type { Samples } from '../../demo/capture/dust';

const { ceil, cos, floor, log, max, min, round, sin, sqrt } = Math;

/** A picture of one grey. */
export function plain(width: number, height: number, grey: number): Samples {
  return { width, height, data: new Uint16Array(width * height * 3).fill(grey * 257) };
}

/** The same picture with Gaussian noise over it, standard deviation of 255. */
export function withNoise(picture: Samples, deviation: number, seed = 3): Samples {
  const random = chance(seed);
  const data = picture.data.slice();
  for (let i = 0; i < data.length; i += 1) {
    const g = sqrt(-2 * log(random() + 1e-12)) * cos(6.2831853 * random());
    data[i] = min(65535, max(0, round(data[i]! + g * deviation * 257)));
  }
  return { ...picture, data };
}

/**
 * Leaves of all sizes fallen over each other: the statistics of natural pictures, sharp to
 * the pixel. Painted at twice the size and halved.
 */
export function deadLeaves(side: number, seed: number): Samples {
  const random = chance(seed);
  const wide = side * 2;
  const big = new Uint8Array(wide * wide * 3).fill(125);
  const leaves = round((side / 512) ** 2 * 9000);
  for (let n = 0; n < leaves; n += 1) {
    // Sizes by a power of -3, between 3 and 240 pixels.
    const radius = 1 / sqrt(random() * (1 / 9 - 1 / 57600) + 1 / 57600);
    const [cx, cy] = [random() * wide, random() * wide];
    const grey = 60 + random() * 130;
    const colour = [grey, grey + (random() - 0.5) * 40, grey + (random() - 0.5) * 40];
    const [lean, turn] = [(random() - 0.5) * 30, random() * 6.28];
    const x1 = min(wide - 1, ceil(cx + radius));
    const y1 = min(wide - 1, ceil(cy + radius));
    for (let y = max(0, floor(cy - radius)); y <= y1; y += 1)
      for (let x = max(0, floor(cx - radius)); x <= x1; x += 1) {
        const [dx, dy] = [x - cx, y - cy];
        if (dx * dx + dy * dy > radius * radius) continue;
        const shade = (lean * (dx * cos(turn) + dy * sin(turn))) / radius;
        for (let c = 0; c < 3; c += 1)
          big[(y * wide + x) * 3 + c] = max(0, min(255, colour[c]! + shade));
      }
  }
  const data = new Uint16Array(side * side * 3);
  for (let y = 0, o = 0; y < side; y += 1)
    for (let x = 0; x < side; x += 1)
      for (let c = 0; c < 3; c += 1, o += 1) {
        const at = (2 * y * wide + 2 * x) * 3 + c;
        const sum = big[at]! + big[at + 3]! + big[at + wide * 3]! + big[at + wide * 3 + 3]!;
        data[o] = round((sum / 4) * 257);
      }
  return { width: side, height: side, data };
}
