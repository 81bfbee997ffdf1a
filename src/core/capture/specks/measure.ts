import { Grower } from './grow';
import type { Grey } from './grey';

const { PI, abs, atan2, ceil, floor, hypot, max, min, sqrt } = Math;

/** Samples of a block, 16 bit, interleaved, and its light in bytes. */
export interface Block {
  width: number;
  height: number;
  channels: 1 | 3;
  samples: Uint16Array;
  light: Grey;
}

/** Something that stands out but is no thing of its own: it tells of a busy ground. */
export interface Clutter {
  x: number;
  y: number;
  contrast: number;
}

/** A thing that stands out, as measured at full resolution. Lengths in pixels, light of 255. */
export interface Measured extends Clutter {
  /** Diameter of the disc of the same area. */
  diameter: number;
  /** Diagonal of its box. */
  length: number;
  /** Robust spread of the ground around it (1.4826 x median absolute deviation). */
  ground: number;
  /** Largest difference of one sixteenth of the ring from the ring's median. */
  unevenness: number;
  /** Area at a quarter of the contrast over area at three quarters: near 1 for a hard edge. */
  softness: number;
  /** How much more colourful it is than its ground, of 255; negative when it is greyer. */
  colour: number;
  /** Its mean colour, of 255. */
  tone: number[];
}

/** A thing that could be measured, and not mere clutter. */
export const isMeasured = (m: Measured | Clutter): m is Measured => 'diameter' in m;

const SECTORS = 16;
/** The ring on which the ground is judged: from here to there, pixels off the thing. */
const RING_FROM = 2.5;
const RING_TO = 7;
/** Less contrast than this, of 255, is never looked at. */
const LEAST = 4;

/** What is so much larger at a quarter of the contrast than at half of it has frayed. */
const FRAYED = 2.5;

const chroma = (colour: number[]): number => max(...colour) - min(...colour);

/** Measures things in the block it was told to look at. */
export class Examiner {
  private readonly grower = new Grower();
  private block!: Block;
  private readonly bins = new Uint32Array(256);
  private readonly ring = new Int32Array(16384);

  /** The block in which things are measured from now on. */
  look(block: Block): void {
    this.block = block;
    this.grower.look(block.light);
  }

  /** The value below which half of the counted bytes lie. */
  private medianOfBins(n: number): number {
    let left = n / 2;
    for (let v = 0; v < 256; v += 1) {
      if (left <= this.bins[v]!) return v;
      left -= this.bins[v]!;
    }
    return 255;
  }

  /** Median light on a square ring around a place. */
  private ringMedian(x: number, y: number, r: number): number {
    const { width, height, data } = this.block.light;
    this.bins.fill(0);
    let n = 0;
    const count = (px: number, py: number) => {
      if (px < 0 || py < 0 || px >= width || py >= height) return;
      this.bins[data[py * width + px]!]! += 1;
      n += 1;
    };
    for (let d = -r; d <= r; d += 1) {
      count(x + d, y - r);
      count(x + d, y + r);
      count(x - r, y + d);
      count(x + r, y + d);
    }
    return this.medianOfBins(n);
  }

  /** Mean colour of pixels, of 255. */
  private meanColour(pixels: Int32Array, n: number): number[] {
    const { channels, samples } = this.block;
    const sums = new Array<number>(channels).fill(0);
    for (let k = 0; k < n; k += 1)
      for (let c = 0; c < channels; c += 1) sums[c]! += samples[pixels[k]! * channels + c]!;
    return sums.map((s) => s / (257 * max(1, n)));
  }

  /**
   * Measures the thing around a peak. `sign`: lighter (1) or darker (-1) than its ground;
   * `scale`: pixels a pixel of the level at which it was seen. Null when nothing is there.
   */
  measure(
    peak: { x: number; y: number },
    sign: number,
    scale: number,
  ): Measured | Clutter | null {
    const { grower, block } = this;
    const { width, height, data } = block.light;
    const near = ceil(scale);
    let seed = -1;
    let best = -Infinity;
    for (let y = max(0, peak.y - near); y <= min(height - 1, peak.y + near); y += 1)
      for (let x = max(0, peak.x - near); x <= min(width - 1, peak.x + near); x += 1)
        if (sign * data[y * width + x]! > best) {
          best = sign * data[y * width + x]!;
          seed = y * width + x;
        }
    const seedX = seed % width;
    const seedY = (seed - seedX) / width;
    const first = this.ringMedian(seedX, seedY, 4 + 4 * scale);
    const standsOut = best - sign * first;
    if (standsOut < LEAST) return null;
    const clutter = { x: seedX, y: seedY, contrast: sign * standsOut };
    const half = grower.grow(seed, first, standsOut / 2, sign);
    const quarter = grower.grow(seed, first, standsOut / 4, sign);
    // A thin hair falls to pieces at half its contrast: what holds together lower down is it.
    const frayed = half > 0 && quarter > FRAYED * half;
    const level = frayed ? 1 / 4 : 1 / 2;
    const area = frayed ? quarter : grower.grow(seed, first, standsOut * level, sign);
    if (area < 4) return clutter;
    const body = this.bodyOf(area);
    const ring = this.lookAround(body);
    if (!ring) return clutter;
    const contrast = body.light - ring.median;
    if (sign * contrast < LEAST) return clutter;
    const tone = this.meanColour(grower.pixels, area);
    const around = this.meanColour(this.ring, ring.count);
    const wide = grower.grow(seed, ring.median, (standsOut * level) / 2, sign);
    const core = grower.grow(seed, ring.median, standsOut * (frayed ? 0.4 : 0.75), sign);
    return {
      x: body.x,
      y: body.y,
      contrast,
      diameter: 2 * sqrt(area / PI),
      length: hypot(body.right - body.left + 1, body.bottom - body.top + 1),
      ground: max(ring.spread, 0.5),
      unevenness: ring.unevenness,
      softness: wide ? wide / max(1, core) : 99,
      colour: block.channels === 3 ? chroma(tone) - chroma(around) : 0,
      tone,
    };
  }

  /** Middle, mean light and box of the thing grown last. */
  private bodyOf(area: number) {
    const { width, data } = this.block.light;
    const { pixels } = this.grower;
    const body = { x: 0, y: 0, light: 0, left: width, right: 0, top: Infinity, bottom: 0 };
    for (let k = 0; k < area; k += 1) {
      const i = pixels[k]!;
      const x = i % width;
      const y = (i - x) / width;
      body.x += x / area;
      body.y += y / area;
      body.light += data[i]! / area;
      if (x < body.left) body.left = x;
      if (x > body.right) body.right = x;
      if (y < body.top) body.top = y;
      if (y > body.bottom) body.bottom = y;
    }
    return body;
  }

  /** The ground in an elliptic ring around a box, what was grown last left out. */
  private lookAround(box: { left: number; right: number; top: number; bottom: number }) {
    const { width, height, data } = this.block.light;
    const rx = (box.right - box.left + 1) / 2;
    const ry = (box.bottom - box.top + 1) / 2;
    const mx = (box.left + box.right) / 2;
    const my = (box.top + box.bottom) / 2;
    const { bins, ring, grower } = this;
    bins.fill(0);
    const sums = new Float64Array(SECTORS);
    const counts = new Uint32Array(SECTORS);
    let n = 0;
    const toY = min(height - 1, ceil(my + ry + RING_TO));
    const toX = min(width - 1, ceil(mx + rx + RING_TO));
    for (let y = max(0, floor(my - ry - RING_TO)); y <= toY; y += 1)
      for (let x = max(0, floor(mx - rx - RING_TO)); x <= toX; x += 1) {
        const dx = x - mx;
        const dy = y - my;
        if ((dx / (rx + RING_FROM)) ** 2 + (dy / (ry + RING_FROM)) ** 2 < 1) continue;
        if ((dx / (rx + RING_TO)) ** 2 + (dy / (ry + RING_TO)) ** 2 > 1) continue;
        const i = y * width + x;
        if (grower.holds(i) || n >= ring.length) continue;
        const sector = floor((atan2(dy, dx) / (2 * PI) + 1) * SECTORS) % SECTORS;
        sums[sector]! += data[i]!;
        counts[sector]! += 1;
        bins[data[i]!]! += 1;
        ring[n++] = i;
      }
    if (n < 24) return null;
    const median = this.medianOfBins(n);
    bins.fill(0);
    for (let k = 0; k < n; k += 1) bins[abs(data[ring[k]!]! - median)]! += 1;
    const spread = 1.4826 * this.medianOfBins(n);
    let unevenness = 0;
    for (let s = 0; s < SECTORS; s += 1)
      if (counts[s]! > 0) unevenness = max(unevenness, abs(sums[s]! / counts[s]! - median));
    return { median, spread, unevenness, count: n };
  }
}
