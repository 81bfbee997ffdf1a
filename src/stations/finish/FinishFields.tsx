'use client';
import { ChoiceField, Field } from '@/shell/fields';
import type { Form } from '@/shell/fields';
import { SectionLabel } from '@/shell/words';
import { finishForm } from './finishForm';

/** What a mat and its frame are made of. */
export const FinishFields = ({ form, onKeep }: { form: Form; onKeep: () => void }) => {
  const field = { form, of: finishForm };
  return (
    <form
      method="dialog"
      onSubmit={(e) => {
        e.preventDefault();
        onKeep();
      }}
      style={{ display: 'grid', gap: 6 }}
    >
      <ChoiceField
        {...field}
        name="style"
        options={[
          ['overlap', 'smaller: overlaps'],
          ['reveal', 'larger: reveals'],
        ]}
      />
      <Field {...field} name="perSide" />
      <SectionLabel>Each may be off by</SectionLabel>
      <Field {...field} name="offPrint" label="Print" />
      <Field {...field} name="offMat" label="Mat cutter" />
      <Field {...field} name="offFrame" label="Frame" />
      <SectionLabel>Mat borders</SectionLabel>
      <Field {...field} name="sides" label="Sides" />
      <Field {...field} name="above" label="Above" />
      <Field {...field} name="below" label="Below" />
      <SectionLabel>Frame</SectionLabel>
      <Field {...field} name="moulding" />
      <Field {...field} name="glass" />
      <ChoiceField
        {...field}
        name="glazing"
        options={[
          ['glass', 'glass'],
          ['acrylic', 'acrylic'],
        ]}
      />
      <button type="submit" className="sr" tabIndex={-1} aria-hidden>
        Keep
      </button>
    </form>
  );
};
