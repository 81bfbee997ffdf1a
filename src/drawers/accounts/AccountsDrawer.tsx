'use client';
import { useMemo } from 'react';
import {
  Bench,
  DataTable,
  DrawerHead,
  Empty,
  FactList,
  Figures,
  FindField,
  Sentence,
  Slip,
  SlipTitle,
  Small,
  Surface,
  useFormat,
} from '@/shell';
import type { Column } from '@/shell';
import type { AccountsView } from './view';

type Row = AccountsView['page']['rows'][number];

/** Accounts: which pictures sell, at which size, through which channel, and what stays. */
export function AccountsDrawer({ page, asked, best, sums, currency }: AccountsView) {
  const format = useFormat();
  const { rows } = page;
  const most = Math.max(1, ...rows.map((r) => r.gross));
  const columns = useMemo<Column<Row>[]>(
    () => [
      {
        key: 'work',
        head: 'Work',
        value: (r) => r.work,
        cell: (r) => (
          <span style={{ font: "400 16px/1.3 'Newsreader', serif" }}>{r.work}</span>
        ),
      },
      { key: 'size', head: 'Size', value: (r) => r.size },
      { key: 'channel', head: 'Channel', value: (r) => r.channel },
      { key: 'sold', head: 'Sold', value: (r) => r.sold, figure: true },
      {
        key: 'gross',
        head: `Gross, ${currency}`,
        value: (r) => r.gross,
        cell: (r) => format.amount(r.gross),
        figure: true,
      },
      {
        key: 'net',
        head: `Net, ${currency}`,
        value: (r) => r.net,
        cell: (r) => (r.unreckoned > 0 ? 'not reckoned' : format.amount(r.net)),
        figure: true,
      },
      {
        key: 'bar',
        head: 'Gross, and what stays of it',
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
              width={(178 * Math.max(0, r.net)) / most}
              height={11}
              fill="#2d2d2d"
            />
          </svg>
        ),
      },
    ],
    [format, currency, most],
  );
  const { gross, net } = sums;
  return (
    <>
      <DrawerHead title="Accounts" sum={`${sums.sold} impressions sold and shipped`}>
        <FindField label="Find a title" value={asked.find} />
      </DrawerHead>
      <Bench>
        <Surface>
          {sums.sold === 0 ? (
            <Empty title="Nothing is sold yet">
              <p>Shipped orders appear here, by work, size and channel.</p>
            </Empty>
          ) : (
            <DataTable
              label="Sales by work, size and channel"
              rows={rows}
              list={{ asked, total: page.total }}
              columns={columns}
              id={(r) => `${r.workId}${r.size}${r.channel}`}
              href={(r) => `/works/${r.workId}/price`}
            />
          )}
        </Surface>
        {best && (
          <Slip label="Accounts">
            <SlipTitle>So far</SlipTitle>
            <Figures
              figures={[
                { value: format.amount(gross), unit: '', label: `gross, ${currency}` },
                { value: format.amount(net), unit: '', label: `net, ${currency}` },
              ]}
            />
            <Sentence>
              Best seller: {best.work} at {best.size} through {best.channel}, {best.sold}{' '}
              sold. Of the gross, {format.percent(gross === 0 ? 0 : net / gross)} stays.
            </Sentence>
            <FactList
              facts={[
                ['Impressions', sums.sold],
                ['Postage paid to carriers', format.amount(sums.postage)],
              ]}
            />
            <Small>
              Net is the price less the cost of the impression and the channel’s fees, as
              reckoned at the price station when the order came in. Tax is not in it.
            </Small>
          </Slip>
        )}
      </Bench>
    </>
  );
}
