import { labOf } from './difference';
import { apply, rgbToXyzD50 } from './matrix';
import type { Vector } from './matrix';
import { devicePlaces, outerPlaces, placeLab } from './simplexTable';
import type { DeviceTable } from './simplexTable';
import { RGB_SPACES, decoded } from './spaces';
import type { SpaceId } from './spaces';

/** Hues around and lightnesses up a gamut at which its reach is known. */
export const SHAPE_HUES = 72;
export const SHAPE_STEP = 2;
const LEVELS = 100 / SHAPE_STEP + 1;

/** How far a gamut reaches: chroma C* for each hue (every 5 degrees) and L* (0, 2, ... 100). */
export interface GamutShape {
  chroma: Float32Array;
  /** Cubic units of CIELAB. */
  volume: number;
}

/** Chroma that a shape reaches at a hue (its number) and a lightness, between its levels. */
export function reachAt(
  { chroma }: Pick<GamutShape, 'chroma'>,
  hue: number,
  lightness: number,
): number {
  const place = Math.min(LEVELS - 1, Math.max(0, lightness / SHAPE_STEP));
  const low = Math.min(LEVELS - 2, Math.floor(place));
  const from = (((hue % SHAPE_HUES) + SHAPE_HUES) % SHAPE_HUES) * LEVELS + low;
  return chroma[from]! + (place - low) * (chroma[from + 1]! - chroma[from]!);
}

const volumeOf = (chroma: Float32Array): number =>
  chroma.reduce((t, c) => t + c * c, 0) * 0.5 * ((2 * Math.PI) / SHAPE_HUES) * SHAPE_STEP;

/** Where a triangle cuts the half-plane of a hue: two places of L* and C*. */
function cutOf(corners: readonly Vector[], cos: number, sin: number): [number, number][] {
  const out: [number, number][] = [];
  for (let i = 0; i < 3; i += 1) {
    const [one, other] = [corners[i]!, corners[(i + 1) % 3]!];
    const s = one[2] * cos - one[1] * sin;
    const t = other[2] * cos - other[1] * sin;
    if (s > 0 === t > 0) continue;
    const share = s / (s - t);
    const along = (c: 0 | 1 | 2) => one[c] + share * (other[c] - one[c]);
    const chroma = along(1) * cos + along(2) * sin;
    if (chroma < 0) return [];
    out.push([along(0), chroma]);
  }
  return out.length === 2 ? out : [];
}

function lay(chroma: Float32Array, hue: number, [one, other]: [number, number][]): void {
  const [low, high] = one![0] <= other![0] ? [one!, other!] : [other!, one!];
  const from = Math.max(0, Math.ceil(low[0] / SHAPE_STEP));
  const to = Math.min(LEVELS - 1, Math.floor(high[0] / SHAPE_STEP));
  for (let k = from; k <= to; k += 1) {
    const share = high[0] > low[0] ? (k * SHAPE_STEP - low[0]) / (high[0] - low[0]) : 0;
    const reached = low[1] + share * (high[1] - low[1]);
    const at = hue * LEVELS + k;
    if (reached > chroma[at]!) chroma[at] = reached;
  }
}

/**
 * The shape of all colours of a device: its outer faces, cut by half-planes of hue. Holds for
 * gamuts that are one piece at each hue and lightness, as those of printers are.
 */
export function gamutShape(table: DeviceTable): GamutShape {
  const chroma = new Float32Array(SHAPE_HUES * LEVELS);
  const side = table.points;
  const outer = outerPlaces(table.channels, side).map((d) => placeLab(table, d));
  const turns = Array.from(
    { length: SHAPE_HUES },
    (_, h) => (h / SHAPE_HUES) * 2 * Math.PI,
  );
  const through = (corners: Vector[]) => {
    if (corners.every(([, a, b]) => Math.hypot(a, b) < 1e-6)) return;
    turns.forEach((turn, hue) => {
      const cut = cutOf(corners, Math.cos(turn), Math.sin(turn));
      if (cut.length === 2) lay(chroma, hue, cut);
    });
  };
  for (let face = 0; face < outer.length; face += side * side)
    for (let y = 0; y + 1 < side; y += 1)
      for (let x = 0; x + 1 < side; x += 1) {
        const at = face + y * side + x;
        const [a, b, c, d] = [
          outer[at]!,
          outer[at + 1]!,
          outer[at + side]!,
          outer[at + side + 1]!,
        ];
        through([a, b, d]);
        through([a, d, c]);
      }
  return { chroma, volume: volumeOf(chroma) };
}

/** The share of one gamut, 0..1 of its volume, that another holds. */
export function coverage(of: GamutShape, by: GamutShape): number {
  const both = of.chroma.map((c, i) => Math.min(c, by.chroma[i]!));
  return of.volume > 0 ? volumeOf(both) / of.volume : 0;
}

/** Places of a table of a working space along an axis: its curves bend near black. */
const SPACE_POINTS = 25;

/** The colours of a working space over a grid of its encoded values. */
export function spaceTable(id: SpaceId): DeviceTable {
  const space = RGB_SPACES[id];
  const matrix = rgbToXyzD50(space);
  const places = devicePlaces(3, SPACE_POINTS);
  const lab = new Float32Array(places.length);
  for (let i = 0; i < places.length; i += 3) {
    const light = [0, 1, 2].map((c) => decoded(space.curve, places[i + c]!)) as Vector;
    lab.set(labOf(apply(matrix, light)), i);
  }
  return { channels: 3, points: SPACE_POINTS, lab };
}
