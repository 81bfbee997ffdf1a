import { HUES, hueOf } from '../../colour';
import type { Vector } from '../../colour';
import type { PatchKind, StripPatch } from '../../prepare';
import { mainColours } from './cluster';

/** Patches of a strip: as many as lie on 3 rows of 12. */
export const STRIP_PATCHES = 36;
/** Colours that are told apart where the main ones are looked for. */
const MOST_COLOURS = 6000;
/** Share of the picture from which a colour counts as one of its extremes; chroma from which it has a hue. */
const LEAST_SHARE = 0.0002;
const LEAST_CHROMA = 15;
/** CIE 1976 distance within which two patches would say the same. */
const ALIKE = 3;

const patch = (kind: PatchKind, name: string, lab: Vector): StripPatch => ({
  name,
  kind,
  lab,
});
const grey = (lightness: number) => patch('grey', `grey ${lightness}`, [lightness, 0, 0]);

/** Lightnesses of the greys: three of each tone, clear of where one tone becomes the next. */
const GREYS = [8, 18, 28, 40, 50, 60, 76, 84, 92];
/** Further greys, where a picture has few colours. */
const FURTHER = [
  4, 96, 13, 23, 45, 55, 63, 80, 88, 31, 42, 48, 53, 58, 74, 78, 82, 86, 90, 94, 11, 16, 21,
  26, 6,
];

/**
 * The control strip of a picture: 36 patches. Bare paper, full black, nine greys; of the picture its
 * lightest and darkest colour and the fullest of each hue it has; the rest its main colours.
 * `labs`: colours of the picture, CIELAB; `weights`: the pixels of each.
 */
export function chooseStrip(
  labs: readonly Vector[],
  weights: ArrayLike<number>,
): StripPatch[] {
  const order = [...labs.keys()].sort((i, k) => weights[k]! - weights[i]!);
  const total = order.reduce((sum, i) => sum + weights[i]!, 0);
  // Of very many colours those with the most pixels, and all that could be extremes.
  const kept = order.filter(
    (i) => weights[i]! >= LEAST_SHARE * total || labs.length < 2000,
  );
  const looked = (kept.length > 0 ? kept : order).slice(0, MOST_COLOURS);
  const found: StripPatch[] = [
    patch('paper', 'paper', [100, 0, 0]),
    patch('black', 'black', [0, 0, 0]),
    ...GREYS.map(grey),
  ];
  const put = (one: StripPatch) => {
    const alike = found.some(
      ({ lab }) => Math.hypot(...lab.map((v, c) => v - one.lab[c as 0])) < ALIKE,
    );
    if (!alike && found.length < STRIP_PATCHES) found.push(one);
  };
  const best = (by: (lab: Vector) => number | null) => {
    let at: Vector | null = null;
    let most = -Infinity;
    for (const i of looked) {
      const v = by(labs[i]!);
      if (v !== null && v > most) [at, most] = [labs[i]!, v];
    }
    return at;
  };
  const lightest = best(([l]) => l);
  const darkest = best(([l]) => -l);
  if (lightest) put(patch('extreme', 'lightest', lightest));
  if (darkest) put(patch('extreme', 'darkest', darkest));
  for (const hue of HUES) {
    const fullest = best(([, a, b]) => {
      const chroma = Math.hypot(a, b);
      return chroma >= LEAST_CHROMA && hueOf(a, b) === hue ? chroma : null;
    });
    if (fullest) put(patch('extreme', `fullest ${hue}`, fullest));
  }
  // More main colours than there is room for: some of them are there already.
  const main = mainColours(
    looked.map((i) => labs[i]!),
    looked.map((i) => weights[i]!),
    STRIP_PATCHES,
  );
  let number = 1;
  for (const { lab } of main) {
    const before = found.length;
    put(patch('main', `main ${number}`, lab));
    if (found.length > before) number += 1;
  }
  for (const lightness of FURTHER) {
    if (found.length === STRIP_PATCHES) break;
    found.push(grey(lightness));
  }
  return found;
}
