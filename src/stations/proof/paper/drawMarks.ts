import type { Place } from '@/engine';
import type { Overlay } from '@/shell/drawing';
import type { ReachMap } from './useReach';

/** CIEDE2000 beyond the threshold from which marks are crossed. */
const CROSSED = 3;
const GAP = 7;

/** A small picture that is opaque where a colour is farther out of reach than the threshold. */
function maskOf({ width, height, tenths }: ReachMap, from: number): OffscreenCanvas {
  const canvas = new OffscreenCanvas(width, height);
  const pen = canvas.getContext('2d')!;
  const image = pen.createImageData(width, height);
  const opaque = Uint32Array.from({ length: 256 }, (_, v) =>
    v > from * 10 ? 0xff000000 : 0,
  );
  const pixels = new Uint32Array(image.data.buffer);
  for (let i = 0; i < pixels.length; i += 1) pixels[i] = opaque[tenths[i]!]!;
  pen.putImageData(image, 0, 0);
  return canvas;
}

/** Stripes in black and white, which are seen on any colour and without colours. */
function hatch(direction: 1 | -1): OffscreenCanvas {
  const canvas = new OffscreenCanvas(GAP, GAP);
  const pen = canvas.getContext('2d')!;
  for (let i = 0; i < GAP; i += 1) {
    const x = direction > 0 ? i : GAP - 1 - i;
    pen.fillStyle = '#fff';
    pen.fillRect(x, i, 1.4, 1);
    pen.fillStyle = '#161616';
    pen.fillRect((x + 2) % GAP, i, 1.4, 1);
  }
  return canvas;
}

/** Draws marks over what is out of reach, from a threshold on; crossed where it is far. */
export function reachMarks(
  map: ReachMap,
  threshold: number,
  picture: { width: number; height: number },
): Overlay {
  const layers = [
    { mask: maskOf(map, threshold), direction: 1 as const },
    { mask: maskOf(map, threshold + CROSSED), direction: -1 as const },
  ];
  const over = new OffscreenCanvas(1, 1);
  const under = over.getContext('2d')!;
  return (pen, seen) => {
    const [across, down] = [Math.ceil(seen.width), Math.ceil(seen.height)];
    if (over.width !== across) over.width = across;
    if (over.height !== down) over.height = down;
    const [wide, high] = [picture.width * seen.scale, picture.height * seen.scale];
    for (const { mask, direction } of layers) {
      under.globalCompositeOperation = 'copy';
      under.imageSmoothingEnabled = false;
      under.drawImage(mask, seen.left, seen.top, wide, high);
      under.globalCompositeOperation = 'source-in';
      under.fillStyle = under.createPattern(hatch(direction), 'repeat')!;
      under.fillRect(0, 0, seen.width, seen.height);
      pen.drawImage(over, 0, 0);
    }
  };
}

const RING = 16;

/** Draws rings around the places where most is lost, each with its number. */
export const placeRings =
  (places: readonly Place[], picture: { width: number; height: number }): Overlay =>
  (pen, seen) => {
    places.forEach(({ x, y }, i) => {
      const at = {
        x: seen.left + x * picture.width * seen.scale,
        y: seen.top + y * picture.height * seen.scale,
      };
      for (const [colour, wide] of [
        ['#fff', 4],
        ['#161616', 1.6],
      ] as const) {
        pen.beginPath();
        pen.arc(at.x, at.y, RING, 0, 2 * Math.PI);
        pen.strokeStyle = colour;
        pen.lineWidth = wide;
        pen.stroke();
      }
      pen.fillStyle = 'rgba(255,255,255,0.9)';
      pen.fillRect(at.x + 12, at.y - 25, 17, 17);
      pen.fillStyle = '#161616';
      pen.font = "12px 'Commissioner', sans-serif";
      pen.fillText(String(i + 1), at.x + 17, at.y - 12);
    });
  };
