'use client';
import { useMemo } from 'react';
import { ButtonLink } from '@/shell/actions';
import { Bench, Surface } from '@/shell/bench';
import { useFormat } from '@/shell/figures';
import { DrawerHead } from '@/shell/frame';
import { Empty } from '@/shell/said';
import { Slip, SlipTitle } from '@/shell/slip';
import { LooksLike, WalkedTable, useAddress } from '@/shell/table';
import type { Column } from '@/shell/table';
import { SectionLabel, Sentence, Small } from '@/shell/words';
import { ROUTE_WORDS, lostWords } from '@/studio/words/routeWords';
import { ListSlip } from './ListSlip';
import { WriteList } from './WriteList';
import type { PriceListsView, ShownList } from './view';

/** Price lists: what those who print ask, each dated and kept. */
export function PricesDrawer(view: PriceListsView) {
  const { lists, picked, form, before } = view;
  const format = useFormat();
  const go = useAddress();
  const columns = useMemo<Column<ShownList>[]>(
    () => [
      { key: 'name', names: true, head: 'Who prints', value: (l) => l.name },
      {
        key: 'kind',
        names: true,
        head: 'What they are',
        value: (l) => ROUTE_WORDS[l.kind],
      },
      {
        key: 'from',
        head: 'Prices from',
        value: (l) => l.values.from,
        cell: (l) => format.day(l.values.from),
      },
      { key: 'lines', head: 'Prices', value: (l) => l.rows.length, figure: true },
      {
        key: 'setUp',
        head: 'Set-up',
        value: (l) => l.values.setUp,
        cell: (l) => format.money(l.values.setUp, l.currency),
        figure: true,
      },
      {
        key: 'days',
        head: 'Here after, days',
        value: (l) => l.values.days ?? 1e9,
        cell: (l) => l.values.days ?? '–',
        figure: true,
      },
      {
        key: 'lost',
        names: true,
        head: 'What is lost there',
        value: (l) => lostWords(l.kind, l.values.loses).join('; '),
      },
    ],
    [format],
  );
  return (
    <>
      <DrawerHead
        title="Price lists"
        sum={`${lists.length} who ${lists.length === 1 ? 'prints' : 'print'}`}
      >
        <ButtonLink href="/prices?new=1">New list</ButtonLink>
      </DrawerHead>
      <Bench>
        <Surface>
          {lists.length === 0 ? (
            <Empty title="No price list yet">
              <p>
                Write down what a lab or a print studio asks, at the right. Price then
                compares them, over any number of prints.
              </p>
              <LooksLike
                heads={['Size', 'Paper', 'From', 'Each']}
                rows={[
                  ['30 × 40 cm', '', '1', '24.00'],
                  ['30 × 40 cm', '', '10', '17.00'],
                  ['m²', 'Quayside Rag', '1', '118.00'],
                ]}
              />
            </Empty>
          ) : (
            <WalkedTable
              label="Price lists"
              rows={lists}
              columns={columns}
              id={(l) => l.name}
              picked={picked?.name ?? null}
              onPick={(l) => go({ of: l.name, new: null, edit: null }, 'replace')}
              lineHeight={34}
            />
          )}
        </Surface>
        {form ? (
          <WriteList key={form.name ?? ''} view={view} />
        ) : picked ? (
          <ListSlip list={picked} before={before} came={view.came} />
        ) : (
          <Slip label="Price lists">
            <SlipTitle>What those who print ask</SlipTitle>
            <Sentence>Pick a list to see its prices.</Sentence>
            <SectionLabel>What they are for</SectionLabel>
            <Small>
              At Price, a size is compared over all of them: who is cheapest for how many,
              and when a few more cost less.
            </Small>
          </Slip>
        )}
      </Bench>
    </>
  );
}
