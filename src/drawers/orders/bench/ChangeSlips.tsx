'use client';
import { useRouter } from 'next/navigation';
import { RETURN_HOW } from '@/core/order';
import { writeAmount } from '@/core/input';
import { Button, useAction, useActionForm } from '@/shell/actions';
import { FormFields } from '@/shell/fields';
import { useFormat } from '@/shell/figures';
import { Problem } from '@/shell/said';
import { FormSlip, SlipSub } from '@/shell/slip';
import { Sentence, Small } from '@/shell/words';
import { AddressFields } from '../AddressFields';
import { LineFields, startLine } from '../LineFields';
import { cancelForm, notesForm, repriceForm, returnForm } from '../orderForms';
import {
  addLine,
  cancelOrder,
  changeAddress,
  changeNotes,
  noteReturn,
  removeLine,
  repriceLine,
} from './lineActions';
import type { OrderBenchView } from './view';

const home = (view: OrderBenchView) => `/orders/${view.order.number}`;

const LEAVE = 'Back to the parcel';

/** A line more. */
export function AddLineSlip({
  view,
  adding,
}: {
  view: OrderBenchView;
  adding: NonNullable<OrderBenchView['adding']>;
}) {
  const router = useRouter();
  const form = useActionForm(addLine, startLine(adding), {
    fixed: { order: view.order.number },
    done: 'Line added; what is numbered is reserved.',
    onDone: () => router.push(home(view)),
  });
  return (
    <FormSlip
      label="A line more"
      form={form}
      verb="Add this line"
      back={home(view)}
      leave={LEAVE}
    >
      <LineFields form={form.form} adding={adding} currency={view.currency} />
    </FormSlip>
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
    <FormSlip
      label="Where it goes"
      form={form}
      verb="Send it there"
      back={home(view)}
      leave={LEAVE}
    >
      <AddressFields form={form.form} />
      <Small>
        Of this order alone; parcels that are sealed keep the address on their label.
      </Small>
    </FormSlip>
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
    <FormSlip
      label="Wish and note"
      form={form}
      verb="Keep these notes"
      back={home(view)}
      leave={LEAVE}
    >
      <FormFields form={form.form} of={notesForm} lines={{ wish: 4, note: 4 }} />
    </FormSlip>
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
      done: 'Cancelled; its numbers are free again.',
      onDone: () => router.push(home(view)),
    },
  );
  const numbered = view.lines.filter((l) => l.state === 'open' && l.label !== null);
  return (
    <FormSlip
      label="Cancel the order"
      form={form}
      verb="Cancel it for good"
      back={home(view)}
      leave={LEAVE}
    >
      <Sentence $tone="caution">
        {numbered.length > 0
          ? `${numbered.map((l) => `${l.work} ${l.label}`).join(', ')} ${numbered.length === 1 ? 'goes' : 'go'} back to the edition. An order that is cancelled is not taken up again.`
          : 'An order that is cancelled is not taken up again.'}
      </Sentence>
      <FormFields form={form.form} of={cancelForm} />
    </FormSlip>
  );
}

type Line = NonNullable<OrderBenchView['line']>;
const nameOf = (line: Line) =>
  [line.work || line.name, line.label].filter(Boolean).join(' ');

/** A line that has not left: its price, or out with it. */
export function ChangeLineSlip({ view, line }: { view: OrderBenchView; line: Line }) {
  const router = useRouter();
  const fixed = { order: view.order.number, line: String(line.id) };
  const form = useActionForm(
    repriceLine,
    { price: writeAmount(line.price, line.currency) },
    { fixed, done: 'Price kept.', onDone: () => router.push(home(view)) },
  );
  const removing = useAction(removeLine, 'Taken out; its number is free again.', () =>
    router.push(home(view)),
  );
  return (
    <FormSlip
      label={nameOf(line)}
      form={form}
      verb="Keep this price"
      back={home(view)}
      leave={LEAVE}
    >
      <SlipSub>{line.sizeLabel}</SlipSub>
      <FormFields form={form.form} of={repriceForm} units={{ price: line.currency }} />
      <Button
        $small
        $plain
        isDisabled={removing.sending}
        onPress={() => removing.run(fixed)}
        style={{ alignSelf: 'flex-start' }}
      >
        Take it out of the order
      </Button>
      <Problem>{removing.problem}</Problem>
    </FormSlip>
  );
}

const HOW_WORDS = {
  whole: 'whole: it is here again, and free',
  damaged: 'damaged: it is here, and not for sale',
  lost: 'not at all: it is lost',
} as const;
const HOW = { how: RETURN_HOW.map((h) => [h, HOW_WORDS[h]] as const) };

/** A line that has left: how it came back. */
export function ReturnSlip({ view, line }: { view: OrderBenchView; line: Line }) {
  const router = useRouter();
  const format = useFormat();
  const form = useActionForm(
    noteReturn,
    { how: 'whole', refund: writeAmount(line.price, line.currency), reason: '' },
    {
      fixed: { order: view.order.number, line: String(line.id) },
      done: 'Noted.',
      onDone: () => router.push(home(view)),
    },
  );
  return (
    <FormSlip
      label={nameOf(line)}
      form={form}
      verb="Note how it came back"
      back={home(view)}
      leave={LEAVE}
    >
      <SlipSub>
        sold for {format.money(line.price, line.currency)}
        {line.shippedAt && `, left ${format.day(line.shippedAt)}`}
      </SlipSub>
      <FormFields form={form.form} of={returnForm} only={['how']} options={HOW} stacked />
      <FormFields
        form={form.form}
        of={returnForm}
        only={['refund', 'reason']}
        units={{ refund: line.currency }}
        lines={{ reason: 3 }}
      />
      {line.label !== null && (
        <Small>
          The ledger of the edition tells it. A damaged impression is destroyed and recorded
          before its number is printed again; a lost number is never printed again.
        </Small>
      )}
    </FormSlip>
  );
}
