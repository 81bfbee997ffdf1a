import { lightnessOf } from './spaces';

/** Converts `pixels` colours of 16-bit samples into as many places of single precision each. */
export type ExactColours = (input: Uint16Array, pixels: number) => Float32Array;

/** Blocks of the grid along an axis, and cells of a block along its own. */
const BLOCKS = 32;
const CELLS = 4;
/** The same where the conversion bends within a block. */
const FINE_CELLS = 8;
/** The same where it is only looked at: some hundredths of what is visible are lost. */
const ROUGH_CELLS = 2;
const PLACES = BLOCKS * CELLS;
const LEVELS = 65536;

/**
 * A conversion of colours looked up over a grid that fills itself: a block of cells is reckoned by
 * the exact way when the first colour falls into it, and more finely where the exact way is not
 * straight between the places of the grid. A picture meets a small part of all colours, so that a
 * fine grid is cheap where a whole one is not.
 */
export interface Lattice {
  /** Converts `pixels` colours of interleaved 16-bit samples; `out` has `outs` values for each. */
  convert(input: Uint16Array, out: Float32Array, pixels: number): void;
  /** Blocks that were met, and those of them that are fine. */
  met(): { blocks: number; fine: number };
}

export interface LatticePlan {
  /** Samples of a colour that comes in. */
  channels: 1 | 3;
  /** Values of a colour that goes out. */
  outs: number;
  exact: ExactColours;
  /** How far a value may miss the exact one in the middle of a cell before its block is made fine; `rough`: a grid half as fine, for the eye, an eighth of the work. */
  tolerance: number | 'rough';
  /**
   * How the axes are divided: for each channel a rising value, 0..1, of every one of 65536
   * levels; without it evenly. Even in lightness, the grid is as fine in the shadows as elsewhere.
   */
  axes?: readonly Float32Array[];
}

/** Along one axis: for each level its place, and the level at a place. */
interface Axis {
  places: Float32Array;
  levelAt(place: number): number;
}

function axisOf(rising?: Float32Array): Axis {
  const places = Float32Array.from(
    { length: LEVELS },
    (_, v) => (rising ? rising[v]! : v / (LEVELS - 1)) * PLACES,
  );
  places[0] = 0;
  places[LEVELS - 1] = PLACES;
  return {
    places,
    levelAt(place) {
      let [low, high] = [0, LEVELS - 1];
      while (high - low > 1) {
        const middle = (low + high) >> 1;
        if (places[middle]! <= place) low = middle;
        else high = middle;
      }
      return place - places[low]! <= places[high]! - place ? low : high;
    },
  };
}

/** A grey picture has 65536 colours at most: each is reckoned by itself, a block of them at once. */
function greyLattice({ outs, exact }: LatticePlan): Lattice {
  const SPAN = 1024;
  const values = new Float32Array(LEVELS * outs);
  const filled = new Uint8Array(LEVELS / SPAN);
  return {
    convert(input, out, pixels) {
      for (let p = 0; p < pixels; p += 1) {
        const v = input[p]!;
        const block = (v / SPAN) | 0;
        if (filled[block] === 0) {
          const from = block * SPAN;
          values.set(
            exact(
              Uint16Array.from({ length: SPAN }, (_, i) => from + i),
              SPAN,
            ),
            from * outs,
          );
          filled[block] = 1;
        }
        for (let c = 0; c < outs; c += 1) out[p * outs + c] = values[v * outs + c]!;
      }
    },
    met: () => ({ blocks: filled.reduce((n, v) => n + v, 0), fine: 0 }),
  };
}

/** Colours at the places of a block, the last channel running fastest; `middle`: in the middle of its cells instead. */
function placesOf(
  axes: readonly Axis[],
  block: readonly number[],
  cells: number,
  middle: boolean,
): Uint16Array {
  const side = middle ? cells : cells + 1;
  const levels = axes.map((axis, c) =>
    Array.from({ length: side }, (_, i) =>
      axis.levelAt(block[c]! * CELLS + ((i + (middle ? 0.5 : 0)) * CELLS) / cells),
    ),
  );
  const out = new Uint16Array(side ** 3 * 3);
  for (let r = 0, i = 0; r < side; r += 1)
    for (let g = 0; g < side; g += 1)
      for (let b = 0; b < side; b += 1, i += 3) {
        out[i] = levels[0]![r]!;
        out[i + 1] = levels[1]![g]!;
        out[i + 2] = levels[2]![b]!;
      }
  return out;
}

/**
 * Lays a grid out; nothing is reckoned yet. Between its places by tetrahedra. Memory: some
 * kilobytes for each block that is met.
 */
export function lattice(plan: LatticePlan): Lattice {
  const { channels, outs, exact, tolerance } = plan;
  if (channels === 1) return greyLattice(plan);
  const made = new Map<Float32Array | undefined, Axis>();
  const axes = [0, 1, 2].map((c) => {
    const rising = plan.axes?.[c];
    const axis = made.get(rising) ?? axisOf(rising);
    made.set(rising, axis);
    return axis;
  });
  const [pr, pg, pb] = [axes[0]!.places, axes[1]!.places, axes[2]!.places];
  /** The table of each block; a block is fine where its table is longer. */
  const tables: (Float32Array | undefined)[] = new Array<undefined>(BLOCKS ** 3).fill(
    undefined,
  );
  /** How far a value may miss; a rough grid is asked no such thing. */
  const most = tolerance === 'rough' ? Infinity : tolerance;
  const coarseLength = (CELLS + 1) ** 3 * outs;
  let [blocks, fine] = [0, 0];

  const along = (number: number) => [
    (number / (BLOCKS * BLOCKS)) | 0,
    ((number / BLOCKS) | 0) % BLOCKS,
    number % BLOCKS,
  ];
  const blockAt = (place: number) => (place >= PLACES ? BLOCKS - 1 : (place / CELLS) | 0);

  /** Reckons all blocks that colours fall into, at once: asking once for many costs less than once for each. */
  function fillRough(input: Uint16Array, samples: number): void {
    const asked = new Set<number>();
    for (let i = 0; i < samples; i += 3) {
      const [r, g, b] = [pr[input[i]!]!, pg[input[i + 1]!]!, pb[input[i + 2]!]!];
      const number = (blockAt(r) * BLOCKS + blockAt(g)) * BLOCKS + blockAt(b);
      if (!tables[number]) asked.add(number);
    }
    if (asked.size === 0) return;
    const places = (ROUGH_CELLS + 1) ** 3;
    const all = new Uint16Array(asked.size * places * 3);
    [...asked].forEach((number, k) =>
      all.set(placesOf(axes, along(number), ROUGH_CELLS, false), k * places * 3),
    );
    const found = exact(all, asked.size * places);
    [...asked].forEach((number, k) => {
      tables[number] = found.slice(k * places * outs, (k + 1) * places * outs);
    });
    blocks += asked.size;
  }

  function fill(number: number): Float32Array {
    const block = along(number);
    const tableOf = (cells: number) =>
      exact(placesOf(axes, block, cells, false), (cells + 1) ** 3);
    tables[number] = tableOf(CELLS);
    blocks += 1;
    const middles = placesOf(axes, block, CELLS, true);
    const wanted = exact(middles, CELLS ** 3);
    const looked = new Float32Array(CELLS ** 3 * outs);
    convert(middles, looked, CELLS ** 3);
    if (looked.some((v, i) => Math.abs(v - wanted[i]!) > most)) {
      tables[number] = tableOf(FINE_CELLS);
      fine += 1;
    }
    return tables[number];
  }

  function convert(input: Uint16Array, out: Float32Array, pixels: number): void {
    const samples = pixels * 3;
    if (tolerance === 'rough') fillRough(input, samples);
    for (let i = 0, o = 0; i < samples; i += 3, o += outs) {
      let r = pr[input[i]!]!;
      let g = pg[input[i + 1]!]!;
      let b = pb[input[i + 2]!]!;
      const rb = blockAt(r);
      const gb = blockAt(g);
      const bb = blockAt(b);
      const number = (rb * BLOCKS + gb) * BLOCKS + bb;
      const table = tables[number] ?? fill(number);
      r -= rb * CELLS;
      g -= gb * CELLS;
      b -= bb * CELLS;
      let cells = CELLS;
      if (table.length !== coarseLength) {
        cells = table.length > coarseLength ? FINE_CELLS : ROUGH_CELLS;
        const by = cells / CELLS;
        r *= by;
        g *= by;
        b *= by;
      }
      const ri = r >= cells ? cells - 1 : r | 0;
      const gi = g >= cells ? cells - 1 : g | 0;
      const bi = b >= cells ? cells - 1 : b | 0;
      r -= ri;
      g -= gi;
      b -= bi;
      const db = outs;
      const dg = (cells + 1) * outs;
      const dr = (cells + 1) * dg;
      const near = ri * dr + gi * dg + bi * db;
      const far = near + dr + dg + db;
      // From the near corner to the far one along the axes, the largest share first.
      let one = near + dr;
      let two = one + dg;
      let high = r;
      let middle = g;
      let low = b;
      if (r >= g) {
        if (b > g) {
          low = g;
          if (r >= b) {
            two = one + db;
            middle = b;
          } else {
            one = near + db;
            two = one + dr;
            high = b;
            middle = r;
          }
        }
      } else {
        one = near + dg;
        high = g;
        if (r >= b) {
          two = one + dr;
          middle = r;
        } else {
          low = r;
          if (g >= b) {
            two = one + db;
            middle = b;
          } else {
            one = near + db;
            two = one + dg;
            high = b;
            middle = g;
          }
        }
      }
      const a = 1 - high;
      const c = high - middle;
      const d = middle - low;
      out[o] = a * table[near]! + c * table[one]! + d * table[two]! + low * table[far]!;
      for (let k = 1; k < outs; k += 1)
        out[o + k] =
          a * table[near + k]! +
          c * table[one + k]! +
          d * table[two + k]! +
          low * table[far + k]!;
    }
  }
  return { convert, met: () => ({ blocks, fine }) };
}

/**
 * Axes even in CIE lightness, from what each channel's levels are as light.
 * `light`: linear light, 0..1, of every one of 65536 levels.
 */
export const lightnessAxis = (light: (encoded: number) => number): Float32Array => {
  const axis = Float32Array.from(
    { length: LEVELS },
    (_, v) => lightnessOf(Math.min(1, Math.max(0, light(v / (LEVELS - 1))))) / 100,
  );
  for (let v = 1; v < LEVELS; v += 1) axis[v] = Math.max(axis[v]!, axis[v - 1]!);
  return axis;
};
