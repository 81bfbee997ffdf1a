import type { Samples } from './dust';

/** Light of the underside of a scanner's lid, 16 bit. */
const LID = 49000;

/** Lays a picture askew on a scanner bed that shows around it, so many pixels at least. */
export function layOnBed(
  { width, height, data }: Samples,
  pixels: number,
  degrees: number,
): Samples {
  const a = (degrees * Math.PI) / 180;
  const [cos, sin] = [Math.cos(a), Math.sin(a)];
  const w = Math.ceil(width * cos + height * Math.abs(sin)) + 2 * pixels;
  const h = Math.ceil(height * cos + width * Math.abs(sin)) + 2 * pixels;
  const made = new Uint16Array(w * h * 3).fill(LID);
  for (let y = 0; y < h; y += 1)
    for (let x = 0; x < w; x += 1) {
      const dx = x + 0.5 - w / 2;
      const dy = y + 0.5 - h / 2;
      const u = dx * cos + dy * sin + width / 2 - 0.5;
      const v = -dx * sin + dy * cos + height / 2 - 0.5;
      const i = Math.floor(u);
      const j = Math.floor(v);
      if (i < 0 || j < 0 || i >= width - 1 || j >= height - 1) continue;
      const [p, q] = [u - i, v - j];
      const at = (j * width + i) * 3;
      const below = at + width * 3;
      const o = (y * w + x) * 3;
      for (let c = 0; c < 3; c += 1)
        made[o + c] =
          (1 - q) * ((1 - p) * data[at + c]! + p * data[at + 3 + c]!) +
          q * ((1 - p) * data[below + c]! + p * data[below + 3 + c]!);
    }
  return { width: w, height: h, data: made };
}
