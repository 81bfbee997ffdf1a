'use client';
import { useActionForm } from '@/shell/actions';
import { FormFields, Pair } from '@/shell/fields';
import { FormPart, Slip, SlipTitle } from '@/shell/slip';
import { SectionLabel, Small } from '@/shell/words';
import { keepRules } from './actions';
import { rulesForm } from './sheetForms';
import type { SheetsView } from './view';

const YES_NO = [
  ['yes', 'yes'],
  ['no', 'no'],
] as const;

/** How it is cut: what printer and trimmer can, what is left around a piece, what counts as stock afterwards. */
export function RulesSlip({ view }: { view: SheetsView }) {
  const { school, ...rules } = view.rules;
  const form = useActionForm(keepRules, rules, {
    fixed: { planId: String(view.id), basedOn: String(view.stateId), school: school ?? '' },
    done: 'Planned anew by these rules.',
  });
  const f = { form: form.form, of: rulesForm };
  return (
    <Slip label="How it is cut">
      <SlipTitle>How it is cut</SlipTitle>
      <FormPart form={form} verb="Plan by these">
        <SectionLabel>What the printer leaves white at the edges</SectionLabel>
        <Pair>
          <FormFields {...f} only={['left', 'right', 'top', 'bottom']} stacked />
        </Pair>
        <SectionLabel>Between pieces</SectionLabel>
        <FormFields {...f} only={['gutter', 'trim']} />
        <SectionLabel>The trimmer</SectionLabel>
        <FormFields {...f} only={['longestCut']} />
        <Pair>
          <FormFields {...f} only={['trimmerWidth', 'trimmerHeight']} stacked />
        </Pair>
        <SectionLabel>Left-overs</SectionLabel>
        <Pair>
          <FormFields {...f} only={['keepWidth', 'keepHeight']} stacked />
        </Pair>
        <SectionLabel>Order, and what is printed beside</SectionLabel>
        <FormFields
          {...f}
          only={['dueFirst', 'marks', 'labels']}
          options={{ dueFirst: YES_NO, marks: YES_NO, labels: YES_NO }}
        />
      </FormPart>
      <Small>
        Rules of thumb to begin with: margins as most printers have them, a gutter in which
        marks and a line of words have room. A new plan begins with those of the last.
      </Small>
    </Slip>
  );
}
