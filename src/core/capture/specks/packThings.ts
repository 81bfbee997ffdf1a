import type { Measured } from './measure';

const FIELDS = [
  'x',
  'y',
  'contrast',
  'diameter',
  'length',
  'ground',
  'unevenness',
  'softness',
  'colour',
] as const;
const TONES = 3;
const WIDE = FIELDS.length + TONES;

/** Many things as one array of numbers, which is quick to hand from thread to thread. */
export function packThings(things: readonly Measured[]): Float32Array {
  const packed = new Float32Array(things.length * WIDE);
  things.forEach((thing, i) => {
    FIELDS.forEach((field, k) => (packed[i * WIDE + k] = thing[field]));
    for (let c = 0; c < TONES; c += 1)
      packed[i * WIDE + FIELDS.length + c] = thing.tone[c] ?? thing.tone[0]!;
  });
  return packed;
}

/** The things as they were before `packThings`. */
export const unpackThings = (packed: Float32Array): Measured[] =>
  Array.from({ length: packed.length / WIDE }, (_, i) => {
    const numbers = packed.subarray(i * WIDE, (i + 1) * WIDE);
    const fields = Object.fromEntries(FIELDS.map((field, k) => [field, numbers[k]!]));
    return { ...fields, tone: Array.from(numbers.subarray(FIELDS.length)) } as Measured;
  });
