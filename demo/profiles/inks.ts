/** Made-up inks on a made-up paper: what colour a mixture of them has. */
export type Vector = readonly [number, number, number];

const D50: Vector = [0.9642, 1, 0.8249];
/** Light that the dots catch beside themselves makes a print darker than its dots. */
const YULE_NIELSEN = 2;

export interface Inks {
  name: string;
  /** XYZ of every full tone over white paper, relative to it, in the order of the inks. */
  solids: Vector[];
  /** How much a full overprint darkens beyond the product of its inks. */
  trap: number;
  /** XYZ of the bare paper under D50. */
  white: Vector;
}

/** White of the two papers that were measured first. */
const FIRST_WHITE: Vector = [0.86, 0.892, 0.712];

/** Three colours and black, quiet as on an uncoated paper. */
export const CMYK_INKS: Inks = {
  name: 'Quayside Offset Matte',
  solids: [
    [0.21, 0.29, 0.58],
    [0.35, 0.2, 0.19],
    [0.72, 0.77, 0.1],
    [0.034, 0.035, 0.029],
  ],
  trap: 0.94,
  white: FIRST_WHITE,
};

/** Three pigment inks on a smooth white sheet, driven as cyan, magenta, yellow. */
export const PIGMENT_INKS: Inks = {
  name: 'Heron Press Cotton',
  solids: [
    [0.13, 0.19, 0.55],
    [0.3, 0.14, 0.12],
    [0.74, 0.78, 0.05],
  ],
  trap: 0.9,
  white: FIRST_WHITE,
};

/** Three inks that are nearly neutral together, as a printer with blacks of its own prints them. */
const BALANCED: Vector[] = [
  [0.1, 0.19, 0.62],
  [0.32, 0.15, 0.28],
  [0.76, 0.8, 0.11],
];

/** They on a paper: how deep they print there, and its white. */
const onPaper = (name: string, depth: number, trap: number, white: Vector): Inks => ({
  name,
  // Where an ink takes most away it takes more; what it leaves it leaves.
  solids: BALANCED.map(
    (xyz) =>
      xyz.map(
        (v) => v ** (1 + (depth - 1) * Math.max(0, 1 - v / 0.3) * 2.6),
      ) as unknown as Vector,
  ),
  trap,
  white,
});

/** Every paper of the demo, by its name: quiet on matte, deep on gloss, warm where the paper is. */
export const PAPER_INKS: readonly Inks[] = [
  onPaper('Slackwater Cotton', 0.95, 0.94, [0.862, 0.893, 0.716]),
  onPaper('Chalkline Baryta', 1.26, 0.7, [0.889, 0.921, 0.752]),
  onPaper('Reedbed Alpha', 0.9, 0.96, [0.851, 0.881, 0.722]),
  onPaper('Old Pier Etching', 0.86, 0.95, [0.838, 0.866, 0.628]),
  onPaper('Estuary Rag', 1.02, 0.86, [0.858, 0.889, 0.711]),
  onPaper('Mudlark Lustre', 1.32, 0.66, [0.881, 0.913, 0.764]),
];

/** XYZ (paper white = D50) of so much of each ink, 0..1: Yule-Nielsen modified Neugebauer. */
export function mixed({ solids, trap }: Inks, amounts: readonly number[]): Vector {
  const out: [number, number, number] = [0, 0, 0];
  for (let primary = 0; primary < 1 << solids.length; primary += 1) {
    let share = 1;
    let layers = 0;
    const colour: [number, number, number] = [1, 1, 1];
    solids.forEach((solid, i) => {
      const on = (primary >> i) & 1;
      const amount = Math.min(1, Math.max(0, amounts[i]!));
      share *= on ? amount : 1 - amount;
      if (!on) return;
      layers += 1;
      for (let c = 0; c < 3; c += 1) colour[c]! *= solid[c]!;
    });
    const dark = trap ** Math.max(0, layers - 1);
    for (let c = 0; c < 3; c += 1)
      out[c]! += share * (colour[c]! * dark) ** (1 / YULE_NIELSEN);
  }
  return out.map((v, c) => v ** YULE_NIELSEN * D50[c]!) as unknown as Vector;
}

const f = (t: number) => (t > 216 / 24389 ? Math.cbrt(t) : (841 / 108) * t + 4 / 29);
const inverse = (t: number) => (t > 6 / 29 ? t ** 3 : (108 / 841) * (t - 4 / 29));

/** CIELAB relative to D50. */
export function labOf([x, y, z]: Vector): Vector {
  const [a, b, c] = [f(x / D50[0]), f(y), f(z / D50[2])];
  return [116 * b - 16, 500 * (a - b), 200 * (b - c)];
}

export function xyzOf([l, a, b]: Vector): Vector {
  const y = (l + 16) / 116;
  return [inverse(y + a / 500) * D50[0], inverse(y), inverse(y - b / 200) * D50[2]];
}

/**
 * Amounts of the coloured inks that come nearest to a colour with so much black: Gauss-Newton
 * with small steps, amounts held between 0 and 1.
 */
function colouredInks(inks: Inks, wanted: Vector, black: readonly number[]): number[] {
  let amounts = [0.4, 0.4, 0.4];
  const at = (a: readonly number[]) => labOf(mixed(inks, [...a, ...black]));
  for (let round = 0; round < 24; round += 1) {
    const now = at(amounts);
    const miss = wanted.map((v, c) => v - now[c]!);
    const slopes = amounts.map((_, i) => {
      const step = amounts[i]! < 0.5 ? 0.01 : -0.01;
      const moved = at(amounts.map((v, k) => (k === i ? v + step : v)));
      return moved.map((v, c) => (v - now[c]!) / step);
    });
    // Normal equations with a little weight on staying, solved by Cramer's rule.
    const m = [0, 1, 2].map((i) =>
      [0, 1, 2].map(
        (k) =>
          slopes[i]!.reduce((t, v, c) => t + v * slopes[k]![c]!, 0) + (i === k ? 4 : 0),
      ),
    );
    const r = [0, 1, 2].map((i) => slopes[i]!.reduce((t, v, c) => t + v * miss[c]!, 0));
    const det = (a: number[][]) =>
      a[0]![0]! * (a[1]![1]! * a[2]![2]! - a[1]![2]! * a[2]![1]!) -
      a[0]![1]! * (a[1]![0]! * a[2]![2]! - a[1]![2]! * a[2]![0]!) +
      a[0]![2]! * (a[1]![0]! * a[2]![1]! - a[1]![1]! * a[2]![0]!);
    const whole = det(m);
    const moved = amounts.map(
      (v, i) =>
        v + det(m.map((row, y) => row.map((w, x) => (x === i ? r[y]! : w)))) / whole,
    );
    amounts = moved.map((v) => Math.min(1, Math.max(0, v)));
  }
  return amounts;
}

/** Amounts of all inks for a colour; black takes over where it is dark. */
export function inksFor(inks: Inks, lab: Vector): number[] {
  if (inks.solids.length === 3) return colouredInks(inks, lab, []);
  const depth = Math.min(1, Math.max(0, (60 - lab[0]) / 52));
  const grey = Math.max(0, 1 - Math.hypot(lab[1], lab[2]) / 70);
  const black = [depth ** 1.6 * grey];
  return [...colouredInks(inks, lab, black), ...black];
}
