/**
 * A conversion of colours looked up instead of computed: RGB over a grid of the input, for the
 * screen. One channel: `points` entries; three: a cube, the last channel running fastest.
 */
export interface ColourTable {
  channels: 1 | 3;
  points: number;
  /** RGB, 0..255, three for each place of the grid. */
  values: Float32Array;
}

/** Samples (0..65535) of every place of a table's grid, in its order. */
export function tablePlaces(channels: 1 | 3, points: number): Uint16Array {
  const level = (i: number) => Math.round((i / (points - 1)) * 65535);
  if (channels === 1) {
    const grey = new Uint16Array(points);
    for (let i = 0; i < points; i += 1) grey[i] = level(i);
    return grey;
  }
  const cube = new Uint16Array(points ** 3 * 3);
  let at = 0;
  for (let r = 0; r < points; r += 1)
    for (let g = 0; g < points; g += 1)
      for (let b = 0; b < points; b += 1, at += 3) {
        cube[at] = level(r);
        cube[at + 1] = level(g);
        cube[at + 2] = level(b);
      }
  return cube;
}

function throughCurve(
  rows: Float32Array,
  { points, values }: ColourTable,
  out: Uint8ClampedArray,
) {
  for (let i = 0, o = 0; i < rows.length; i += 1, o += 4) {
    const v = Math.min(1, Math.max(0, rows[i]! / 65535)) * (points - 1);
    const low = Math.min(points - 2, v | 0);
    const t = v - low;
    for (let c = 0; c < 3; c += 1) {
      const from = values[low * 3 + c]!;
      out[o + c] = from + t * (values[low * 3 + 3 + c]! - from);
    }
    out[o + 3] = 255;
  }
}

/**
 * Rows of samples (0..65535, overshoot is cut) as RGBA for a screen: between the places of the
 * grid by tetrahedra (four corners of the cube that a colour lies in).
 */
export function throughTable(
  rows: Float32Array,
  table: ColourTable,
  out: Uint8ClampedArray,
): void {
  if (table.channels === 1) return throughCurve(rows, table, out);
  const { points, values } = table;
  const last = points - 1;
  const scale = last / 65535;
  const dr = points * points * 3;
  const dg = points * 3;
  const db = 3;
  for (let i = 0, o = 0; i < rows.length; i += 3, o += 4) {
    let r = rows[i]! * scale;
    let g = rows[i + 1]! * scale;
    let b = rows[i + 2]! * scale;
    r = r <= 0 ? 0 : r >= last ? last : r;
    g = g <= 0 ? 0 : g >= last ? last : g;
    b = b <= 0 ? 0 : b >= last ? last : b;
    const ri = r >= last ? last - 1 : r | 0;
    const gi = g >= last ? last - 1 : g | 0;
    const bi = b >= last ? last - 1 : b | 0;
    r -= ri;
    g -= gi;
    b -= bi;
    const near = ri * dr + gi * dg + bi * db;
    const far = near + dr + dg + db;
    // The way from the near corner to the far one along the axes, the largest share first.
    let one = dr;
    let two = dr + dg;
    let high = r;
    let middle = g;
    let low = b;
    if (r >= g) {
      if (b > g) {
        two = dr + db;
        low = g;
        if (r >= b) middle = b;
        else {
          one = db;
          high = b;
          middle = r;
        }
      }
    } else {
      high = g;
      if (r >= b) {
        one = dg;
        middle = r;
      } else {
        two = dg + db;
        low = r;
        if (g >= b) {
          one = dg;
          middle = b;
        } else {
          one = db;
          high = b;
          middle = g;
        }
      }
    }
    const a = 1 - high;
    const c = high - middle;
    const d = middle - low;
    one += near;
    two += near;
    out[o] = a * values[near]! + c * values[one]! + d * values[two]! + low * values[far]!;
    out[o + 1] =
      a * values[near + 1]! +
      c * values[one + 1]! +
      d * values[two + 1]! +
      low * values[far + 1]!;
    out[o + 2] =
      a * values[near + 2]! +
      c * values[one + 2]! +
      d * values[two + 2]! +
      low * values[far + 2]!;
    out[o + 3] = 255;
  }
}
