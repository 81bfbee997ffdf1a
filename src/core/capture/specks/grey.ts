/** A grey picture of bytes, row by row. */
export interface Grey {
  width: number;
  height: number;
  data: Uint8Array;
}

/** Room for so many bytes: what is there already when it is large enough. */
export const roomFor = (kept: Uint8Array | undefined, bytes: number): Uint8Array =>
  kept && kept.length >= bytes ? kept : new Uint8Array(bytes);

/** A pixel smoothed by the weights 1 2 1 both ways; not for the outermost. */
export function smoothAt({ width, data }: Grey, i: number): number {
  const a = i - width;
  const b = i + width;
  const corners = data[a - 1]! + data[a + 1]! + data[b - 1]! + data[b + 1]!;
  const sides = data[a]! + data[b]! + data[i - 1]! + data[i + 1]!;
  return (corners + 2 * sides + 4 * data[i]! + 8) >> 4;
}

/** Half the size by means of 2 x 2, into `out`; an odd last row or column is left out. */
export function halved({ width, height, data }: Grey, out: Uint8Array): Grey {
  const w = width >> 1;
  const h = height >> 1;
  for (let y = 0, o = 0; y < h; y += 1) {
    let a = 2 * y * width;
    let b = a + width;
    for (let x = 0; x < w; x += 1, a += 2, b += 2, o += 1)
      out[o] = (data[a]! + data[a + 1]! + data[b]! + data[b + 1]! + 2) >> 2;
  }
  return { width: w, height: h, data: out };
}
