'use client';
import { useMemo } from 'react';
import { size } from '@/core/units';
import { ButtonLink } from '@/shell/actions';
import { Bench, Surface } from '@/shell/bench';
import { useFormat } from '@/shell/figures';
import { DrawerHead } from '@/shell/frame';
import { Empty } from '@/shell/said';
import { DataTable, ListOut, takesOut, FindField, LooksLike } from '@/shell/table';
import type { Column } from '@/shell/table';
import type { ProofsView } from './view';

const MANY = [takesOut('proofs')];

type Row = ProofsView['page']['rows'][number];

const VERDICTS = {
  approved: '✓ approved',
  changeAndRepeat: '↻ change, repeat',
  abandoned: '✕ abandoned',
} as const;

/** Proofs: every round of every work; those that are out come first. */
export function ProofsDrawer({ page, asked, counts, costs }: ProofsView) {
  const format = useFormat();
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
      { key: 'size', names: true, head: 'Size', value: (r) => r.size, short: true },
      { key: 'paper', names: true, head: 'Paper', value: (r) => r.paper, short: true },
      { key: 'round', names: true, head: 'Round', value: (r) => r.round, figure: true },
      {
        key: 'sent',
        head: 'Sent',
        value: (r) => r.sentAt,
        cell: (r) => format.day(r.sentAt),
        short: true,
      },
      {
        key: 'back',
        head: 'Back',
        value: (r) => r.backAt ?? '',
        cell: (r) => (r.backAt ? format.day(r.backAt) : 'out'),
        short: true,
      },
      {
        key: 'cost',
        head: 'Cost',
        value: (r) => r.cost,
        cell: (r) => format.amount(r.cost, r.currency),
        figure: true,
      },
      {
        key: 'verdict',
        head: 'Verdict',
        value: (r) => r.verdict ?? '',
        cell: (r) => (r.verdict ? VERDICTS[r.verdict] : 'waiting'),
        short: true,
      },
      {
        key: 'seen',
        head: 'Seen',
        value: (r) => r.seen ?? '',
        unsorted: true,
        cell: (r) => r.seen ?? r.remarks,
      },
    ],
    [format],
  );
  return (
    <>
      <DrawerHead
        title="Proofs"
        sum={`${counts.rounds} rounds, ${counts.out} out; they have cost ${costs.map((c) => format.money(c.cost, c.currency)).join(' and ') || 'nothing'}`}
      >
        <FindField label="Find a title or paper" value={asked.find} />
        <ButtonLink $plain href="/proofs/light">
          Screen and light
        </ButtonLink>
        <ListOut drawer="proofs" />
      </DrawerHead>
      <Bench>
        <Surface>
          {counts.rounds === 0 ? (
            <Empty title="No proof has been sent yet">
              <p>Rounds are sent from the proof station of a work.</p>
              <LooksLike
                heads={['Work', 'Size', 'Paper', 'Round', 'Sent', 'Back', 'Verdict']}
                rows={[
                  [
                    'Heron, Standing',
                    format.size(size(500, 700)),
                    'a cotton paper',
                    '2',
                    format.day('2026-03-04'),
                    format.day('2026-03-05'),
                    'approved',
                  ],
                  [
                    'Heron, Standing',
                    format.size(size(500, 700)),
                    'a cotton paper',
                    '1',
                    format.day('2026-03-01'),
                    format.day('2026-03-02'),
                    'change and repeat',
                  ],
                ]}
              />
            </Empty>
          ) : (
            <DataTable
              many={MANY}
              label="Proof rounds"
              rows={page.rows}
              list={{ asked, total: page.total }}
              columns={columns}
              id={(r) => r.id}
              href={(r) => `/works/${r.workId}/proof?sheet=rounds&size=${r.sizeKey}`}
            />
          )}
        </Surface>
      </Bench>
    </>
  );
}
