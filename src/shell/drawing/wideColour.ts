'use client';
import type OpenSeadragon from 'openseadragon';
import { useSyncExternalStore } from 'react';

/** The colours of a wide screen, as browsers name them. */
export const WIDE_SCREEN = 'display-p3';

/** Whether screen and browser show more than sRGB. */
function offersWide(): boolean {
  if (!window.matchMedia('(color-gamut: p3)').matches) return false;
  const pen = document
    .createElement('canvas')
    .getContext('2d', { colorSpace: WIDE_SCREEN });
  return pen?.getContextAttributes().colorSpace === WIDE_SCREEN;
}

function onGamut(told: () => void): () => void {
  const gamut = window.matchMedia('(color-gamut: p3)');
  gamut.addEventListener('change', told);
  return () => gamut.removeEventListener('change', told);
}

/** Whether a picture can be shown in Display P3 here. */
export const useWideScreen = (): boolean =>
  useSyncExternalStore(onGamut, offersWide, () => false);

/** A drawer of a deep-zoom viewer that keeps the colours of Display P3. */
export function wideDrawer(OSD: typeof OpenSeadragon): typeof OpenSeadragon.CanvasDrawer {
  class WideDrawer extends OSD.CanvasDrawer {
    /** The canvas that is drawn on; whoever asks for its context first says its colours. */
    _createDrawingElement(): HTMLCanvasElement {
      const made = (
        OSD.CanvasDrawer.prototype as unknown as {
          _createDrawingElement: () => HTMLCanvasElement;
        }
      )._createDrawingElement.call(this);
      made.getContext('2d', { colorSpace: WIDE_SCREEN });
      return made;
    }
  }
  return WideDrawer;
}

type Job = Pick<OpenSeadragon.ImageJob, 'src' | 'userData' | 'finish' | 'fail'>;

/** How tiles are taken that name their colours in their files, so that none is cut down to sRGB. */
export const wideTiles = {
  downloadTileStart(job: Job): void {
    const image = new Image();
    (job.userData as { image?: HTMLImageElement }).image = image;
    image.onload = () => {
      const canvas = document.createElement('canvas');
      [canvas.width, canvas.height] = [image.naturalWidth, image.naturalHeight];
      const pen = canvas.getContext('2d', { colorSpace: WIDE_SCREEN });
      pen?.drawImage(image, 0, 0);
      job.finish(pen, null, 'context2d');
    };
    image.onerror = () => job.fail('a tile did not come', null);
    image.src = job.src;
  },
  downloadTileAbort(job: Job): void {
    const { image } = job.userData as { image?: HTMLImageElement };
    if (!image) return;
    image.onload = image.onerror = null;
    image.src = '';
  },
};
