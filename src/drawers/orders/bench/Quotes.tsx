'use client';
import { useFormat } from '@/shell/figures';
import { SlipTable } from '@/shell/table';
import type { ParcelView } from './view';
import { REFUSED } from './words';

export type QuoteShown = NonNullable<ParcelView['open']>['quotes'][number];

export const quoteKey = (q: Pick<QuoteShown, 'carrier' | 'service'>) =>
  `${q.carrier}/${q.service}`;

/** What each service of each carrier asks for the parcel, or why it does not take it. */
export function Quotes({
  quotes,
  chosen,
  onChoose,
  currency,
}: {
  quotes: readonly QuoteShown[];
  chosen: string | null;
  onChoose: (key: string) => void;
  currency: string;
}) {
  const format = useFormat();
  return (
    <SlipTable aria-label="Carriers">
      <thead>
        <tr>
          <th>carrier (simulated)</th>
          <th>days</th>
          <th>billed</th>
          <th>{currency}</th>
        </tr>
      </thead>
      <tbody>
        {quotes.map((q) => {
          const key = quoteKey(q);
          const can = q.refused === null;
          return (
            <tr
              key={key}
              data-opens={can || undefined}
              tabIndex={can ? 0 : undefined}
              aria-selected={chosen === key}
              onClick={() => can && onChoose(key)}
              onKeyDown={(e) => e.key === 'Enter' && can && onChoose(key)}
            >
              <td>
                {q.carrier}, {q.service}
              </td>
              {can ? (
                <>
                  <td>{q.days}</td>
                  <td>{format.mass(q.billable)}</td>
                  <td>{format.amount(q.cost, currency)}</td>
                </>
              ) : (
                <td colSpan={3}>{REFUSED[q.refused!]}</td>
              )}
            </tr>
          );
        })}
      </tbody>
    </SlipTable>
  );
}
