/** A colour of CIELAB (D50) as the browser paints it. */
export const labCss = ([l, a, b]: readonly [number, number, number]): string =>
  `lab(${l.toFixed(2)} ${a.toFixed(2)} ${b.toFixed(2)})`;
