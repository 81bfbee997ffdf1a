import { addAlong, sumAcross } from '../detail';
import { CELL, Sweeper, packThings } from '../specks';
import type { Measured } from '../specks';
import { NOISE_STEP, ToneCounter, countNoise, noNoise } from '../tone';
import type { NoiseCounts, ToneCounts } from '../tone';
import { reduction } from './blocks';
import type { Box } from '../../image';
import type { BlockPlace } from './blocks';
import { BlockPixels } from './blockPixels';

const { ceil, floor, max, min } = Math;

/** Longest side of the light that geometry is read from, and of the grid of extremes. */
const REDUCED = 1600;
const GRID = 512;
/**
 * Pixels that are enough for tones, noise and periods: of larger pictures every second, third
 * ... row tells as much. Specks are looked for in every pixel.
 */
const ENOUGH_PIXELS = 24e6;

/** Rows that are read at a time. */
const STRIP = 8;

/** Puts `rows` rows of a picture from `top` on, columns of `box`, as 16-bit samples into `out`. */
export type ReadRows = (top: number, rows: number, box: Box, out: Uint16Array) => void;

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
  private readonly extremes: Uint16Array;
  private readonly sweeper = new Sweeper();
  private readonly step: number;
  private deep = false;
  private block: BlockPixels;

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
    this.step = max(1, floor((width * height) / ENOUGH_PIXELS));
    const count = (across: number, by: number) => across * ceil(rows / by);
    this.block = new BlockPixels(channels, 0);
    this.tone = new ToneCounter(channels);
    this.texture = new Float32Array(count(grids.cellsAcross, CELL));
    this.crowded = new Uint8Array(this.texture.length);
    this.along = new Float64Array(width);
    this.down = new Float64Array(rows);
    this.reduced = new Float32Array(count(grids.reducedAcross, grids.reducedBy));
    this.extremes = new Uint16Array(count(grids.gridAcross, grids.gridBy) * channels * 2);
    for (let i = 0; i < this.extremes.length; i += 2) this.extremes[i] = 65535;
  }

  /** Takes a block. `read` puts rows of the part that is seen, 16 bit, interleaved, into `out`. */
  add(place: BlockPlace, read: ReadRows): void {
    const { core, seen } = place;
    const { channels } = this;
    const stride = seen.right - seen.left;
    const rows = seen.bottom - seen.top;
    const pixels = stride * rows;
    if (this.block.pixels < pixels) this.block = new BlockPixels(channels, pixels);
    const own: Box = {
      left: core.left - seen.left,
      top: core.top - seen.top,
      right: core.right - seen.left,
      bottom: core.bottom - seen.top,
    };
    const { samples, bytes } = this.block;
    // Some rows at a time, while they are at hand.
    for (let y = 0; y < rows; y += STRIP) {
      const bottom = min(rows, y + STRIP);
      const from = y * stride;
      const to = bottom * stride;
      read(
        seen.top + y,
        bottom - y,
        seen,
        samples.subarray(from * channels, to * channels),
      );
      this.block.takeLight(from, to);
      for (let j = max(y, own.top); j < min(bottom, own.bottom); j += 1)
        this.takeRow(core, own, stride, j);
      for (let j = max(y - 1, own.top, 1); j < min(bottom - 1, own.bottom); j += 1)
        this.takeDifferences(core, own, stride, j);
    }
    countNoise(this.noise, samples, channels, {
      left: own.left + NOISE_STEP / 2,
      top: own.top + NOISE_STEP / 2,
      right: own.right,
      bottom: own.bottom,
      stride,
      step: this.step,
    });
    this.deep ||= isDeep(samples, own.top * stride * channels, stride * channels);
    const light = { width: stride, height: rows, data: bytes.subarray(0, pixels) };
    const block = { width: stride, height: rows, channels, samples, light };
    const sweep = this.sweeper.sweep(block, own, { x: seen.left, y: seen.top });
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

  /** Tones, extremes and reduced light of one row of the part that counts. */
  private takeRow(core: Box, own: Box, stride: number, y: number): void {
    if ((y - own.top) % this.step === 0) {
      this.tone.add(this.block.samples, y * stride + own.left, y * stride + own.right);
      this.findExtremes(core, own, stride, y);
    }
    const { reducedBy: by } = this.grids;
    if ((y - own.top) % (by < 8 ? 1 : 2) === 0) this.reduce(core, own, stride, y);
  }

  /** Second differences of one row that has neighbours above and below. */
  private takeDifferences(core: Box, own: Box, stride: number, y: number): void {
    const { light } = this.block;
    const { along, down, step } = this;
    const left = max(1, own.left);
    const right = min(stride - 1, own.right);
    const from = y * stride + left;
    if (right <= left) return;
    if ((y - own.top) % step === 0)
      addAlong(light, from, y * stride + right, along, core.left + left - own.left);
    const to = from + (right - left) / step;
    down[core.top - this.top + y - own.top]! += sumAcross(light, from, to, stride);
  }

  /** Adds a row to the means of the light over squares; of large ones every second is enough. */
  private reduce(core: Box, own: Box, stride: number, y: number): void {
    const { reducedBy: by, reducedAcross } = this.grids;
    const { reduced } = this;
    const { light } = this.block;
    const row = floor((core.top - this.top + y - own.top) / by);
    const left = own.bottom - own.top - by * floor((y - own.top) / by);
    const lines = ceil(min(by, left) / (by < 8 ? 1 : 2));
    for (let x = own.left; x < own.right; x += by) {
      const right = min(own.right, x + by);
      let sum = 0;
      for (let i = y * stride + x; i < y * stride + right; i += 1) sum += light[i]!;
      const at = row * reducedAcross + (core.left + x - own.left) / by;
      reduced[at]! += sum / (lines * (right - x) * 257);
    }
  }

  /** Darkest and lightest values of one row, cell by cell. */
  private findExtremes(core: Box, own: Box, stride: number, y: number): void {
    const { gridBy: by, gridAcross } = this.grids;
    const { channels, extremes } = this;
    const { samples } = this.block;
    const row = floor((core.top - this.top + y - own.top) / by);
    for (let x = own.left; x < own.right; x += by) {
      const cell = (row * gridAcross + (core.left + x - own.left) / by) * channels * 2;
      const to = (y * stride + min(own.right, x + by)) * channels;
      for (let c = 0; c < channels; c += 1) {
        const at = cell + 2 * c;
        let darkest = extremes[at]!;
        let lightest = extremes[at + 1]!;
        for (let i = (y * stride + x) * channels + c; i < to; i += channels) {
          const v = samples[i]!;
          if (v < darkest) darkest = v;
          if (v > lightest) lightest = v;
        }
        extremes[at] = darkest;
        extremes[at + 1] = lightest;
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
      extremes: extremeBytes(extremes),
      deep,
    };
  }
}

/** Darkest and lightest 16-bit values in turn as bytes, 0 and 255 for what is clipped alone. */
function extremeBytes(extremes: Uint16Array): Uint8Array {
  const bytes = new Uint8Array(extremes.length);
  for (let i = 0; i < bytes.length; i += 2) {
    const lightest = extremes[i + 1]!;
    bytes[i] = min(255, (extremes[i]! + 127) >> 8);
    bytes[i + 1] = (lightest - (lightest >> 8)) >> 8;
  }
  return bytes;
}

/** Whether some of these samples are more than 8-bit values widened (v x 257). */
function isDeep(samples: Uint16Array, from: number, count: number): boolean {
  for (let i = from; i < from + count; i += 1)
    if (samples[i]! >> 8 !== (samples[i]! & 255)) return true;
  return false;
}
