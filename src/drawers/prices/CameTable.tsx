'use client';
import { useFormat } from '@/shell/figures';
import { SlipTable } from '@/shell/table';
import { SectionLabel, Small } from '@/shell/words';
import type { PriceListsView } from './view';

/** What really came of what was handed over, beside what the list of that day promised. */
export function CameTable({ came }: { came: PriceListsView['came'] }) {
  const format = useFormat();
  if (came.length === 0)
    return (
      <Small>
        What really comes is noted at Prepare, Hand over; it then stands here beside what
        was promised.
      </Small>
    );
  return (
    <>
      <SectionLabel>What really came</SectionLabel>
      <SlipTable aria-label="What really came">
        <thead>
          <tr>
            <th>errand</th>
            <th>paid</th>
            <th>days</th>
            <th>faulty</th>
          </tr>
        </thead>
        <tbody>
          {came.map((c) => (
            <tr key={c.errand}>
              <td className="wrap">
                {c.errand}
                <Small>{format.day(c.onDay)}</Small>
              </td>
              <td className="wrap">
                {format.money(c.cost, c.currency)}
                <Small>
                  {c.promisedCost === null
                    ? 'not promised'
                    : `promised ${format.amount(c.promisedCost, c.currency)}`}
                </Small>
              </td>
              <td className="wrap">
                {c.days}
                {c.promisedDays !== null && <Small>promised {c.promisedDays}</Small>}
              </td>
              <td className="wrap">
                {c.faulty} of {c.quantity}
                {c.note && <Small>{c.note}</Small>}
              </td>
            </tr>
          ))}
        </tbody>
      </SlipTable>
    </>
  );
}
