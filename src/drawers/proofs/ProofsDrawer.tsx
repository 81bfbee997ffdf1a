'use client';
import { useMemo } from 'react';
import { Bench, DataTable, DrawerHead, Empty, Surface, useFormat } from '@/shell';
import type { Column } from '@/shell';
import type { ProofsView } from './view';

type Row = ProofsView['rows'][number];

const VERDICTS = {
  approved: '✓ approved',
  changeAndRepeat: '↻ change, repeat',
  abandoned: '✕ abandoned',
} as const;

/** Proofs: every round of every work; those that are out come first. */
export function ProofsDrawer({ rows }: ProofsView) {
  const format = useFormat();
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
      { key: 'paper', head: 'Paper', value: (r) => r.paper },
      { key: 'round', head: 'Round', value: (r) => r.round, figure: true },
      {
        key: 'sent',
        head: 'Sent',
        value: (r) => r.sentAt,
        cell: (r) => format.day(r.sentAt),
      },
      {
        key: 'back',
        head: 'Back',
        value: (r) => r.backAt ?? '',
        cell: (r) => (r.backAt ? format.day(r.backAt) : 'out'),
      },
      {
        key: 'cost',
        head: 'Cost',
        value: (r) => r.cost,
        cell: (r) => format.amount(r.cost),
        figure: true,
      },
      {
        key: 'verdict',
        head: 'Verdict',
        value: (r) => r.verdict ?? '',
        cell: (r) => (
          <span style={{ whiteSpace: 'nowrap' }}>
            {r.verdict ? VERDICTS[r.verdict] : 'waiting'}
          </span>
        ),
      },
      {
        key: 'seen',
        head: 'Seen',
        value: (r) => r.seen ?? '',
        cell: (r) => r.seen ?? r.remarks,
      },
    ],
    [format],
  );
  const out = rows.filter((r) => r.verdict === null).length;
  return (
    <>
      <DrawerHead
        title="Proofs"
        sum={`${rows.length} rounds, ${out} out; they have cost ${format.money(rows.reduce((t, r) => t + r.cost, 0))}`}
      />
      <Bench>
        <Surface>
          {rows.length === 0 ? (
            <Empty title="No proof has been sent yet">
              <p>Rounds are sent from the proof station of a work.</p>
            </Empty>
          ) : (
            <DataTable
              label="Proof rounds"
              rows={rows}
              columns={columns}
              id={(r) => r.id}
              href={(r) => `/works/${r.workId}/proof?size=${r.sizeKey}`}
            />
          )}
        </Surface>
      </Bench>
    </>
  );
}
