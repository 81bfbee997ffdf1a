import type { Vector } from '../../colour';

/** Wavelengths that are read, nm: CIE 15 tables at every 10. */
export const FIRST_BAND = 380;
export const LAST_BAND = 730;
export const BAND_STEP = 10;

/** CIE 1931 colour matching functions (2 degrees) and D50 at 380, 390, ... 730 nm (CIE 15). */
const X =
  '.001368 .004243 .01431 .04351 .13438 .2839 .34828 .3362 .2908 .19536 .09564 .03201 .0049 .0093 .06327 .1655 .2904 .43345 .5945 .7621 .9163 1.0263 1.0622 1.0026 .85445 .6424 .4479 .2835 .1649 .0874 .04677 .0227 .011359 .00579 .002899 .00144';
const Y =
  '.000039 .00012 .000396 .00121 .004 .0116 .023 .038 .06 .09098 .13902 .20802 .323 .503 .71 .862 .954 .99495 .995 .952 .87 .757 .631 .503 .381 .265 .175 .107 .061 .032 .017 .00821 .004102 .002091 .001047 .00052';
const Z =
  '.00645 .02005 .06785 .2074 .6456 1.3856 1.74706 1.77211 1.6692 1.28764 .81295 .46518 .272 .1582 .07825 .04216 .0203 .00875 .0039 .0021 .00165 .0011 .0008 .00034 .00019 .00005 .00002 0 0 0 0 0 0 0 0 0';
const D50 =
  '24.488 29.871 49.308 56.513 60.034 57.818 74.825 87.247 90.612 91.368 95.109 91.963 95.724 96.613 97.129 102.099 100.755 102.317 100 97.735 98.918 93.499 97.688 99.269 99.042 95.722 98.857 95.667 98.19 103.003 99.133 87.381 91.604 92.889 76.854 86.511';

const numbers = (text: string) => text.split(' ').map(Number);
const [x, y, z, light] = [X, Y, Z, D50].map(numbers) as [
  number[],
  number[],
  number[],
  number[],
];
const whole = y.reduce((t, v, i) => t + v * light[i]!, 0);

/**
 * XYZ (Y of white: 1) of a reflectance under D50 for the observer of 2 degrees. `reflectance`: 0..1
 * at 380, 390, ... 730 nm, summed at these (ASTM E308, 10 nm).
 * @example spectrumToXyz(new Array(36).fill(1)).map((v) => v.toFixed(3)) // ['0.964', '1.000', '0.825']
 */
export function spectrumToXyz(reflectance: ArrayLike<number>): Vector {
  const sum = (weights: readonly number[]) =>
    weights.reduce((t, v, i) => t + v * light[i]! * reflectance[i]!, 0) / whole;
  return [sum(x), sum(y), sum(z)];
}
