import { cheapestByArea, perSquareMetre } from '@/core/paper';
import type { PaperFormat } from '@/core/paper';
import { size } from '@/core/units';
import type { Size } from '@/core/units';

/** How figures are written, as far as it goes. */
interface Written {
  size: (s: Size) => string;
  length: (mm: number) => string;
  distance: (mm: number) => string;
  money: (amount: number, currency: string) => string;
}

/** What a format is called: a sheet by its size, a roll by width and length, and its core. */
export function formatName(
  { kind, width, height, core }: Pick<PaperFormat, 'kind' | 'width' | 'height' | 'core'>,
  format: Omit<Written, 'money'>,
): string {
  if (kind === 'sheet') return `sheet ${format.size(size(width, height))}`;
  const wound = core === null ? '' : `, core ${format.length(core)}`;
  return `roll ${format.length(width)} by ${format.distance(height)}${wound}`;
}

/** As what a paper is sold, in a few words: its one size, or how many there are and from how much a square metre. */
export function soldWords(formats: readonly PaperFormat[], format: Written): string {
  const least = cheapestByArea(formats);
  const price = (f: PaperFormat) => format.money(f.price, f.currency);
  if (formats.length === 1) return `${price(formats[0]!)} a sheet`;
  const from = least
    ? `, from ${format.money(Math.round(perSquareMetre(least)), least.currency)} a m²`
    : '';
  return `${formats.length} sizes${from}`;
}
