'use client';
import { useRouter } from 'next/navigation';
import { TakeOut, useActionForm } from '@/shell/actions';
import { FormFields, Pair } from '@/shell/fields';
import { useBench, useFormat } from '@/shell/figures';
import { FormSlip } from '@/shell/slip';
import { SectionLabel } from '@/shell/words';
import type { Form } from '@/shell/fields';
import { createPaper, editPaper, removePaper } from './actions';
import { paperForm, usualPaper } from './paperForm';
import { Made } from './PaperShelf';
import type { PapersView } from './view';

const LOOK = ['name', 'maker', 'base', 'surface', 'weight', 'thickness'];
const SHEET = ['sheetWidth', 'sheetHeight'];
const STORE = ['price', 'supplier', 'deliveryDays', 'reorderPoint', 'printerSetting'];
const LASTS = ['permanenceYears', 'permanenceSource', 'permanenceDisplay'];
const HANDLED = [
  'acidFree',
  'brightened',
  'grain',
  'signedWith',
  'scuffs',
  'leastRoll',
  'note',
];

/** `kept`: the price in another currency, which stays when none is typed. */
const PaperFields = ({ form, kept }: { form: Form; kept?: string | undefined }) => {
  const f = { form, of: paperForm };
  const stays = kept && `Kept: ${kept}. Left empty, it stays so.`;
  return (
    <>
      <FormFields {...f} only={LOOK} />
      <Pair>
        <FormFields {...f} only={SHEET} stacked />
      </Pair>
      <FormFields {...f} only={STORE} hints={{ price: stays }} />
      <SectionLabel>How long it lasts: all three, or none</SectionLabel>
      <FormFields {...f} only={LASTS} />
      <SectionLabel>How it is handled</SectionLabel>
      <FormFields {...f} only={HANDLED} />
    </>
  );
};

/** A new paper for the drawer. */
export function NewPaper({ first }: { first: boolean }) {
  const router = useRouter();
  const form = useActionForm(createPaper, usualPaper(useBench()), {
    done: 'Paper added to the drawer.',
    onDone: (id) => router.push(`/papers?paper=${id}`),
  });
  const back = first ? null : '/papers';
  return (
    <FormSlip label="New paper" form={form} verb="Add this paper" back={back}>
      <PaperFields form={form.form} />
    </FormSlip>
  );
}

/** A paper put right; one that nothing depends on can be taken out. */
export function EditPaper({
  paper,
  others,
  stored,
}: {
  paper: PapersView['page']['rows'][number];
  others: PapersView['others'];
  stored: Record<string, string>;
}) {
  const router = useRouter();
  const format = useFormat();
  const { currency } = useBench();
  const paperId = String(paper.id);
  const back = `/papers?paper=${paperId}`;
  const form = useActionForm(editPaper, stored, {
    fixed: { paperId, seen: JSON.stringify(stored) },
    done: 'Changed.',
    onDone: () => router.push(back),
  });
  const same = paper.currency === currency;
  return (
    <FormSlip
      label="Change this paper"
      title={stored.name}
      form={form}
      verb="Keep the changes"
      back={back}
      after={
        <>
          <Made paper={paper} others={others} />
          <TakeOut
            action={removePaper}
            row={{ paperId }}
            what="this paper"
            to="/papers"
            note="Prints already made keep what was noted of them."
          />
        </>
      }
    >
      <PaperFields
        form={form.form}
        kept={same ? undefined : format.money(paper.price, paper.currency)}
      />
    </FormSlip>
  );
}
