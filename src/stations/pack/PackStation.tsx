'use client';
import { ButtonLink } from '@/shell/actions';
import { Bench, Surface } from '@/shell/bench';
import { useFormat } from '@/shell/figures';
import { Empty } from '@/shell/said';
import { Figures, Slip, SlipSub, SlipTitle } from '@/shell/slip';
import { DataTable } from '@/shell/table';
import type { Column } from '@/shell/table';
import { Pencil, Sentence, TitleBlock } from '@/shell/words';
import { useMemo } from 'react';
import type { PackView } from './view';
import { stateWords } from '@/studio/words/orderWords';
import { goesOutWords } from './words';

type Row = PackView['orders'][number];

/** The prints of the work that go out with an order, to one scale with all others. */
const Prints = ({
  row,
  preview,
  scale,
}: {
  row: Row;
  preview: string | null;
  scale: number;
}) => (
  <span style={{ display: 'flex', gap: 10, alignItems: 'flex-end' }}>
    {row.prints.map((p) => (
      <span
        key={p.id}
        style={{
          display: 'grid',
          justifyItems: 'center',
          gap: 2,
          opacity: p.state === 'removed' ? 0.35 : 1,
        }}
      >
        {preview && (
          <img
            src={preview}
            alt=""
            style={{
              width: Math.max(8, p.width * scale),
              height: Math.max(8, p.height * scale),
              objectFit: 'cover',
              border: '2px solid #fdfdfc',
              boxShadow: '0 1px 2px rgba(0,0,0,.35)',
            }}
          />
        )}
        <Pencil>{p.label}</Pencil>
      </span>
    ))}
  </span>
);

/** Pack: the orders in which this work goes out; each is packed on its own bench. */
export function PackStation({ work, orders, preview }: PackView) {
  const format = useFormat();
  const tallest = Math.max(
    1,
    ...orders.flatMap((o) => o.prints.map((p) => Math.max(p.width, p.height))),
  );
  const scale = 64 / tallest;
  const columns = useMemo<Column<Row>[]>(
    () => [
      { key: 'number', head: 'Order', value: (r) => r.number },
      {
        key: 'prints',
        head: 'Goes out with it, to scale',
        value: (r) => r.prints.length,
        cell: (r) => <Prints row={r} preview={preview} scale={scale} />,
      },
      {
        key: 'size',
        head: 'Size',
        value: (r) => [...new Set(r.prints.map((p) => p.size))].join(', '),
      },
      {
        key: 'customer',
        head: 'To',
        value: (r) => `${r.customer}, ${r.town}`,
      },
      {
        key: 'due',
        head: 'Promised',
        value: (r) => r.dueOn,
        cell: (r) => format.day(r.dueOn),
      },
      { key: 'state', head: 'State', value: stateWords },
    ],
    [format, preview, scale],
  );
  const open = orders.filter((o) => o.state === 'open' || o.state === 'sealed');
  const gone = orders.filter((o) => o.state === 'shipped').length;
  const [next] = open;
  return (
    <Bench>
      <Surface>
        <TitleBlock>
          <h1>{work.title}</h1>
          <p>Orders in which it goes out</p>
        </TitleBlock>
        {orders.length === 0 ? (
          <Empty title="Nothing to pack">
            <p>
              No order for this work yet. Take one here, from its edition, or from the
              orders drawer.
            </p>
            <ButtonLink href={`/orders?new=1&work=${work.id}`}>New order</ButtonLink>
          </Empty>
        ) : (
          <DataTable
            label={`Orders with ${work.title}`}
            rows={orders}
            columns={columns}
            id={(r) => r.number}
            href={(r) => `/orders/${r.number}`}
          />
        )}
      </Surface>
      {orders.length > 0 && (
        <Slip
          label="To pack"
          actions={
            <>
              {next && (
                <ButtonLink href={`/orders/${next.number}`}>
                  Pack order {next.number}
                </ButtonLink>
              )}
              <ButtonLink $plain href={`/orders?new=1&work=${work.id}`}>
                New order
              </ButtonLink>
            </>
          }
        >
          <SlipTitle>{next ? `Order ${next.number}` : 'All of it has left'}</SlipTitle>
          {next && (
            <SlipSub>
              to {next.customer}, {next.town}
            </SlipSub>
          )}
          <Figures
            figures={[
              { value: String(open.length), unit: '', label: 'to pack' },
              { value: String(gone), unit: '', label: 'gone' },
            ]}
          />
          <Sentence $tone={next && next.days < 0 ? 'stop' : 'plain'}>
            {goesOutWords(next ?? null)}
          </Sentence>
        </Slip>
      )}
    </Bench>
  );
}
