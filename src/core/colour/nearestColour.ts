import { colourDifference } from './difference';
import type { Vector } from './matrix';
import { colourAt } from './simplexTable';
import type { DeviceTable } from './simplexTable';

const ROUNDS = 12;
/** A step of device values by which slopes are felt. */
const FEEL = 1 / 128;

/** Axes near a colour along which a step of 1 is about 1 CIEDE2000: lightness, chroma, hue. */
function metricAt([l, a, b]: Readonly<Vector>): [Vector, Vector, Vector] {
  const chroma = Math.hypot(a, b);
  const [ca, cb] = chroma > 0 ? [a / chroma, b / chroma] : [1, 0];
  const light = 1 / (1 + (0.015 * (l - 50) ** 2) / Math.sqrt(20 + (l - 50) ** 2));
  const [sc, sh] = [1 / (1 + 0.045 * chroma), 1 / (1 + 0.015 * chroma)];
  return [
    [light, 0, 0],
    [0, ca * sc, cb * sc],
    [0, -cb * sh, ca * sh],
  ];
}

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

/**
 * The device values whose colour comes nearest to a wanted one (CIEDE2000), and how far it is:
 * from a first guess by damped Gauss-Newton steps that stay within 0..1. `wanted`: L*a*b* relative to
 * the paper's white, as the table's. A valley far from the guess is not found.
 */
export function nearestColour(
  table: DeviceTable,
  wanted: Readonly<Vector>,
  guess: ArrayLike<number>,
): { device: number[]; difference: number } {
  const { channels } = table;
  const metric = metricAt(wanted);
  const missOf = (device: number[]) => {
    const lab = colourAt(table, device);
    return metric.map((axis) =>
      axis.reduce((t, v, c) => t + v * (lab[c]! - wanted[c]!), 0),
    );
  };
  const farness = (device: number[]) => colourDifference(colourAt(table, device), wanted);
  let device = Array.from(guess, (v) => Math.min(1, Math.max(0, v)));
  let difference = farness(device);
  let damping = 0.5;
  for (let round = 0; round < ROUNDS && difference > 0.05; round += 1) {
    const miss = missOf(device);
    const slopes = device.map((v, i) => {
      const by = v < 0.5 ? FEEL : -FEEL;
      const moved = missOf(device.map((w, k) => (k === i ? v + by : w)));
      return moved.map((m, c) => (m - miss[c]!) / by);
    });
    const pull = slopes.map((s) => s.reduce((t, v, c) => t + v * miss[c]!, 0));
    // What lies at an end of its range and is pulled beyond it stays there.
    const free = device
      .map((_, i) => i)
      .filter(
        (i) => !((device[i]! <= 0 && pull[i]! > 0) || (device[i]! >= 1 && pull[i]! < 0)),
      );
    if (free.length === 0) break;
    const rows = free.map((i) =>
      free.map(
        (k) =>
          slopes[i]!.reduce((t, v, c) => t + v * slopes[k]![c]!, 0) +
          (i === k ? damping : 0),
      ),
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
      if (gained < 0.002) break;
    } else {
      damping = damping * 8 + 1;
      if (damping > 1e5) break;
    }
  }
  return { device: device.slice(0, channels), difference };
}
