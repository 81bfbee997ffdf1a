'use client';
import { useRouter } from 'next/navigation';
import { useState } from 'react';
import { useActionForm } from '@/shell/actions';
import { Fold, FormFields } from '@/shell/fields';
import { FormPart } from '@/shell/slip';
import { Small } from '@/shell/words';
import { notePrintedHere } from '../printedActions';
import { printedForm } from '../printedForm';
import type { PrepareView } from '../view';

/** Prints of these files that were made here and are no proof round and not numbered: their paper. */
export function PrintedHere({
  view,
  files,
}: {
  view: PrepareView;
  /** As a round names them. */
  files: readonly (readonly [id: string, name: string])[];
}) {
  const router = useRouter();
  const [taken, setTaken] = useState<string | null>(null);
  const { papers, work } = view;
  const form = useActionForm(
    notePrintedHere,
    {
      file: files[0]?.[0] ?? '',
      paperId: String(papers[0]?.id ?? ''),
      as: 'test',
      prints: '1',
    },
    {
      fixed: { workId: String(work.id) },
      done: 'Paper taken.',
      onDone: (words) => {
        setTaken(words);
        router.refresh();
      },
    },
  );
  if (files.length === 0 || papers.length === 0) return null;
  return (
    <Fold title="Printed here as a test, or spoiled">
      <FormPart form={form} verb="Take its paper" plain>
        <FormFields
          form={form.form}
          of={printedForm}
          only={['file', 'paperId', 'as', 'prints']}
          options={{ file: files, paperId: papers.map((p) => [String(p.id), p.name]) }}
        />
      </FormPart>
      <Small>
        {taken === null
          ? 'Proof rounds and numbered prints take theirs by themselves.'
          : `Taken: ${taken}.`}
      </Small>
    </Fold>
  );
}
