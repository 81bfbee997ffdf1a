'use client';
import { useEffect } from 'react';
import styled from 'styled-components';
import { writeAmount, writePercent } from '@/core/input';
import { EnterForm, FormFields } from '@/shell/fields';
import type { Form } from '@/shell/fields';
import { useBench, useFormat } from '@/shell/figures';
import { SectionLabel } from '@/shell/words';
import { priceForm } from './priceForm';
import type { PriceView } from './view';
import { costHints } from './words';

const Columns = styled.div`
  display: grid;
  grid-template-columns: 1fr 1fr;
  gap: 6px 34px;
  max-width: 720px;
  > div {
    display: grid;
    gap: 6px;
    align-content: start;
  }
`;

const EACH = [
  'printing',
  'paper',
  'finishing',
  'packing',
  'postage',
  'spoilage',
  'wear',
  'donation',
];
const TIME = ['hourlyRate', 'hours', 'signingHours', 'finishingHours', 'packingHours'];
const ONCE = ['capture', 'proofs', 'expectedImpressions'];
const FEES = ['commission', 'payment', 'fixed'] as const;

/** What a price is made of. Another channel brings its usual fees, where none were typed. */
export function PriceFields({
  form,
  currency,
  view,
  channels,
  onKeep,
}: {
  form: Form;
  currency: string;
  view: Pick<PriceView, 'rests' | 'made' | 'known'>;
  channels: PriceView['channels'];
  onKeep: () => void;
}) {
  const channel = form.watch('channel') ?? '';
  const { locale } = useBench();
  const format = useFormat();
  const { dirtyFields } = form.formState;
  const chosen = dirtyFields.channel === true;
  const typed = FEES.some((name) => dirtyFields[name]);
  useEffect(() => {
    const fees = channels.find((c) => c.channel === channel)?.terms;
    if (!chosen || typed || !fees) return;
    form.resetField('commission', { defaultValue: writePercent(fees.commission, locale) });
    form.resetField('payment', { defaultValue: writePercent(fees.payment, locale) });
    form.resetField('fixed', { defaultValue: writeAmount(fees.fixed, currency, locale) });
  }, [channel, chosen, typed, channels, currency, locale, form]);
  const field = { form, of: priceForm };
  const hints = costHints(view, format);
  return (
    <EnterForm onEnter={onKeep} verb="Keep">
      <Columns>
        <div>
          <SectionLabel>Each impression</SectionLabel>
          <FormFields {...field} only={EACH} hints={hints} />
        </div>
        <div>
          <SectionLabel>Once, spread over the edition</SectionLabel>
          <FormFields {...field} only={ONCE} hints={hints} />
          <SectionLabel>Hours, each</SectionLabel>
          <FormFields {...field} only={TIME} hints={hints} />
          <SectionLabel>Channel</SectionLabel>
          <FormFields {...field} only={['channel', ...FEES]} />
        </div>
      </Columns>
    </EnterForm>
  );
}
