/** A grey picture of bytes, row by row. */
export interface Grey {
  width: number;
  height: number;
  data: Uint8Array;
}

/** Room for so many bytes: what is there already when it is large enough. */
export const roomFor = (kept: Uint8Array | undefined, bytes: number): Uint8Array =>
  kept && kept.length >= bytes ? kept : new Uint8Array(bytes);

/**
 * Smoothed by the weights 1 2 1 both ways into `out` (the edge repeats), and that at half its
 * size, by means of 2 x 2, into `half`. An odd last row or column is left out of both.
 */
export function smoothAndHalve(
  { width, height, data }: Grey,
  out: Uint8Array,
  half: Uint8Array,
): { level: Grey; half: Grey } {
  const across = width >> 1;
  const down = height >> 1;
  // Two rows and two columns at a time: each sum over a column serves several of them.
  for (let y = 0, o = 0; y < 2 * down; y += 2) {
    const b = y * width;
    const c = b + width;
    const a = y > 0 ? b - width : b;
    const d = y + 2 < height ? c + width : c;
    const middle = data[b]! + data[c]!;
    let upper = data[a]! + data[b]! + middle;
    let lower = middle + data[c]! + data[d]!;
    let upperBefore = upper;
    let lowerBefore = lower;
    for (let x = 0; x < 2 * across; x += 2, o += 1) {
      const n = x + 1;
      const both = data[b + n]! + data[c + n]!;
      const upperNext = data[a + n]! + data[b + n]! + both;
      const lowerNext = both + data[c + n]! + data[d + n]!;
      const m = x + 2 < width ? x + 2 : n;
      const bothAfter = data[b + m]! + data[c + m]!;
      const upperAfter = data[a + m]! + data[b + m]! + bothAfter;
      const lowerAfter = bothAfter + data[c + m]! + data[d + m]!;
      const p = (upperBefore + 2 * upper + upperNext + 8) >> 4;
      const q = (upper + 2 * upperNext + upperAfter + 8) >> 4;
      const r = (lowerBefore + 2 * lower + lowerNext + 8) >> 4;
      const s = (lower + 2 * lowerNext + lowerAfter + 8) >> 4;
      out[b + x] = p;
      out[b + n] = q;
      out[c + x] = r;
      out[c + n] = s;
      half[o] = (p + q + r + s + 2) >> 2;
      upperBefore = upperNext;
      lowerBefore = lowerNext;
      upper = upperAfter;
      lower = lowerAfter;
    }
  }
  return {
    level: { width, height, data: out },
    half: { width: across, height: down, data: half },
  };
}
