import { colourDifference, differenceParts } from './difference';
import type { Vector } from './matrix';
import { colourAt, outerPlaces } from './simplexTable';
import type { DeviceTable } from './simplexTable';

const ROUNDS = 12;
/** A step of device values by which slopes are felt. */
const FEEL = 1 / 128;

/** Chroma below which a colour has no hue to speak of. */
const NEUTRAL = 3;

/** Solves a small system by elimination; null where it has no single answer. */
function solved(rows: number[][], right: number[]): number[] | null {
  const n = right.length;
  const m = rows.map((row, i) => [...row, right[i]!]);
  for (let i = 0; i < n; i += 1) {
    let pivot = i;
    for (let k = i + 1; k < n; k += 1)
      if (Math.abs(m[k]![i]!) > Math.abs(m[pivot]![i]!)) pivot = k;
    [m[i], m[pivot]] = [m[pivot]!, m[i]!];
    if (Math.abs(m[i]![i]!) < 1e-12) return null;
    for (let k = i + 1; k < n; k += 1) {
      const f = m[k]![i]! / m[i]![i]!;
      for (let c = i; c <= n; c += 1) m[k]![c]! -= f * m[i]![c]!;
    }
  }
  const out = new Array<number>(n).fill(0);
  for (let i = n - 1; i >= 0; i -= 1) {
    let v = m[i]![n]!;
    for (let c = i + 1; c < n; c += 1) v -= m[i]![c]! * out[c]!;
    out[i] = v / m[i]![i]!;
  }
  return out;
}

export interface Reached {
  /** Device values, 0..1. */
  device: number[];
  /** CIEDE2000 to what was wanted. */
  difference: number;
}

/** From a guess downhill: damped Gauss-Newton steps that stay within 0..1. */
function downhill(
  table: DeviceTable,
  wanted: Readonly<Vector>,
  guess: ArrayLike<number>,
): Reached {
  const { channels } = table;
  const [, a, b] = wanted;
  const neutral = Math.hypot(a, b) < NEUTRAL;
  const missOf = (device: number[], out: Float64Array) => {
    const colour = colourAt(table, device);
    differenceParts(wanted, colour, out);
    // Near grey a difference has no direction by hue and chroma: there by a* and b*.
    if (neutral) [out[1], out[2]] = [1.5 * (colour[1] - a), colour[2] - b];
  };
  const miss = new Float64Array(3);
  const moved = new Float64Array(3);
  const slopes = Array.from({ length: channels }, () => new Float64Array(3));
  const farness = (device: number[]) => colourDifference(colourAt(table, device), wanted);
  let device = Array.from(guess, (v) => Math.min(1, Math.max(0, v)));
  let difference = farness(device);
  let damping = 0.05;
  for (let round = 0; round < ROUNDS && difference > 0.05; round += 1) {
    missOf(device, miss);
    for (let i = 0; i < channels; i += 1) {
      const v = device[i]!;
      const by = v < 0.5 ? FEEL : -FEEL;
      device[i] = v + by;
      missOf(device, moved);
      device[i] = v;
      for (let c = 0; c < 3; c += 1) slopes[i]![c] = (moved[c]! - miss[c]!) / by;
    }
    const along = (one: Float64Array, other: Float64Array) =>
      one[0]! * other[0]! + one[1]! * other[1]! + one[2]! * other[2]!;
    const pull = slopes.map((s) => along(s, miss));
    // What lies at an end of its range and is pulled beyond it stays there.
    const free = device
      .map((_, i) => i)
      .filter(
        (i) => !((device[i]! <= 0 && pull[i]! > 0) || (device[i]! >= 1 && pull[i]! < 0)),
      );
    if (free.length === 0) break;
    const rows = free.map((i) =>
      free.map((k) => along(slopes[i]!, slopes[k]!) + (i === k ? damping : 0)),
    );
    const step = solved(
      rows,
      free.map((i) => -pull[i]!),
    );
    if (!step) break;
    const next = [...device];
    free.forEach((i, k) => {
      next[i] = Math.min(1, Math.max(0, device[i]! + step[k]!));
    });
    const far = farness(next);
    if (far < difference) {
      const gained = difference - far;
      [device, difference] = [next, far];
      damping /= 4;
      if (gained < 0.004) break;
    } else {
      damping = damping * 8 + 1;
      if (damping > 1e5) break;
    }
  }
  return { device: device.slice(0, channels), difference };
}

/** Places along a face among which another valley is looked for. */
const FACE = { 3: 7, 4: 4 } as const;
/** Below this no other valley is looked for. */
const CLOSE = 3;

/** Starting places for a table: device values of its outer faces, and their colours. */
export interface Starts {
  devices: number[][];
  colours: Vector[];
}

/** Starting places over the outer faces of a table, reckoned once for all colours that are asked about. */
export function startsOf(table: DeviceTable): Starts {
  const devices = outerPlaces(table.channels, FACE[table.channels]);
  return { devices, colours: devices.map((d) => colourAt(table, d)) };
}

/**
 * The device values whose colour comes nearest to a wanted one (CIEDE2000), and how far it is:
 * downhill from a first guess, and from the outer place that is nearest.
 * `wanted`: L*a*b* relative to the paper's white, as the table's.
 */
export function nearestColour(
  table: DeviceTable,
  starts: Starts,
  wanted: Readonly<Vector>,
  guess: ArrayLike<number>,
): Reached {
  const first = downhill(table, wanted, guess);
  if (first.difference < CLOSE) return first;
  const [l, a, b] = wanted;
  const damped = 1 / (1 + 0.045 * Math.hypot(a, b)) ** 2;
  let [least, at] = [Infinity, -1];
  starts.colours.forEach((colour, i) => {
    // Of opposite hues the formula, which is made for small differences, finds some near.
    if (colour[1] * a + colour[2] * b < 0) return;
    // Roughly as far as the formula has it; which of all it is matters, not how far.
    const off =
      (colour[0] - l) ** 2 + damped * ((colour[1] - a) ** 2 + (colour[2] - b) ** 2);
    if (off < least) [least, at] = [off, i];
  });
  if (at < 0) return first;
  const other = downhill(table, wanted, starts.devices[at]!);
  return other.difference < first.difference ? other : first;
}
