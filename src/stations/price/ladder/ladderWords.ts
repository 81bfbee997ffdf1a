import type { Ladder, LadderRow, LadderWarning } from '@/core/price';
import type { Format } from '@/shell/figures';
import type { LadderSize } from './ladderTypes';
import { variantOf } from './variants';

type Money = Pick<Format, 'money'>;

/** A size as it is sold: `30 × 40 cm, framed`. */
export function variantWords(id: string, sizes: readonly LadderSize[]): string {
  const { key, paper, framed } = variantOf(id);
  const label = sizes.find((s) => s.key === key)?.label ?? key;
  return `${label}${paper ? ' on the other paper' : ''}${framed ? ', framed' : ''}`;
}

/** What is asked for a size beside the plain print, and what of it is left through the first channel. */
export const variantFacts = (
  { rows }: Pick<Ladder, 'rows'>,
  key: string,
  asked: { otherPaper: string },
  format: Pick<Format, 'amount'>,
): [string, string][] =>
  rows.flatMap((row): [string, string][] => {
    const of = variantOf(row.id);
    if (of.key !== key || (!of.paper && !of.framed) || row.price === null) return [];
    const name = [of.paper ? `on ${asked.otherPaper}` : '', of.framed ? 'framed' : ''];
    const first = row.sales[0];
    return [
      [
        name.filter(Boolean).join(', '),
        `${format.amount(row.price)}${first ? `, ${format.amount(first.sale.net)} left` : ''}`,
      ],
    ];
  });

/** What is odd in a ladder, in words. */
export function warningWords(
  warning: LadderWarning,
  sizes: readonly LadderSize[],
  format: Money,
): string {
  const name = (id: string) => variantWords(id, sizes);
  const of = name(warning.of);
  switch (warning.what) {
    case 'largerCheaper':
      return `${of} is larger than ${name(warning.against)}, and costs less.`;
    case 'limitedUnderOpen':
      return `${of} is limited, and costs no more than ${name(warning.against)}, which is open.`;
    case 'compete':
      return `${of} and ${name(warning.against)} compete: nearly as large, nearly as dear (rule of thumb).`;
    case 'underCost':
      return `${of} is under its cost through ${warning.channel}: short by ${format.money(warning.short)}.`;
    case 'ceiling':
      return `${of} would reach ${format.money(warning.wanted)}: the ceiling holds it.`;
    case 'noPrice':
      return `${of} has no price by this rule.`;
  }
}

/** How the price of an edition rises from here, and what all of it brings. */
export function stepsWords(row: LadderRow, size: LadderSize, format: Money): string {
  const { edition, sold } = size;
  if (edition === null) return 'Open: its price does not rise by itself.';
  if (row.price === null) return 'Sold out, or without a price by this rule.';
  const next = row.steps.find((s) => s.from > sold + 1);
  const then =
    next && next.price !== row.price
      ? `After number ${next.from - 1} the price steps from ${format.money(row.price)} to ${format.money(next.price)}.`
      : 'The price steps no more.';
  const brings = row.earns
    ? ` Sold out, the edition brings ${format.money(row.earns.gross)}, ${format.money(row.earns.net)} of it net through the first channel.`
    : '';
  return `${then}${brings}`;
}

/** What is kept of a size, and how many of it are given away. */
export function keptInWords({ kept, edition, sold }: LadderSize, format: Money): string {
  const price = kept === null ? 'no price kept yet' : `kept ${format.money(kept)}`;
  return edition === null
    ? price
    : `${price}; ${sold} sold, number ${Math.min(sold + 1, edition)} is next`;
}
