import { axisWeights } from '@/core/image';
import { lightnessOf } from '@/core/colour';
import { deadLeaves } from '../e2e/support/pictures';

/** An encoding of linear light, 0..1, in which pixels may be enlarged. */
interface Encoding {
  name: string;
  encode: (light: number) => number;
  decode: (value: number) => number;
}

/** A sigmoid over linear light, steep at its ends: overshoot there is pressed together. */
const sigmoid = (contrast: number, middle: number): Omit<Encoding, 'name'> => {
  const at = (x: number) => 1 / (1 + Math.exp(contrast * (middle - x)));
  const [low, high] = [at(0), at(1)];
  return {
    encode: (light) => {
      const s = low + light * (high - low);
      return middle - Math.log(1 / Math.min(1 - 1e-9, Math.max(1e-9, s)) - 1) / contrast;
    },
    decode: (v) => (at(v) - low) / (high - low),
  };
};

const power = (gamma: number): Omit<Encoding, 'name'> => ({
  encode: (v) => Math.sign(v) * Math.abs(v) ** (1 / gamma),
  decode: (v) => Math.sign(v) * Math.abs(v) ** gamma,
});

const lightness: Omit<Encoding, 'name'> = {
  encode: (v) => lightnessOf(v) / 100,
  decode: (v) => {
    const f = (v * 100 + 16) / 116;
    return f > 6 / 29 ? f ** 3 : (v * 100 * 27) / 24389;
  },
};

const ENCODINGS: Encoding[] = [
  { name: 'linear', ...power(1) },
  { name: 'power 2', ...power(2) },
  { name: 'power 2.2', ...power(2.2) },
  { name: 'L*', ...lightness },
  { name: 'sigmoid 5', ...sigmoid(5, 0.5) },
  { name: 'sigmoid 7.5', ...sigmoid(7.5, 0.5) },
  { name: 'sigmoid 7.5 / 0.3', ...sigmoid(7.5, 0.3) },
];

const SIDE = 24;
const clip = (v: number) => Math.min(1, Math.max(0, v));
const lightOf = lightness.decode;

/** One row enlarged in an encoding; linear light in and out. */
function enlargedIn({ encode, decode }: Encoding, row: number[], factor: number): number[] {
  const out = row.length * factor;
  const axis = axisWeights({
    kernel: 'lanczos3',
    source: row.length,
    from: 0,
    span: row.length,
    out,
  });
  const values = row.map(encode);
  return Array.from({ length: out }, (_, i) => {
    let sum = 0;
    for (let k = 0; k < axis.taps; k += 1)
      sum += axis.weights[i * axis.taps + k]! * values[axis.first[i]! + k]!;
    return clip(decode(sum));
  });
}

/** How far an edge or a line of two tones runs beyond both of them, in L*: peak above, and below. */
function beyond(encoding: Encoding, low: number, high: number, line: boolean): number[] {
  const row = Array.from({ length: SIDE }, (_, i) =>
    lightOf((line ? i === SIDE / 2 : i >= SIDE / 2) ? high / 100 : low / 100),
  );
  const got = [2, 3, 4].map((f) => enlargedIn(encoding, row, f).map(lightnessOf));
  const [dark, light] = [Math.min(low, high), Math.max(low, high)];
  const over = Math.max(...got.flat().map((l) => l - light), 0);
  const under = Math.max(...got.flat().map((l) => dark - l), 0);
  return [over, under];
}

const mean = (values: number[]) => values.reduce((a, b) => a + b, 0) / values.length;

/** Error of a picture made half as large in linear light and enlarged again, in L*: rms. */
function restored(encoding: Encoding): number {
  const side = 512;
  const { data } = deadLeaves(side, 5);
  let sum = 0;
  let n = 0;
  for (let y = 0; y < side; y += 4) {
    const truth = Array.from({ length: side }, (_, x) =>
      lightOf(data[(y * side + x) * 3 + 1]! / 65535),
    );
    const axis = axisWeights({
      kernel: 'lanczos3',
      source: side,
      from: 0,
      span: side,
      out: side / 2,
    });
    const half = Array.from({ length: side / 2 }, (_, i) => {
      let v = 0;
      for (let k = 0; k < axis.taps; k += 1)
        v += axis.weights[i * axis.taps + k]! * truth[axis.first[i]! + k]!;
      return clip(v);
    });
    enlargedIn(encoding, half, 2).forEach((v, x) => {
      sum += (lightnessOf(v) - lightnessOf(truth[x]!)) ** 2;
      n += 1;
    });
  }
  return Math.sqrt(sum / n);
}

/** `npm run bench -- rings`: how far enlarged edges ring in each encoding. */
export function measureRings(): void {
  const tones = Array.from({ length: 11 }, (_, i) => i * 10);
  const pairs = tones.flatMap((a) =>
    tones.filter((b) => b !== a).map((b) => [a, b] as const),
  );
  console.log(
    '\nLanczos 3, enlarged 2 to 4 x: how far it runs beyond both tones, L* (edges: mean, worst; lines: mean, worst), and what is left of a picture made half as large as light and enlarged again (rms L*)',
  );
  for (const e of ENCODINGS) {
    const edges = pairs
      .filter(([a, b]) => a < b)
      .flatMap(([a, b]) => beyond(e, a, b, false));
    const lines = pairs.flatMap(([a, b]) => beyond(e, a, b, true));
    const figures = [
      mean(edges),
      Math.max(...edges),
      mean(lines),
      Math.max(...lines),
      restored(e),
    ];
    console.log(e.name.padEnd(20) + figures.map((v) => v.toFixed(2).padStart(8)).join(''));
  }
}
