'use client';
import { useRouter } from 'next/navigation';
import { useActionForm } from '@/shell/actions';
import { ListSlip } from '@/shell/bring';
import { bringPapers } from './actions';
import { bringForm } from './paperForm';
import { paperListForm } from './paperListForm';

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
      columns={Object.values(paperListForm.titles)}
      said="Lengths and prices as on the form. A further line of the same name is what else it comes as: of a roll the height is its length, the price that of the whole roll."
      template="/api/lists/papers?template=1"
    />
  );
}
