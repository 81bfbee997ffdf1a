'use client';
import { useMemo } from 'react';
import { Button, ButtonLink, useAction } from '@/shell/actions';
import { Bench, Surface } from '@/shell/bench';
import { useFormat } from '@/shell/figures';
import { DrawerHead } from '@/shell/frame';
import { Empty, Problem } from '@/shell/said';
import { FactList, Slip, SlipSub, SlipTitle } from '@/shell/slip';
import { DataTable, ListOut, takesOut, FindField, LooksLike } from '@/shell/table';
import type { Column } from '@/shell/table';
import { SectionLabel, Small } from '@/shell/words';
import { merge } from '../actions';
import type { CustomersView } from './view';

const MANY = [takesOut('customers')];

type Row = CustomersView['page']['rows'][number];

/** One customer: the orders, and who may be the same person. */
function CustomerSlip({ picked }: { picked: NonNullable<CustomersView['picked']> }) {
  const format = useFormat();
  const merging = useAction(merge, 'Merged; their orders are together now.');
  return (
    <Slip label="Customer">
      <SlipTitle>{picked.name}</SlipTitle>
      <SlipSub>
        {picked.street}, {picked.town}, {picked.country}
      </SlipSub>
      <FactList
        facts={picked.orders.map((o): [string, React.ReactNode] => [
          format.day(o.placedAt),
          <ButtonLink key={o.number} $small $plain href={`/orders/${o.number}`}>
            order {o.number}
          </ButtonLink>,
        ])}
      />
      {picked.alike.length > 0 && (
        <>
          <SectionLabel>May be the same as</SectionLabel>
          {picked.alike.map((c) => (
            <div key={c.id}>
              <p>
                {c.name}, {c.street}, {c.town}
              </p>
              <Button
                $small
                $plain
                isDisabled={merging.sending}
                onPress={() => merging.run({ from: String(c.id), into: String(picked.id) })}
              >
                Merge into {picked.name}, {picked.town}
              </Button>
            </div>
          ))}
          <Small>
            The orders of the one become orders of the other. What was sealed keeps the name
            and address it was sent to. A merge is not taken back.
          </Small>
        </>
      )}
      <Problem>{merging.problem}</Problem>
    </Slip>
  );
}

/** Customers: who ordered, how often, and since when not. */
export function CustomersDrawer({ page, asked, picked }: CustomersView) {
  const format = useFormat();
  const columns = useMemo<Column<Row>[]>(
    () => [
      {
        key: 'name',
        head: 'Name',
        value: (r) => r.name,
        cell: (r) => (
          <span style={{ font: "400 16px/1.3 'Newsreader', serif" }}>{r.name}</span>
        ),
      },
      {
        key: 'town',
        head: 'Where',
        value: (r) => r.town,
        cell: (r) => `${r.street}, ${r.town}, ${r.country}`,
      },
      { key: 'orders', head: 'Orders', value: (r) => r.orders, figure: true },
      {
        key: 'last',
        head: 'Last one',
        value: (r) => r.lastAt ?? '',
        cell: (r) => (r.lastAt ? format.day(r.lastAt) : '–'),
      },
    ],
    [format],
  );
  return (
    <>
      <DrawerHead title="Customers" sum={`${page.total} of them`}>
        <FindField label="Find a name or town" value={asked.find} />
        <ListOut drawer="customers" />
        <ButtonLink $plain href="/orders">
          Orders
        </ButtonLink>
      </DrawerHead>
      <Bench>
        <Surface>
          {page.total === 0 && asked.find === '' ? (
            <Empty title="Nobody has ordered yet">
              <p>Whoever an order names is kept here, once.</p>
              <LooksLike
                heads={['Name', 'Where', 'Orders', 'Last one']}
                rows={[
                  ['Perpetua Ashcombe', 'Quillhaven', '3', format.day('2026-03-12')],
                  ['Osric Fennimore', 'Tarnhollen', '1', format.day('2026-02-03')],
                ]}
              />
            </Empty>
          ) : (
            <DataTable
              many={MANY}
              label="Customers"
              rows={page.rows}
              list={{ asked, ...page }}
              columns={columns}
              id={(r) => String(r.id)}
              href={(r) => `/orders/customers?customer=${r.id}`}
            />
          )}
        </Surface>
        {picked && <CustomerSlip key={picked.id} picked={picked} />}
      </Bench>
    </>
  );
}
