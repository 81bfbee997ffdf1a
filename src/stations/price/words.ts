import type { Format } from '@/shell/figures';
import type { InkCost, PaperCost } from '@/studio';
import { PAPER_COST_FROM } from '@/studio/words/paperWords';

/** What the paper of a print is known to cost. */
export const paperHint = (
  { amount, currency, from }: PaperCost,
  format: Pick<Format, 'money'>,
): string => `Known: ${format.money(amount, currency)}, ${PAPER_COST_FROM[from]}.`;

/** What the ink of a print is reckoned to cost, and how well that is known. */
export function inkHint(ink: InkCost, format: Pick<Format, 'money' | 'number'>): string {
  const { amount, currency, printer, laid, beside, estimated, cartridges } = ink;
  const rests =
    cartridges === 0
      ? 'by rules of thumb'
      : estimated
        ? 'from the picture'
        : 'as prints are on average';
  return `Ink: ${format.money(amount, currency)} on ${printer}, ${rests}: ${format.number(laid, 1)}\u202fml, and ${format.number(beside, 1)} for cleaning and idle days.`;
}
