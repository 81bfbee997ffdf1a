import type { Periods } from './periodicity';
import type { TileSpectrum } from './spectrum';

/** Why the detail fraction is what it is, or cannot be told. */
export type DetailBecause = 'sharp' | 'spectrum' | 'period' | 'both' | 'flat' | 'noise' | 'small' | 'unclear';

export interface DetailReading {
  /** 1: sharp at its pixel grid; 0.5: as if enlarged two times. Null: it cannot be told. */
  fraction: number | null;
  /** 0..1 */
  confidence: number;
  because: DetailBecause;
  /** Median log2 power of the tiles, from 0 to half a cycle a pixel in even steps. */
  curve: number[];
}

export interface DetailEvidence {
  spectra: readonly TileSpectrum[];
  /** How busy each of these tiles is, of 255. */
  textures: readonly number[];
  across: Periods | null;
  down: Periods | null;
  /** Noise of the picture, of 255; null when it could not be told. */
  noise: number | null;
}

export function estimateDetail(_: DetailEvidence): DetailReading {
  return { fraction: null, confidence: 0, because: 'unclear', curve: [] };
}
