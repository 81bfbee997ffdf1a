'use client';
import { useRouter } from 'next/navigation';
import { useState } from 'react';
import { FileTrigger } from 'react-aria-components';
import { Button, DownloadLink, useActionForm } from '@/shell/actions';
import { FormFields } from '@/shell/fields';
import { Problem } from '@/shell/said';
import { FormSlip } from '@/shell/slip';
import { Small } from '@/shell/words';
import { bringPapers } from './actions';
import { bringForm, paperForm } from './paperForm';

const LARGEST = 2_000_000;

/** Papers from a CSV list, chosen or pasted. */
export function BringPapers() {
  const router = useRouter();
  const [tooLarge, setTooLarge] = useState<string | null>(null);
  const form = useActionForm(
    bringPapers,
    { list: '' },
    { done: 'Papers taken in.', onDone: () => router.push('/papers') },
  );
  const choose = async (file: File | undefined) => {
    if (!file) return;
    const large = file.size > LARGEST;
    setTooLarge(large ? `${file.name}: a list has 2 MB at most; this is no list.` : null);
    if (!large) form.form.setValue('list', await file.text(), { shouldDirty: true });
  };
  return (
    <FormSlip label="Papers from a list" form={form} verb="Take them in" back="/papers">
      <Small>
        A CSV file whose first line names the columns:{' '}
        {Object.values(paperForm.titles).join(', ')}. Lengths and prices as on the form.
      </Small>
      <DownloadLink $plain $small href="/api/lists/papers?template=1">
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
        of={bringForm}
        labels={{ list: 'or paste it here' }}
        lines={{ list: 12 }}
      />
      <Problem>{tooLarge}</Problem>
    </FormSlip>
  );
}
