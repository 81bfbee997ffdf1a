'use client';
import { useRouter } from 'next/navigation';
import styled from 'styled-components';
import { Button, ButtonLink, useAction, useActionForm } from '@/shell/actions';
import { ChoiceField, Field } from '@/shell/fields';
import { useFormat } from '@/shell/figures';
import { Problem } from '@/shell/said';
import { Slip, SlipTitle } from '@/shell/slip';
import type { Form } from '@/shell/fields';
import { Small } from '@/shell/words';
import { createPaper, editPaper, removePaper } from './actions';
import { BASES, SURFACES } from './kinds';
import { NO_PAPER } from './paperForm';
import { Made } from './PaperShelf';
import type { PapersView } from './view';

const Pair = styled.div`
  display: grid;
  grid-template-columns: 1fr 1fr;
  gap: 8px;
`;

const PaperFields = ({
  form,
  currency,
  kept,
}: {
  form: Form;
  currency: string;
  /** The price in another currency, which stays when none is typed. */
  kept?: string | undefined;
}) => {
  const f = { form };
  return (
    <>
      <Field {...f} name="name" label="Name" words />
      <Field {...f} name="maker" label="Maker" words />
      <ChoiceField
        {...f}
        name="base"
        label="Base"
        options={BASES.map((b) => [b, b] as const)}
      />
      <ChoiceField
        {...f}
        name="surface"
        label="Surface"
        options={SURFACES.map((s) => [s, s] as const)}
      />
      <Field {...f} name="weight" label="Weight" unit="g/m²" />
      <Field {...f} name="thickness" label="Thickness" unit="mm" />
      <Pair>
        <Field {...f} name="sheetWidth" label="Sheet width" words />
        <Field {...f} name="sheetHeight" label="Sheet height" words />
      </Pair>
      <Field
        {...f}
        name="price"
        label="Price a sheet"
        unit={currency}
        hint={kept && `Kept: ${kept}. Left empty, it stays so.`}
      />
      <Field {...f} name="reorderPoint" label="Reorder at" unit="sheets" />
      <Field {...f} name="printerSetting" label="Printer setting and profile" words />
      <Field
        {...f}
        name="permanence"
        label="Permanence, with source and display condition"
        words
      />
      <Field {...f} name="note" label="Note" words />
    </>
  );
};

/** A new paper for the drawer. */
export function NewPaper({ currency, first }: { currency: string; first: boolean }) {
  const router = useRouter();
  const { form, submit, sending, problem } = useActionForm(createPaper, NO_PAPER, {
    done: 'Paper added to the drawer.',
    onDone: (id) => router.push(`/papers?paper=${id}`),
  });
  return (
    <Slip
      label="New paper"
      actions={
        <>
          <Button onPress={submit} isDisabled={sending}>
            Add this paper
          </Button>
          {!first && (
            <ButtonLink $plain href="/papers">
              Leave it
            </ButtonLink>
          )}
        </>
      }
    >
      <SlipTitle>New paper</SlipTitle>
      <PaperFields form={form} currency={currency} />
      <Problem>{problem}</Problem>
    </Slip>
  );
}

/** A paper put right; one that nothing depends on can be taken out. */
export function EditPaper({
  paper,
  others,
  stored,
  currency,
}: {
  paper: PapersView['page']['rows'][number];
  others: PapersView['others'];
  stored: Record<string, string>;
  currency: string;
}) {
  const router = useRouter();
  const paperId = paper.id;
  const format = useFormat();
  const { form, submit, sending, problem } = useActionForm(editPaper, stored, {
    fixed: { paperId: String(paperId), seen: JSON.stringify(stored) },
    done: 'Changed.',
    onDone: () => router.push(`/papers?paper=${paperId}`),
  });
  const removal = useAction(removePaper, 'Taken out of the drawer.', () =>
    router.push('/papers'),
  );
  return (
    <Slip
      label="Change this paper"
      actions={
        <>
          <Button onPress={submit} isDisabled={sending}>
            Keep the changes
          </Button>
          <ButtonLink $plain href={`/papers?paper=${paperId}`}>
            Leave it
          </ButtonLink>
        </>
      }
    >
      <SlipTitle>{stored.name}</SlipTitle>
      <PaperFields
        form={form}
        currency={currency}
        kept={
          paper.currency === currency
            ? undefined
            : format.money(paper.price, paper.currency)
        }
      />
      <Problem>{problem}</Problem>
      <Made paper={paper} others={others} />
      <Small>Prints already made keep what was noted of them.</Small>
      <Button
        $plain
        $small
        style={{ alignSelf: 'flex-start' }}
        isDisabled={removal.sending}
        onPress={() => removal.run({ paperId: String(paperId) })}
      >
        Take this paper out of the drawer
      </Button>
      <Problem>{removal.problem}</Problem>
    </Slip>
  );
}
