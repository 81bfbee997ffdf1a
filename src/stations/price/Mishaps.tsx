'use client';
import { useRouter } from 'next/navigation';
import { ButtonLink, useActionForm } from '@/shell/actions';
import { FormFields } from '@/shell/fields';
import { useBench, useFormat } from '@/shell/figures';
import { FormSlip } from '@/shell/slip';
import { SectionLabel, Small } from '@/shell/words';
import { noteMishap } from './actions';
import { mishapForm } from './mishapForm';
import type { PriceView } from './view';

const costAt = ({ work, picked }: PriceView) =>
  `/works/${work.id}/price?size=${encodeURIComponent(picked?.key ?? '')}`;

/** What went wrong with this size: said apart, in no price. */
export function Mishaps({ view }: { view: PriceView }) {
  const format = useFormat();
  const { mishaps } = view;
  const sums = new Map<string, number>();
  for (const m of mishaps) sums.set(m.currency, (sums.get(m.currency) ?? 0) + m.amount);
  return (
    <>
      <SectionLabel>Mishaps, in no price</SectionLabel>
      {mishaps.length > 0 && (
        <Small>
          {mishaps.length === 1 ? 'One' : mishaps.length}, together{' '}
          {[...sums].map(([c, sum]) => format.money(sum, c)).join(' and ')}:{' '}
          {mishaps.map((m) => `${m.note} (${format.day(m.onDay)})`).join('; ')}. Accounts
          set them off.
        </Small>
      )}
      <ButtonLink
        $small
        $plain
        href={`${costAt(view)}&mishap=1`}
        style={{ alignSelf: 'flex-start' }}
      >
        Note a mishap
      </ButtonLink>
    </>
  );
}

/** Notes what went wrong, and what it cost. */
export function MishapSlip({ view }: { view: PriceView }) {
  const router = useRouter();
  const back = costAt(view);
  const { work, picked } = view;
  const form = useActionForm(
    noteMishap,
    mishapForm.write({ onDay: view.today }, useBench()),
    {
      fixed: { workId: String(work.id), sizeKey: picked?.key ?? '' },
      done: 'Noted; no price changes with it.',
      onDone: () => router.push(back),
    },
  );
  return (
    <FormSlip label="A mishap" form={form} verb="Note it" back={back}>
      <FormFields form={form.form} of={mishapForm} only={['onDay', 'amount', 'note']} />
      <Small>
        A print torn in a bad transport, a wrong cut: it could have been avoided, so no
        buyer pays for it. It stands here and in Accounts; wrongly noted it is taken back
        there.
      </Small>
    </FormSlip>
  );
}
