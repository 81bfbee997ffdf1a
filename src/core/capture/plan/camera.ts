import { mm, ppi, toInches, mmOf } from '../../units';
import type { Millimetres, Ppi, Size } from '../../units';
import type { DeviceOf } from './devices';
import { fewestPieces } from './pieces';
import type { Pieces } from './pieces';
import type { CaptureRules } from './rules';

export interface CameraPlan {
  /** Resolution of one frame over the whole work, margin and mismatch of proportion taken off. */
  single: Ppi;
  /** Resolution with the most pieces one is ready to make. */
  reached: Ppi;
  /** Frames for what is needed (or, beyond reach, for what is reached). */
  pieces: Pieces;
  /** Resolution of that plan. */
  planned: Ppi;
  /** From the work to the lens (its front principal plane), mm. */
  distance: Millimetres;
}

/** Field of one frame at a resolution over the work, mm, lying. */
const fieldAt = ({ pixels }: DeviceOf<'camera'>, resolution: number): Size => ({
  width: mmOf(pixels.width, resolution),
  height: mmOf(pixels.height, resolution),
});

/**
 * Distance from the work to the lens for a field: f (1 + field / sensor), from the thin lens
 * equation with magnification sensor / field.
 * @example lensDistance({ kind: 'camera', name: 'body', pixels: { width: 8000, height: 6000 }, sensor: size(36, 24), focalLength: mm(90) }, mm(720)) // 1890
 */
export const lensDistance = (
  device: DeviceOf<'camera'>,
  fieldWidth: Millimetres,
): Millimetres => mm(device.focalLength * (1 + fieldWidth / device.sensor.width));

/**
 * Sampled ppi of one frame = pixels / field, per axis the smaller, in the better orientation.
 * The field is the work and its margin.
 * @example singleFrame(size(400, 300), { kind: 'camera', name: 'body', pixels: { width: 8000, height: 6000 }, sensor: size(36, 27), focalLength: mm(90) }, { framingMargin: 0 }) // 508
 */
export function singleFrame(
  original: Size,
  { pixels }: DeviceOf<'camera'>,
  rules: Pick<CaptureRules, 'framingMargin'>,
): Ppi {
  const w = toInches(original.width) * (1 + rules.framingMargin);
  const h = toInches(original.height) * (1 + rules.framingMargin);
  return ppi(
    Math.max(
      Math.min(pixels.width / w, pixels.height / h),
      Math.min(pixels.height / w, pixels.width / h),
    ),
  );
}

/**
 * Frames of a stitched photograph. The camera is moved, not zoomed: every frame has the
 * same field. The highest resolution within `mostPieces` frames is found by bisection.
 */
export function planCamera(
  original: Size,
  device: DeviceOf<'camera'>,
  needed: Ppi,
  rules: Pick<CaptureRules, 'framingMargin' | 'frameOverlap' | 'mostPieces'>,
): CameraPlan {
  const single = singleFrame(original, device, rules);
  const withMargin = {
    width: mm(original.width * (1 + rules.framingMargin)),
    height: mm(original.height * (1 + rules.framingMargin)),
  };
  const covered = (resolution: number) =>
    fewestPieces(withMargin, fieldAt(device, resolution), (s) => s * rules.frameOverlap);
  const fits = (resolution: number) =>
    (covered(resolution)?.pieces.length ?? Infinity) <= rules.mostPieces;
  let low: number = single;
  let high = single * (rules.mostPieces + 1);
  for (let i = 0; i < 60; i += 1) {
    const middle = (low + high) / 2;
    if (fits(middle)) low = middle;
    else high = middle;
  }
  const planned = needed <= single ? single : Math.min(needed, low);
  // The smallest step down: the field at exactly this resolution must not need one frame more.
  const found = covered(planned * (1 - 1e-9))!;
  const shift = (length: number) => (length * rules.framingMargin) / 2;
  const pieces = {
    ...found,
    pieces: found.pieces.map((p) => ({
      ...p,
      left: p.left - shift(original.width),
      top: p.top - shift(original.height),
    })),
  };
  return {
    single,
    reached: ppi(low),
    planned: ppi(planned),
    pieces,
    distance: lensDistance(device, fieldAt(device, planned).width),
  };
}
