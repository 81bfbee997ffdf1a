import { ROWS_WASM } from './rowsWasm';

/** What rows.wat exports; places in its memory, and lengths, in bytes. */
export interface Sums {
  memory: WebAssembly.Memory;
  weighedSum(
    rows: number,
    stride: number,
    weights: number,
    count: number,
    out: number,
    length: number,
  ): void;
  across(
    row: number,
    first: number,
    weights: number,
    taps: number,
    out: number,
    count: number,
  ): void;
  places(
    at: number,
    out: number,
    end: number,
    matrix: number,
    toe: number,
    slope: number,
    scale: number,
    more: number,
    noise: number,
    points: number,
  ): void;
  encode: Recode;
  decode: Recode;
}

/** Floats from `at` to before `end`, in place: a straight piece, then a root or a cube. */
type Recode = (
  at: number,
  end: number,
  toe: number,
  slope: number,
  scale: number,
  add: number,
) => void;

const PAGE = 65536;
let assembled: WebAssembly.Module | undefined;

/** A memory of its own with the sums over it; made when it is first wanted. */
export class Scratch {
  private sums: Sums | undefined;
  floats = new Float32Array(0);

  /** The sums, with room for so many floats. */
  room(floats: number): Sums {
    if (!this.sums) {
      assembled ??= new WebAssembly.Module(
        Uint8Array.from(atob(ROWS_WASM), (c) => c.charCodeAt(0)),
      );
      const { exports } = new WebAssembly.Instance(assembled);
      this.sums = exports as unknown as Sums;
    }
    const { memory } = this.sums;
    const missing = floats * 4 - memory.buffer.byteLength;
    if (missing > 0) memory.grow(Math.ceil(missing / PAGE));
    if (this.floats.buffer !== memory.buffer) this.floats = new Float32Array(memory.buffer);
    return this.sums;
  }
}

/** The next multiple of four. */
export const four = (count: number) => (count + 3) & ~3;
