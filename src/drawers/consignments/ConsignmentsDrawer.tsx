'use client';
import { useMemo } from 'react';
import { ButtonLink } from '@/shell/actions';
import { Bench, Surface } from '@/shell/bench';
import { useFormat } from '@/shell/figures';
import { DrawerHead } from '@/shell/frame';
import { Empty } from '@/shell/said';
import { Slip, SlipTitle } from '@/shell/slip';
import { ListOut, LooksLike, WalkedTable, useAddress } from '@/shell/table';
import type { Column } from '@/shell/table';
import { Sentence, Small, TableHead } from '@/shell/words';
import { ConsignmentSlip } from './ConsignmentSlip';
import { LendSlip } from './LendSlip';
import type { ConsignmentsView, ShownConsignment } from './view';
import { Timeline } from './Timeline';
import { daysWords } from './words';

/** Consignments: what hangs where, until when, and what it ties up. */
export function ConsignmentsDrawer(view: ConsignmentsView) {
  const { rows, picked, lending, out } = view;
  const format = useFormat();
  const go = useAddress();
  const columns = useMemo<Column<ShownConsignment>[]>(
    () => [
      { key: 'number', names: true, head: 'Number', value: (r) => r.number, width: 72 },
      { key: 'name', names: true, head: 'With whom', value: (r) => r.name },
      {
        key: 'since',
        head: 'Out since',
        value: (r) => r.outOn,
        cell: (r) => format.day(r.outOn),
      },
      {
        key: 'fetch',
        head: 'Fetch back',
        width: 176,
        value: (r) => (r.stands.how === 'closed' ? '9999' : r.fetchOn),
        cell: (r) => (
          <span data-tone={r.stands.how === 'overdue' ? 'stop' : undefined}>
            {r.stands.how === 'overdue' && '▲ '}
            {daysWords(r.stands, r.fetchOn, format)}
          </span>
        ),
      },
      { key: 'out', head: 'Out', value: (r) => r.figures.out, figure: true, width: 48 },
      { key: 'sold', head: 'Sold', value: (r) => r.figures.sold, figure: true, width: 48 },
      {
        key: 'asked',
        head: 'Asked',
        value: (r) => r.figures.asked,
        cell: (r) => format.money(r.figures.asked, r.currency),
        figure: true,
      },
      {
        key: 'tied',
        head: 'Tied up',
        value: (r) => r.figures.tiedUp,
        cell: (r) =>
          `${r.figures.costUnknown > 0 ? '≥ ' : ''}${format.money(r.figures.tiedUp, r.currency)}`,
        figure: true,
      },
    ],
    [format],
  );
  return (
    <>
      <DrawerHead title="Consignments" sum={`${out} ${out === 1 ? 'print' : 'prints'} out`}>
        <ListOut drawer="consignments" />
        <ButtonLink href="/consignments?new=1">Lend prints out</ButtonLink>
      </DrawerHead>
      <Bench>
        <Surface>
          {rows.length === 0 ? (
            <Empty title="Nothing is out on consignment">
              <p>
                Lend numbered prints out to a gallery, at the right: each stays yours until
                it is sold there, and its number goes into no other order meanwhile.
              </p>
              <LooksLike
                heads={['With whom', 'Fetch back', 'Out', 'Asked', 'Tied up']}
                rows={[['Gallery at the Weir', 'in 41 days', '4', '€480.00', '€131.20']]}
              />
            </Empty>
          ) : (
            <>
              <WalkedTable
                label="Consignments"
                rows={rows}
                columns={columns}
                id={(r) => r.number}
                picked={picked?.number ?? null}
                onPick={(r) => go({ of: r.number, new: null, sell: null }, 'replace')}
                lineHeight={34}
              />
              <TableHead>What hangs where, and until when</TableHead>
              <Timeline rows={rows} today={view.today} picked={picked?.number ?? null} />
            </>
          )}
        </Surface>
        {lending ? (
          <LendSlip view={view} lending={lending} />
        ) : picked ? (
          <ConsignmentSlip key={picked.number} lent={picked} selling={view.selling} />
        ) : (
          <Slip label="Consignments">
            <SlipTitle>What hangs elsewhere</SlipTitle>
            <Sentence>Pick a consignment to see its prints.</Sentence>
            <Small>
              Tied up: what the prints that are out cost to make, with their framing. It
              comes back when they are sold, or fetched.
            </Small>
          </Slip>
        )}
      </Bench>
    </>
  );
}
