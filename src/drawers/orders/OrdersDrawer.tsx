'use client';
import { useRouter } from 'next/navigation';
import { useEffect, useMemo } from 'react';
import {
  Bench,
  Button,
  ButtonLink,
  ChoiceField,
  DataTable,
  DrawerHead,
  Empty,
  Field,
  FindField,
  Pencil,
  Problem,
  SectionLabel,
  Sentence,
  Slip,
  SlipTitle,
  Small,
  Surface,
  useActionForm,
  useAddress,
  useFormat,
} from '@/shell';
import type { Column } from '@/shell';
import styled from 'styled-components';
import { takeOrder } from './actions';
import type { OrdersView } from './view';
import { stateWords } from './words';

type Row = OrdersView['page']['rows'][number];
type Adding = NonNullable<OrdersView['adding']>;

const Shown = styled.select`
  padding: 6px;
`;

const CHANNELS = ['own site', 'marketplace', 'gallery', 'fair'].map((c) => [c, c] as const);

const NewOrder = ({
  adding,
  currency,
  handlingDays,
}: { adding: Adding } & Pick<OrdersView, 'currency' | 'handlingDays'>) => {
  const router = useRouter();
  const { free, papers, start } = adding;
  const first = free.find((f) => f.key === start);
  const { form, submit, sending, problem } = useActionForm(
    takeOrder,
    {
      item: start,
      paperId: String(first?.paperId ?? papers[0]?.id ?? ''),
      name: '',
      street: '',
      town: '',
      country: '',
      channel: 'own site',
      price: first?.price ?? '',
    },
    {
      done: 'Order taken; the impression is reserved.',
      onDone: ({ workId, number }) => router.push(`/works/${workId}/pack?order=${number}`),
    },
  );
  const item = form.watch('item');
  useEffect(() => {
    const picked = free.find((f) => f.key === item);
    if (picked?.price && !form.formState.dirtyFields.price)
      form.setValue('price', picked.price);
    if (picked?.paperId && !form.formState.dirtyFields.paperId)
      form.setValue('paperId', String(picked.paperId));
  }, [item, free, form]);
  const f = { form };
  return (
    <Slip
      label="New order"
      actions={
        <>
          <Button onPress={submit} isDisabled={sending || free.length === 0}>
            Take the order
          </Button>
          <ButtonLink $plain href="/orders">
            Leave it
          </ButtonLink>
        </>
      }
    >
      <SlipTitle>New order</SlipTitle>
      {free.length === 0 && (
        <Sentence $tone="caution">
          {adding.item === ''
            ? 'No numbered impression is here. Number one at its edition first.'
            : `No numbered impression is found under “${adding.item}”.`}
        </Sentence>
      )}
      {(adding.more || adding.item !== '') && (
        <FindField name="item" label="Title or number, as 7/30" value={adding.item} />
      )}
      <ChoiceField
        {...f}
        name="item"
        label="Impression"
        words
        options={free.map((x) => [x.key, x.label] as const)}
      />
      <ChoiceField
        {...f}
        name="paperId"
        label="Printed on"
        words
        options={papers.map((p) => [String(p.id), p.name] as const)}
      />
      <SectionLabel>To</SectionLabel>
      <Field {...f} name="name" label="Name" words />
      <Field {...f} name="street" label="Street" words />
      <Field {...f} name="town" label="Postcode and town" words />
      <Field {...f} name="country" label="Country" words />
      <ChoiceField {...f} name="channel" label="Channel" options={CHANNELS} />
      <Field {...f} name="price" label="Price" unit={currency} />
      <Small>It is promised to leave within {handlingDays} working days.</Small>
      <Problem>{problem}</Problem>
    </Slip>
  );
};

/** Orders: what is open, what is late, what has gone. */
export function OrdersDrawer(view: OrdersView) {
  const { page, asked, shown, counts, adding, currency, handlingDays } = view;
  const address = useAddress();
  const format = useFormat();
  const columns = useMemo<Column<Row>[]>(
    () => [
      { key: 'number', head: 'Order', value: (r) => r.number },
      {
        key: 'work',
        head: 'Work',
        value: (r) => r.work,
        cell: (r) => (
          <span style={{ font: "400 16px/1.3 'Newsreader', serif" }}>
            {r.work} <Pencil>{r.impression}</Pencil>
          </span>
        ),
      },
      {
        key: 'customer',
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
        head: `Price, ${currency}`,
        value: (r) => r.price,
        cell: (r) => format.amount(r.price),
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
              color: !r.shippedAt && r.days < 0 ? 'var(--brick)' : undefined,
            }}
          >
            {stateWords(r)}
          </span>
        ),
      },
    ],
    [format, currency],
  );
  return (
    <>
      <DrawerHead
        title="Orders"
        sum={`${counts.open} open, ${counts.late} late, ${counts.all - counts.open} shipped`}
      >
        <FindField label="Find number, name, title" value={asked.find} />
        <Shown
          aria-label="Which orders"
          value={shown}
          onChange={(e) => address({ show: e.target.value, page: null })}
        >
          <option value="all">all orders</option>
          <option value="open">open ones</option>
          <option value="shipped">shipped ones</option>
        </Shown>
        <ButtonLink href="/orders?new=1">New order</ButtonLink>
      </DrawerHead>
      <Bench>
        <Surface>
          {counts.all === 0 ? (
            <Empty title="No order yet">
              <p>An order takes one numbered impression and promises a day.</p>
            </Empty>
          ) : (
            <DataTable
              label="Orders"
              rows={page.rows}
              list={{ asked, total: page.total }}
              columns={columns}
              id={(r) => r.number}
              href={(r) => `/works/${r.workId}/pack?order=${r.number}`}
            />
          )}
        </Surface>
        {adding && (
          <NewOrder adding={adding} currency={currency} handlingDays={handlingDays} />
        )}
      </Bench>
    </>
  );
}
