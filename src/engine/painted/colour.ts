/** Colours of the paint box: encoded RGB, 0..1. */
export type Rgb = readonly [number, number, number];

const mixed = new Map<string, Rgb>();

/** A colour by its hexadecimal name; kept, since pictures ask for it at every pixel. */
export function rgb(hex: string): Rgb {
  let c = mixed.get(hex);
  if (!c) {
    c = [
      parseInt(hex.slice(1, 3), 16) / 255,
      parseInt(hex.slice(3, 5), 16) / 255,
      parseInt(hex.slice(5, 7), 16) / 255,
    ];
    mixed.set(hex, c);
  }
  return c;
}

const clamp = (t: number) => (t < 0 ? 0 : t > 1 ? 1 : t);

export const mix = (a: Rgb, b: Rgb, t: number): Rgb => {
  const k = clamp(t);
  return [a[0] + (b[0] - a[0]) * k, a[1] + (b[1] - a[1]) * k, a[2] + (b[2] - a[2]) * k];
};

/** Lighter or darker by a factor. */
export const shade = (c: Rgb, f: number): Rgb => [c[0] * f, c[1] * f, c[2] * f];

/** Colour along a row of stops at even or given places. */
export function along(stops: readonly (readonly [number, Rgb])[], t: number): Rgb {
  let before = stops[0]!;
  for (const stop of stops) {
    if (t < stop[0])
      return mix(before[1], stop[1], (t - before[0]) / (stop[0] - before[0]));
    before = stop;
  }
  return before[1];
}

/** 0 below a, 1 above b, smooth between. */
export const step = (a: number, b: number, t: number): number => {
  const k = clamp((t - a) / (b - a));
  return k * k * (3 - 2 * k);
};
