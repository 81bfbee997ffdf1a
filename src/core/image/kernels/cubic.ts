/**
 * The family of cubic kernels of Mitchell and Netravali (1988), within |x| < 2: B = 0, C = 1/2
 * is Keys's cubic (Catmull-Rom), B = C = 1/3 the compromise that they advise.
 */
export const cubic =
  (b: number, c: number) =>
  (x: number): number => {
    const a = Math.abs(x);
    if (a < 1)
      return (
        ((12 - 9 * b - 6 * c) * a ** 3 + (-18 + 12 * b + 6 * c) * a * a + 6 - 2 * b) / 6
      );
    if (a < 2)
      return (
        ((-b - 6 * c) * a ** 3 +
          (6 * b + 30 * c) * a * a +
          (-12 * b - 48 * c) * a +
          8 * b +
          24 * c) /
        6
      );
    return 0;
  };
