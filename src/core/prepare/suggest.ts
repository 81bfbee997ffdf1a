import { crispFrom } from '../size';
import { ppi as asPpi } from '../units';

/** Print pixels in the smallest angle an eye parts (one arc minute) at a distance, mm. */
const perMinute = (ppi: number, viewingMm: number) => viewingMm / crispFrom(asPpi(ppi));
const round = (v: number) => Math.round(10 * v) / 10;

/**
 * Suggested output sharpening radius, px: half of what one arc minute covers at the viewing
 * distance, between 0.6 and 2. Rule of thumb.
 * @example suggestedRadius(300, 400) // 0.7
 */
export const suggestedRadius = (ppi: number, viewingMm: number): number =>
  round(Math.min(2, Math.max(0.6, perMinute(ppi, viewingMm) / 2)));

export interface OutputSuggestion {
  amount: number;
  radius: number;
  threshold: number;
  /** What it follows from: print pixels in one arc minute at the distance, and the enlargement. */
  because: { ppi: number; viewingMm: number; pixelsPerMinute: number; factor: number };
}

/**
 * Output sharpening by the final ppi, the viewing distance and the enlargement: the radius as
 * above; 60 %, and 40 % more for each time the picture is enlarged, up to 120 %, since resampling
 * softens; threshold 2, or 4 from 1.5 x on, where grain has become visible. Rules of thumb.
 * @example suggestedOutput(300, 400, 1) // { radius: 0.7 }
 */
export function suggestedOutput(
  ppi: number,
  viewingMm: number,
  factor: number,
): OutputSuggestion {
  const pixelsPerMinute = perMinute(ppi, viewingMm);
  return {
    amount: Math.round(Math.min(120, 60 + 40 * Math.max(0, factor - 1)) / 5) * 5,
    radius: suggestedRadius(ppi, viewingMm),
    threshold: factor >= 1.5 ? 4 : 2,
    because: { ppi, viewingMm, pixelsPerMinute: round(pixelsPerMinute), factor },
  };
}
