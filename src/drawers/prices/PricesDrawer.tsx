'use client';
import { useRouter } from 'next/navigation';
import { useMemo } from 'react';
import { ButtonLink, DownloadLink, useActionForm } from '@/shell/actions';
import { Bench, Surface } from '@/shell/bench';
import { FormFields, Pair } from '@/shell/fields';
import { useFormat } from '@/shell/figures';
import { DrawerHead } from '@/shell/frame';
import { Empty } from '@/shell/said';
import { FactList, FormSlip, Slip, SlipSub, SlipTitle } from '@/shell/slip';
import { LooksLike, SlipTable, WalkedTable, useAddress } from '@/shell/table';
import type { Column } from '@/shell/table';
import { SectionLabel, Sentence, Small } from '@/shell/words';
import { ROUTE_WORDS, lostWords } from '@/studio/words/routeWords';
import { keepPriceList } from './actions';
import { priceListForm } from './listForm';
import type { PriceListsView, ShownList } from './view';
import { breaksWords, lineName, listedThings } from './words';

/** What a route asks, typed line by line or pasted from its list. */
function ListForm({ view }: { view: PriceListsView }) {
  const router = useRouter();
  const { name, start } = view.form!;
  const back = name === null ? '/prices' : `/prices?of=${encodeURIComponent(name)}`;
  const form = useActionForm(keepPriceList, start, {
    done: 'Price list kept.',
    onDone: (of) => router.push(`/prices?of=${encodeURIComponent(of)}`),
  });
  const field = { form: form.form, of: priceListForm };
  return (
    <FormSlip
      label={name ?? 'A price list'}
      form={form}
      verb="Keep this list"
      back={view.lists.length === 0 ? null : back}
    >
      <FormFields
        {...field}
        only={['name', 'kind', 'from']}
        offered={{ name: view.names }}
        options={{ kind: view.kinds.map((k) => [k, ROUTE_WORDS[k]] as const) }}
      />
      <FormFields {...field} only={['rows']} lines={{ rows: 7 }} />
      <Small>
        One line each; a table or a CSV file can be pasted. Size: 30 x 40 cm, A3, or m² for
        a price by the square metre. Without a paper: on any.{' '}
        <DownloadLink $plain $small href="/api/lists/prices?template=1">
          An empty list (CSV)
        </DownloadLink>
      </Small>
      <Pair>
        <FormFields
          {...field}
          only={['setUp', 'proofFee', 'leastQuantity', 'leastPaid']}
          stacked
        />
      </Pair>
      <FormFields {...field} only={['postage']} lines={{ postage: 3 }} />
      <Pair>
        <FormFields {...field} only={['freePostageFrom', 'days']} stacked />
      </Pair>
      <FormFields {...field} only={['toCustomer', 'loses']} />
    </FormSlip>
  );
}

/** One list: what each size costs, and what is asked beside. */
function ListSlip({ list, before }: { list: ShownList; before: ShownList[] }) {
  const format = useFormat();
  const { values, currency } = list;
  const money = (amount: number) => format.money(amount, currency);
  const of = encodeURIComponent(list.name);
  const lost = lostWords(list.kind, values.loses);
  return (
    <Slip
      label={list.name}
      actions={<ButtonLink href={`/prices?of=${of}&edit=1`}>New prices</ButtonLink>}
    >
      <SlipTitle>{list.name}</SlipTitle>
      <SlipSub>
        {ROUTE_WORDS[list.kind]}, prices from {format.day(values.from)}
      </SlipSub>
      {lost.length > 0 && <Sentence>What is lost there: {lost.join('; ')}.</Sentence>}
      <SlipTable aria-label="Prices">
        <thead>
          <tr>
            <th>Size, paper</th>
            <th>each, {currency}, from so many on</th>
          </tr>
        </thead>
        <tbody>
          {listedThings(list.rows).map((rows) => (
            <tr key={lineName(rows[0]!, rows[0]!.said)}>
              <td className="wrap">{lineName(rows[0]!, rows[0]!.said)}</td>
              <td className="wrap">
                {breaksWords(rows, (m) => format.amount(m, currency))}
              </td>
            </tr>
          ))}
        </tbody>
      </SlipTable>
      <FactList
        facts={[
          ['Set-up of a batch', money(values.setUp)],
          ...(values.proofFee > 0
            ? [['A proof before it', money(values.proofFee)] as [string, string]]
            : []),
          ['Fewest they print', `${values.leastQuantity}`],
          ...(values.leastPaid > 0
            ? [['Least sum of prints', money(values.leastPaid)] as [string, string]]
            : []),
          ...values.postage.map((p): [string, string] => [
            p.upTo === null ? 'Postage, any number' : `Postage, up to ${p.upTo}`,
            money(p.cost),
          ]),
          ...(values.freePostageFrom === null
            ? []
            : [['Sent free from', money(values.freePostageFrom)] as [string, string]]),
          ...(values.toCustomer > 0
            ? [['To the customer, each', money(values.toCustomer)] as [string, string]]
            : []),
          ['Here after', values.days === null ? 'not said' : `${values.days} days`],
        ]}
      />
      {before.length > 0 && (
        <Small>
          Before: {before.map((b) => `prices from ${format.day(b.values.from)}`).join(', ')}
          . They stay, and no price that was kept changes with them.
        </Small>
      )}
    </Slip>
  );
}

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
          <ListForm key={form.name ?? ''} view={view} />
        ) : picked ? (
          <ListSlip list={picked} before={before} />
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
