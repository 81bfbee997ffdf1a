import type { OrderMore } from '@/core/price';
import type { Format } from '@/shell/figures';
import type { LeftOut } from './comparedRoutes';
import type { RoutesShown } from './routesShown';

type Amounts = Pick<Format, 'money'>;

/** Who is cheapest for so many, by how much, and from where on somebody else is. */
export function cheapestWords({ quoted, next }: RoutesShown, format: Amounts): string {
  const [best, second] = quoted;
  const then = next ? ` From ${next.from} on it is ${next.route}.` : '';
  if (!best) return `Nobody prints so few.${then}`;
  const ahead = second
    ? second.total === best.total
      ? `${second.route} asks the same`
      : `${format.money(second.total - best.total)} less than ${second.route}`
    : 'nobody else has a price';
  return `${best.route} prints them for ${format.money(best.total)}: ${ahead}.${then}`;
}

/** That a few more cost less: `10 cost less than 8`. */
export function moreWords(
  { route, wanted, order, saves }: OrderMore,
  { compared }: Pick<RoutesShown, 'compared'>,
  format: Amounts,
): string {
  const total = (quantity: number) =>
    compared.cost.find((c) => c.route === route && c.quantity === quantity)!.total;
  return `${route}: ${order} cost less than ${wanted}, ${format.money(total(order))} instead of ${format.money(total(wanted))}, ${format.money(saves)} saved.`;
}

const LEFT_OUT: Record<LeftOut['why'], string> = {
  currency: 'its list is in another currency',
  noPrice: 'its list has no price for this size',
  numbered: 'this edition is numbered, and nobody numbers or signs there',
};

/** Why somebody with a list is not compared. */
export const leftOutWords = ({ name, why }: LeftOut): string =>
  `${name} is not compared: ${LEFT_OUT[why]}.`;
