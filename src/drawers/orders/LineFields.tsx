'use client';
import { useEffect } from 'react';
import type { LineKind } from '@/core/order';
import { ChoiceField, Field } from '@/shell/fields';
import { FindField } from '@/shell/table';
import type { Form, TypedValues } from '@/shell/fields';
import { Sentence } from '@/shell/words';
import type { AddingLine } from './addingLine';
import { LINE_KIND_WORDS } from './words';

/** What an artist's proof is given by is its number, like any other impression. */
const OFFERED: readonly LineKind[] = ['impression', 'openPrint', 'goods'];

/** What the fields of a line start with. */
export function startLine({ impressions, papers, start }: AddingLine): TypedValues {
  const first = impressions.find((f) => f.key === start);
  return {
    kind: 'impression',
    item: start,
    paperId: String(first?.paperId ?? papers[0]?.id ?? ''),
    goods: '',
    mass: '',
    thickness: '',
    quantity: '1',
    price: first?.price ?? '',
  };
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
    // The price of several is said by hand: what one costs does not tell it.
    if (picked?.price && !dirtyFields.price)
      form.setValue('price', kind === 'impression' || quantity === '1' ? picked.price : '');
    if (picked?.paperId && !dirtyFields.paperId)
      form.setValue('paperId', String(picked.paperId));
  }, [kind, item, quantity, choices, form]);
  const f = { form };
  return (
    <>
      <ChoiceField
        {...f}
        name="kind"
        label="What"
        words
        options={OFFERED.map((k) => [k, LINE_KIND_WORDS[k]] as const)}
      />
      {kind === 'goods' ? (
        <>
          <Field {...f} name="goods" label="What they are" words />
          <Field {...f} name="mass" label="Weight of one" unit="g" />
          <Field {...f} name="thickness" label="Thickness of one" />
        </>
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
          <ChoiceField
            {...f}
            name="item"
            label={kind === 'openPrint' ? 'Print' : 'Impression'}
            words
            options={choices.map((x) => [x.key, x.label] as const)}
          />
          <ChoiceField
            {...f}
            name="paperId"
            label="Printed on"
            words
            options={papers.map((p) => [String(p.id), p.name] as const)}
          />
        </>
      )}
      {kind !== 'impression' && <Field {...f} name="quantity" label="How many" />}
      <Field
        {...f}
        name="price"
        label={kind === 'impression' ? 'Price' : 'Price, of all of them'}
        unit={currency}
      />
    </>
  );
}
