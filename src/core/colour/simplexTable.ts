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
export function colourAt(
  { channels, points, lab }: DeviceTable,
  device: ArrayLike<number>,
): Vector {
  const shares: { share: number; step: number }[] = [];
  let at = 0;
  let step = 3;
  for (let c = channels - 1; c >= 0; c -= 1, step *= points) {
    const place = Math.min(1, Math.max(0, device[c]!)) * (points - 1);
    const low = Math.min(points - 2, Math.floor(place));
    at += low * step;
    shares.push({ share: place - low, step });
  }
  shares.sort((a, b) => b.share - a.share);
  const out: Vector = [0, 0, 0];
  let before = 1;
  const add = (weight: number) => {
    out[0] += weight * lab[at]!;
    out[1] += weight * lab[at + 1]!;
    out[2] += weight * lab[at + 2]!;
  };
  for (const { share, step: along } of shares) {
    add(before - share);
    before = share;
    at += along;
  }
  add(before);
  return out;
}
