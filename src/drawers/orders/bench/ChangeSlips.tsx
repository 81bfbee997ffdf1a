'use client';
import { useRouter } from 'next/navigation';
import { useActionForm } from '@/shell/actions';
import { useBench } from '@/shell/figures';
import { FormFields } from '@/shell/fields';
import { Sentence, Small } from '@/shell/words';
import { AddressFields } from '../AddressFields';
import { BenchForm, home } from './BenchForm';
import { LineFields, startLine } from '../LineFields';
import { cancelForm, notesForm } from '../orderForms';
import { addLine, cancelOrder, changeAddress, changeNotes } from './lineActions';
import type { OrderBenchView } from './view';

/** A line more. */
export function AddLineSlip({
  view,
  adding,
}: {
  view: OrderBenchView;
  adding: NonNullable<OrderBenchView['adding']>;
}) {
  const router = useRouter();
  const { locale } = useBench();
  const form = useActionForm(
    addLine,
    startLine(adding, { currency: view.currency, locale }),
    {
      fixed: { order: view.order.number },
      done: 'Line added; what is numbered is reserved.',
      onDone: () => router.push(home(view)),
    },
  );
  return (
    <BenchForm view={view} label="A line more" form={form} verb="Add this line">
      <LineFields form={form.form} adding={adding} currency={view.currency} />
    </BenchForm>
  );
}

/** Where the order goes. */
export function AddressSlip({ view }: { view: OrderBenchView }) {
  const { number, to } = view.order;
  const form = useActionForm(
    changeAddress,
    { name: to.name, street: to.street, town: to.town, country: to.country },
    { fixed: { order: number }, done: 'Address kept for this order.' },
  );
  return (
    <BenchForm view={view} label="Where it goes" form={form} verb="Send it there">
      <AddressFields form={form.form} />
      <Small>
        Of this order alone; parcels that are sealed keep the address on their label.
      </Small>
    </BenchForm>
  );
}

/** What the customer wishes, and what the packer is told. */
export function NotesSlip({ view }: { view: OrderBenchView }) {
  const { number, wish, note } = view.order;
  const form = useActionForm(
    changeNotes,
    { wish, note },
    { fixed: { order: number }, done: 'Notes kept.' },
  );
  return (
    <BenchForm view={view} label="Wish and note" form={form} verb="Keep these notes">
      <FormFields form={form.form} of={notesForm} lines={{ wish: 4, note: 4 }} />
    </BenchForm>
  );
}

/** The order is given up: what is reserved is free again. */
export function CancelSlip({ view }: { view: OrderBenchView }) {
  const router = useRouter();
  const form = useActionForm(
    cancelOrder,
    { reason: '' },
    {
      fixed: { order: view.order.number },
      done: (said) => said,
      onDone: () => router.push(home(view)),
    },
  );
  const numbered = view.lines.filter((l) => l.state === 'open' && l.label !== null);
  return (
    <BenchForm view={view} label="Cancel the order" form={form} verb="Cancel it for good">
      <Sentence $tone="caution">
        {numbered.length > 0
          ? `${numbered.map((l) => `${l.work} ${l.label}`).join(', ')} ${numbered.length === 1 ? 'goes' : 'go'} back to the edition. An order that is cancelled is not taken up again.`
          : 'An order that is cancelled is not taken up again.'}
      </Sentence>
      <FormFields form={form.form} of={cancelForm} />
    </BenchForm>
  );
}
