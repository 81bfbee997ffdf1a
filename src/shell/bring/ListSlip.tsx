'use client';
import { DownloadLink } from '../actions/Button';
import type { ActionForm } from '../actions/useActionForm';
import { FormFields } from '../fields/FormFields';
import type { Defined } from '../fields/fieldParts';
import { FormSlip } from '../slip/FormSlip';
import { Small } from '../words/words';
import { ChooseList } from './ChooseList';

/** A CSV list, chosen or pasted; an empty one to write in lies beside it. */
export function ListSlip({
  label,
  verb,
  back,
  form,
  of,
  columns,
  said,
  template,
}: {
  label: string;
  verb: string;
  back: string;
  form: ActionForm;
  /** Its one field is `list`. */
  of: Defined;
  columns: readonly string[];
  /** What is to be known of the columns. */
  said: string;
  /** Where the empty list is. */
  template: string;
}) {
  return (
    <FormSlip label={label} form={form} verb={verb} back={back}>
      <Small>
        A CSV file whose first line names the columns: {columns.join(', ')}. {said}
      </Small>
      <DownloadLink $plain $small href={template}>
        An empty list to write in (CSV)
      </DownloadLink>
      <ChooseList
        onText={(text) => form.form.setValue('list', text, { shouldDirty: true })}
      />
      <FormFields
        form={form.form}
        of={of}
        labels={{ list: 'or paste it here' }}
        lines={{ list: 12 }}
      />
    </FormSlip>
  );
}
