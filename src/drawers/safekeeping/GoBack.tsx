'use client';
import { Button, useActionForm } from '@/shell/actions';
import { EnterForm, Field } from '@/shell/fields';
import { useFormat } from '@/shell/figures';
import { Problem } from '@/shell/said';
import { JobLine } from '@/shell/running';
import { Sentence, Small, TableHead } from '@/shell/words';
import { restoreHere } from './actions';
import { Code, Part } from './parts';
import { restoreForm } from './placeForm';
import type { SafekeepingView } from './view';

/** A backup restored into a new folder, beside the studio that is open. */
export function GoBack({ view }: { view: SafekeepingView }) {
  const { archives, restoring, restored, naming } = view;
  const format = useFormat();
  const back = useActionForm(
    restoreHere,
    { archive: archives[0] ?? '', into: '' },
    { done: 'It is being restored.' },
  );
  return (
    <Part>
      <TableHead>Going back to a backup</TableHead>
      <Small>
        It is unpacked into a new folder, every file and the ledger checked. Nothing is ever
        restored over something: this studio stays as it is.
      </Small>
      {restoring && <JobLine job={restoring} what="Restoring a backup" />}
      {restored && (
        <>
          <Sentence>
            {restored.folder} is the studio as it was on {format.day(restored.made)},{' '}
            {restored.files} files checked
            {restored.leftOut.length > 0
              ? `; ${restored.leftOut.length} were damaged when the backup was made and are not in it`
              : ''}
            . To work in it, stop Glassine and start it there:
          </Sentence>
          <Code>npx glassine serve --home {restored.folder}</Code>
        </>
      )}
      {naming && (
        <EnterForm onEnter={back.submit} style={{ display: 'grid', gap: 8 }}>
          <Field
            form={back.form}
            of={restoreForm}
            name="archive"
            words
            offered={archives}
          />
          <Field form={back.form} of={restoreForm} name="into" words />
          <Problem>{back.problem}</Problem>
          <Button
            type="submit"
            $plain
            $small
            style={{ justifySelf: 'start' }}
            isDisabled={back.sending || restoring !== null}
          >
            Restore it there
          </Button>
        </EnterForm>
      )}
    </Part>
  );
}
