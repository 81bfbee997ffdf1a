import type { Vector } from './matrix';

/**
 * Colours over a grid of device values, 0..1: as many channels as the device has, the last
 * running fastest, three values for each place.
 */
export interface DeviceTable {
  channels: 3 | 4;
  points: number;
  lab: Float32Array;
}

/** Device values of every place of such a grid, 0..1, in its order. */
export function devicePlaces(channels: 3 | 4, points: number): Float32Array {
  const out = new Float32Array(points ** channels * channels);
  for (let n = 0, at = 0; n < points ** channels; n += 1, at += channels)
    for (let c = channels - 1, rest = n; c >= 0; c -= 1) {
      out[at + c] = (rest % points) / (points - 1);
      rest = Math.floor(rest / points);
    }
  return out;
}

/**
 * The colour of device values, between the places of the grid by simplices: from the near
 * corner to the far one along the axes, the largest share first.
 */
export function colourAt(table: DeviceTable, device: ArrayLike<number>): Vector {
  const { channels, points, lab } = table;
  const shares = SHARES[channels];
  const along = ALONG[channels];
  let at = 0;
  for (let c = channels - 1, step = 3; c >= 0; c -= 1, step *= points) {
    const v = device[c]!;
    const place = (v <= 0 ? 0 : v >= 1 ? 1 : v) * (points - 1);
    const low = place >= points - 1 ? points - 2 : place | 0;
    at += low * step;
    // Put in its place among those that are larger.
    let k = channels - 1 - c;
    const share = place - low;
    for (; k > 0 && shares[k - 1]! < share; k -= 1) {
      shares[k] = shares[k - 1]!;
      along[k] = along[k - 1]!;
    }
    shares[k] = share;
    along[k] = step;
  }
  let before = 1;
  let [l, a, b] = [0, 0, 0];
  for (let k = 0; k <= channels; k += 1) {
    const share = k < channels ? shares[k]! : 0;
    const weight = before - share;
    l += weight * lab[at]!;
    a += weight * lab[at + 1]!;
    b += weight * lab[at + 2]!;
    before = share;
    if (k < channels) at += along[k]!;
  }
  return [l, a, b];
}

/** The colour of device values that are a place of the grid. */
export function placeLab(
  { channels, points, lab }: DeviceTable,
  device: readonly number[],
): Vector {
  let at = 0;
  for (let c = 0; c < channels; c += 1)
    at = at * points + Math.round(device[c]! * (points - 1));
  return [lab[at * 3]!, lab[at * 3 + 1]!, lab[at * 3 + 2]!];
}

/** Shares and steps of the axes at hand, used again and again. */
const SHARES = { 3: new Float64Array(3), 4: new Float64Array(4) };
const ALONG = { 3: new Int32Array(3), 4: new Int32Array(4) };

/**
 * Device values over the outer faces of such a grid, where two channels vary and the others are
 * none or all: what a device prints most loudly lies there. `side` places along a face.
 */
export function outerPlaces(channels: 3 | 4, side: number): number[][] {
  const out: number[][] = [];
  for (let one = 0; one < channels; one += 1)
    for (let two = one + 1; two < channels; two += 1)
      for (let ends = 0; ends < 1 << (channels - 2); ends += 1)
        for (let i = 0; i < side * side; i += 1) {
          const device = new Array<number>(channels).fill(0);
          for (let c = 0, bit = 0; c < channels; c += 1)
            if (c !== one && c !== two) device[c] = (ends >> bit++) & 1;
          device[one] = (i % side) / (side - 1);
          device[two] = Math.floor(i / side) / (side - 1);
          out.push(device);
        }
  return out;
}
