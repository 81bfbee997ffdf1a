/** A figure that is exact: n / d, with d above 0. */
export interface Fraction {
  n: bigint;
  d: bigint;
}

/**
 * A number as the decimal that is meant, without what binary fractions add to it: 15 digits.
 * @example exactly(7.1 / 100).n === 71n // true
 */
export function exactly(x: number): Fraction {
  if (Number.isInteger(x)) return { n: BigInt(x), d: 1n };
  const [mantissa = '0', exponent = '0'] = String(Number(x.toPrecision(15))).split('e');
  const [whole = '0', decimals = ''] = mantissa.split('.');
  const n = BigInt(whole + decimals);
  const power = Number(exponent) - decimals.length;
  return power >= 0
    ? { n: n * 10n ** BigInt(power), d: 1n }
    : { n, d: 10n ** BigInt(-power) };
}

/** a + b, exactly. */
export const add = (a: Fraction, b: Fraction): Fraction => ({
  n: a.n * b.d + b.n * a.d,
  d: a.d * b.d,
});

/** a - b, exactly. */
export const subtract = (a: Fraction, b: Fraction): Fraction => add(a, { n: -b.n, d: b.d });

/** a x b, exactly. */
export const multiply = (a: Fraction, b: Fraction): Fraction => ({
  n: a.n * b.n,
  d: a.d * b.d,
});

/**
 * The same in lowest terms, so that sums of many stay short.
 * @example lowest({ n: 30n, d: 12n }).d === 2n // true
 */
export function lowest({ n, d }: Fraction): Fraction {
  let [a, b] = [n < 0n ? -n : n, d];
  while (b > 0n) [a, b] = [b, a % b];
  return a > 1n ? { n: n / a, d: d / a } : { n, d };
}

/** Below, at or above 0: -1, 0, 1. */
export const signOf = ({ n }: Fraction): number => (n < 0n ? -1 : n > 0n ? 1 : 0);

const floorOf = ({ n, d }: Fraction): bigint => {
  const whole = n / d;
  return n % d < 0n ? whole - 1n : whole;
};

/**
 * The least whole number that is not below a / b; b is not 0.
 * @example leastWhole(exactly(30390), exactly(7195)) // 5
 */
export function leastWhole(a: Fraction, b: Fraction): number {
  const sign = b.n < 0n ? -1n : 1n;
  const n = sign * a.n * b.d;
  const d = sign * a.d * b.n;
  return Number(-floorOf({ n: -n, d }));
}

/**
 * To the nearest whole number, halves up: what a share of an amount comes to in minor units.
 * @example nearestWhole(multiply(exactly(8500), exactly(0.0175))) // 149
 */
export const nearestWhole = ({ n, d }: Fraction): number =>
  Number(floorOf({ n: 2n * n + d, d: 2n * d }));

/** As a number, for drawings and expectations. */
export function asNumber({ n, d }: Fraction): number {
  // What does not fit a double is made shorter first; below 2^53 both are exact.
  const long = Math.max(n.toString().length, d.toString().length) - 300;
  if (long <= 0) return Number(n) / Number(d);
  const cut = 10n ** BigInt(long);
  return Number(n / cut) / Number(d / cut);
}
