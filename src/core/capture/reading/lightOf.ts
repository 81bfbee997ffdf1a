/** Light of pixels `from` to `to - 1` of interleaved 16-bit samples, weights 77 150 29 of 256: as 16 bits, and as bytes. */
export function lightOf(
  samples: Uint16Array,
  channels: 1 | 3,
  from: number,
  to: number,
  light: Uint16Array,
  bytes: Uint8Array,
): void {
  if (channels === 1)
    for (let i = from; i < to; i += 1) {
      const v = samples[i]!;
      light[i] = v;
      bytes[i] = v >> 8;
    }
  else
    for (let i = from, s = 3 * from; i < to; i += 1, s += 3) {
      const v = (77 * samples[s]! + 150 * samples[s + 1]! + 29 * samples[s + 2]!) >> 8;
      light[i] = v;
      bytes[i] = v >> 8;
    }
}
