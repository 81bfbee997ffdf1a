import { mm, pixelsFor } from '../../units';
import type { Size } from '../../units';
import type { CaptureRules } from './rules';

export interface CanvasPlan {
  /** Pixels of the canvas with its bleed. */
  width: number;
  height: number;
  /** One layer: four channels (with transparency). */
  layerBytes: { eight: number; sixteen: number };
  /** Whole layers that a memory holds. */
  layers: { eight: number; sixteen: number };
}

/** Canvas of a born digital work for its largest print, bleed on every side. */
export function planCanvas(
  print: Size,
  memoryMegabytes: number,
  rules: Pick<CaptureRules, 'printPpi' | 'bleedMm'>,
): CanvasPlan {
  const width = pixelsFor(mm(print.width + 2 * rules.bleedMm), rules.printPpi);
  const height = pixelsFor(mm(print.height + 2 * rules.bleedMm), rules.printPpi);
  const eight = width * height * 4;
  const holds = (bytes: number) => Math.floor((memoryMegabytes * 1e6) / bytes);
  return {
    width,
    height,
    layerBytes: { eight, sixteen: eight * 2 },
    layers: { eight: holds(eight), sixteen: holds(eight * 2) },
  };
}
