import type { SpaceId } from '../colour';

/** What is done to a master on its way to a print file, in this order. */
export interface Recipe {
  resample: { kernel: 'lanczos3'; factor: number };
  outputSharpen: {
    /** Strength in per cent; 0 leaves it out. */
    amount: number;
    /** Gaussian sigma in pixels of the print file. */
    radius: number;
    /** Differences below this (of 255) are left alone. */
    threshold: number;
  };
  convert: { space: SpaceId; intent: 'relative' | 'perceptual'; blackPoint: boolean };
  ppi: number;
}

/**
 * Suggested output sharpening radius, px: half of what one arc minute covers at the viewing
 * distance, between 0.6 and 2. Rule of thumb.
 */
export const suggestedRadius = (ppi: number, viewingMm: number): number =>
  Math.round(10 * Math.min(2, Math.max(0.6, ((viewingMm / 25.4 / 3438) * ppi) / 2))) / 10;
