import { addSecondDifferences } from '../detail';
import { CELL, packThings, sweepBlock } from '../specks';
import type { Measured } from '../specks';
import { NOISE_STEP, ToneCounter, countNoise, noNoise } from '../tone';
import type { NoiseCounts, ToneCounts } from '../tone';
import { reduction } from './blocks';
import type { BlockPlace, Box } from './blocks';
import { lightOf } from './lightOf';

const { ceil, floor, max, min } = Math;

/** Longest side of the light that geometry is read from, and of the grid of extremes. */
const REDUCED = 1600;
const GRID = 512;

/** What was read from some rows of blocks. Plain data; rows of all grids follow each other. */
export interface ReadingPart {
  tone: ToneCounts;
  noise: NoiseCounts;
  /** Packed. */
  things: Float32Array;
  /** x, y and contrast of everything else that stands out. */
  clutter: Float32Array;
  texture: Float32Array;
  crowded: Uint8Array;
  along: Float64Array;
  /** Of the rows of this part only. */
  down: Float64Array;
  reduced: Float32Array;
  /** Darkest and lightest byte of each channel in each cell of the grid. */
  extremes: Uint8Array;
  /** Whether a sample was met that no 8-bit file could give. */
  deep: boolean;
}

/** How the grids of a picture lie. */
export const gridsOf = (width: number, height: number) => {
  const reducedBy = reduction(width, height, REDUCED);
  const gridBy = reduction(width, height, GRID);
  return {
    reducedBy,
    gridBy,
    cellsAcross: ceil(width / CELL),
    reducedAcross: ceil(width / reducedBy),
    gridAcross: ceil(width / gridBy),
  };
};

/** Reads rows of blocks of one picture. Memory: one block, and the grids. */
export class BlockReader {
  private readonly grids;
  private readonly tone: ToneCounter;
  private readonly noise: NoiseCounts = noNoise();
  private readonly things: Measured[] = [];
  private readonly clutter: Float32Array[] = [];
  private readonly texture: Float32Array;
  private readonly crowded: Uint8Array;
  private readonly along: Float64Array;
  private readonly down: Float64Array;
  private readonly reduced: Float32Array;
  private readonly extremes: Uint8Array;
  private deep = false;
  private light = new Uint16Array(0);
  private bytes = new Uint8Array(0);

  /** `top` and `bottom`: rows of the picture that are read, on whole blocks. */
  constructor(
    private readonly width: number,
    height: number,
    private readonly channels: 1 | 3,
    private readonly top: number,
    bottom: number,
  ) {
    const grids = (this.grids = gridsOf(width, height));
    const rows = bottom - top;
    const count = (across: number, by: number) => across * ceil(rows / by);
    this.tone = new ToneCounter(channels);
    this.texture = new Float32Array(count(grids.cellsAcross, CELL));
    this.crowded = new Uint8Array(this.texture.length);
    this.along = new Float64Array(width);
    this.down = new Float64Array(rows);
    this.reduced = new Float32Array(count(grids.reducedAcross, grids.reducedBy));
    this.extremes = new Uint8Array(count(grids.gridAcross, grids.gridBy) * channels * 2);
    for (let i = 0; i < this.extremes.length; i += 2) this.extremes[i] = 255;
  }

  /** Takes the samples of a block (16 bit, interleaved, of the part that is seen). */
  add(samples: Uint16Array, { core, seen }: BlockPlace): void {
    const { channels } = this;
    const stride = seen.right - seen.left;
    const rows = seen.bottom - seen.top;
    const pixels = stride * rows;
    if (this.light.length < pixels) {
      this.light = new Uint16Array(pixels);
      this.bytes = new Uint8Array(pixels);
    }
    lightOf(samples, channels, pixels, this.light, this.bytes);
    const own: Box = {
      left: core.left - seen.left,
      top: core.top - seen.top,
      right: core.right - seen.left,
      bottom: core.bottom - seen.top,
    };
    for (let y = own.top; y < own.bottom; y += 1)
      this.tone.add(samples, y * stride + own.left, y * stride + own.right);
    countNoise(this.noise, samples, channels, {
      left: own.left + NOISE_STEP / 2,
      top: own.top + NOISE_STEP / 2,
      right: own.right,
      bottom: own.bottom,
      stride,
    });
    this.deep ||= isDeep(samples, own.top * stride * channels, stride * channels);
    const profiles = {
      along: this.along.subarray(core.left),
      down: this.down.subarray(core.top - this.top),
    };
    addSecondDifferences(this.light, stride, rows, own, profiles);
    this.reduce(core, own, stride);
    this.findExtremes(samples, core, own, stride);
    const light = { width: stride, height: rows, data: this.bytes.subarray(0, pixels) };
    const block = { width: stride, height: rows, channels, samples, light };
    const sweep = sweepBlock(block, own, { x: seen.left, y: seen.top });
    for (const thing of sweep.things) this.things.push(thing);
    this.clutter.push(sweep.clutter);
    const { cellsAcross } = this.grids;
    for (let row = 0; row < sweep.down; row += 1) {
      const at = ((core.top - this.top) / CELL + row) * cellsAcross + core.left / CELL;
      const from = row * sweep.across;
      this.texture.set(sweep.texture.subarray(from, from + sweep.across), at);
      this.crowded.set(sweep.crowded.subarray(from, from + sweep.across), at);
    }
  }

  /** Means of the light over squares, of 255. */
  private reduce(core: Box, own: Box, stride: number): void {
    const { reducedBy: by, reducedAcross } = this.grids;
    const { light, reduced } = this;
    for (let y = own.top; y < own.bottom; y += by)
      for (let x = own.left; x < own.right; x += by) {
        const bottom = min(own.bottom, y + by);
        const right = min(own.right, x + by);
        let sum = 0;
        for (let j = y; j < bottom; j += 1)
          for (let i = x; i < right; i += 1) sum += light[j * stride + i]!;
        const row = (core.top - this.top + y - own.top) / by;
        const column = (core.left + x - own.left) / by;
        reduced[row * reducedAcross + column] = sum / ((bottom - y) * (right - x) * 257);
      }
  }

  private findExtremes(samples: Uint16Array, core: Box, own: Box, stride: number): void {
    const { gridBy: by, gridAcross } = this.grids;
    const { channels, extremes } = this;
    for (let y = own.top; y < own.bottom; y += 1) {
      const row = floor((core.top - this.top + y - own.top) / by);
      for (let x = own.left; x < own.right; x += by) {
        const column = (core.left + x - own.left) / by;
        const right = min(own.right, x + by);
        for (let c = 0; c < channels; c += 1) {
          let darkest = 65535;
          let lightest = 0;
          const to = (y * stride + right) * channels + c;
          for (let i = (y * stride + x) * channels + c; i < to; i += channels) {
            const v = samples[i]!;
            if (v < darkest) darkest = v;
            if (v > lightest) lightest = v;
          }
          const at = ((row * gridAcross + column) * channels + c) * 2;
          extremes[at] = min(extremes[at]!, (darkest + 127) >> 8);
          extremes[at + 1] = max(extremes[at + 1]!, (lightest - (lightest >> 8)) >> 8);
        }
      }
    }
  }

  part(): ReadingPart {
    const clutter = new Float32Array(this.clutter.reduce((n, c) => n + c.length, 0));
    let at = 0;
    for (const c of this.clutter) {
      clutter.set(c, at);
      at += c.length;
    }
    const { noise, things, texture, crowded, along, down, reduced, extremes, deep } = this;
    return {
      tone: this.tone.counts(),
      noise,
      things: packThings(things),
      clutter,
      texture,
      crowded,
      along,
      down,
      reduced,
      extremes,
      deep,
    };
  }
}

/** Whether some of these samples are more than 8-bit values widened (v x 257). */
function isDeep(samples: Uint16Array, from: number, count: number): boolean {
  for (let i = from; i < from + count; i += 1)
    if (samples[i]! >> 8 !== (samples[i]! & 255)) return true;
  return false;
}
