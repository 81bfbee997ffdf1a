'use client';
import { useRouter } from 'next/navigation';
import { useEffect } from 'react';
import { CHANNEL_IDS } from '@/core/price';
import { Button, ButtonLink, useActionForm } from '@/shell/actions';
import { ChoiceField, Field } from '@/shell/fields';
import { Problem } from '@/shell/said';
import { Slip, SlipTitle } from '@/shell/slip';
import { SectionLabel, Small } from '@/shell/words';
import { AddressFields } from './AddressFields';
import { LineFields, startLine } from './LineFields';
import { takeOrder } from './actions';
import type { OrdersView } from './view';

const CHANNELS = CHANNEL_IDS.map((c) => [c, c] as const);

/** A new order: its first line, and whom it goes to. More lines are added on its bench. */
export function NewOrder({
  adding,
  known,
  currency,
  handlingDays,
}: {
  adding: NonNullable<OrdersView['adding']>;
} & Pick<OrdersView, 'known' | 'currency' | 'handlingDays'>) {
  const router = useRouter();
  const { form, submit, sending, problem } = useActionForm(
    takeOrder,
    {
      ...startLine(adding),
      name: '',
      street: '',
      town: '',
      country: '',
      channel: 'own site',
      wish: '',
      note: '',
      extras: '',
    },
    {
      done: 'Order taken; what is numbered is reserved.',
      onDone: ({ number }) => router.push(`/orders/${number}`),
    },
  );
  const name = form.watch('name') ?? '';
  useEffect(() => {
    const found = known.filter((k) => k.name === name);
    const [one] = found;
    // Of two of one name nobody knows which is meant.
    if (!one || found.length > 1) return;
    for (const field of ['street', 'town', 'country'] as const)
      if (form.getValues(field) === '') form.setValue(field, one[field]);
  }, [name, known, form]);
  return (
    <Slip
      label="New order"
      actions={
        <>
          <Button onPress={submit} isDisabled={sending}>
            Take the order
          </Button>
          <ButtonLink $plain href="/orders">
            Leave it
          </ButtonLink>
        </>
      }
    >
      <SlipTitle>New order</SlipTitle>
      <LineFields form={form} adding={adding} currency={currency} />
      <SectionLabel>To</SectionLabel>
      <AddressFields form={form} known={[...new Set(known.map((k) => k.name))]} />
      <ChoiceField form={form} name="channel" label="Channel" options={CHANNELS} />
      <Field form={form} name="wish" label="Wish of the customer" words />
      <Field form={form} name="note" label="Note to the packer" words />
      <Field
        form={form}
        name="extras"
        label="Put in as well"
        words
        hint="Such as: postcard 6 g, ribbon"
      />
      <Small>
        It is promised to leave within {handlingDays} working days. More lines are added
        once it is taken.
      </Small>
      <Problem>{problem}</Problem>
    </Slip>
  );
}
