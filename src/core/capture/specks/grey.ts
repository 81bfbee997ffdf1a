/** A grey picture of bytes, row by row. */
export interface Grey {
  width: number;
  height: number;
  data: Uint8Array;
}

/** Smoothed by the weights 1 2 1 both ways; the edge repeats. */
export function smoothed({ width, height, data }: Grey): Grey {
  const out = new Uint8Array(data.length);
  const sums = new Uint16Array(width + 2);
  for (let y = 0; y < height; y += 1) {
    const at = y * width;
    const above = y > 0 ? at - width : at;
    const below = y < height - 1 ? at + width : at;
    for (let x = 0; x < width; x += 1)
      sums[x + 1] = data[above + x]! + 2 * data[at + x]! + data[below + x]!;
    sums[0] = sums[1]!;
    sums[width + 1] = sums[width]!;
    for (let x = 0; x < width; x += 1)
      out[at + x] = (sums[x]! + 2 * sums[x + 1]! + sums[x + 2]! + 8) >> 4;
  }
  return { width, height, data: out };
}

/** Half the size by means of 2 x 2; an odd last row or column is left out. */
export function halved({ width, height, data }: Grey): Grey {
  const w = width >> 1;
  const h = height >> 1;
  const out = new Uint8Array(w * h);
  for (let y = 0, o = 0; y < h; y += 1) {
    let a = 2 * y * width;
    let b = a + width;
    for (let x = 0; x < w; x += 1, a += 2, b += 2, o += 1)
      out[o] = (data[a]! + data[a + 1]! + data[b]! + data[b + 1]! + 2) >> 2;
  }
  return { width: w, height: h, data: out };
}
