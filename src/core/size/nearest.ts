import type { NominalSize } from './nominalSize';
import { cropLoss, cropAt } from './crop';
import { ratioDistance, ratioName } from './ratios';

/** A ratio that standard sizes come in, held against a picture's. */
export interface NearRatio {
  name: string;
  sizes: NominalSize[];
  /** |ln(ratio of the sheet / ratio of the picture)|. */
  distance: number;
  /** Share of the picture's area lost when it is cropped to fill. */
  cropShare: number;
  /** Share of the sheet's area left white when the whole picture is kept. */
  whiteShare: number;
}

/**
 * Standard ratios by how near they come to a picture's (width / height): smallest difference
 * of logarithms first. Sheets lie the way the picture lies.
 */
export function nearestRatios(sizes: readonly NominalSize[], picture: number): NearRatio[] {
  const byName = new Map<string, NominalSize[]>();
  for (const s of sizes) byName.set(ratioName(s), [...(byName.get(ratioName(s)) ?? []), s]);
  return [...byName]
    .map(([name, own]) => {
      const upright = own[0]!.width / own[0]!.height;
      const sheet = picture > 1 ? 1 / upright : upright;
      const distance = ratioDistance(sheet, picture);
      return {
        name,
        sizes: own,
        distance,
        cropShare: cropLoss(cropAt(picture, sheet)),
        whiteShare: 1 - Math.exp(-distance),
      };
    })
    .sort((a, b) => a.distance - b.distance);
}
