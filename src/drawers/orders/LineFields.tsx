'use client';
import { useEffect } from 'react';
import { readField, writeAmount } from '@/core/input';
import type { InputContext } from '@/core/input';
import type { LineKind } from '@/core/order';
import { minor } from '@/core/units';
import type { Minor } from '@/core/units';
import { useBench } from '@/shell/figures';
import { FormFields } from '@/shell/fields';
import { FindField } from '@/shell/table';
import type { Form, TypedValues } from '@/shell/fields';
import { Sentence } from '@/shell/words';
import type { AddingLine } from './addingLine';
import { lineForm } from './orderForms';
import { LINE_KIND_WORDS } from './words';

/** What an artist's proof is given by is its number, like any other impression. */
const OFFERED: readonly LineKind[] = ['impression', 'openPrint', 'goods'];

/** What the fields of a line start with. */
export function startLine(
  { impressions, papers, start }: AddingLine,
  { currency, locale }: { currency: string; locale: string },
): TypedValues {
  const first = impressions.find((f) => f.key === start);
  return {
    kind: 'impression',
    item: start,
    paperId: String(first?.paperId ?? papers[0]?.id ?? ''),
    goods: '',
    mass: '',
    thickness: '',
    quantity: '1',
    price: first?.price == null ? '' : writeAmount(first.price, currency, locale),
  };
}

/** The price of so many, as it is typed; empty while how many cannot be read. */
function priceOf(
  one: Minor,
  kind: LineKind,
  quantity: string,
  context: InputContext,
): string {
  const many = readField(lineForm.fields.quantity, quantity, context);
  const { currency, locale } = context;
  if (kind === 'impression') return writeAmount(one, currency, locale);
  return many.ok ? writeAmount(minor(one * many.value), currency, locale) : '';
}

/** The fields of one line of an order: what it is of, its paper, its price. */
export function LineFields({
  form,
  adding,
  currency,
}: {
  form: Form;
  adding: AddingLine;
  currency: string;
}) {
  const bench = useBench();
  const { impressions, prints, papers, find, more } = adding;
  const kind = form.watch('kind') as LineKind;
  const item = form.watch('item');
  const quantity = form.watch('quantity');
  const choices = kind === 'openPrint' ? prints : impressions;
  useEffect(() => {
    if (kind === 'goods') return;
    const picked = choices.find((c) => c.key === item) ?? choices[0];
    if (picked && picked.key !== item) form.setValue('item', picked.key);
    if (kind === 'impression') form.setValue('quantity', '1');
    const { dirtyFields } = form.formState;
    if (picked?.price != null && !dirtyFields.price)
      form.setValue(
        'price',
        priceOf(picked.price, kind, quantity ?? '', { ...bench, currency }),
      );
    if (picked?.paperId && !dirtyFields.paperId)
      form.setValue('paperId', String(picked.paperId));
  }, [kind, item, quantity, choices, form, bench, currency]);
  const f = { form, of: lineForm };
  const options = {
    kind: OFFERED.map((k) => [k, LINE_KIND_WORDS[k]] as const),
    item: choices.map((x) => [x.key, x.label] as const),
    paperId: papers.map((p) => [String(p.id), p.name] as const),
  };
  return (
    <>
      <FormFields {...f} only={['kind']} options={options} stacked />
      {kind === 'goods' ? (
        <FormFields {...f} only={['goods', 'mass', 'thickness']} />
      ) : (
        <>
          {choices.length === 0 && (
            <Sentence $tone="caution">
              {find !== ''
                ? `Nothing of this kind is found under “${find}”.`
                : kind === 'openPrint'
                  ? 'No size without a limited edition is on offer. Offer one at Size first.'
                  : 'No numbered impression is here. Number one at its edition first.'}
            </Sentence>
          )}
          {(more || find !== '') && (
            <FindField name="item" label="Title or number, as 7/30" value={find} />
          )}
          <FormFields
            {...f}
            only={['item', 'paperId']}
            options={options}
            labels={kind === 'openPrint' ? { item: 'Print' } : {}}
            stacked
          />
        </>
      )}
      {kind !== 'impression' && <FormFields {...f} only={['quantity']} />}
      <FormFields
        {...f}
        only={['price']}
        labels={kind === 'impression' ? {} : { price: 'Price, of all of them' }}
        units={{ price: currency }}
      />
    </>
  );
}
