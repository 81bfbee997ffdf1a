'use client';
import { createContext, useContext, useMemo } from 'react';
import type { ReactNode } from 'react';
import { I18nProvider } from 'react-aria-components';
import {
  formatAmount,
  formatDay,
  formatDistance,
  formatLength,
  formatMass,
  formatMoney,
  formatNumber,
  formatSize,
} from '@/core/units';
import type { Millimetres, Minor, Size, UnitMode } from '@/core/units';

/** How the bench is set, for everything that is shown. */
export interface BenchView {
  units: UnitMode;
  tone: 'light' | 'middle' | 'dark';
  currency: string;
  locale: string;
}

const BenchContext = createContext<BenchView>({
  units: 'metric',
  tone: 'middle',
  currency: 'EUR',
  locale: 'en-GB',
});

export const BenchProvider = ({
  bench,
  children,
}: {
  bench: BenchView;
  children: ReactNode;
}) => (
  <I18nProvider locale={bench.locale}>
    <BenchContext.Provider value={bench}>{children}</BenchContext.Provider>
  </I18nProvider>
);

export const useBench = () => useContext(BenchContext);

/** Formatters in the reader's units, locale and currency. */
export function useFormat() {
  const { units, locale, currency } = useBench();
  return useMemo(
    () => ({
      length: (mm: number) => formatLength(mm as Millimetres, units, locale),
      distance: (mm: number) => formatDistance(mm as Millimetres, units, locale),
      size: (s: Size) => formatSize(s, units, locale),
      mass: (g: number) => formatMass(g, locale),
      money: (m: number) => formatMoney(m as Minor, currency, locale),
      amount: (m: number) => formatAmount(m as Minor, currency, locale),
      number: (n: number, digits = 0) => formatNumber(n, digits, locale),
      percent: (share: number, digits = 0) =>
        `${formatNumber(share * 100, digits, locale)}\u202f%`,
      day: (iso: string) => formatDay(iso, locale),
    }),
    [units, locale, currency],
  );
}

export type Format = ReturnType<typeof useFormat>;
