'use client';
import { useRouter } from 'next/navigation';
import { useEffect } from 'react';
import { writeAmount } from '@/core/input';
import type { ExpenseKind } from '@/core/price';
import type { Minor } from '@/core/units';
import { Button, useAction, useActionForm } from '@/shell/actions';
import { FormFields } from '@/shell/fields';
import { useBench, useFormat } from '@/shell/figures';
import { Problem } from '@/shell/said';
import { FormSlip } from '@/shell/slip';
import { SlipTable } from '@/shell/table';
import { SectionLabel, Small } from '@/shell/words';
import { EXPENSE_WORDS, expenseWords } from '@/studio/words/expenseWords';
import { noteExpense, takeBack } from './actions';
import { expenseForm } from './expenseForm';
import type { AccountsView } from './view';

/** What a channel asks for its month or its day, as far as it was kept; null where it was not. */
function asked(
  terms: AccountsView['terms'],
  kind: ExpenseKind,
  channel: string,
): Minor | null {
  const of = terms.find((t) => t.channel === channel);
  const amount = kind === 'month' ? of?.perMonth : kind === 'fairDay' ? of?.day : null;
  return amount ? amount : null;
}

/** What was paid beside sales: a month of a site, a day at a fair, a mishap. */
export function PaidSlip({ view }: { view: AccountsView }) {
  const router = useRouter();
  const bench = useBench();
  const form = useActionForm(
    noteExpense,
    expenseForm.write({ kind: 'month', channel: 'own site', onDay: view.today }, bench),
    { done: 'Noted.', onDone: () => router.push('/accounts') },
  );
  const kind = form.form.watch('kind') as ExpenseKind;
  const channel = form.form.watch('channel') ?? '';
  const amount = asked(view.terms, kind, channel);
  const { form: fields } = form;
  useEffect(() => {
    if (fields.formState.dirtyFields.amount) return;
    fields.setValue(
      'amount',
      amount === null ? '' : writeAmount(amount, bench.currency, bench.locale),
    );
  }, [amount, fields, bench]);
  return (
    <FormSlip label="Paid beside sales" form={form} verb="Note it" back="/accounts">
      <FormFields
        form={fields}
        of={expenseForm}
        only={kind === 'mishap' ? ['kind'] : ['kind', 'channel']}
        options={{ kind: Object.entries(EXPENSE_WORDS) }}
      />
      <FormFields form={fields} of={expenseForm} only={['onDay', 'amount', 'note']} />
      <Small>
        It is of no single sale: Accounts set it off against what the sales of that channel
        left. What a channel asks is kept at Price, Channels.
      </Small>
    </FormSlip>
  );
}

function PaidRow({ paid }: { paid: AccountsView['paid'][number] }) {
  const format = useFormat();
  const taking = useAction(takeBack, 'Taken back.');
  const words = expenseWords(paid.kind, paid.channel);
  return (
    <tr>
      <td className="wrap">
        {words}
        <Small>
          {format.day(paid.onDay)}
          {paid.note ? `, ${paid.note}` : ''}
        </Small>
        <Problem>{taking.problem}</Problem>
      </td>
      <td>{format.money(paid.amount, paid.currency)}</td>
      <td>
        <Button
          $small
          $plain
          aria-label={`Take back ${words}, ${format.day(paid.onDay)}`}
          isDisabled={taking.sending}
          onPress={() => taking.run({ expense: String(paid.id) })}
        >
          Take back
        </Button>
      </td>
    </tr>
  );
}

/** What was paid beside sales of late. */
export const PaidLately = ({ paid }: { paid: AccountsView['paid'] }) =>
  paid.length === 0 ? null : (
    <>
      <SectionLabel>Paid beside sales, of late</SectionLabel>
      <SlipTable aria-label="Paid beside sales">
        <tbody>
          {paid.map((p) => (
            <PaidRow key={p.id} paid={p} />
          ))}
        </tbody>
      </SlipTable>
    </>
  );
