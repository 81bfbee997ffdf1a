import type { Overlay } from '@/shell/drawing';

interface Grid {
  gridBy: number;
  gridAcross: number;
  channels: number;
  /** Of 255; marked where something is at or beyond them. */
  low: number;
  high: number;
}

/** Marks the squares in which some channel reaches an end of the scale. Drawn at once, so that a slider is followed. */
export function endsOverlay(
  extremes: Uint8Array,
  { gridBy, gridAcross, channels, low, high }: Grid,
  picture: { width: number; height: number },
): Overlay {
  const down = Math.ceil(picture.height / gridBy);
  const sheet = document.createElement('canvas');
  sheet.width = gridAcross;
  sheet.height = down;
  const pen = sheet.getContext('2d');
  const image = pen?.createImageData(gridAcross, down);
  if (pen && image) {
    for (let i = 0, at = 0; i < gridAcross * down; i += 1) {
      let dark = false;
      let burnt = false;
      for (let c = 0; c < channels; c += 1, at += 2) {
        if (extremes[at]! <= low) dark = true;
        if (extremes[at + 1]! >= high) burnt = true;
      }
      if (!dark && !burnt) continue;
      const [r, g, b] = burnt ? [190, 30, 20] : [30, 80, 150];
      image.data.set([r, g, b, 170], i * 4);
    }
    pen.putImageData(image, 0, 0);
  }
  return (over, { left, top, scale }) => {
    over.imageSmoothingEnabled = false;
    const wide = gridAcross * gridBy * scale;
    over.drawImage(sheet, left, top, wide, down * gridBy * scale);
  };
}
