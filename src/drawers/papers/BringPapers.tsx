'use client';
import { useRouter } from 'next/navigation';
import { useActionForm } from '@/shell/actions';
import { ListSlip } from '@/shell/bring';
import { bringPapers } from './actions';
import { bringForm, paperForm } from './paperForm';

/** Papers from a CSV list, chosen or pasted. */
export function BringPapers() {
  const router = useRouter();
  const form = useActionForm(
    bringPapers,
    { list: '' },
    { done: 'Papers taken in.', onDone: () => router.push('/papers') },
  );
  return (
    <ListSlip
      label="Papers from a list"
      verb="Take them in"
      back="/papers"
      form={form}
      of={bringForm}
      columns={Object.values(paperForm.titles)}
      said="Lengths and prices as on the form."
      template="/api/lists/papers?template=1"
    />
  );
}
