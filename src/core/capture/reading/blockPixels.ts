/** Samples of a block, 16 bit, interleaved, with their light as 16 bits and as bytes. */
export class BlockPixels {
  readonly samples: Uint16Array;
  readonly light: Uint16Array;
  readonly bytes: Uint8Array;
  // Two pixels at a time, over the same memory; the first is the lower half of a word.
  private readonly samplePairs: Uint32Array;
  private readonly lightPairs: Uint32Array;
  private readonly bytePairs: Uint16Array;

  constructor(
    private readonly channels: 1 | 3,
    readonly pixels: number,
  ) {
    const even = pixels + (pixels & 1);
    this.samples = new Uint16Array(even * channels);
    this.light = new Uint16Array(even);
    this.bytes = new Uint8Array(even);
    this.samplePairs = new Uint32Array(this.samples.buffer);
    this.lightPairs = new Uint32Array(this.light.buffer);
    this.bytePairs = new Uint16Array(this.bytes.buffer);
  }

  /** Takes the light of pixels `from` (an even one) to `to - 1`: weights 77 150 29 of 256. */
  takeLight(from: number, to: number): void {
    const { samples, light, bytes } = this;
    if (this.channels === 1)
      for (let i = from; i < to; i += 1) {
        light[i] = samples[i]!;
        bytes[i] = samples[i]! >> 8;
      }
    else {
      const { samplePairs, lightPairs, bytePairs } = this;
      for (let i = from >> 1, s = 3 * i; i < (to + 1) >> 1; i += 1, s += 3) {
        const a = samplePairs[s]!;
        const b = samplePairs[s + 1]!;
        const c = samplePairs[s + 2]!;
        const first = (77 * (a & 65535) + 150 * (a >>> 16) + 29 * (b & 65535)) >> 8;
        const second = (77 * (b >>> 16) + 150 * (c & 65535) + 29 * (c >>> 16)) >> 8;
        lightPairs[i] = first | (second << 16);
        bytePairs[i] = (first >> 8) | (second & 0xff00);
      }
    }
  }
}
