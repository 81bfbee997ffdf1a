/** Lanczos kernel of so many lobes: sinc(x) sinc(x / lobes) within |x| < lobes (Duchon 1979). */
export const lanczos =
  (lobes: number) =>
  (x: number): number => {
    if (x === 0) return 1;
    if (Math.abs(x) >= lobes) return 0;
    const a = Math.PI * x;
    return (lobes * Math.sin(a) * Math.sin(a / lobes)) / (a * a);
  };

/** Three lobes. */
export const lanczos3 = lanczos(3);
