'use client';
import { useActionForm } from '@/shell/actions';
import { FormFields } from '@/shell/fields';
import { FormPart } from '@/shell/slip';
import { SectionLabel } from '@/shell/words';
import { discontinuePaper } from './actions';
import { discontinueForm } from './paperForm';
import type { PapersView } from './view';

type Row = PapersView['page']['rows'][number];

/** Whether a paper is still made, and what takes its place when it is not. */
export const Made = ({ paper, others }: { paper: Row } & Pick<PapersView, 'others'>) => {
  const gone = paper.discontinuedAt !== null;
  const form = useActionForm(
    discontinuePaper,
    { replacementId: String(paper.replacementId ?? '') },
    {
      fixed: { paperId: String(paper.id), discontinued: gone ? 'no' : 'yes' },
      done: gone ? 'Noted: made again.' : 'Noted: no longer made.',
    },
  );
  const replacementId = [
    ['', 'not known yet'],
    ...others.map((p) => [String(p.id), p.name]),
  ] as [string, string][];
  return (
    <FormPart form={form} verb={gone ? 'It is made again' : 'Note as discontinued'} plain>
      {!gone && (
        <>
          <SectionLabel>When its maker no longer makes it</SectionLabel>
          <FormFields
            form={form.form}
            of={discontinueForm}
            only={['replacementId']}
            options={{ replacementId }}
          />
        </>
      )}
    </FormPart>
  );
};
