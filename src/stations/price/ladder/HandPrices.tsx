'use client';
import { Line } from '@/shell/fields';
import { SlipTable } from '@/shell/table';
import type { LadderKnown } from './ladderTypes';

/** What is typed by hand for each size: the price of the next one. */
export function HandPrices({
  known,
  typed,
  onType,
}: {
  known: LadderKnown;
  typed: Record<string, string>;
  onType: (key: string, text: string) => void;
}) {
  return (
    <SlipTable aria-label="Prices by hand">
      <tbody>
        {known.sizes.map((s) => (
          <tr key={s.key}>
            <td>{s.label}</td>
            <td style={{ width: 130 }}>
              <Line
                label={`Price of ${s.label}, ${known.currency}`}
                value={typed[s.key] ?? ''}
                onChange={(text) => onType(s.key, text)}
                figure
              />
            </td>
          </tr>
        ))}
      </tbody>
    </SlipTable>
  );
}
