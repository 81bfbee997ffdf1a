import FFT from 'fft.js';

/** Mean power of a tile's rows and of its columns, from 0 to half a cycle a pixel. */
export interface TileSpectrum {
  rows: Float64Array;
  columns: Float64Array;
}

/** Power spectra of square tiles of one side (a power of two); its tables are laid out once. */
export class Spectrograph {
  private readonly fft: FFT;
  private readonly window: Float64Array;
  private readonly line: number[];
  private readonly out: number[];

  constructor(readonly side: number) {
    this.fft = new FFT(side);
    this.window = Float64Array.from(
      { length: side },
      (_, i) => 0.5 - 0.5 * Math.cos((2 * Math.PI * (i + 0.5)) / side),
    );
    this.line = new Array<number>(side).fill(0);
    this.out = this.fft.createComplexArray() as number[];
  }

  /** Light of a tile, row by row: Hann-windowed power of each line about its mean, averaged. */
  of(tile: Float32Array): TileSpectrum {
    return {
      rows: this.along(tile, 1, this.side),
      columns: this.along(tile, this.side, 1),
    };
  }

  private along(tile: Float32Array, step: number, stride: number): Float64Array {
    const { side, window, line, out, fft } = this;
    const power = new Float64Array(side / 2 + 1);
    for (let k = 0; k < side; k += 1) {
      let mean = 0;
      for (let i = 0, at = k * stride; i < side; i += 1, at += step) mean += tile[at]!;
      mean /= side;
      for (let i = 0, at = k * stride; i < side; i += 1, at += step)
        line[i] = (tile[at]! - mean) * window[i]!;
      fft.realTransform(out, line);
      for (let b = 0; b < power.length; b += 1)
        power[b]! += out[2 * b]! ** 2 + out[2 * b + 1]! ** 2;
    }
    // Of white noise of variance 1 every bin is 1, whatever the side.
    const norm = (side * side * 3) / 8;
    return power.map((p) => p / norm);
  }
}
