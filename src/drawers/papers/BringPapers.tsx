'use client';
import { useRouter } from 'next/navigation';
import { useState } from 'react';
import { FileTrigger } from 'react-aria-components';
import { Button, ButtonLink, useActionForm } from '@/shell/actions';
import { Field } from '@/shell/fields';
import { Problem } from '@/shell/said';
import { Slip, SlipTitle } from '@/shell/slip';
import { Small } from '@/shell/words';
import { bringPapers } from './actions';
import { PAPER_TITLES } from './paperForm';

const LARGEST = 2_000_000;

/** Papers from a CSV list, chosen or pasted. */
export function BringPapers() {
  const router = useRouter();
  const [tooLarge, setTooLarge] = useState<string | null>(null);
  const { form, submit, sending, problem } = useActionForm(
    bringPapers,
    { list: '' },
    { done: 'Papers taken in.', onDone: () => router.push('/papers') },
  );
  const choose = async (file: File | undefined) => {
    if (!file) return;
    const large = file.size > LARGEST;
    setTooLarge(large ? `${file.name}: a list has 2 MB at most; this is no list.` : null);
    if (!large) form.setValue('list', await file.text(), { shouldDirty: true });
  };
  return (
    <Slip
      label="Papers from a list"
      actions={
        <>
          <Button onPress={submit} isDisabled={sending}>
            Take them in
          </Button>
          <ButtonLink $plain href="/papers">
            Leave it
          </ButtonLink>
        </>
      }
    >
      <SlipTitle>Papers from a list</SlipTitle>
      <Small>
        A CSV file whose first line names the columns:{' '}
        {Object.values(PAPER_TITLES).join(', ')}. Lengths and prices as on the form.
      </Small>
      <FileTrigger
        acceptedFileTypes={['text/csv', '.csv']}
        onSelect={(files) => void choose(Array.from(files ?? [])[0])}
      >
        <Button $plain $small style={{ alignSelf: 'flex-start' }}>
          Choose a file
        </Button>
      </FileTrigger>
      <Field form={form} name="list" label="or paste it here" words lines={12} />
      <Problem>{tooLarge ?? problem}</Problem>
    </Slip>
  );
}
