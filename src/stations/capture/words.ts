import type { MasterCaution } from '@/core/capture';
import type { Format } from '@/shell';

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
