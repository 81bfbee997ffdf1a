'use client';
import { EnterForm, Fold, FormFields } from '@/shell/fields';
import type { Form } from '@/shell/fields';
import { SectionLabel, Small } from '@/shell/words';
import { finishForm } from './finishForm';

const OPTIONS = {
  style: [
    ['overlap', 'smaller: overlaps'],
    ['reveal', 'larger: reveals'],
  ],
} as const;

/** Under their heading a word does. */
const SHORT = {
  offPrint: 'Print',
  offMat: 'Mat cutter',
  offFrame: 'Frame',
  sides: 'Sides',
  above: 'Above',
  below: 'Below',
};

const COSTS = [
  'sold',
  'mouldingPrice',
  'glazingPrice',
  'boardPrice',
  'backingPrice',
  'hardware',
  'hours',
];

/** What a mat and its frame are made of. */
export const FinishFields = ({ form, onKeep }: { form: Form; onKeep: () => void }) => {
  const field = { form, of: finishForm };
  return (
    <EnterForm onEnter={onKeep} verb="Keep" style={{ display: 'grid', gap: 6 }}>
      <FormFields {...field} only={['style', 'perSide']} options={OPTIONS} />
      <SectionLabel>Each may be off by</SectionLabel>
      <FormFields {...field} only={['offPrint', 'offMat', 'offFrame']} labels={SHORT} />
      <SectionLabel>Mat borders</SectionLabel>
      <FormFields {...field} only={['sides', 'above', 'below']} labels={SHORT} />
      <SectionLabel>Frame</SectionLabel>
      <FormFields
        {...field}
        only={['moulding', 'glass', 'glazing', 'board', 'spacer', 'backing']}
      />
      <Fold title="What it costs">
        <FormFields {...field} only={COSTS} />
        <Small>
          Without offcuts. Where every print is sold so, Price counts it as finishing; else
          the ladder has it for what is framed.
        </Small>
      </Fold>
    </EnterForm>
  );
};
