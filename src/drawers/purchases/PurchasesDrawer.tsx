'use client';
import { useRouter } from 'next/navigation';
import styled from 'styled-components';
import { ButtonLink, DownloadLink } from '@/shell/actions';
import { Bench, Surface } from '@/shell/bench';
import { Choose } from '@/shell/fields';
import { useFormat } from '@/shell/figures';
import { DrawerHead } from '@/shell/frame';
import { Link } from '@/shell/link';
import { Empty } from '@/shell/said';
import { FactList, Slip, SlipTitle } from '@/shell/slip';
import { SlipTable, useAddressOf } from '@/shell/table';
import { Small, TableHead } from '@/shell/words';
import { formatName } from '@/studio/words/formatWords';
import { WITHIN } from './within';
import { AllOrdered, OnTheWay, OrderedSlip } from './Ordered';
import type { PurchasesView } from './view';
import { insteadWords, leftWords, quantityWords, supplierWords } from './words';

const Head = styled.div`
  display: flex;
  flex-wrap: wrap;
  align-items: baseline;
  justify-content: space-between;
`;

type List = PurchasesView['lists'][number];

/** What one supplier is asked for. */
function Asked({ list, view: { today, within } }: { list: List; view: PurchasesView }) {
  const format = useFormat();
  const addressOf = useAddressOf();
  return (
    <>
      <Head>
        <TableHead>{supplierWords(list.supplier)}</TableHead>
        <AllOrdered list={list} within={within} />
      </Head>
      <SlipTable aria-label={supplierWords(list.supplier)} style={{ tableLayout: 'fixed' }}>
        <thead>
          <tr>
            <th style={{ width: '34%' }}>What</th>
            <th>On the shelf</th>
            <th>Order by</th>
            <th>How many</th>
            <th>One</th>
            <th>Comes to</th>
            <th style={{ width: '11%' }} />
          </tr>
        </thead>
        <tbody>
          {list.lines.map((p) => (
            <tr
              key={`${p.kind} ${p.id}`}
              data-tone={p.orderBy === null || p.orderBy <= today ? 'caution' : undefined}
            >
              <td className="wrap">
                <Link href={p.href}>{p.name}</Link>
                {p.as && `, ${formatName(p.as, format)}`}
                {p.instead && (
                  <Small>
                    {insteadWords(p.instead, formatName(p.instead.format, format), (m) =>
                      format.money(m, p.currency),
                    )}
                  </Small>
                )}
              </td>
              <td>{leftWords(p)}</td>
              <td>
                {p.orderBy === null
                  ? '▲ low'
                  : p.orderBy <= today
                    ? '▲ now'
                    : format.day(p.orderBy)}
              </td>
              <td>{quantityWords(p)}</td>
              <td>{format.money(p.each, p.currency)}</td>
              <td>{format.money(p.each * p.quantity, p.currency)}</td>
              <td>
                <Link
                  href={addressOf({ ordered: `${p.kind}:${p.id}` })}
                  aria-label={`${p.name} was ordered`}
                >
                  was ordered
                </Link>
              </td>
            </tr>
          ))}
        </tbody>
      </SlipTable>
    </>
  );
}

/** What each supplier's list comes to. */
function Totals({ lists }: { lists: readonly List[] }) {
  const format = useFormat();
  return (
    <Slip label="What it comes to">
      <SlipTitle>What it comes to</SlipTitle>
      <FactList
        facts={lists.map((l) => [
          supplierWords(l.supplier),
          l.totals.map((t) => format.money(t.amount, t.currency)).join(' + '),
        ])}
      />
      <Small>
        How many is a rule of thumb: what twelve weeks take of it, or twice the reorder
        point; of an ink one. Prices are the last that were noted, without postage and tax.
      </Small>
      <Small>
        The day is the last on which it comes in time: what is left at the pace of late,
        less the days of a delivery and three to spare.
      </Small>
    </Slip>
  );
}

/** What is to be ordered, by supplier: paper, ink, packing. */
export function PurchasesDrawer(view: PurchasesView) {
  const { lists, coming, ordering, within, today } = view;
  const router = useRouter();
  const addressOf = useAddressOf();
  const lines = lists.reduce((n, l) => n + l.lines.length, 0);
  return (
    <>
      <DrawerHead
        title="To be ordered"
        sum={`${lines} ${lines === 1 ? 'thing' : 'things'} of ${lists.length} ${lists.length === 1 ? 'supplier' : 'suppliers'}`}
      >
        <Choose
          label="To be ordered within"
          value={within}
          options={WITHIN.map((d) => [d, `within ${d} days`])}
          onChange={(days) => router.replace(addressOf({ within: days }))}
        />
        <DownloadLink $plain $small href={`/api/lists/purchases?within=${within}`}>
          CSV
        </DownloadLink>
        <DownloadLink $plain $small href={`/api/purchases?within=${within}`}>
          PDF
        </DownloadLink>
        <ButtonLink $plain href="/papers">
          Papers
        </ButtonLink>
      </DrawerHead>
      <Bench>
        <Surface>
          {lists.length === 0 ? (
            <Empty title="Nothing is to be ordered">
              <p>
                Whatever has a day by which to order it, or is at its reorder point, stands
                here: paper, ink, packing.
              </p>
            </Empty>
          ) : (
            lists.map((list) => <Asked key={list.supplier} list={list} view={view} />)
          )}
          {coming.length > 0 && <OnTheWay coming={coming} />}
        </Surface>
        {ordering ? (
          <OrderedSlip
            key={`${ordering.kind} ${ordering.id}`}
            line={ordering}
            today={today}
          />
        ) : (
          <Totals lists={lists} />
        )}
      </Bench>
    </>
  );
}
