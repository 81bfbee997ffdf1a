import { RGB_SPACES, decoded, encodedLight } from '@/core/colour';
import { chance } from '@/core/image';

/** A picture as 8-bit RGB, row by row. */
export interface Rgb8 {
  width: number;
  height: number;
  data: Uint8Array;
}

export interface Corner {
  x: number;
  y: number;
}

/** How a print is photographed. */
export interface Photographing {
  /** Pixels of the photograph. */
  width: number;
  height: number;
  seed: number;
  /** Share of the photograph that the print takes. */
  share?: number;
  /** Degrees it is turned by at most, and how far its corners are off at most, a share of its sides. */
  turned?: number;
  keystone?: number;
  /** Light that is lost in the corners, stops; noise, of 255. */
  falloff?: number;
  noise?: number;
  /** White around the picture, a share of its width; what it lies on, linear light. */
  border?: number;
  ground?: readonly [number, number, number];
  /** Where its middle lies, shares of the photograph. */
  middle?: Corner;
}

const CURVE = RGB_SPACES.srgb.curve;
const LIGHT = Float64Array.from({ length: 256 }, (_, v) => decoded(CURVE, v / 255));
const STEPS = 4096;
const ENCODED = Float64Array.from(
  { length: STEPS + 1 },
  (_, v) => 255 * encodedLight(CURVE, v / STEPS),
);

/** The eight numbers of the perspective that takes four places to four others. */
function perspective(from: readonly Corner[], to: readonly Corner[]): number[] {
  const rows = from.flatMap(({ x, y }, i) => {
    const { x: u, y: v } = to[i]!;
    return [
      [x, y, 1, 0, 0, 0, -x * u, -y * u, u],
      [0, 0, 0, x, y, 1, -x * v, -y * v, v],
    ];
  });
  for (let c = 0; c < 8; c += 1) {
    let best = c;
    for (let r = c; r < 8; r += 1)
      if (Math.abs(rows[r]![c]!) > Math.abs(rows[best]![c]!)) best = r;
    [rows[c], rows[best]] = [rows[best]!, rows[c]!];
    for (let r = 0; r < 8; r += 1) {
      if (r === c) continue;
      const by = rows[r]![c]! / rows[c]![c]!;
      for (let k = c; k < 9; k += 1) rows[r]![k]! -= by * rows[c]![k]!;
    }
  }
  return rows.map((row, i) => row[8]! / row[i]!);
}

const middleOf = ({ width, height, middle }: Photographing): Corner => ({
  x: width * (middle?.x ?? 0.5),
  y: height * (middle?.y ?? 0.5),
});

/** Where the corners of a picture come to lie: turned, out of square, somewhere near the middle. */
function cornersIn(picture: Rgb8, how: Photographing, next: () => number): Corner[] {
  const { turned = 8, keystone = 0.1, share = 0.7 } = how;
  const scale = share * Math.min(how.width / picture.width, how.height / picture.height);
  const angle = ((2 * next() - 1) * turned * Math.PI) / 180;
  const { x: cx, y: cy } = middleOf(how);
  return [
    [-1, -1],
    [1, -1],
    [1, 1],
    [-1, 1],
  ].map(([sx, sy]) => {
    const off = () => 1 + (next() - 0.5) * keystone;
    const x = (sx! * picture.width * scale * off()) / 2;
    const y = (sy! * picture.height * scale * off()) / 2;
    return {
      x: cx + x * Math.cos(angle) - y * Math.sin(angle),
      y: cy + x * Math.sin(angle) + y * Math.cos(angle),
    };
  });
}

/** Several prints on one table. */
export function photographOf(
  prints: readonly { picture: Rgb8; how: Photographing }[],
): Rgb8 & { corners: Corner[][] } {
  const [{ how: first }] = prints as [(typeof prints)[0]];
  const { width, height, falloff = 0.5, noise = 2, ground = [0.12, 0.1, 0.09] } = first;
  const next = chance(first.seed);
  const placed = prints.map(({ picture, how }) => {
    const corners = cornersIn(picture, how, chance(how.seed + 1));
    const edges = [
      { x: 0, y: 0 },
      { x: picture.width, y: 0 },
      { x: picture.width, y: picture.height },
      { x: 0, y: picture.height },
    ];
    const border = (how.border ?? 0.06) * picture.width;
    return { picture, corners, back: perspective(corners, edges), border };
  });
  const data = new Uint8Array(width * height * 3);
  const light = [0, 0, 0];
  for (let y = 0, at = 0; y < height; y += 1)
    for (let x = 0; x < width; x += 1, at += 3) {
      light.splice(0, 3, ...ground);
      for (const { picture, back, border } of placed) {
        const [px, py] = [x + 0.5, y + 0.5];
        const w = back[6]! * px + back[7]! * py + 1;
        const u = (back[0]! * px + back[1]! * py + back[2]!) / w;
        const v = (back[3]! * px + back[4]! * py + back[5]!) / w;
        if (u < -border || v < -border) continue;
        if (u > picture.width + border || v > picture.height + border) continue;
        const within = u >= 0 && v >= 0 && u < picture.width && v < picture.height;
        for (let c = 0; c < 3; c += 1) light[c] = within ? between(picture, u, v, c) : 1;
      }
      const far =
        ((x - width / 2) ** 2 + (y - height / 2) ** 2) /
        ((width / 2) ** 2 + (height / 2) ** 2);
      const fall = 0.92 * 2 ** (-falloff * far);
      for (let c = 0; c < 3; c += 1) {
        const grain = (next() + next() + next() - 1.5) * 2 * noise;
        const value = ENCODED[Math.round(light[c]! * fall * STEPS)]! + grain;
        data[at + c] = Math.max(0, Math.min(255, Math.round(value)));
      }
    }
  return { width, height, data, corners: placed.map((p) => p.corners) };
}

/** Linear light of a picture between four pixels. */
function between({ width, height, data }: Rgb8, x: number, y: number, c: number): number {
  const u = Math.min(width - 1, Math.max(0, x - 0.5));
  const v = Math.min(height - 1, Math.max(0, y - 0.5));
  const left = Math.min(width - 2, Math.floor(u));
  const top = Math.min(height - 2, Math.floor(v));
  const at = (dx: number, dy: number) =>
    LIGHT[data[((top + dy) * width + left + dx) * 3 + c]!]!;
  const [fx, fy] = [u - left, v - top];
  return (
    at(0, 0) * (1 - fx) * (1 - fy) +
    at(1, 0) * fx * (1 - fy) +
    at(0, 1) * (1 - fx) * fy +
    at(1, 1) * fx * fy
  );
}
