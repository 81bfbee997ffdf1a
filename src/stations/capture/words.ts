import type { MasterCaution } from '@/core/capture';
import type { RefusedFile } from '@/engine';
import type { Format } from '@/shell';

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
    case 'tooLarge':
      return `${name}: over ${refused.limitGigabytes} GB. Raise GLASSINE_MAX_GIGABYTES if the file is what you think it is.`;
    case 'broken':
      return `${name}: it breaks off or is damaged (${refused.detail}). Copy or scan it again; nothing of it was kept.`;
  }
}

/** A caution about a master, as a short head and what it means. */
export function cautionWords(caution: MasterCaution, format: Format): [string, string] {
  switch (caution.code) {
    case 'untagged':
      return [
        'No colour profile',
        'Its colours are unknown until you say which space it was saved in.',
      ];
    case 'eightBits':
      return [
        '8 bits per channel',
        'Enough to print from, little to correct with. Scan at 16 bits if it was to be had.',
      ];
    case 'ppiAbsent':
      return [
        'No ppi tag',
        `Only a tag. Over the original it is ${format.number(caution.sampled)} ppi.`,
      ];
    case 'ppiWrong':
      return [
        `Tagged ${format.number(caution.tag)} ppi`,
        `Only a tag. Over the original it is ${format.number(caution.sampled)} ppi.`,
      ];
    case 'proportion':
      return [
        'Not the original’s proportion',
        `Width to height is off by ${format.number(Math.abs(caution.percent), 1)} %: bed edge left in, or cropped?`,
      ];
    case 'small':
      return [
        'Smaller than the original',
        `At native resolution it reaches ${format.length(caution.longestMm)} on the longest side.`,
      ];
  }
}
