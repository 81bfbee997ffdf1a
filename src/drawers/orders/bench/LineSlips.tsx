'use client';
import { BenchForm, home } from './BenchForm';
import { useRouter } from 'next/navigation';
import { RETURN_HOW } from '@/core/order';
import { writeAmount } from '@/core/input';
import { Button, useAction, useActionForm } from '@/shell/actions';
import { FormFields } from '@/shell/fields';
import { useBench, useFormat } from '@/shell/figures';
import { Problem } from '@/shell/said';
import { SlipSub } from '@/shell/slip';
import { Small } from '@/shell/words';
import { repriceForm, returnForm } from '../orderForms';
import { noteReturn, removeLine, repriceLine } from './lineActions';
import type { OrderBenchView } from './view';

type Line = NonNullable<OrderBenchView['line']>;
const nameOf = (line: Line) =>
  [line.work || line.name, line.label].filter(Boolean).join(' ');

/** A line that has not left: its price, or out with it. */
export function ChangeLineSlip({ view, line }: { view: OrderBenchView; line: Line }) {
  const router = useRouter();
  const { locale } = useBench();
  const fixed = { order: view.order.number, line: String(line.id) };
  const form = useActionForm(
    repriceLine,
    { price: writeAmount(line.price, line.currency, locale) },
    { fixed, done: 'Price kept.', onDone: () => router.push(home(view)) },
  );
  const removing = useAction(removeLine, 'Taken out; its number is free again.', () =>
    router.push(home(view)),
  );
  return (
    <BenchForm view={view} label={nameOf(line)} form={form} verb="Keep this price">
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
    </BenchForm>
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
  const { locale } = useBench();
  const form = useActionForm(
    noteReturn,
    { how: 'whole', refund: writeAmount(line.price, line.currency, locale), reason: '' },
    {
      fixed: { order: view.order.number, line: String(line.id) },
      done: 'Noted.',
      onDone: () => router.push(home(view)),
    },
  );
  return (
    <BenchForm view={view} label={nameOf(line)} form={form} verb="Note how it came back">
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
    </BenchForm>
  );
}
