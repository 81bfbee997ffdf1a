import { ppi } from '../../units';
import type { Ppi, Size } from '../../units';
import type { DeviceOf } from './devices';
import { flatbedPpi } from './devices';
import { fewestPieces } from './pieces';
import type { Pieces } from './pieces';
import type { CaptureRules } from './rules';

export interface FlatbedPlan {
  /** What it resolves over the original at most. */
  reached: Ppi;
  /** Resolution to set: what is needed, not more than it resolves. */
  set: Ppi;
  pieces: Pieces | null;
}

/** Tiles of a flatbed scan, in the orientation with fewer of them. */
export function planFlatbed(
  original: Size,
  device: DeviceOf<'flatbed'>,
  needed: Ppi,
  rules: Pick<CaptureRules, 'tileOverlapMm'>,
): FlatbedPlan {
  const reached = flatbedPpi(device);
  return {
    reached,
    set: ppi(Math.min(reached, Math.ceil(needed))),
    pieces: fewestPieces(original, device.bed, () => rules.tileOverlapMm),
  };
}
