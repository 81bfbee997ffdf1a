import { intoEightBits } from '@/core/image';
import type { Intent } from '@/core/prepare';

export interface ConvertOptions {
  intent: Intent;
  blackPoint: boolean;
  /**
   * For profiles that hold tables: every value through the full pipeline (1.4 Mpx/s), or
   * through a lookup grid (12 Mpx/s, mean error 0.2 of 255). Matrix profiles are exact anyway.
   */
  exact: boolean;
  /**
   * Whether the picture's white becomes bare paper, where tables leave a touch of ink at it.
   * Never by an absolute intent, which shows the white of the one on the other.
   */
  keepWhite?: boolean;
}

/** Converts `pixels` pixels of 16-bit samples; input has 1 (grey) or 3 channels, output 3, 4 of CMYK, or 1 of grey. */
export interface ColourTransform {
  convert(input: Uint16Array, output: Uint16Array, pixels: number): void;
  /** The same, rounded to 8 bits; may be off by one level where `convert` is not. */
  toEight(input: Uint16Array, output: Uint8Array, pixels: number): void;
  close(): void;
}

/** Samples of a pixel that go in and come out. */
export interface Channels {
  from: 1 | 3 | 4;
  to: 1 | 3 | 4;
}

/** A conversion to 16-bit samples of so many channels, rounded to 8 bits. */
export const eightBy =
  (convert: ColourTransform['convert'], channels: number): ColourTransform['toEight'] =>
  (input, output, pixels) => {
    const deep = new Uint16Array(pixels * channels);
    convert(input, deep, pixels);
    intoEightBits(deep, 0, deep.length, output, 0);
  };
