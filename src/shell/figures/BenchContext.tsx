'use client';
import { createContext, useContext, useMemo } from 'react';
import type { ReactNode } from 'react';
import { I18nProvider } from 'react-aria-components';
import type { UnitMode } from '@/core/units';
import { formatOf } from './format';
import type { Format } from './format';

/** How the bench is set, for everything that is shown. */
export interface BenchView {
  units: UnitMode;
  tone: 'light' | 'middle' | 'dark';
  currency: string;
  locale: string;
  timeZone: string;
  /** Whether single keys do something. */
  singleKeys: boolean;
  /** Whether a sample is open, which goes when it is left. */
  sample?: boolean;
}

const BenchContext = createContext<BenchView>({
  units: 'metric',
  tone: 'middle',
  currency: 'EUR',
  locale: 'en-GB',
  timeZone: 'UTC',
  singleKeys: true,
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
export function useFormat(): Format {
  const { units, locale, currency, timeZone } = useBench();
  return useMemo(
    () => formatOf({ units, locale, currency, timeZone }),
    [units, locale, currency, timeZone],
  );
}
