import { D50 } from './matrix';
import type { Vector } from './matrix';

const EPSILON = 216 / 24389;
const KAPPA = 24389 / 27;

/** CIELAB (L*, a*, b*) of a colour, XYZ over the white D50 (CIE 15). */
export function labOf(xyz: Readonly<Vector>): Vector {
  const [x, y, z] = xyz.map((v, i) => {
    const t = v / D50[i as 0];
    return t > EPSILON ? Math.cbrt(t) : (KAPPA * t + 16) / 116;
  }) as Vector;
  return [116 * y - 16, 500 * (x - y), 200 * (y - z)];
}

/** XYZ over the white D50 of a CIELAB colour (CIE 15). */
export function xyzOfLab([l, a, b]: Readonly<Vector>): Vector {
  const y = (l + 16) / 116;
  const back = (t: number) => (t ** 3 > EPSILON ? t ** 3 : (116 * t - 16) / KAPPA);
  return [back(y + a / 500) * D50[0], back(y) * D50[1], back(y - b / 200) * D50[2]];
}

const DEGREES = 180 / Math.PI;
const sin = (degrees: number) => Math.sin(degrees / DEGREES);
const cos = (degrees: number) => Math.cos(degrees / DEGREES);
const hueOf = (a: number, b: number) =>
  a === 0 && b === 0 ? 0 : (Math.atan2(b, a) * DEGREES + 360) % 360;

/** What CIEDE2000 takes from the seventh power of a chroma. */
const seventh = (chroma: number) => Math.sqrt(chroma ** 7 / (chroma ** 7 + 25 ** 7));

/** The mean of two hues, degrees; of no hue and one, that one. */
function meanHue(one: number, other: number, grey: boolean): number {
  const sum = one + other;
  if (grey) return sum;
  if (Math.abs(one - other) <= 180) return sum / 2;
  return sum < 360 ? (sum + 360) / 2 : (sum - 360) / 2;
}

/** The way from one hue to another, degrees, -180..180. */
function hueStep(one: number, other: number, grey: boolean): number {
  if (grey) return 0;
  const step = other - one;
  if (step > 180) return step - 360;
  return step < -180 ? step + 360 : step;
}

/**
 * What CIEDE2000 is made of, for two colours: lightness, chroma and hue differences, each over its
 * weight, turned so that their squares add up to the square of the difference. `into` takes them.
 */
export function differenceParts(
  [l1, a1, b1]: Readonly<Vector>,
  [l2, a2, b2]: Readonly<Vector>,
  into: Float64Array,
): void {
  const g = 1 + 0.5 * (1 - seventh((Math.hypot(a1, b1) + Math.hypot(a2, b2)) / 2));
  const [c1, c2] = [Math.hypot(g * a1, b1), Math.hypot(g * a2, b2)];
  const [h1, h2] = [hueOf(g * a1, b1), hueOf(g * a2, b2)];
  const grey = c1 * c2 === 0;
  const dH = 2 * Math.sqrt(c1 * c2) * sin(hueStep(h1, h2, grey) / 2);
  const l = (l1 + l2) / 2;
  const c = (c1 + c2) / 2;
  const h = meanHue(h1, h2, grey);
  const t =
    1 -
    0.17 * cos(h - 30) +
    0.24 * cos(2 * h) +
    0.32 * cos(3 * h + 6) -
    0.2 * cos(4 * h - 63);
  const chroma = (c2 - c1) / (1 + 0.045 * c);
  const hue = dH / (1 + 0.015 * c * t);
  const turn = -sin(60 * Math.exp(-(((h - 275) / 25) ** 2))) * 2 * seventh(c);
  into[0] = (l2 - l1) / (1 + (0.015 * (l - 50) ** 2) / Math.sqrt(20 + (l - 50) ** 2));
  into[1] = chroma + (turn / 2) * hue;
  into[2] = Math.sqrt(1 - turn ** 2 / 4) * hue;
}

const PARTS = new Float64Array(3);

/**
 * The difference of two colours, CIELAB each: CIEDE2000 (ISO/CIE 11664-6), all weights 1.
 * @example colourDifference([50, 2.6772, -79.7751], [50, 0, -82.7485]) // 2.0425
 */
export function colourDifference(one: Readonly<Vector>, other: Readonly<Vector>): number {
  differenceParts(one, other, PARTS);
  return Math.sqrt(PARTS[0]! ** 2 + PARTS[1]! ** 2 + PARTS[2]! ** 2);
}
