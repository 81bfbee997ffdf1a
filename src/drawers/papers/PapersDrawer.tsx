'use client';
import { useRouter } from 'next/navigation';
import { useMemo } from 'react';
import { size } from '@/core/units';
import { ButtonLink } from '@/shell/actions';
import { Bench, Surface } from '@/shell/bench';
import { useFormat } from '@/shell/figures';
import { DrawerHead } from '@/shell/frame';
import { Empty } from '@/shell/said';
import {
  DataTable,
  ListOut,
  takesOut,
  FindField,
  useAddressOf,
  LooksLike,
} from '@/shell/table';
import type { Column, ManyAction } from '@/shell/table';
import { PLACES } from './compare/places';
import { BringPapers } from './BringPapers';
import { FormatsSlip } from './FormatsSlip';
import { EditPaper, NewPaper } from './PaperForms';

import type { PapersView } from './view';
import { LifeSlip } from './LifeSlip';
import { LotSlip, NewLot } from './LotSlips';
import { TriedFor } from './TriedFor';
import { PaperSlip } from './PaperSlip';
import { stockWords } from './words';

type Row = PapersView['page']['rows'][number];

/** Papers: every stock, what is left of it, what it is, and how it behaves. */
export function PapersDrawer(view: PapersView) {
  const { page, asked, counts, picked, others } = view;
  const { adding, editing, bringing, lot, newLot } = view;
  const format = useFormat();
  const addressOf = useAddressOf();
  const router = useRouter();
  const many = useMemo<ManyAction[]>(
    () => [
      takesOut('papers'),
      {
        name: 'Lay these side by side',
        run: (ids) =>
          router.push(
            `/papers/compare?${PLACES.slice(0, ids.length)
              .map((place, i) => `${place}=${ids[i]}`)
              .join('&')}`,
          ),
      },
    ],
    [router],
  );
  const columns = useMemo<Column<Row>[]>(
    () => [
      {
        key: 'name',
        head: 'Paper',
        value: (r) => r.name,
        cell: (r) => (
          <>
            <span style={{ font: "400 16px/1.2 'Newsreader', serif", display: 'block' }}>
              {r.name}
            </span>
            <span style={{ fontSize: 12, color: 'var(--soft)' }}>{r.maker}</span>
          </>
        ),
      },
      { key: 'base', head: 'Base', value: (r) => r.base },
      { key: 'surface', head: 'Surface', value: (r) => r.surface },
      { key: 'weight', head: 'g/m²', value: (r) => r.weight, figure: true },
      {
        key: 'sheet',
        head: 'Sheet',
        value: (r) => r.sheetWidth * r.sheetHeight,
        cell: (r) => format.size({ width: r.sheetWidth, height: r.sheetHeight }),
        figure: true,
      },
      {
        key: 'price',
        head: 'Price',
        value: (r) => r.price,
        cell: (r) => format.money(r.price, r.currency),
        figure: true,
      },
      {
        key: 'sheets',
        head: 'Left',
        value: (r) => r.sheets,
        cell: (r) => format.number(r.sheets, r.sheets % 1 === 0 ? 0 : 1),
        figure: true,
      },
      {
        key: 'level',
        head: 'Stock',
        value: (r) => r.level,
        cell: (r) => (
          <span
            style={{ color: stockWords(r).startsWith('▲') ? 'var(--ochre)' : undefined }}
          >
            {stockWords(r)}
          </span>
        ),
      },
    ],
    [format],
  );
  return (
    <>
      <DrawerHead
        title="Papers"
        sum={`${counts.all} papers, ${counts.low} at or under the reorder point`}
      >
        <FindField label="Find a paper" value={asked.find} />
        <ListOut drawer="papers" />
        <ButtonLink $plain href="/purchases">
          To be ordered
        </ButtonLink>
        <ButtonLink $plain href="/papers/profiles">
          Profiles
        </ButtonLink>
        <ButtonLink $plain href="/papers?bring=1">
          From a list
        </ButtonLink>
        <ButtonLink href="/papers?new=1">New paper</ButtonLink>
      </DrawerHead>
      <Bench>
        <Surface>
          {counts.all === 0 ? (
            <Empty title="No paper yet">
              <p>
                Describe the first one at the right: sample packs are tried before a stock
                is chosen.
              </p>
              <LooksLike
                heads={['Paper', 'Base', 'Surface', 'g/m²', 'Sheet', 'Price', 'Left']}
                rows={[
                  [
                    'A cotton paper',
                    'cotton',
                    'matte',
                    '308',
                    format.size(size(420, 594)),
                    format.money(480),
                    '23',
                  ],
                  [
                    'A baryta paper',
                    'baryta',
                    'gloss',
                    '315',
                    format.size(size(610, 914)),
                    format.money(720),
                    '6',
                  ],
                ]}
              />
            </Empty>
          ) : (
            <>
              <TriedFor view={view} />
              <DataTable
                many={many}
                label="Papers"
                rows={page.rows}
                list={{ asked, total: page.total }}
                columns={columns}
                id={(r) => r.id}
                picked={adding ? null : (picked?.id ?? null)}
                href={(r) =>
                  addressOf({
                    paper: String(r.id),
                    edit: null,
                    new: null,
                    bring: null,
                    lot: null,
                    life: null,
                    sold: null,
                    as: null,
                  })
                }
              />
            </>
          )}
        </Surface>
        {bringing ? (
          <BringPapers />
        ) : adding || !picked ? (
          <NewPaper first={counts.all === 0} />
        ) : editing ? (
          <EditPaper key={picked.id} paper={picked} others={others} stored={editing} />
        ) : view.sold ? (
          <FormatsSlip key={picked.id} view={view} picked={picked} />
        ) : newLot ? (
          <NewLot
            key={`${picked.id} ${newLot.kind} ${newLot.width}`}
            view={{ ...view, newLot }}
          />
        ) : view.life ? (
          <LifeSlip key={picked.id} view={view} picked={picked} />
        ) : lot ? (
          <LotSlip key={lot.id} lot={lot} view={view} />
        ) : (
          <PaperSlip view={view} picked={picked} />
        )}
      </Bench>
    </>
  );
}
