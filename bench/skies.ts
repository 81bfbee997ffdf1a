import sharp from 'sharp';
import { ditherEightBits, intoEightBits } from '@/core/image';
import { RGB_SPACES, decoded, lightnessOf } from '@/core/colour';

const [WIDE, HIGH] = [512, 1536];
/** What the eye mixes at reading distance on a print of 300 ppi, px (sigma; half a minute of arc). */
const EYE = 0.7;
/** Levels of 255 that a smooth sky runs through from its top to its horizon. */
const RUNS = [6, 20, 60];
/** Grain of the file, deviation in levels of 255. */
const GRAINS = [0, 0.25, 0.5, 1, 2];

/** Pairs of chances, the same every time. */
function* chances(seed: number): Generator<number> {
  let state = seed;
  for (;;) {
    state = (Math.imul(state, 1664525) + 1013904223) >>> 0;
    yield (state + 0.5) / 2 ** 32;
  }
}

function sky(run: number, grain: number): Uint16Array {
  const next = chances(7);
  const chance = () => next.next().value as number;
  const out = new Uint16Array(WIDE * HIGH * 3);
  for (let y = 0, i = 0; y < HIGH; y += 1)
    for (let x = 0; x < WIDE; x += 1)
      for (let c = 0; c < 3; c += 1, i += 1) {
        const noise =
          grain * Math.sqrt(-2 * Math.log(chance())) * Math.cos(6.2832 * chance());
        const tone = [140, 170, 205][c]! + (run * (y + 0.35 * x)) / (HIGH + 0.35 * WIDE);
        out[i] = Math.max(0, Math.min(65535, (tone + noise) * 257));
      }
  return out;
}

type Rounding = (deep: Uint16Array, out: Uint8Array) => void;
const WAYS: Record<string, Rounding> = {
  rounded: (deep, out) => intoEightBits(deep, 0, deep.length, out, 0),
  dithered: (deep, out) => {
    for (let y = 0; y < HIGH; y += 1) {
      const at = y * WIDE * 3;
      ditherEightBits(deep, at, WIDE * 3, out, at, { left: 0, top: y, channels: 3 });
    }
  },
};

const lightness = (v: number) => lightnessOf(decoded(RGB_SPACES.srgb.curve, v));

/** Means over squares as the eye mixes them, of one channel. */
function seen(of: (i: number) => number, sigma: number): Float64Array {
  const reach = Math.ceil(3 * sigma);
  const weights = Array.from({ length: 2 * reach + 1 }, (_, k) =>
    Math.exp(-((k - reach) ** 2) / (2 * sigma * sigma)),
  );
  const sum = weights.reduce((a, b) => a + b, 0);
  const pass = (
    source: Float64Array,
    step: number,
    limit: (i: number) => [number, number],
  ) =>
    Float64Array.from(source, (_, i) => {
      const [low, high] = limit(i);
      return weights.reduce((t, w, k) => {
        const at = i + (k - reach) * step;
        return t + (w / sum) * source[Math.min(high, Math.max(low, at))]!;
      }, 0);
    });
  const plain = Float64Array.from({ length: WIDE * HIGH }, (_, p) => of(p * 3 + 1));
  const across = pass(plain, 1, (i) => {
    const row = i - (i % WIDE);
    return [row, row + WIDE - 1];
  });
  return pass(across, WIDE, (i) => [i % WIDE, (HIGH - 1) * WIDE + (i % WIDE)]);
}

/** The largest and the mean error that is left over stretches of 16 pixels, in L*: bands. */
function error(deep: Uint16Array, eight: Uint8Array): number[] {
  const truth = seen((i) => lightness(deep[i]! / 65535), EYE);
  const got = seen((i) => lightness(eight[i]! / 255), EYE);
  let sum = 0;
  let most = 0;
  const COARSE = 16;
  for (let i = 0; i < got.length; i += 1) sum += (got[i]! - truth[i]!) ** 2;
  for (let y = 0; y + COARSE <= HIGH; y += COARSE)
    for (let x = 0; x + COARSE <= WIDE; x += COARSE) {
      let mean = 0;
      for (let dy = 0; dy < COARSE; dy += 1)
        for (let dx = 0; dx < COARSE; dx += 1) {
          const i = (y + dy) * WIDE + x + dx;
          mean += (got[i]! - truth[i]!) / COARSE ** 2;
        }
      most = Math.max(most, Math.abs(mean));
    }
  return [Math.sqrt(sum / got.length), most];
}

/** `npm run bench -- skies`: 8 bits of a smooth sky, rounded or dithered. */
export async function measureSkies(): Promise<void> {
  console.log(
    '\nA smooth sky in 8 bits: error as the eye mixes it (rms L*), what is left of bands (largest mean over 16 x 16 px, L*), and the file against plain rounding',
  );
  for (const run of RUNS)
    for (const grain of GRAINS) {
      const deep = sky(run, grain);
      const sizes: number[][] = [];
      const said = await Promise.all(
        Object.entries(WAYS).map(async ([name, round]) => {
          const eight = new Uint8Array(deep.length);
          round(deep, eight);
          const raw = { width: WIDE, height: HIGH, channels: 3 } as const;
          const png = await sharp(eight, { raw }).png().toBuffer();
          const jpeg = await sharp(eight, { raw }).jpeg({ quality: 92 }).toBuffer();
          const back = await sharp(jpeg).raw().toBuffer();
          sizes.push([png.length, jpeg.length]);
          return [
            name,
            ...error(deep, eight),
            ...error(deep, new Uint8Array(back)),
          ] as const;
        }),
      );
      const line = said
        .map(([name, ...e]) => `${name} ${e.map((v) => v.toFixed(3)).join(' ')}`)
        .join('   ');
      const [a, b] = sizes as [number[], number[]];
      console.log(
        `${run} levels, grain ${grain}: ${line}   PNG x ${(b[0]! / a[0]!).toFixed(2)}, JPEG x ${(b[1]! / a[1]!).toFixed(2)}`,
      );
    }
}
