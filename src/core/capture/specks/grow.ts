import type { Grey } from './grey';

/** Largest extent that is followed, pixels each way from the seed. */
export const REACH = 40;
/** More pixels than this are not a speck. */
export const MOST_PIXELS = 900;

/** Follows things pixel by pixel; its marks are laid out once and used again. */
export class Grower {
  private marks = new Int32Array(0);
  private mark = 0;
  private grey!: Grey;
  /** Pixels of the thing grown last, by index. */
  readonly pixels = new Int32Array(MOST_PIXELS + 8);

  /** The picture in which things are followed from now on. */
  look(grey: Grey): void {
    this.grey = grey;
    if (this.marks.length < grey.data.length) this.marks = new Int32Array(grey.data.length);
  }

  /**
   * Counts the pixels joined to the seed (by their sides) whose light is at least `least`
   * away from the ground on the given side, and puts them into `pixels`. 0 when they run on
   * beyond reach.
   */
  grow(seed: number, ground: number, least: number, sign: number): number {
    const { width, height, data } = this.grey;
    const { marks, pixels } = this;
    const mark = (this.mark += 1);
    const sx = seed % width;
    const sy = (seed - sx) / width;
    const limit = sign * ground + least;
    let n = 0;
    pixels[n++] = seed;
    marks[seed] = mark;
    for (let head = 0; head < n; head += 1) {
      const i = pixels[head]!;
      const x = i % width;
      const y = (i - x) / width;
      if (x - sx > REACH || sx - x > REACH || y - sy > REACH || sy - y > REACH) return 0;
      if (n > MOST_PIXELS) return 0;
      if (x > 0 && marks[i - 1] !== mark && sign * data[i - 1]! >= limit) {
        marks[i - 1] = mark;
        pixels[n++] = i - 1;
      }
      if (x < width - 1 && marks[i + 1] !== mark && sign * data[i + 1]! >= limit) {
        marks[i + 1] = mark;
        pixels[n++] = i + 1;
      }
      if (y > 0 && marks[i - width] !== mark && sign * data[i - width]! >= limit) {
        marks[i - width] = mark;
        pixels[n++] = i - width;
      }
      if (y < height - 1 && marks[i + width] !== mark && sign * data[i + width]! >= limit) {
        marks[i + width] = mark;
        pixels[n++] = i + width;
      }
    }
    return n;
  }

  /** Whether a pixel belongs to the thing grown last. */
  holds = (i: number): boolean => this.marks[i] === this.mark;
}
