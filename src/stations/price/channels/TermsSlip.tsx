'use client';
import { Button, useActionForm } from '@/shell/actions';
import { FormFields, Pair } from '@/shell/fields';
import { useBench, useFormat } from '@/shell/figures';
import { FormSlip } from '@/shell/slip';
import { Small } from '@/shell/words';
import { keepTerms } from './actions';
import { termsForm } from './channelForms';
import type { KnownChannel } from './channelsShown';

/** What a channel asks, to be kept for all works. */
export function TermsSlip({
  known,
  onLeave,
  onKept,
}: {
  known: KnownChannel;
  onLeave: () => void;
  onKept: () => void;
}) {
  const { channel, terms, keptOn } = known;
  const format = useFormat();
  const start = termsForm.write(
    {
      ...terms,
      channel: channel,
      saleOrReturn: terms.saleOrReturn ? 'yes' : 'no',
    },
    useBench(),
  );
  const form = useActionForm(keepTerms, start, {
    fixed: { channel },
    done: 'Kept for every work; sales that are written down stay as they are.',
    onDone: onKept,
  });
  const field = { form: form.form, of: termsForm };
  return (
    <FormSlip
      label={`What ${channel} asks`}
      form={form}
      verb="Keep these terms"
      back={null}
      after={
        <Button $plain onPress={onLeave} style={{ alignSelf: 'flex-start' }}>
          Leave it
        </Button>
      }
    >
      <Small>
        {keptOn
          ? `Kept ${format.day(keptOn)}.`
          : 'Usual figures, rules of thumb: read the contract.'}
      </Small>
      <Pair>
        <FormFields
          {...field}
          only={['commission', 'payment', 'advertising', 'fixed']}
          stacked
        />
        <FormFields
          {...field}
          only={['listing', 'listingMonths', 'perMonth', 'daysUntilPaid']}
          stacked
        />
        <FormFields {...field} only={['day', 'dayHours']} stacked />
      </Pair>
      <FormFields {...field} only={['framing', 'saleOrReturn']} />
      <Small>Tax is not in it: local rules decide, and this is no advice.</Small>
    </FormSlip>
  );
}
