import { readFileSync } from 'node:fs';
import { COTTON, OFFSET, paperProfile } from '../../../demo/profiles/profiles';
import { colourDifference, devicePlaces } from '@/core/colour';
import type { Vector } from '@/core/colour';
import { labAt } from '@/core/proof';
import { gamutReach } from './gamutReach';
import { floatTransform, floatsOf } from './littleCms';

const DEBIAN = '/usr/share/color/icc/ghostscript/default_cmyk.icc';
const PROFILES = [
  ['matte', paperProfile('Slackwater Cotton').icc, 3],
  ['gloss', paperProfile('Chalkline Baryta').icc, 3],
  ['cotton', COTTON.icc, 3],
  ['press', OFFSET.icc, 4],
  ['distribution', new Uint8Array(readFileSync(DEBIAN)), 4],
] as const;

/**
 * Colours within and beyond what any of them prints; not farther than CIEDE2000 is made for, which
 * finds a grey nearer to a loud violet than any quieter violet.
 */
const WANTED: Vector[] = [
  [50, 0, 0],
  [62, 8, 12],
  [50, 72, 48],
  [42, 40, -45],
  [30, 40, -95],
  [55, -62, 38],
  [90, -5, 110],
  [45, 45, -28],
  [25, 70, -20],
  [12, -5, 9],
  [5, 0, 0],
  [97, 20, 5],
  [70, -45, -40],
];

/** The nearest of very many printed colours, then of many around it, closer and closer. */
async function bruteForce(
  icc: Uint8Array,
  channels: 3 | 4,
  wanted: Vector,
): Promise<number> {
  const lab = await floatTransform(
    { end: icc, as: floatsOf(channels) },
    { end: 'lab', as: 'lab' },
    { intent: 'relative', blackPoint: false },
  );
  const whole = channels === 4 ? 100 : 1;
  let centre = new Array<number>(channels).fill(0.5);
  let best = Infinity;
  let half = 0.5;
  const points = channels === 4 ? 9 : 17;
  for (let round = 0; round < 7; round += 1) {
    const places = devicePlaces(channels, points);
    for (let i = 0; i < places.length; i += 1) {
      const v = centre[i % channels]! + (places[i]! - 0.5) * 2 * half;
      places[i] = Math.min(1, Math.max(0, v));
    }
    const colours = lab.convert(places.map((v) => v * whole));
    for (let n = 0; n < colours.length / 3; n += 1) {
      // Colours of opposite hues are far apart, though the formula, made for small
      // differences, finds some of them near.
      const [, a, b] = labAt(colours, n);
      if (a * wanted[1] + b * wanted[2] < -1) continue;
      const far = colourDifference(labAt(colours, n), wanted);
      if (far >= best) continue;
      best = far;
      centre = [...places.subarray(n * channels, (n + 1) * channels)];
    }
    half *= 0.4;
  }
  lab.close();
  return best;
}

it.each(PROFILES)(
  'on %s the nearest printable colour is the one that a search of all of them finds',
  async (_, icc, channels) => {
    const reach = await gamutReach({ icc, name: '', channels });
    const found = reach.distance(Float32Array.from(WANTED.flat()));
    reach.close();
    let sum = 0;
    for (const [i, wanted] of WANTED.entries()) {
      const nearest = await bruteForce(icc, channels, wanted);
      // What the profile itself prints of a colour in reach misses it by a little.
      const off = Math.abs(found[i]! - nearest);
      expect({ wanted, near: off < 0.5 || nearest > 12 }).toEqual({ wanted, near: true });
      sum += off;
    }
    expect(sum / WANTED.length).toBeLessThan(0.2);
  },
);
