import { ppi, toInches } from '../../units';
import type { Ppi, Size } from '../../units';
import { planCamera } from './camera';
import type { CameraPlan } from './camera';
import type { Device } from './devices';
import { planCanvas } from './digital';
import type { CanvasPlan } from './digital';
import { planFlatbed } from './flatbed';
import type { FlatbedPlan } from './flatbed';
import { captureNeeds, largestPrint, pictureBytes } from './needs';
import type { CaptureNeeds } from './needs';
import type { CaptureRules } from './rules';

/** `oneGo`: one scan or frame. `inPieces`: several, joined. `fallsShort`: not with this device. */
export type CaptureVerdict = 'oneGo' | 'inPieces' | 'fallsShort';

export interface CapturePlan {
  device: Device;
  needs: CaptureNeeds;
  verdict: CaptureVerdict;
  /** `resolution`: it does not resolve enough. `pieces`: more than one is ready to join. */
  because: 'resolution' | 'pieces' | 'memory' | 'none';
  /** Highest resolution over the original that it gives. */
  reached: Ppi;
  /** The largest print that it feeds at the print's resolution. */
  largest: Size;
  /** Pieces of the plan; 1 in one go. */
  count: number;
  bytes: { eight: number; sixteen: number };
  flatbed: FlatbedPlan | null;
  camera: CameraPlan | null;
  canvas: CanvasPlan | null;
}

/** Resolution of a film scan over the original: pixels of the frame / its field on the original. */
function filmPpi(original: Size, frame: Size, scan: Ppi): Ppi {
  const across = toInches(frame.width) * scan;
  const down = toInches(frame.height) * scan;
  const w = toInches(original.width);
  const h = toInches(original.height);
  return ppi(Math.max(Math.min(across / w, down / h), Math.min(down / w, across / h)));
}

/** Holds one device against a wanted print of an original. Pure geometry; rules as given. */
export function planCapture(
  original: Size,
  print: Size,
  device: Device,
  rules: CaptureRules,
): CapturePlan {
  const needs = captureNeeds(original, print, rules.printPpi);
  const bytes = {
    eight: pictureBytes(needs, 8),
    sixteen: pictureBytes(needs, 16),
  };
  const answer = (
    reached: Ppi,
    count: number,
    extra: Partial<CapturePlan>,
    because: CapturePlan['because'] = 'none',
  ): CapturePlan => ({
    device,
    needs,
    bytes,
    reached,
    count,
    largest: largestPrint(original, reached, rules.printPpi),
    because,
    verdict: because !== 'none' ? 'fallsShort' : count > 1 ? 'inPieces' : 'oneGo',
    flatbed: null,
    camera: null,
    canvas: null,
    ...extra,
  });
  switch (device.kind) {
    case 'flatbed': {
      const flatbed = planFlatbed(original, device, needs.ppi, rules);
      const count = flatbed.pieces?.pieces.length ?? Infinity;
      const because =
        flatbed.reached < needs.ppi
          ? 'resolution'
          : count > rules.mostPieces
            ? 'pieces'
            : 'none';
      return answer(flatbed.reached, count, { flatbed }, because);
    }
    case 'camera': {
      const camera = planCamera(original, device, needs.ppi, rules);
      const because = camera.reached < needs.ppi ? 'pieces' : 'none';
      return answer(camera.reached, camera.pieces.pieces.length, { camera }, because);
    }
    case 'film': {
      const reached = filmPpi(original, device.frame, device.ppi);
      return answer(reached, 1, {}, reached < needs.ppi ? 'resolution' : 'none');
    }
    case 'digital': {
      const canvas = planCanvas(print, device.memoryMegabytes, rules);
      const holds = canvas.layers.eight >= 1;
      return answer(needs.ppi, 1, { canvas }, holds ? 'none' : 'memory');
    }
  }
}
