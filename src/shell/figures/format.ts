import {
  formatAmount,
  formatDay,
  formatDistance,
  formatLength,
  formatMass,
  formatMoney,
  formatNumber,
  formatSize,
  formatThickness,
} from '@/core/units';
import type { Millimetres, Minor, Size, UnitMode } from '@/core/units';

/** What figures are written by. */
export interface Written {
  units: UnitMode;
  locale: string;
  currency: string;
  /** Where the studio is: an IANA time zone, by which an instant has its day. */
  timeZone: string;
}

/** Formatters in these units, this locale and currency. */
export const formatOf = ({ units, locale, currency, timeZone }: Written) => ({
  length: (mm: number) => formatLength(mm as Millimetres, units, locale),
  distance: (mm: number) => formatDistance(mm as Millimetres, units, locale),
  size: (s: Size) => formatSize(s, units, locale),
  mass: (g: number) => formatMass(g, units, locale),
  thickness: (mm: number) => formatThickness(mm as Millimetres, units, locale),
  /** In the currency it was kept in; the bench's where none is named. */
  money: (m: number, of = currency) => formatMoney(m as Minor, of || currency, locale),
  amount: (m: number, of = currency) => formatAmount(m as Minor, of || currency, locale),
  number: (n: number, digits = 0) => formatNumber(n, digits, locale),
  percent: (share: number, digits = 0) =>
    `${formatNumber(share * 100, digits, locale)}\u202f%`,
  /** Never broken over two lines. */
  day: (iso: string) => formatDay(iso, locale, timeZone).replace(/ /g, '\u00a0'),
});

export type Format = ReturnType<typeof formatOf>;
