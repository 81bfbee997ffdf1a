import { RGB_SPACES, iccProfile } from '@/core/colour';
import type { SpaceId } from '@/core/colour';

/** Colours that a picture is converted to: a profile, its name and its channels. */
export interface PrintTarget {
  icc: Uint8Array;
  name: string;
  /** RGB or CMYK. */
  channels: 3 | 4;
}

export const spaceTarget = (id: SpaceId): PrintTarget => ({
  icc: iccProfile(RGB_SPACES[id]),
  name: RGB_SPACES[id].name,
  channels: 3,
});
