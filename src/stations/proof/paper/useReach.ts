'use client';
import { useEffect, useState } from 'react';
import { levelWithin, tileUrl } from '@/shell/drawing';
import type { ProofPicture, Shown } from '@/shell/drawing';

/** How far each pixel of a small copy of the picture is out of reach, tenths of CIEDE2000. */
export interface ReachMap {
  width: number;
  height: number;
  tenths: Uint8Array;
}

const LONGEST = 1024;

async function load(
  picture: ProofPicture,
  shown: Shown,
  signal: AbortSignal,
): Promise<ReachMap> {
  const level = levelWithin(picture, LONGEST);
  const by = 2 ** (picture.top - level);
  const [width, height] = [Math.ceil(picture.width / by), Math.ceil(picture.height / by)];
  const canvas = new OffscreenCanvas(width, height);
  const pen = canvas.getContext('2d', { willReadFrequently: true })!;
  const tiles: Promise<void>[] = [];
  for (let row = 0; row * picture.tile < height; row += 1)
    for (let column = 0; column * picture.tile < width; column += 1)
      tiles.push(
        fetch(tileUrl(picture, shown, level, column, row), { signal })
          .then((answer) => answer.blob())
          .then((blob) => createImageBitmap(blob, { colorSpaceConversion: 'none' }))
          .then((tile) => pen.drawImage(tile, column * picture.tile, row * picture.tile)),
      );
  await Promise.all(tiles);
  const { data } = pen.getImageData(0, 0, width, height);
  const tenths = new Uint8Array(width * height);
  for (let i = 0; i < tenths.length; i += 1) tenths[i] = data[i * 4]!;
  return { width, height, tenths };
}

/** The map of a picture on a paper, once it is wanted; null until it is there. */
export function useReach(picture: ProofPicture, on: string | null): ReachMap | null {
  const [found, setFound] = useState<{ on: string; map: ReachMap } | null>(null);
  const { masterId, width, height, tile, top } = picture;
  useEffect(() => {
    if (!on) return;
    const abort = new AbortController();
    const shown: Shown = {
      show: 'reach',
      on,
      intent: 'relative',
      blackPoint: false,
      paperWhite: false,
      blackInk: false,
      screen: 'srgb',
    };
    load({ masterId, width, height, tile, top }, shown, abort.signal).then(
      (map) => setFound({ on, map }),
      () => undefined,
    );
    return () => abort.abort();
  }, [on, masterId, width, height, tile, top]);
  return found?.on === on ? found.map : null;
}
