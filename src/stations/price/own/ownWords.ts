import type { Format } from '@/shell/figures';
import { FIGURE_WORDS } from './ownForm';
import type { OwnShown } from './ownShown';

type Said = Pick<Format, 'money' | 'number'>;

/** Months as people say them: `14 months`, `2.3 years`. */
export function monthsWords(months: number | null, format: Pick<Format, 'number'>): string {
  if (months === null) return 'never';
  return months < 24
    ? `${format.number(months, months < 10 ? 1 : 0)} months`
    : `${format.number(months / 12, 1)} years`;
}

/** When it pays, how sure that is, and which figure matters most. */
export function ownWords({ figures, back, band, swings }: OwnShown, format: Said): string {
  const saves = figures.elsewhere - figures.own;
  if (saves <= 0)
    return 'A print saves nothing: with one’s own it costs as much as elsewhere, or more.';
  if (back.months === null)
    return `Each saves ${format.money(saves)}, but at this pace it never pays for itself.`;
  const surely =
    band.low === band.high
      ? ''
      : ` Eight times in ten between ${monthsWords(band.low, format)} and ${monthsWords(band.high, format)}.`;
  const [most] = swings;
  const matters = most
    ? ` What matters most: ${FIGURE_WORDS[most.figure]} (a quarter less: ${monthsWords(most.less, format)}; a quarter more: ${monthsWords(most.more, format)}).`
    : '';
  return `Each saves ${format.money(saves)}: ${back.prints!} pay for it, in ${monthsWords(back.months, format)}.${surely}${matters}`;
}
