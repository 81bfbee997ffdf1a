/** Distinct colours up to which each is kept by itself. */
export const MOST_APART = 4096;
/** Levels of each channel by which more of them are brought together: 6 of 16 bits. */
const BITS = 6;
const SHIFT = 16 - BITS;

/** The colours of a picture, brought together. */
export interface Gathered {
  /** Samples of each colour, interleaved: itself, or the mean of those that are nearly alike. */
  colours: Uint16Array<ArrayBuffer>;
  channels: 1 | 3;
  /** Pixels that each stands for. */
  weights: Float64Array<ArrayBuffer>;
  /** For each pixel the place of its colour. */
  of: Uint32Array<ArrayBuffer>;
  /** Whether every colour is there by itself. */
  exact: boolean;
}

function distinct(samples: Uint16Array, channels: 1 | 3): Gathered | null {
  const pixels = samples.length / channels;
  const places = new Map<number, number>();
  const of = new Uint32Array(pixels);
  const colours: number[] = [];
  const weights: number[] = [];
  for (let p = 0, i = 0; p < pixels; p += 1, i += channels) {
    let key = samples[i]!;
    if (channels === 3) key = (key * 65536 + samples[i + 1]!) * 65536 + samples[i + 2]!;
    let place = places.get(key);
    if (place === undefined) {
      if (places.size >= MOST_APART) return null;
      place = places.size;
      places.set(key, place);
      for (let c = 0; c < channels; c += 1) colours.push(samples[i + c]!);
      weights.push(0);
    }
    weights[place]! += 1;
    of[p] = place;
  }
  return {
    colours: Uint16Array.from(colours),
    channels,
    weights: Float64Array.from(weights),
    of,
    exact: true,
  };
}

/** By which cell of an axis each level lies; axes are met again and again. */
const cellsOf = new WeakMap<Float32Array, Uint8Array>();
const CELLS = 1 << BITS;
const EVEN = Uint8Array.from({ length: 65536 }, (_, v) => v >> SHIFT);

function cellsAlong(axis: Float32Array | undefined): Uint8Array {
  if (!axis) return EVEN;
  const known =
    cellsOf.get(axis) ??
    Uint8Array.from({ length: 65536 }, (_, v) =>
      Math.min(CELLS - 1, Math.floor(axis[v]! * CELLS)),
    );
  cellsOf.set(axis, known);
  return known;
}

/**
 * Brings the colours of pixels together (interleaved 16-bit samples): up to 4096 distinct ones
 * as they are, more by cells of 1/64 of each channel, each with the mean of its pixels. `axes`:
 * for each channel a rising value, 0..1, of each of 65536 levels, by which cells are cut.
 */
export function gatherColours(
  samples: Uint16Array,
  channels: 1 | 3,
  axes?: readonly Float32Array[],
): Gathered {
  const few = distinct(samples, channels);
  if (few) return few;
  const pixels = samples.length / channels;
  const cellOf = Array.from({ length: channels }, (_, c) => cellsAlong(axes?.[c]));
  const placeOf = new Int32Array(CELLS ** channels).fill(-1);
  const of = new Uint32Array(pixels);
  const sums = new Float64Array(Math.min(pixels, CELLS ** channels) * channels);
  const counts = new Float64Array(Math.min(pixels, CELLS ** channels));
  let found = 0;
  const [one, two = one, three = one] = cellOf as [Uint8Array, Uint8Array?, Uint8Array?];
  for (let p = 0, i = 0; p < pixels; p += 1, i += channels) {
    let cell = one[samples[i]!]!;
    if (channels === 3)
      cell = (cell * CELLS + two[samples[i + 1]!]!) * CELLS + three[samples[i + 2]!]!;
    let place = placeOf[cell]!;
    if (place < 0) {
      place = found;
      placeOf[cell] = found;
      found += 1;
    }
    of[p] = place;
    counts[place]! += 1;
    const at = place * channels;
    sums[at]! += samples[i]!;
    if (channels === 3) {
      sums[at + 1]! += samples[i + 1]!;
      sums[at + 2]! += samples[i + 2]!;
    }
  }
  const colours = new Uint16Array(found * channels);
  for (let i = 0; i < colours.length; i += 1)
    colours[i] = Math.round(sums[i]! / counts[(i / channels) | 0]!);
  return { colours, channels, weights: counts.slice(0, found), of, exact: false };
}
