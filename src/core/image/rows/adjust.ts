import type { ColourBasis } from './basis';
import type { RowStep, Shape } from './rowStep';

/** Changes by eye, each -100..100; 0 leaves it out. Black and white stay where they are. */
export interface Adjustment {
  lightness: number;
  contrast: number;
  /** Towards red and yellow, away from blue. */
  warmth: number;
  saturation: number;
}

const STEPS = 4096;
type Tone = Float32Array;

/**
 * Tone of one channel, 0..1: v ^ 2^(-lightness / 100 - warmth), then an S about the middle,
 * v - contrast / 100 x sin(2 pi v) / (2 pi). `warmth`: the channel's own share of it.
 */
const toned =
  ({ lightness, contrast }: Adjustment, warmth: number) =>
  (value: number): number => {
    const v = Math.min(1, Math.max(0, value)) ** (2 ** (-lightness / 100 - warmth));
    return v - ((contrast / 100) * Math.sin(2 * Math.PI * v)) / (2 * Math.PI);
  };

/** A channel's own share of the warmth of an adjustment. */
const warmthOf = ({ warmth }: Adjustment, share: number) => (warmth / 200) * share;

function curve(by: Adjustment, warmth: number): Tone {
  const tone = toned(by, warmth);
  return Float32Array.from({ length: STEPS + 2 }, (_, i) => 65535 * tone(i / STEPS));
}

/** The same for single colours, encoded values 0..65535 of three channels each, in place. */
export function adjustColours(
  colours: Iterable<[number, number, number]>,
  by: Adjustment,
  { light: weights, warm }: ColourBasis,
): void {
  const tones = warm.map((share) => toned(by, warmthOf(by, share)));
  const gain = 1 + by.saturation / 100;
  for (const colour of colours) {
    let light = 0;
    for (let c = 0; c < 3; c += 1) {
      colour[c] = 65535 * tones[c]!(colour[c]! / 65535);
      light += weights[c]! * colour[c]!;
    }
    for (let c = 0; c < 3; c += 1) colour[c] = light + gain * (colour[c]! - light);
  }
}

function through(table: Tone, value: number): number {
  const place = value <= 0 ? 0 : value >= 65535 ? STEPS : (value / 65535) * STEPS;
  const low = place | 0;
  const from = table[low]!;
  return from + (place - low) * (table[low + 1]! - from);
}

/**
 * Lightness, contrast, warmth and saturation, in encoded values that mean what `basis` says.
 * Saturation moves each channel away from the light of its pixel.
 */
export function adjust(
  shape: Shape,
  by: Adjustment,
  { light: weights, warm }: ColourBasis,
): RowStep {
  const table = (share: number) => curve(by, warmthOf(by, share));
  const [red, green, blue] = warm.map(table) as [Tone, Tone, Tone];
  const middle = table(0);
  const gain = 1 + by.saturation / 100;
  const [wr, wg, wb] = weights;
  return {
    out: shape,
    under: (box) => box,
    run(box, emit) {
      const out = new Float32Array((box.right - box.left) * shape.channels);
      if (shape.channels === 1)
        return (row) => {
          for (let i = 0; i < out.length; i += 1) out[i] = through(middle, row[i]!);
          emit(out);
        };
      return (row) => {
        for (let i = 0; i < out.length; i += 3) {
          const r = through(red, row[i]!);
          const g = through(green, row[i + 1]!);
          const b = through(blue, row[i + 2]!);
          const light = wr * r + wg * g + wb * b;
          out[i] = light + gain * (r - light);
          out[i + 1] = light + gain * (g - light);
          out[i + 2] = light + gain * (b - light);
        }
        emit(out);
      };
    },
  };
}
