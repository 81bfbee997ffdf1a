'use client';
import { useMemo } from 'react';
import { ButtonLink } from '@/shell/actions';
import { Bench, Surface } from '@/shell/bench';
import { Choose } from '@/shell/fields';
import { useFormat } from '@/shell/figures';
import { DrawerHead } from '@/shell/frame';
import { Empty } from '@/shell/said';
import {
  DataTable,
  ListOut,
  takesOut,
  FindField,
  useAddress,
  LooksLike,
} from '@/shell/table';
import type { Column } from '@/shell/table';
import { Pencil } from '@/shell/words';
import { stateWords } from '@/studio/words/orderWords';
import { BringOrders } from './bring/BringOrders';
import { NewOrder } from './NewOrder';
import type { OrdersView } from './view';

const MANY = [takesOut('orders')];

type Row = OrdersView['page']['rows'][number];

const SHOWN = [
  ['all', 'all orders'],
  ['open', 'open ones'],
  ['shipped', 'shipped ones'],
  ['cancelled', 'cancelled ones'],
] as const;

/** What is ordered: the first line, and how many there are beside it. */
const Ordered = ({ row }: { row: Row }) => (
  <span style={{ font: "400 16px/1.3 'Newsreader', serif" }}>
    {row.what} <Pencil>{row.label}</Pencil>
    {row.lines > 1 && (
      <small style={{ font: "400 12.5px 'Commissioner'", color: 'var(--soft)' }}>
        {' '}
        and {row.lines - 1} more
      </small>
    )}
  </span>
);

/** Orders: what is open, what is late, what has gone. */
export function OrdersDrawer(view: OrdersView) {
  const { page, asked, shown, counts, adding, bringing } = view;
  const address = useAddress();
  const format = useFormat();
  const columns = useMemo<Column<Row>[]>(
    () => [
      { key: 'number', head: 'Order', value: (r) => r.number, names: true },
      {
        key: 'what',
        names: true,
        head: 'What',
        value: (r) => r.what,
        cell: (r) => <Ordered row={r} />,
      },
      {
        key: 'customer',
        names: true,
        head: 'To',
        value: (r) => r.customer,
        cell: (r) => `${r.customer}, ${r.town}`,
      },
      {
        key: 'placed',
        head: 'Placed',
        value: (r) => r.placedAt,
        cell: (r) => format.day(r.placedAt),
      },
      {
        key: 'due',
        head: 'Promised',
        value: (r) => r.dueOn,
        cell: (r) => format.day(r.dueOn),
      },
      {
        key: 'price',
        head: 'Price',
        value: (r) => r.price,
        cell: (r) => (r.state === 'cancelled' ? '–' : format.money(r.price, r.currency)),
        figure: true,
      },
      {
        key: 'state',
        head: 'State',
        value: (r) => (r.shippedAt ? 1e6 : r.days),
        cell: (r) => (
          <span
            style={{
              whiteSpace: 'nowrap',
              color: r.state === 'open' && r.days < 0 ? 'var(--brick)' : undefined,
            }}
          >
            {stateWords(r)}
          </span>
        ),
      },
    ],
    [format],
  );
  return (
    <>
      <DrawerHead
        title="Orders"
        sum={`${counts.open} open, ${counts.late} late, ${counts.shipped} shipped`}
      >
        <FindField label="Find number, name, title" value={asked.find} />
        <ListOut drawer="orders" />
        <Choose
          label="Which orders"
          value={shown}
          style={{ width: 140 }}
          onChange={(show) => address({ show, page: null })}
          options={SHOWN}
        />
        <ButtonLink $plain href="/orders/customers">
          Customers
        </ButtonLink>
        <ButtonLink $plain href="/consignments">
          Consignments
        </ButtonLink>
        <ButtonLink $plain href="/orders?bring=1">
          From a list
        </ButtonLink>
        <ButtonLink href="/orders?new=1">New order</ButtonLink>
      </DrawerHead>
      <Bench>
        <Surface>
          {counts.all === 0 ? (
            <Empty title="No order yet">
              <p>
                An order takes numbered impressions, unnumbered prints or goods, and
                promises a day.
              </p>
              <LooksLike
                heads={['Order', 'What', 'To', 'Promised', 'Price', 'State']}
                rows={[
                  [
                    '0002',
                    'Low Bridge, 2 prints',
                    'Perpetua Ashcombe',
                    format.day('2026-03-20'),
                    format.money(13_000),
                    'counted',
                  ],
                  [
                    '0001',
                    'Heron, Standing 7/30',
                    'Osric Fennimore',
                    format.day('2026-03-16'),
                    format.money(18_500),
                    'shipped',
                  ],
                ]}
              />
            </Empty>
          ) : (
            <DataTable
              many={MANY}
              label="Orders"
              rows={page.rows}
              list={{ asked, ...page }}
              columns={columns}
              id={(r) => r.number}
              href={(r) => `/orders/${r.number}`}
            />
          )}
        </Surface>
        {bringing ? <BringOrders /> : adding && <NewOrder {...view} adding={adding} />}
      </Bench>
    </>
  );
}
