import { openPicture } from '../sharpSetup';

const QUALITY = 86;

/** A photograph as a page shows it: upright, in the screen's colours, its longer side at most so many pixels; JPEG. */
export const photographPreview = (path: string, side: number): Promise<Uint8Array> =>
  openPicture(path)
    .autoOrient()
    .resize(side, side, { fit: 'inside', withoutEnlargement: true })
    .flatten({ background: '#fff' })
    .toColourspace('srgb')
    .jpeg({ quality: QUALITY })
    .toBuffer();
