'use client';
import { useState } from 'react';
import { FileTrigger } from 'react-aria-components';
import { Button, DownloadLink } from '../actions/Button';
import type { ActionForm } from '../actions/useActionForm';
import { FormFields } from '../fields/FormFields';
import type { Defined } from '../fields/fieldParts';
import { Problem } from '../said/states';
import { FormSlip } from '../slip/FormSlip';
import { Small } from '../words/words';

const LARGEST = 2_000_000;

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
  const [tooLarge, setTooLarge] = useState<string | null>(null);
  const choose = async (file: File | undefined) => {
    if (!file) return;
    const large = file.size > LARGEST;
    setTooLarge(large ? `${file.name}: a list has 2 MB at most; this is no list.` : null);
    if (!large) form.form.setValue('list', await file.text(), { shouldDirty: true });
  };
  return (
    <FormSlip label={label} form={form} verb={verb} back={back}>
      <Small>
        A CSV file whose first line names the columns: {columns.join(', ')}. {said}
      </Small>
      <DownloadLink $plain $small href={template}>
        An empty list to write in (CSV)
      </DownloadLink>
      <FileTrigger
        acceptedFileTypes={['text/csv', '.csv']}
        onSelect={(files) => void choose(Array.from(files ?? [])[0])}
      >
        <Button $plain $small style={{ alignSelf: 'flex-start' }}>
          Choose a file
        </Button>
      </FileTrigger>
      <FormFields
        form={form.form}
        of={of}
        labels={{ list: 'or paste it here' }}
        lines={{ list: 12 }}
      />
      <Problem>{tooLarge}</Problem>
    </FormSlip>
  );
}
