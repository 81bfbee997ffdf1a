import { eightBy } from './transform';
import type { ColourTransform } from './transform';

/**
 * From white down to here the correction fades out: 1 of 32 parts of the encoded scale, the
 * last place of the table of 33 that a colour engine would mend.
 */
export const WHITE_FADES = 65535 / 32;

/**
 * A conversion by which the white of the picture becomes the bare paper of the target, and not
 * the touch of ink that rounding in a profile's tables leaves there. What is at white is taken
 * off, and off what lies near white in the measure that it is near. `from`: channels that come in.
 */
export function whiteKept(
  transform: ColourTransform,
  from: number,
  to: 1 | 3 | 4,
): ColourTransform {
  const paper = to === 4 ? 0 : 65535;
  const found = new Uint16Array(to);
  transform.convert(new Uint16Array(from).fill(65535), found, 1);
  const off = Float64Array.from(found, (v) => v - paper);
  if (off.every((v) => v === 0)) return transform;
  const convert: ColourTransform['convert'] = (input, output, pixels) => {
    transform.convert(input, output, pixels);
    for (let p = 0; p < pixels; p += 1) {
      let near = 1;
      for (let c = 0; c < from; c += 1)
        near *= Math.max(0, 1 - (65535 - input[p * from + c]!) / WHITE_FADES);
      if (near > 0)
        for (let c = 0; c < to; c += 1) {
          const v = output[p * to + c]! - near * off[c]!;
          output[p * to + c] = v <= 0 ? 0 : v >= 65535 ? 65535 : v + 0.5;
        }
    }
  };
  return {
    convert,
    toEight: eightBy(convert, to),
    close: () => transform.close(),
  };
}
