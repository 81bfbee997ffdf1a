'use client';
import { useRouter } from 'next/navigation';
import { useActionForm } from '@/shell/actions';
import { ListSlip } from '@/shell/bring';
import { bringOrders } from './actions';
import { LISTED_KINDS, bringOrdersForm, orderListForm } from './orderListForm';

const count = (taken: readonly string[]) =>
  taken.length === 1 ? `Order ${taken[0]} taken.` : `${taken.length} orders taken.`;

/** Orders from a CSV list, chosen or pasted. */
export function BringOrders() {
  const router = useRouter();
  const form = useActionForm(
    bringOrders,
    { list: '' },
    { done: count, onDone: () => router.push('/orders') },
  );
  return (
    <ListSlip
      label="Orders from a list"
      verb="Take them in"
      back="/orders"
      form={form}
      of={bringOrdersForm}
      columns={Object.values(orderListForm.titles)}
      said={`“What” is ${LISTED_KINDS.join(', ')}. Without a number, the lowest that is here is taken. Lines that carry the same “Order” are one order. Nothing is kept unless all of it can be.`}
      template="/api/lists/orders?template=1"
    />
  );
}
