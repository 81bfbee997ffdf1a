import type { RefusedFile } from '@/engine';

const KINDS: Record<string, string> = {
  gif: 'a GIF, which holds 256 colours at most',
  webp: 'a WebP picture',
  pdf: 'a PDF document',
  zip: 'a ZIP archive',
  unknown: 'not a picture',
};

/** Why a file cannot be a master, and what to do. */
export function refusalWords(name: string, refused: RefusedFile): string {
  switch (refused.code) {
    case 'empty':
      return `${name}: the file is empty (0 bytes). Copy it again from where it came from.`;
    case 'notAPicture':
      return `${name}: by its content this is ${KINDS[refused.kind] ?? 'not a picture'}. A master is a TIFF, JPEG or PNG: export it as 16-bit TIFF.`;
    case 'animated':
      return `${name}: it holds ${refused.frames > 1 ? `${refused.frames} pages or frames` : 'an animation'}. A master is one picture: export the one you mean.`;
    case 'cmyk':
      return `${name}: its colours are CMYK, already narrowed for a press. Bring the RGB or grey original that it was made from.`;
    case 'otherModel':
      return `${name}: its colour model (${refused.model}) is neither RGB nor grey. Export it as RGB TIFF with its profile.`;
    case 'tooManyPixels':
      return `${name}: ${Math.round(refused.megapixels)} megapixels are over the limit of ${refused.limit}. Raise GLASSINE_MAX_MEGAPIXELS if the file is what you think it is.`;
    case 'tooLong':
      return `${name}: one edge has ${refused.edge} pixels, over the limit of ${refused.limit}; such a strip cannot be held in memory row by row. Cut it into parts that are less long.`;
    case 'interlaced':
      return `${name}: ${Math.round(refused.megapixels)} megapixels, saved interlaced (progressive), which has to be held in memory whole; the limit for that is ${refused.limit}. Save it again without interlacing.`;
    case 'tooLarge':
      return `${name}: over ${refused.limitGigabytes} GB. Raise GLASSINE_MAX_GIGABYTES if the file is what you think it is.`;
    case 'broken':
      return `${name}: it breaks off or is damaged (${refused.detail}). Copy or scan it again; nothing of it was kept.`;
  }
}
