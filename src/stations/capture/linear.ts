import { TONE_BINS, linearBins } from '@/core/capture/tone';
import type { MasterReading } from '@/core/capture/reading';
import { linearCurve, masterColourOf, storePaths } from '@/engine';
import type { MasterView, Studio } from '@/studio';

const DRAWN = 256;

/** Histograms of a master over linear light, by its own profile. */
export async function linearOf(
  open: Studio,
  { sha256, assumedSpace, file }: MasterView,
  { tone }: MasterReading,
): Promise<number[][]> {
  const colour = await masterColourOf(storePaths(open.home).file(sha256), assumedSpace);
  const channels = file.colourModel === 'grey' ? 1 : 3;
  const curve = await linearCurve(colour, channels, TONE_BINS);
  return tone.bins.map((bins) => linearBins(bins, curve, DRAWN));
}
