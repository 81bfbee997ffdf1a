'use client';
import { Button, useActionForm } from '@/shell/actions';
import { ChoiceField, Field } from '@/shell/fields';
import { Problem } from '@/shell/said';
import { SectionLabel } from '@/shell/words';
import { discontinuePaper, movePaper } from './actions';
import type { PapersView } from './view';

type Row = PapersView['page']['rows'][number];

/** Sheets that came in or went out. */
export const Stock = ({ paper }: { paper: Row }) => {
  const { form, submit, sending, problem } = useActionForm(
    movePaper,
    { pieces: '', reason: 'delivery' },
    { fixed: { paperId: String(paper.id) }, done: 'Stock noted.' },
  );
  return (
    <>
      <SectionLabel>Sheets received, or used with a minus</SectionLabel>
      <Field form={form} name="pieces" label="Sheets" />
      <Field form={form} name="reason" label="Why" words />
      <Problem>{problem}</Problem>
      <Button
        $small
        onPress={submit}
        isDisabled={sending}
        style={{ alignSelf: 'flex-start' }}
      >
        Note it
      </Button>
    </>
  );
};

/** Whether a paper is still made, and what takes its place when it is not. */
export const Made = ({ paper, others }: { paper: Row } & Pick<PapersView, 'others'>) => {
  const gone = paper.discontinuedAt !== null;
  const { form, submit, sending, problem } = useActionForm(
    discontinuePaper,
    { replacementId: String(paper.replacementId ?? '') },
    {
      fixed: { paperId: String(paper.id), discontinued: gone ? 'no' : 'yes' },
      done: gone ? 'Noted: made again.' : 'Noted: no longer made.',
    },
  );
  return (
    <>
      {!gone && (
        <>
          <SectionLabel>When its maker no longer makes it</SectionLabel>
          <ChoiceField
            form={form}
            name="replacementId"
            label="Replaced by"
            options={[
              ['', 'not known yet'],
              ...others.map((p) => [String(p.id), p.name] as const),
            ]}
          />
        </>
      )}
      <Problem>{problem}</Problem>
      <Button
        $plain
        $small
        onPress={submit}
        isDisabled={sending}
        style={{ alignSelf: 'flex-start' }}
      >
        {gone ? 'It is made again' : 'Note as discontinued'}
      </Button>
    </>
  );
};
