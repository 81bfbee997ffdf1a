import { chance } from '../demo/capture/dust';
import type { Samples } from '../demo/capture/dust';

const { ceil, floor, hypot, max, min, round, sin } = Math;

/** Kinds of small things that belong in a picture. */
export const PAINTED = ['dots', 'stars', 'highlights', 'spatter'] as const;
export type PaintedKind = (typeof PAINTED)[number];

const SIDE = 1536;

type Colour = readonly [number, number, number];

/** Lays a soft-edged disc on a picture. */
function disc(
  { width, height, data }: Samples,
  [cx, cy]: readonly [number, number],
  radius: number,
  soft: number,
  colour: Colour,
): void {
  const reach = ceil(radius + 2 * soft);
  for (let y = max(0, floor(cy) - reach); y <= min(height - 1, cy + reach); y += 1)
    for (let x = max(0, floor(cx) - reach); x <= min(width - 1, cx + reach); x += 1) {
      const part = min(1, max(0, (radius - hypot(x - cx, y - cy)) / soft + 0.5));
      const i = (y * width + x) * 3;
      for (let c = 0; c < 3; c += 1)
        data[i + c] = round(data[i + c]! + part * (colour[c]! * 257 - data[i + c]!));
    }
}

/** A made-up painting that is full of small things of its own on smooth ground. */
export function paintedPicture(kind: PaintedKind, seed: number): Samples {
  const random = chance(seed * 7919 + 13);
  const picture: Samples = {
    width: SIDE,
    height: SIDE,
    data: new Uint16Array(SIDE * SIDE * 3),
  };
  const of = (low: number, high: number) => low + random() * (high - low);
  const dark = kind === 'stars';
  const from: Colour = dark
    ? [of(5, 25), of(8, 30), of(25, 60)]
    : [of(150, 235), of(150, 235), of(140, 230)];
  const lean: Colour = [of(-30, 20), of(-30, 20), of(-20, 30)];
  for (let y = 0, i = 0; y < SIDE; y += 1)
    for (let x = 0; x < SIDE; x += 1)
      for (let c = 0; c < 3; c += 1, i += 1) {
        const v =
          from[c]! + lean[c]! * (y / SIDE) + 6 * sin(x / 190 + c) + (random() - 0.5) * 2;
        picture.data[i] = min(65535, max(0, round(v * 257)));
      }
  const place = (): [number, number] => [of(30, SIDE - 30), of(30, SIDE - 30)];
  if (kind === 'stars')
    for (let n = 0; n < 260; n += 1) {
      const light = of(120, 250);
      const radius = 0.9 + 3.2 * random() ** 3;
      disc(picture, place(), radius, 1.2, [light, light, min(255, light + of(-10, 25))]);
    }
  if (kind === 'spatter') {
    const ink: Colour = [of(20, 90), of(20, 90), of(20, 90)];
    for (let n = 0; n < 180; n += 1)
      disc(picture, place(), 1 + 6 * random() ** 2, 1.1, ink);
  }
  if (kind === 'dots')
    for (let group = 0; group < 9; group += 1) {
      const [gx, gy] = place();
      const colour: Colour = [of(30, 240), of(30, 240), of(30, 240)];
      const radius = of(2, 8);
      for (let n = 0; n < 26; n += 1) {
        const at = [gx + of(-170, 170), gy + of(-170, 170)] as const;
        const own = colour.map((v) => v + of(-8, 8)) as unknown as Colour;
        disc(picture, at, radius * of(0.85, 1.15), of(1, 2), own);
      }
    }
  if (kind === 'highlights')
    for (let n = 0; n < 36; n += 1) {
      const at = place();
      const radius = of(16, 40);
      const colour: Colour = [of(60, 200), of(40, 160), of(30, 160)];
      disc(picture, at, radius, 3, colour);
      const glint = [at[0] - radius * 0.35, at[1] - radius * 0.35] as const;
      disc(picture, glint, radius * 0.28, radius * 0.3, [225, 222, 215]);
      disc(picture, glint, of(1.5, 4), 1.6, [250, 250, 248]);
    }
  return picture;
}
