import type { Format } from '@/shell/figures';
import type { Purchase } from '@/studio';
import { formatName } from '@/studio/words/formatWords';

export const KIND_WORDS: Record<Purchase['kind'], string> = {
  paper: 'paper',
  ink: 'ink',
  material: 'packing',
};

/** Who is asked; where nobody said who, that. */
export const supplierWords = (supplier: string): string => supplier || 'Supplier not noted';

/** How many, of what is counted so. */
export function quantityWords({ kind, quantity }: Pick<Purchase, 'kind' | 'quantity'>) {
  const one = kind === 'paper' ? 'sheet' : 'piece';
  return `${quantity} ${one}${quantity === 1 ? '' : 's'}`;
}

/** What is left, or lies ready. */
export const leftWords = ({ kind, left }: Pick<Purchase, 'kind' | 'left'>): string =>
  kind === 'ink' ? `${left} ready` : `${Number(left.toFixed(1))} left`;

/** As what else as much of a paper costs less. */
export const insteadWords = (
  { quantity, price }: Pick<NonNullable<Purchase['instead']>, 'quantity' | 'price'>,
  name: string,
  money: (minor: number) => string,
): string => `or ${quantity} × ${name}: ${money(price)}, before it is cut`;

/** A list as it stands on the page: what of it, and how many. */
export const listSeen = (lines: readonly Pick<Purchase, 'kind' | 'id' | 'quantity'>[]) =>
  lines.map((p) => `${p.kind}:${p.id}×${p.quantity}`).join(' ');

/** What a line of it is called on an order: its name, and what it comes as. */
export const orderedName = ({ name, as }: Purchase, format: Format): string =>
  as ? `${name}, ${formatName(as, format)}` : name;
