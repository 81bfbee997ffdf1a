import type { Format } from '@/shell/figures';
import type { PhotographView } from './view';

type Seen = NonNullable<PhotographView['seen']>;

/** How sure it is that the print lies where it is said to. */
export function sureWords(
  { parts, same, off, alike }: Seen,
  byHand: boolean,
  format: Pick<Format, 'number'>,
): string {
  const placed = byHand ? 'Placed by hand' : 'Found by itself';
  if (parts === 0) return `${placed}: the picture is too plain to tell whether it fits.`;
  const fits = `${same} of ${parts} parts are the master’s`;
  return same < parts / 2
    ? `${placed}, and it does not fit: only ${fits}. Move the corners onto those of the picture.`
    : `${placed}: ${fits} (correlation ${format.number(alike, 2)}), ${off < 0.1 ? 'under 0.1' : format.number(off, 1)} px off in the middle, of a picture of 2000.`;
}
