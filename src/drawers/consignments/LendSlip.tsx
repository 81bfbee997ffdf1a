'use client';
import { useRouter } from 'next/navigation';
import { useEffect, useState } from 'react';
import { readField, writeAmount } from '@/core/input';
import { ButtonLink, useActionForm } from '@/shell/actions';
import { FormFields, Line, Pair, Tick } from '@/shell/fields';
import { useBench, useFormat } from '@/shell/figures';
import { FormSlip } from '@/shell/slip';
import { FindField, SlipTable } from '@/shell/table';
import { SectionLabel, Sentence, Small } from '@/shell/words';
import { consign } from './actions';
import { consignForm, soldForm } from './forms';
import type { LentItem } from './forms';
import type { ConsignmentsView } from './view';

type Lending = NonNullable<ConsignmentsView['lending']>;

/** Which prints are lent out, and for what each is asked there. */
function Prints({
  prints,
  chosen,
  typed,
  currency,
  onChoose,
  onType,
}: {
  prints: Lending['prints'];
  chosen: ReadonlySet<string>;
  typed: Record<string, string>;
  currency: string;
  onChoose: (key: string, on: boolean) => void;
  onType: (key: string, text: string) => void;
}) {
  return (
    <SlipTable aria-label="Prints that are here">
      <tbody>
        {prints.map((p) => (
          <tr key={p.key}>
            <td className="wrap">
              <Tick checked={chosen.has(p.key)} onChange={(on) => onChoose(p.key, on)}>
                {p.name}
              </Tick>
              <Small>{p.size}</Small>
            </td>
            <td style={{ width: 110 }}>
              <Line
                label={`Asked for ${p.name}, ${currency}`}
                value={typed[p.key] ?? ''}
                onChange={(text) => onType(p.key, text)}
                figure
              />
            </td>
          </tr>
        ))}
      </tbody>
    </SlipTable>
  );
}

/** Lends prints out: with whom, which, on what terms, until when. */
export function LendSlip({ view, lending }: { view: ConsignmentsView; lending: Lending }) {
  const router = useRouter();
  const bench = useBench();
  const format = useFormat();
  const { prints, start, find, more } = lending;
  const [chosen, setChosen] = useState<ReadonlySet<string>>(new Set());
  const [typed, setTyped] = useState<Record<string, string>>(() =>
    Object.fromEntries(
      prints.map((p) => [
        p.key,
        p.price === null ? '' : writeAmount(p.price, view.currency, bench.locale),
      ]),
    ),
  );
  const priced = prints
    .filter((p) => chosen.has(p.key))
    .map((p) => ({
      print: p,
      price: readField(soldForm.fields.price, typed[p.key] ?? '', bench),
    }));
  const items = priced.flatMap(({ print: { editionId, series, number }, price }) =>
    price.ok ? [{ editionId, series, number, price: price.value } satisfies LentItem] : [],
  );
  const wrong = priced.find((p) => !p.price.ok);
  const lend = useActionForm(
    consign,
    { ...start, name: '', street: '', town: '', country: '', note: '' },
    {
      // One without a price that can be read is not quietly left at home.
      fixed: { items: wrong ? '[]' : JSON.stringify(items) },
      done: (number) => `Lent out with ${number}.`,
      onDone: (number) => router.push(`/consignments?of=${number}`),
    },
  );
  const { form } = lend;
  const name = form.watch('name') ?? '';
  useEffect(() => {
    const found = view.known.filter((k) => k.name === name);
    const [one] = found;
    if (!one || found.length > 1) return;
    for (const field of ['street', 'town', 'country'] as const)
      if (form.getValues(field) === '') form.setValue(field, one[field]);
  }, [name, view.known, form]);
  const field = { form, of: consignForm };
  const asked = items.reduce((sum, i) => sum + i.price, 0);
  return (
    <FormSlip
      label="Lend prints out"
      form={lend}
      verb="Lend them out"
      back={view.rows.length === 0 ? null : '/consignments'}
    >
      <Sentence $tone={wrong ? 'caution' : 'plain'}>
        {wrong
          ? `${wrong.print.name}: give the price that is asked for it there.`
          : items.length === 0
            ? 'Tick the prints that go.'
            : `${items.length} ${items.length === 1 ? 'print goes' : 'prints go'}, asked ${format.money(asked)} in all.`}
      </Sentence>
      <FormFields
        {...field}
        only={['name', 'street', 'town', 'country']}
        offered={{ name: [...new Set(view.known.map((k) => k.name))] }}
      />
      <SectionLabel>Prints that are here</SectionLabel>
      {(more || find !== '') && (
        <FindField name="item" label="Title or number, as 7/30" value={find} />
      )}
      {prints.length === 0 ? (
        <>
          <Small>
            No numbered print is here and free. Number one at its edition first.
          </Small>
          <ButtonLink $small $plain href="/editions" style={{ alignSelf: 'flex-start' }}>
            Editions
          </ButtonLink>
        </>
      ) : (
        <Prints
          prints={prints}
          chosen={chosen}
          typed={typed}
          currency={view.currency}
          onChoose={(key, on) =>
            setChosen((now) => {
              const next = new Set(now);
              if (on) next.add(key);
              else next.delete(key);
              return next;
            })
          }
          onType={(key, text) => setTyped((now) => ({ ...now, [key]: text }))}
        />
      )}
      <Pair>
        <FormFields
          {...field}
          only={['commission', 'framing', 'daysUntilPaid', 'fetchOn']}
          stacked
        />
      </Pair>
      <FormFields {...field} only={['note']} />
      <Small>
        Sale or return. Share and days as kept for galleries at Price, else as is usual
        (rule of thumb). No tax and no legal advice.
      </Small>
    </FormSlip>
  );
}
