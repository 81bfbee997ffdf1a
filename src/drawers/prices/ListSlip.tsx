'use client';
import { ButtonLink } from '@/shell/actions';
import { useFormat } from '@/shell/figures';
import { FactList, Slip, SlipSub, SlipTitle } from '@/shell/slip';
import { SlipTable } from '@/shell/table';
import { Sentence, Small } from '@/shell/words';
import { ROUTE_WORDS, lostWords } from '@/studio/words/routeWords';
import { CameTable } from './CameTable';
import type { PriceListsView, ShownList } from './view';
import { breaksWords, lineName, listedThings } from './words';

/** One list: what each size costs, and what is asked beside. */
export function ListSlip({
  list,
  before,
  came,
}: {
  list: ShownList;
  before: ShownList[];
  came: PriceListsView['came'];
}) {
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
      <CameTable came={came} />
      {before.length > 0 && (
        <Small>
          Before: {before.map((b) => `prices from ${format.day(b.values.from)}`).join(', ')}
          . They stay, and no price that was kept changes with them.
        </Small>
      )}
    </Slip>
  );
}
