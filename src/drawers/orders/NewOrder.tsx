'use client';
import { useRouter } from 'next/navigation';
import { useEffect } from 'react';
import { useActionForm } from '@/shell/actions';
import { useBench } from '@/shell/figures';
import { FormFields } from '@/shell/fields';
import { FormSlip } from '@/shell/slip';
import { SectionLabel, Small } from '@/shell/words';
import { AddressFields } from './AddressFields';
import { LineFields, startLine } from './LineFields';
import { takeOrder } from './actions';
import { NOTES, newOrderForm } from './orderForms';
import type { OrdersView } from './view';

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
  const { locale } = useBench();
  const taking = useActionForm(
    takeOrder,
    {
      ...startLine(adding, { currency, locale }),
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
  const { form } = taking;
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
    <FormSlip label="New order" form={taking} verb="Take the order" back="/orders">
      <LineFields form={form} adding={adding} currency={currency} />
      <SectionLabel>To</SectionLabel>
      <AddressFields form={form} known={[...new Set(known.map((k) => k.name))]} />
      <FormFields form={form} of={newOrderForm} only={['channel', ...NOTES, 'extras']} />
      <Small>
        It is promised to leave within {handlingDays} working days. More lines are added
        once it is taken.
      </Small>
    </FormSlip>
  );
}
