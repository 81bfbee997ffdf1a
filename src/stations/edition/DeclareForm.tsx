'use client';
import { useState } from 'react';
import { usualArtistsProofs } from '@/core/edition';
import { Button, useActionForm } from '@/shell/actions';
import { FormFields } from '@/shell/fields';
import { Dialog, Problem } from '@/shell/said';
import { SectionLabel, Small } from '@/shell/words';
import { declare } from './actions';
import { declareForm } from './editionForms';
import type { EditionView } from './view';

const SCHOOLS = [
  ['perSize', 'per size'],
  ['allSizes', 'over all sizes'],
] as const;

/** Declares the edition of a size, after asking: it cannot be enlarged later. */
export const DeclareForm = ({ view }: { view: EditionView }) => {
  const { work, picked, edition } = view;
  const d = edition?.declaration;
  const [sure, setSure] = useState(false);
  const { form, submit, sending, problem } = useActionForm(
    declare,
    {
      kind: d?.kind ?? 'limited',
      scope: d?.scope ?? 'perSize',
      size: String(d?.size ?? 30),
      artistsProofs: String(d?.artistsProofs ?? usualArtistsProofs(30)),
    },
    {
      fixed: { workId: String(work.id), sizeKey: picked?.key ?? '' },
      done: 'Declared, and written into the ledger.',
    },
  );
  const [kind, size, aps] = form.watch(['kind', 'size', 'artistsProofs']);
  return (
    <>
      <SectionLabel>
        {d ? 'Change it while no number is out' : 'Declare the edition'}
      </SectionLabel>
      <FormFields
        form={form}
        of={declareForm}
        only={['kind', 'scope', ...(kind === 'limited' ? ['size'] : []), 'artistsProofs']}
        options={{ scope: SCHOOLS }}
      />
      <Problem>{problem}</Problem>
      <Button
        onPress={() => setSure(true)}
        isDisabled={sending}
        style={{ alignSelf: 'flex-start' }}
      >
        Declare it
      </Button>
      <Small>
        Some places have laws on disclosing limited editions. What they usually ask for is
        recorded here; local law decides.
      </Small>
      <Dialog title="Declare this edition?" open={sure} onClose={() => setSure(false)}>
        <p>
          {kind === 'open'
            ? `An open edition of ${work.title}, with ${aps} artist’s proofs.`
            : `${size} impressions of ${work.title}, and ${aps} artist’s proofs.`}{' '}
          It cannot be enlarged later, and nothing of it changes once a number is out.
        </p>
        <div style={{ display: 'flex', gap: 8 }}>
          <Button
            onPress={() => {
              setSure(false);
              submit();
            }}
          >
            Declare it for good
          </Button>
          <Button $plain onPress={() => setSure(false)}>
            Not yet
          </Button>
        </div>
      </Dialog>
    </>
  );
};
