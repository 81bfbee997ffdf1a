import type { PieceTest } from './kinds';

/** A picture's lightness (CIE L*, 0..100), row by row. */
export interface Lightness {
  width: number;
  height: number;
  data: Float32Array;
}

/** A piece that is worth a look, in pixels of the lightness, and the figure that made it so. */
export interface Proposal {
  tests: PieceTest;
  left: number;
  top: number;
  width: number;
  height: number;
  /**
   * tones: lightest less darkest L*, of nine tenths of the pixels; texture: median difference
   * of neighbours, L*; edges: mean slope of the strongest tenth, L* per pixel; shadow: mean
   * L*; gradient: rise over the piece, L*.
   */
  figure: number;
}

const BINS = 50;

/** Sums over all pixels above and left of each, so that any window's sum is four look-ups. */
class Sums {
  private readonly table: Float64Array;
  private readonly stride: number;

  constructor(width: number, height: number, at: (i: number) => number) {
    this.stride = width + 1;
    this.table = new Float64Array(this.stride * (height + 1));
    for (let y = 0; y < height; y += 1) {
      let row = 0;
      for (let x = 0; x < width; x += 1) {
        row += at(y * width + x);
        this.table[(y + 1) * this.stride + x + 1] =
          this.table[y * this.stride + x + 1]! + row;
      }
    }
  }

  over(left: number, top: number, width: number, height: number): number {
    const { table, stride } = this;
    const a = top * stride + left;
    const b = (top + height) * stride + left;
    return table[b + width]! - table[b]! - table[a + width]! + table[a]!;
  }
}

interface Window {
  left: number;
  top: number;
}

/** Share of a window's values below which a share of them lie, by counting. */
function quantile(counts: Float64Array, share: number): number {
  const total = counts.reduce((a, b) => a + b, 0);
  let seen = 0;
  for (let i = 0; i < counts.length; i += 1) {
    seen += counts[i]!;
    if (seen >= share * total) return i;
  }
  return counts.length - 1;
}

/** Lightness of the 5th and 95th per cent of a window. */
function toneRange(light: Lightness, { left, top }: Window, width: number, height: number) {
  const counts = new Float64Array(BINS);
  const step = Math.max(1, Math.floor(Math.min(width, height) / 40));
  for (let y = top; y < top + height; y += step)
    for (let x = left; x < left + width; x += step) {
      const bin = Math.floor((light.data[y * light.width + x]! / 100) * BINS);
      counts[Math.min(BINS - 1, Math.max(0, bin))]! += 1;
    }
  const unit = 100 / BINS;
  return { low: quantile(counts, 0.05) * unit, high: quantile(counts, 0.95) * unit };
}

/** Differences of each pixel from its neighbours on the right and below. */
function slopesOf({ width, height, data }: Lightness): Float32Array {
  const slopes = new Float32Array(width * height);
  for (let y = 0; y < height; y += 1)
    for (let x = 0; x < width; x += 1) {
      const i = y * width + x;
      const across = x + 1 < width ? data[i + 1]! - data[i]! : 0;
      const down = y + 1 < height ? data[i + width]! - data[i]! : 0;
      slopes[i] = Math.hypot(across, down);
    }
  return slopes;
}

/** Slopes of this much L* per pixel are an edge; below the half of it, texture or tone. */
const EDGE = 8;

/**
 * Proposes the pieces of a picture that show most of a print's quality, one for each test,
 * none over another as far as there is room: where the tones go furthest, the texture is
 * finest, the main edges are, the shadow is deepest, and the tone changes most smoothly.
 */
export function proposePieces(light: Lightness, width: number, height: number): Proposal[] {
  const w = Math.min(light.width, Math.max(1, Math.round(width)));
  const h = Math.min(light.height, Math.max(1, Math.round(height)));
  const slopes = slopesOf(light);
  const whole = new Sums(light.width, light.height, (i) => light.data[i]!);
  const edges = new Sums(light.width, light.height, (i) =>
    slopes[i]! >= EDGE ? slopes[i]! : 0,
  );
  const texture = new Sums(light.width, light.height, (i) =>
    slopes[i]! < EDGE ? Math.min(EDGE / 2, slopes[i]!) : 0,
  );
  const step = Math.max(1, Math.round(Math.min(w, h) / 6));
  const windows: Window[] = [];
  for (let top = 0; top + h <= light.height; top += step)
    for (let left = 0; left + w <= light.width; left += step) windows.push({ left, top });
  const area = w * h;
  const mean = ({ left, top }: Window) => whole.over(left, top, w, h) / area;
  /** Rise from one half to the other, less what is uneven in it. */
  const rise = ({ left, top }: Window) => {
    const [hw, hh] = [Math.floor(w / 2), Math.floor(h / 2)];
    const across =
      whole.over(left, top, hw, h) / (hw * h) -
      whole.over(left + w - hw, top, hw, h) / (hw * h);
    const down =
      whole.over(left, top, w, hh) / (w * hh) -
      whole.over(left, top + h - hh, w, hh) / (w * hh);
    return 2 * Math.hypot(across, down);
  };
  /** What breaks a smooth tone: edges most of all. */
  const rough = ({ left, top }: Window) =>
    (200 * edges.over(left, top, w, h) + 12 * texture.over(left, top, w, h)) / area;
  const tests: [PieceTest, (at: Window) => number, (at: Window) => number][] = [
    [
      'tones',
      (at) => {
        const { low, high } = toneRange(light, at, w, h);
        return high - low;
      },
      (at) => {
        const { low, high } = toneRange(light, at, w, h);
        return high - low;
      },
    ],
    [
      'edges',
      ({ left, top }) => edges.over(left, top, w, h),
      ({ left, top }) => edges.over(left, top, w, h) / area,
    ],
    [
      'texture',
      ({ left, top }) => texture.over(left, top, w, h) - 0.5 * edges.over(left, top, w, h),
      ({ left, top }) => texture.over(left, top, w, h) / area,
    ],
    ['shadow', (at) => -mean(at), mean],
    ['gradient', (at) => rise(at) - rough(at), rise],
  ];
  const chosen: Proposal[] = [];
  const covered = (at: Window) =>
    chosen.reduce((sum, c) => {
      const across = Math.min(at.left, c.left) + w - Math.max(at.left, c.left);
      const down = Math.min(at.top, c.top) + h - Math.max(at.top, c.top);
      return sum + Math.max(0, across) * Math.max(0, down);
    }, 0);
  for (const [kind, score, figure] of tests) {
    const free = windows.filter((at) => covered(at) < 0.15 * area);
    const from = free.length > 0 ? free : windows;
    let best = from[0];
    let most = -Infinity;
    for (const at of from) {
      const s = score(at);
      if (s > most) [best, most] = [at, s];
    }
    if (best)
      chosen.push({ tests: kind, ...best, width: w, height: h, figure: figure(best) });
  }
  return chosen;
}
