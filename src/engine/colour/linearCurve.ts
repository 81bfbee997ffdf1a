import { RGB_SPACES, decoded } from '@/core/colour';
import type { MasterColour } from './masterColour';
import { rowConverter } from './masterColour';

const fromSrgb = (v: number): number => decoded(RGB_SPACES.srgb.curve, v);

/**
 * Linear light, 0..1, of neutral tones at even steps of a master's encoded scale, both ends
 * included: its profile's own curve, whatever the profile is made of.
 */
export async function linearCurve(
  colour: MasterColour,
  channels: 1 | 3,
  steps: number,
): Promise<Float64Array> {
  const options = { intent: 'relative', blackPoint: false, exact: true } as const;
  const converter = await rowConverter(colour, channels, 'srgb', options);
  const ramp = new Uint16Array(steps * channels);
  for (let i = 0; i < steps; i += 1)
    ramp.fill(Math.round((i / (steps - 1)) * 65535), i * channels, (i + 1) * channels);
  const seen = converter.toTarget(ramp, steps);
  converter.close();
  const curve = new Float64Array(steps);
  let highest = 0;
  for (let i = 0; i < steps; i += 1) {
    // Never falling, whatever rounding does near black.
    highest = Math.max(highest, fromSrgb(seen[3 * i + 1]! / 65535));
    curve[i] = highest;
  }
  return curve;
}
