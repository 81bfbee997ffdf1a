import { taxOf } from '@/core/price';
import type { TaxRule } from '@/core/price';
import type { Minor } from '@/core/units';

interface Format {
  money(amount: number, currency?: string): string;
  percent(share: number, digits?: number): string;
}

/** What of a price is the local tax that the studio set, said apart from every other figure. */
export function taxWords(price: Minor | null, rule: TaxRule, format: Format): string {
  if (rule.share === 0 || price === null)
    return 'Tax is in none of these figures; local rules decide.';
  const { tax, pays } = taxOf(price, rule);
  const name = `${rule.name || 'tax'}, ${format.percent(rule.share, 1)}`;
  return rule.included
    ? `Apart: of ${format.money(price)}, ${format.money(tax)} are ${name}; what is left has it in it. As set at Bench settings, no advice.`
    : `Apart: ${name} comes on top, so the buyer pays ${format.money(pays)}. As set at Bench settings, no advice.`;
}
