'use client';
import { useMemo } from 'react';
import { size } from '@/core/units';
import { ButtonLink } from '@/shell/actions';
import { Bench, Surface } from '@/shell/bench';
import { useFormat } from '@/shell/figures';
import { DrawerHead } from '@/shell/frame';
import { Empty } from '@/shell/said';
import { FactList, Figures, Slip, SlipTitle } from '@/shell/slip';
import { DataTable, ListOut, FindField, LooksLike } from '@/shell/table';
import type { Column } from '@/shell/table';
import { Sentence, Small } from '@/shell/words';
import { ChannelTable } from './ChannelTable';
import { PaidLately, PaidSlip } from './PaidBeside';
import type { AccountsView } from './view';

type Row = AccountsView['page']['rows'][number];

/** What all of it came to, currency by currency. */
function SumsSlip({ best, sums, channels, paid }: AccountsView) {
  const format = useFormat();
  return (
    <Slip
      label="Accounts"
      actions={<ButtonLink href="/accounts?paid=1">Note what was paid beside</ButtonLink>}
    >
      <SlipTitle>So far</SlipTitle>
      {sums.map((s) => (
        <Figures
          key={s.currency}
          figures={[
            {
              value: format.amount(s.gross, s.currency),
              unit: '',
              label: `gross, ${s.currency}`,
            },
            {
              value: format.amount(s.net, s.currency),
              unit: '',
              label: `net, ${s.currency}`,
            },
          ]}
        />
      ))}
      {best && (
        <Sentence>
          Best seller: {best.work} {best.size && `at ${best.size}`} through {best.channel},{' '}
          {best.sold} sold.
          {sums[0] &&
            sums[0].gross > 0 &&
            // A share of what is only partly reckoned would be too low, and sound certain.
            (sums[0].unreckoned === 0
              ? ` Of the gross, ${format.percent(sums[0].net / sums[0].gross)} stays.`
              : ' Which share of it stays cannot be told: for some no cost or no fees were kept.')}
        </Sentence>
      )}
      {channels.length > 0 && <ChannelTable channels={channels} />}
      <PaidLately paid={paid} />
      <FactList
        facts={sums.flatMap((s): [string, React.ReactNode][] => [
          [`Pieces, ${s.currency}`, s.sold],
          ['Postage paid to carriers', format.money(s.postage, s.currency)],
          ...(s.unreckoned > 0
            ? [['Not reckoned, in no net', s.unreckoned] as [string, React.ReactNode]]
            : []),
        ])}
      />
      <Small>
        Net is the price less cost, the fees of the channel it came through, and the postage
        paid, as written down when each parcel was sealed. ≈: no price was kept for that
        channel, so its usual fees are reckoned with (rule of thumb). Tax is not in it.
      </Small>
    </Slip>
  );
}

/** Accounts: which pictures sell, at which size, through which channel, and what stays. */
export function AccountsDrawer(view: AccountsView) {
  const { page, asked, sold } = view;
  const format = useFormat();
  const { rows } = page;
  const most = Math.max(1, ...rows.flatMap((r) => [r.gross, Math.abs(r.net)]));
  const columns = useMemo<Column<Row>[]>(
    () => [
      {
        key: 'work',
        names: true,
        head: 'Work',
        value: (r) => r.work,
        cell: (r) => (
          <span style={{ font: "400 16px/1.3 'Newsreader', serif" }}>{r.work}</span>
        ),
      },
      { key: 'size', names: true, head: 'Size', value: (r) => r.size },
      { key: 'channel', names: true, head: 'Channel', value: (r) => r.channel },
      { key: 'sold', head: 'Sold', value: (r) => r.sold, figure: true },
      {
        key: 'gross',
        head: 'Gross',
        value: (r) => r.gross,
        cell: (r) => format.money(r.gross, r.currency),
        figure: true,
      },
      {
        key: 'net',
        head: 'Net',
        value: (r) => r.net,
        cell: (r) =>
          r.unreckoned > 0
            ? 'not reckoned'
            : `${r.usualFees > 0 ? '≈ ' : ''}${format.money(r.net, r.currency)}`,
        figure: true,
      },
      {
        key: 'bar',
        head: rows.some((r) => r.net < 0)
          ? 'Gross; stays, or (red) is lost'
          : 'Gross, and what stays of it',
        value: (r) => r.gross,
        width: 190,
        cell: (r) => (
          <svg width={180} height={14} aria-hidden>
            <rect
              x={0.5}
              y={1.5}
              width={(178 * r.gross) / most}
              height={11}
              fill="none"
              stroke="#555"
            />
            <rect
              x={0.5}
              y={1.5}
              width={(178 * Math.abs(r.net)) / most}
              height={11}
              fill={r.net < 0 ? '#96231a' : '#2d2d2d'}
            />
          </svg>
        ),
      },
    ],
    [format, most, rows],
  );
  return (
    <>
      <DrawerHead title="Accounts" sum={`${sold} pieces sold and shipped`}>
        <FindField label="Find a title" value={asked.find} />
        <ListOut drawer="accounts" />
      </DrawerHead>
      <Bench>
        <Surface>
          {page.total === 0 && asked.find === '' ? (
            <Empty title="Nothing is sold yet">
              <p>Shipped orders appear here, by work, size and channel.</p>
              <LooksLike
                heads={['Work', 'Size', 'Channel', 'Sold', 'Gross', 'Net']}
                rows={[
                  [
                    'Heron, Standing',
                    format.size(size(500, 700)),
                    'own site',
                    '8',
                    format.money(148_000),
                    format.money(91_200),
                  ],
                  [
                    'Heron, Standing',
                    format.size(size(500, 700)),
                    'gallery',
                    '3',
                    format.money(66_000),
                    format.money(19_900),
                  ],
                ]}
              />
            </Empty>
          ) : (
            <DataTable
              label="Sales by work, size and channel"
              rows={rows}
              list={{ asked, total: page.total }}
              columns={columns}
              id={(r) => `${r.workId}${r.work}${r.size}${r.channel}${r.currency}`}
              href={(r) => (r.workId > 0 ? `/works/${r.workId}/price` : '/orders')}
            />
          )}
        </Surface>
        {view.paying ? <PaidSlip view={view} /> : <SumsSlip {...view} />}
      </Bench>
    </>
  );
}
