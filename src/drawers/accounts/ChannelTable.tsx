'use client';
import { useFormat } from '@/shell/figures';
import { SlipTable } from '@/shell/table';
import { SectionLabel, Small } from '@/shell/words';
import type { AccountsView } from './view';

/** Channel by channel: what sales left, what was paid beside them, what stays of both. */
export function ChannelTable({ channels }: { channels: AccountsView['channels'] }) {
  const format = useFormat();
  const many = new Set(channels.map((c) => c.currency)).size > 1;
  const untold = channels.some((c) => c.unreckoned > 0);
  return (
    <>
      <SectionLabel>Channel by channel</SectionLabel>
      <SlipTable aria-label="Channel by channel">
        <thead>
          <tr>
            <th>channel</th>
            <th>sales left</th>
            <th>paid beside</th>
            <th>stays</th>
          </tr>
        </thead>
        <tbody>
          {channels.map((c) => (
            <tr
              key={`${c.channel} ${c.currency}`}
              data-tone={c.left < 0 ? 'stop' : undefined}
            >
              <td className="wrap">
                {c.channel || 'mishaps, of none'}
                {many && `, ${c.currency}`}
              </td>
              <td>
                {c.unreckoned > 0 && '▲ '}
                {format.amount(c.net, c.currency)}
              </td>
              <td>{format.amount(c.beside, c.currency)}</td>
              <td>
                {c.left < 0 && '▼ '}
                {format.amount(c.left, c.currency)}
              </td>
            </tr>
          ))}
        </tbody>
      </SlipTable>
      {untold && <Small>▲ Some pieces of it are not reckoned: they are in no net.</Small>}
    </>
  );
}
